/** Where the letters of a step's points stand: beside the point, away from the middle of all of them. */
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

/** How far from its point the middle of a letter stands, as a share of its size. */
const AWAY = 0.85
/** From the middle of a letter of the shipped typeface down to its line, as a share of its size. */
const DOWN = 0.32

export function placedLetters(
  letters: readonly PointLetter[],
  at: (place: Place) => Place,
  mmPerPx: number,
  sizePx: number,
): PlacedLetter[] {
  const size = sizePx * mmPerPx
  const places = letters.map((letter) => at(letter.at))
  const middle = [0, 1].map((axis) => places.reduce((sum, place) => sum + place[axis]!, 0) / (places.length || 1))
  return letters.map(({ text, across, up }, i) => {
    const [x, y] = places[i]!
    const way = [x - middle[0]!, y - middle[1]!]
    const long = Math.hypot(way[0]!, way[1]!) || 1
    return {
      text,
      at: [x, y],
      x: x + (way[0]! / long) * AWAY * size,
      y: y + (way[1]! / long) * AWAY * size + DOWN * size,
      size,
      reads: `${text}: ${across} across, ${up} up`,
    }
  })
}
