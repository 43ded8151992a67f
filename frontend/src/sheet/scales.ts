/** Where the texts of a scale stand: so far from their places, and at that side of them, as the core has found room. */
import type { Place, Scale } from '@/api/types'

import { NEXT, TALL } from './beside'

export interface ScaleText {
  text: string
  from: Place
  to: Place
  x: number
  y: number
  size: number
  anchor: 'start' | 'middle' | 'end'
}

export function placedTexts(
  { side, marks }: Scale,
  at: (place: Place) => Place,
  mmPerPx: number,
  sizePx: number,
): ScaleText[] {
  const size = sizePx * mmPerPx
  const gap = NEXT * size
  const isLevel = side === 'left' || side === 'right'
  const way = side === 'left' || side === 'above' ? -1 : 1
  return marks.map(({ at: mark, text, out, aside }) => {
    const [x, y] = at(mark)
    const to: Place = isLevel ? [x + way * out * size, y - aside * size] : [x + aside * size, y + way * out * size]
    const beside = { text, size, from: [x, y] as Place, to, x: to[0], y: to[1] + (TALL / 2) * size }
    if (isLevel) return { ...beside, x: to[0] + way * gap, anchor: way < 0 ? ('end' as const) : ('start' as const) }
    return { ...beside, y: to[1] + (way < 0 ? -gap : gap + TALL * size), anchor: 'middle' as const }
  })
}
