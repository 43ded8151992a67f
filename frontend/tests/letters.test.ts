import { describe, expect, it } from 'vitest'

import type { PointLetter } from '@/api/types'
import { placedLetters } from '@/sheet/letters'

const at = (place: [number, number]): [number, number] => [place[0], 100 - place[1]]
const corner = (text: string, x: number, y: number, beside: [number, number] = [0.6, 0.6]): PointLetter => ({
  text,
  at: [x, y],
  across: String(x),
  up: String(y),
  beside,
})

describe('letters of a step', () => {
  it('stand beside their points on the side that is said, up being up', () => {
    const sides: [number, number][] = [[-1, 0], [0.5, 0.8], [0, -1.3]] // prettier-ignore
    const placed = placedLetters(
      sides.map((side, i) => corner('abc'[i]!, 20 * i, 40, side)),
      at,
      1,
      10,
    )
    placed.forEach((letter, i) => {
      const middle = [letter.x, letter.y - 0.32 * letter.size]
      expect(middle[0]! - letter.at[0]).toBeCloseTo(10 * sides[i]![0], 9)
      expect(letter.at[1] - middle[1]!).toBeCloseTo(10 * sides[i]![1], 9)
    })
  })

  it('are as large as on the wall, however large the sheet is, and as far away', () => {
    for (const mmPerPx of [0.5, 2]) {
      const [one] = placedLetters([corner('a', 0, 0, [1, 0])], at, mmPerPx, 20)
      expect([one!.size, one!.x]).toEqual([20 * mmPerPx, 20 * mmPerPx])
    }
  })

  it('are led to where they stand far from their points, and only there', () => {
    const [near, far] = placedLetters([corner('a', 0, 0, [0, 0.85]), corner('b', 40, 0, [0, -1.6])], at, 1, 10)
    expect(near).not.toHaveProperty('led')
    expect(far!.led).toEqual([40, 111])
    const middle = far!.y - 0.32 * far!.size
    expect(far!.led![1]).toBeLessThan(middle)
  })

  it('say where their points lie', () => {
    const [alone] = placedLetters([corner('a', 5, 7)], at, 1, 10)
    expect([alone!.text, alone!.reads]).toEqual(['a', 'a: 5 across, 7 up'])
    expect(placedLetters([], at, 1, 10)).toEqual([])
  })
})
