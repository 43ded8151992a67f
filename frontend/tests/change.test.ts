import { describe, expect, it } from 'vitest'

import type { DrawnLine, Picture, PictureChange } from '@/api/types'
import { changed } from '@/sheet/change'

const line = (id: number, thing: string): DrawnLine =>
  ({ id, thing, name: 'front.top', from: [id, 0], to: [id, 9], bend: [] }) as unknown as DrawnLine
const face = (id: number, tone = 1): Picture['faces'][number] => ({ id, tone }) as Picture['faces'][number]
const before = {
  eye_level_mm: 150,
  lines: [line(1, 'A'), line(2, 'A'), line(7, 'B')],
  faces: [face(1), face(2), face(9)],
  handles: [{ id: 'things.0.place' }, { id: 'things.0.depth' }],
  measures: [{ path: 'things.0.left', text: '4 cm' }],
  points: { 'A.front.top_left': [1, 2] },
} as unknown as Picture
const nothing = {
  eye_level_mm: 150, vanishing_points: {}, aims: [], strips: [], lines: [], gone_lines: [], faces: [], painted: [1, 2, 9],
  handles: [], gone_handles: [], measures: [], gone_measures: [],
} as PictureChange // prettier-ignore

describe('a picture after a change', () => {
  it('keeps what is the same as the very same', () => {
    const after = changed(before, nothing)
    expect(after.lines.map((one, i) => one === before.lines[i])).toEqual([true, true, true])
    expect(after.faces[2]).toBe(before.faces[2])
    expect(after.points).toBe(before.points)
  })

  it('puts what is other in the place of what it was, adds what is new, leaves out what is gone', () => {
    const other = { ...line(2, 'A'), to: [5, 5] } as DrawnLine
    const after = changed(before, { ...nothing, lines: [other, line(8, 'B')], gone_lines: [1] })
    expect(after.lines.map((one) => one.id)).toEqual([2, 7, 8])
    expect(after.lines[0]).toBe(other)
    expect(before.lines, 'the picture before stays as it was').toHaveLength(3)
  })

  it('paints the faces in the order that is said, and no others', () => {
    const after = changed(before, { ...nothing, faces: [face(4, 3)], painted: [9, 4, 1] })
    expect(after.faces.map((one) => one.id)).toEqual([9, 4, 1])
    expect(after.faces[1]!.tone).toBe(3)
  })

  it('knows measures by their place and handles by their names', () => {
    const after = changed(before, {
      ...nothing,
      measures: [{ path: 'things.0.left', text: '5 cm' } as Picture['measures'][number]],
      gone_handles: ['things.0.depth'],
    })
    expect(after.measures.map((one) => one.text)).toEqual(['5 cm'])
    expect(after.handles.map((one) => one.id)).toEqual(['things.0.place'])
  })
})
