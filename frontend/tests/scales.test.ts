import { describe, expect, it } from 'vitest'

import { placedTexts } from '@/sheet/scales'

const at = (place: [number, number]): [number, number] => [place[0], 100 - place[1]]
const mark = (x: number, y: number, text: string): { at: [number, number]; text: string } => ({ at: [x, y], text })

describe('texts of a scale', () => {
  it('stand in further rows where they would touch', () => {
    const marks = [mark(0, 0, '0'), mark(4, 0, '12.5'), mark(8, 0, '25'), mark(80, 0, '250')]
    const placed = placedTexts({ side: 'below', marks }, at, 1, 10)
    const boxes = placed.map((t) => ({ y: t.y, from: t.x - t.text.length * 3, to: t.x + t.text.length * 3 }))
    for (const a of boxes)
      for (const b of boxes) if (a !== b && a.y === b.y) expect(a.to <= b.from || b.to <= a.from).toBe(true)
    expect(new Set(boxes.map((b) => b.y)).size).toBeGreaterThan(1)
    expect(placed.find((t) => t.text === '250')!.y).toBe(placed.find((t) => t.text === '0')!.y)
  })

  it('stand outside of what they measure, on the side that is asked for', () => {
    const marks = [mark(50, 0, '0'), mark(50, 60, '60')]
    const left = placedTexts({ side: 'left', marks }, at, 1, 10)
    const right = placedTexts({ side: 'right', marks }, at, 1, 10)
    expect(left.every((t) => t.x < 50 && t.anchor === 'end')).toBe(true)
    expect(right.every((t) => t.x > 50 && t.anchor === 'start')).toBe(true)
  })
})
