/** Where the letters of a step's points stand: beside their points, as the core has placed them. */
import type { Place, PointLetter } from '@/api/types'

export interface PlacedLetter {
  text: string
  at: Place
  x: number
  y: number
  size: number
  /** Where the line ends that leads to it, if it stands far from its point. */
  led?: Place
  /** For who hears the sheet. */
  reads: string
}

/** From the middle of a letter of the shipped typeface down to its line, as a share of its size. */
const DOWN = 0.32
/** From so far away on a line leads to a letter, until so far before its middle, as shares of its size. */
const LED_TO = 1.3
const LED_UNTIL = 0.5

export function placedLetters(
  letters: readonly PointLetter[],
  at: (place: Place) => Place,
  mmPerPx: number,
  sizePx: number,
): PlacedLetter[] {
  const size = sizePx * mmPerPx
  return letters.map(({ at: place, text, across, up, beside }) => {
    const [x, y] = at(place as Place)
    const far = Math.hypot(beside[0], beside[1])
    const led = (1 - LED_UNTIL / far) * size
    return {
      text,
      at: [x, y],
      x: x + beside[0] * size,
      y: y - beside[1] * size + DOWN * size,
      size,
      ...(far >= LED_TO && { led: [x + led * beside[0], y - led * beside[1]] as Place }),
      reads: `${text}: ${across} across, ${up} up`,
    }
  })
}
