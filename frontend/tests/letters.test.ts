import { describe, expect, it } from 'vitest'

import { placedLetters } from '@/sheet/letters'

const at = (place: [number, number]): [number, number] => [place[0], 100 - place[1]]
const corner = (
  text: string,
  x: number,
  y: number,
): { text: string; at: [number, number]; across: string; up: string } => ({
  text,
  at: [x, y],
  across: String(x),
  up: String(y),
})
const square = [corner('a', 0, 0), corner('b', 40, 0), corner('c', 40, 40), corner('d', 0, 40)]

describe('letters of a step', () => {
  it('stand outside of what they are corners of, each near to its own', () => {
    const placed = placedLetters(square, at, 1, 10)
    expect(placed.map((letter) => letter.text)).toEqual(['a', 'b', 'c', 'd'])
    for (const letter of placed) {
      const outward = [letter.at[0] - 20, letter.at[1] - 80]
      const moved = [letter.x - letter.at[0], letter.y - 0.32 * letter.size - letter.at[1]]
      expect(outward[0]! * moved[0]! + outward[1]! * moved[1]!).toBeGreaterThan(0)
      expect(Math.hypot(moved[0]!, moved[1]!)).toBeCloseTo(8.5, 6)
    }
  })

  it('are as large as on the wall, however large the sheet is', () => {
    expect(placedLetters(square, at, 0.5, 20)[0]!.size).toBe(10)
    expect(placedLetters(square, at, 2, 20)[0]!.size).toBe(40)
  })

  it('say where their points lie, and stand on a single one without a way out', () => {
    const [alone] = placedLetters([corner('a', 5, 7)], at, 1, 10)
    expect(alone!.reads).toBe('a: 5 across, 7 up')
    expect([alone!.x, Number.isFinite(alone!.y)]).toEqual([5, true])
    expect(placedLetters([], at, 1, 10)).toEqual([])
  })
})
