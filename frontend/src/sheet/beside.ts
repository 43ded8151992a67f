/** Where texts stand beside the lengths of a step, and at arrows to points beyond its picture. In units of the drawing. */
import type { Beyond, Dimension, Place } from '@/api/types'

import type { ViewBox } from './transform'

export interface BesideText {
  rows: string[]
  x: number
  y: number
  size: number
  anchor: 'start' | 'middle' | 'end'
  /** The lines that are drawn with it, as the data of a path. */
  d: string
}

/** Width of the rim of paper about a text, as a share of its size. */
export const RIM = 0.2

/** How wide a figure of the shipped typeface is, as a share of the size of the text. */
const WIDE = 0.6
export const TALL = 0.75
/** Between the line from a place of a scale and its text. */
export const NEXT = 0.2
/** How far rows of measures are apart, and how far from what is measured a line to a row further out begins. */
const ROW = 1.3
const CLEAR = 0.2
/** How far beside a length its line is drawn, half of the ticks at its ends, and what is between a tick and the text. */
const ASIDE = 0.64
const TICK = 0.32
const GAP = 0.12
const ARROW_PX = 16
const GAP_PX = 4
/** A picture is so many times as wide as its texts are tall; so the core has placed them. */
export const SHOWN = 36
/** On a phone they would be too small to be read. */
const LEAST_PX = 12

/** How tall the measures are in a picture that is so wide. */
export function measurePx(wideMm: number, mmPerPx: number): number {
  return Math.max(LEAST_PX, wideMm / SHOWN / mmPerPx)
}

/** A length as a line beside what is measured, with ticks at its ends and its measure at the outer side. */
export function placedDimension(
  dimension: Dimension,
  at: (place: Place) => Place,
  box: ViewBox,
  mmPerPx: number,
  sizePx: number,
): BesideText {
  const placed = beside(dimension, at, mmPerPx, sizePx)
  if (isWithin(placed, box)) return placed
  const [x, y] = dimension.out
  return beside({ ...dimension, out: [-x, -y] }, at, mmPerPx, sizePx)
}

function isWithin({ x, y, size, anchor, rows }: BesideText, box: ViewBox): boolean {
  const wide = Math.max(...rows.map((row) => row.length)) * WIDE * size
  const left = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2
  return left >= box.x && left + wide <= box.x + box.width && y - size >= box.y && y <= box.y + box.height
}

function beside(
  { from, to, out, at: share, row, away, text }: Dimension,
  at: (place: Place) => Place,
  mmPerPx: number,
  sizePx: number,
): BesideText {
  const size = sizePx * mmPerPx
  const [dx, dy] = [out[0], -out[1]]
  const aside = (ASIDE + row * ROW) * size
  const tick = TICK * size
  const measured = [at(from as Place), at(to as Place)] as const
  const [a, b] = measured.map(([x, y]) => [x + aside * dx, y + aside * dy] as const) as [Place, Place]
  // A measure further out has lines that lead there from the ends of what is measured.
  const begin = row ? CLEAR * size : aside - tick
  const end = aside + tick
  const ticks = measured
    .map(([x, y]) => `M${x + begin * dx} ${y + begin * dy}L${x + end * dx} ${y + end * dy}`)
    .join('')
  const along = (t: number): Place => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]
  const wide = text.length * WIDE * size
  if (away) {
    // A text that stands away from it all has a line that leads to the nearest place of its rim.
    const [mx, my] = along(0.5)
    const [x, y] = [mx + away[0] * size, my - away[1] * size]
    const rim = GAP * size
    const nearest = [within(mx, x, wide / 2 + rim), within(my, y, (TALL * size) / 2 + rim)]
    const d = `M${a.join(' ')}L${b.join(' ')}${ticks}M${mx} ${my}L${nearest.join(' ')}`
    return { rows: [text], x, y: y + (TALL * size) / 2, size, anchor: 'middle', d }
  }
  const gap = tick + GAP * size
  const middle = along(share)
  const isAside = Math.abs(dx) > Math.abs(dy)
  // Under a text beyond its end the line goes on.
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
  const reach = (isAside ? TALL * size : wide) / 2 / long
  const isBeyond = share < 0 || share > 1
  const line = isBeyond ? [along(Math.min(0, share - reach)), along(Math.max(1, share + reach))] : [a, b]
  return {
    rows: [text],
    x: isAside ? middle[0] + Math.sign(dx) * gap : middle[0],
    y: isAside ? middle[1] + size * 0.36 : dy > 0 ? middle[1] + gap + size * TALL : middle[1] - gap,
    size,
    anchor: !isAside ? 'middle' : dx > 0 ? 'start' : 'end',
    d: `M${line.map((place) => place.join(' ')).join('L')}${ticks}`,
  }
}

function within(value: number, middle: number, reach: number): number {
  return Math.min(Math.max(value, middle - reach), middle + reach)
}

/** An arrow head where lines leave the picture, and within it where they run to. */
export function placedBeyond(
  { at: rim, way, side, text, past }: Beyond,
  at: (place: Place) => Place,
  box: ViewBox,
  mmPerPx: number,
  sizePx: number,
): BesideText {
  const size = sizePx * mmPerPx
  const long = ARROW_PX * mmPerPx
  const [x, y] = at(rim as Place)
  const [dx, dy] = [way[0], -way[1]]
  const back = [x - long * dx, y - long * dy] as const
  const wide = 0.35 * long
  const rows = [text, past].filter(Boolean)
  const tall = rows.length * size * 1.15
  const gap = GAP_PX * mmPerPx
  // Over lines that run there from below, under those that come from above.
  const top = dy <= 0 ? y - tall - gap : y + gap
  const isRight = side === 'right' || (side !== 'left' && x > box.x + box.width / 2)
  return {
    rows,
    x: isRight ? Math.min(x, box.x + box.width) - long : Math.max(x, box.x) + long,
    y: Math.min(Math.max(top, box.y + gap), box.y + box.height - tall - gap) + size * 0.9,
    size,
    anchor: isRight ? 'end' : 'start',
    d: `M${x} ${y}L${back[0] - wide * dy} ${back[1] + wide * dx}L${back[0] + wide * dy} ${back[1] - wide * dx}Z`,
  }
}
