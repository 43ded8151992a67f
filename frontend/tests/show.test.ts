import { describe, expect, it } from 'vitest'

import type { Drawing } from '@/api/types'
import { stageAfter } from '@/sheet/stage'
import { handAt, MS_A_LINE, strokesOf } from '@/views/show/hand'

import { line, step } from './steps'

/** Ids are no places in the list: each thing has a run of its own. */
const lines = [
  line(200000, [0, 0], [100, 100], 'point'),
  line(200001, [0, 50], [100, 100], 'point'),
  line(300000, [0, 0], [40, 0]),
]
const drawing = {
  lines,
  vanishing_points: { point: [100, 100] },
} as unknown as Drawing

describe('the stage after a step', () => {
  /** Line 0 is drawn and erased, 1 stays light, 2 is drawn and darkened, 3 is what is left of 0, 4 comes dark at once. */
  const steps = [
    step({ draws: [0, 1], marks: ['point'] }),
    step({ draws: [2], takes_up: ['point'] }),
    step({ phase: 'take_away', takes_away: [0], leaves: [3], marks: ['Roof.slope_above'] }),
    step({ darkens: [2, 4] }),
    step({ tones: true }),
  ]
  const laid = {
    lines: [4, 3, 2, 1, 0].map((id) => line(id, [0, id], [9, id])),
    steps,
    on_paper: {
      lines: [[6, 6, 4], [3, 6, 6], [2, 4, 4], [1, 6, 6], [1, 3, 6]],
      points: { point: 1, 'Roof.slope_above': 3 },
      tone: 5,
    },
  } as unknown as Drawing // prettier-ignore
  const light = (count: number): number[] => [...stageAfter(laid, count).light].sort()
  const dark = (count: number): number[] => [...stageAfter(laid, count).dark].sort()

  it('is an empty sheet before the first step', () => {
    const { points, fresh, toned, marks } = stageAfter(laid, 0)
    expect([light(0), dark(0), [...points], [...fresh], toned, marks]).toEqual([[], [], [], [], false, []])
  })

  it('finds for each line, by its place in the list, whether it is light, dark or not there', () => {
    expect([1, 2, 3, 4, 5].map(light)).toEqual([
      [0, 1],
      [0, 1, 2],
      [1, 2, 3],
      [1, 3],
      [1, 3],
    ])
    expect([1, 2, 3, 4, 5].map(dark)).toEqual([[], [], [], [2, 4], [2, 4]])
  })

  it('is toned from the step on that lays the tone', () => {
    expect([1, 2, 3, 4, 5].map((count) => stageAfter(laid, count).toned)).toEqual([false, false, false, false, true])
  })

  it('knows a point from the step on that marks it', () => {
    expect([...stageAfter(laid, 2).points]).toEqual(['point'])
    expect([...stageAfter(laid, 3).points]).toEqual(['point', 'Roof.slope_above'])
  })

  it('knows the marks that a step takes up from earlier ones, not those of the step before', () => {
    expect([1, 2, 3].map((count) => stageAfter(laid, count).takenUp)).toEqual([[], ['point'], []])
  })

  it('shows as new what the step draws and darkens, not what is left of a line that was erased', () => {
    expect([1, 2, 3, 4, 5].map((count) => [...stageAfter(laid, count).fresh])).toEqual([[0, 1], [2], [], [2, 4], []])
  })
})

describe('the hand', () => {
  const strokes = strokesOf(drawing, step({ draws: [200000, 200001, 300000] }))

  it('draws the lines of the step, in its order, and leaves out one that is not there', () => {
    expect(strokes.map((stroke) => stroke.line.id)).toEqual([200000, 200001, 300000])
    expect(strokesOf(drawing, step({ draws: [1, 300000] })).map((s) => s.line.id)).toEqual([300000])
  })

  it('turns the ruler about the point before it draws', () => {
    const turning = handAt(strokes, 0.1 * MS_A_LINE)
    expect(turning.ruler?.at).toEqual([100, 100])
    expect(turning.share).toBe(0)
    expect(turning.pencil).toEqual([100, 100])
  })

  it('ends the turn with the ruler on the corner', () => {
    const drawn = handAt(strokes, 0.99 * MS_A_LINE)
    expect(drawn.ruler?.angle).toBeCloseTo(Math.atan2(-100, -100), 6)
    expect(drawn.share).toBeGreaterThan(0.9)
  })

  it('draws each line once and then rests', () => {
    expect([...handAt(strokes, 1.5 * MS_A_LINE).done]).toEqual([200000])
    const end = handAt(strokes, 3 * MS_A_LINE)
    expect([...end.done]).toEqual([200000, 200001, 300000])
    expect(end.ruler).toBeNull()
  })

  it('lays the ruler on the side where the thing is not', () => {
    expect(strokes[0]!.side).toBe(1)
    const below = line(400000, [50, -300], [60, -300])
    const mirrored = { ...drawing, lines: [...lines, below] }
    expect(strokesOf(mirrored, step({ draws: [200000] }))[0]!.side).toBe(-1)
  })
})
