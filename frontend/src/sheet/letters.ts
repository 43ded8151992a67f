/** Where the letters of a step's points stand: beside their points, as the core has placed them. */
import type { Place, PointLetter } from '@/api/types'

export interface PlacedLetter {
  text: string
  at: Place
  x: number
  y: number
  size: number
  /** For who hears the sheet. */
  reads: string
}

/** From the middle of a letter of the shipped typeface down to its line, as a share of its size. */
const DOWN = 0.32

export function placedLetters(
  letters: readonly PointLetter[],
  at: (place: Place) => Place,
  mmPerPx: number,
  sizePx: number,
): PlacedLetter[] {
  const size = sizePx * mmPerPx
  return letters.map(({ at: place, text, across, up, beside }) => {
    const [x, y] = at(place as Place)
    return {
      text,
      at: [x, y],
      x: x + beside[0] * size,
      y: y - beside[1] * size + DOWN * size,
      size,
      reads: `${text}: ${across} across, ${up} up`,
    }
  })
}
