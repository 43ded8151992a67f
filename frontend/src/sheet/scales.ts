/** Where the texts of a scale stand: beside their places, in as many rows as it takes that they do not touch. */
import type { Place, Scale } from '@/api/types'

export interface ScaleText {
  text: string
  from: Place
  to: Place
  x: number
  y: number
  size: number
  anchor: 'start' | 'middle' | 'end'
}

const GAP_PX = 6
const TICK_PX = 7
/** How wide a figure of the shipped typeface is, as a share of the size of the text. */
const WIDE = 0.6

/** `clearPx`: how much room is left beside the places for letters. */
export function placedTexts(
  scale: Scale,
  at: (place: Place) => Place,
  mmPerPx: number,
  sizePx: number,
  clearPx = 0,
): ScaleText[] {
  const size = sizePx * mmPerPx
  const tick = (TICK_PX + clearPx) * mmPerPx
  const gap = GAP_PX * mmPerPx
  const below = scale.side === 'below'
  const along = below ? 0 : 1
  const ends: number[] = []
  const marks = scale.marks
    .map((mark) => ({ text: mark.text, at: at(mark.at), room: below ? mark.text.length * WIDE * size : size }))
    .sort((a, b) => a.at[along] - b.at[along])
  const deepest = Math.max(...marks.map((mark) => mark.text.length)) * WIDE * size + gap
  return marks.map(({ text, at: [x, y], room }) => {
    const low = (below ? x : y) - room / 2
    let row = ends.findIndex((end) => end + gap / 2 <= low)
    if (row < 0) row = ends.length
    ends[row] = low + room
    const out = tick + row * (below ? size * 1.05 : deepest)
    const way = scale.side === 'left' ? -1 : 1
    const shared = { text, size, from: [x, y] as Place }
    if (below) return { ...shared, to: [x, y + out] as Place, x, y: y + out + size * 0.95, anchor: 'middle' as const }
    return {
      ...shared,
      to: [x + way * out, y] as Place,
      x: x + way * (out + gap / 2),
      y: y + size * 0.36,
      anchor: way < 0 ? ('end' as const) : ('start' as const),
    }
  })
}
