/** Where do the names of points stand beside a level line, so that none lies over another? */

/** A point that gets a name: where it is along the line, and whether it lies off the line, which leaves the lower row. */
export interface Named {
  x: number
  label: string
  isOff: boolean
}

/** In which row a name stands, and to which side of its point. */
export interface Label {
  row: 'upper' | 'lower'
  side: 'right' | 'left'
}

/** From a point to its name. */
export const ASIDE = 9
/** How wide a letter is on the average, in units of the drawing. */
const LETTER = 5.2
/** Names nearer to each other than this read as one. */
const GAP = 4
/** So many times as bad as a name that goes beyond the end of the drawing is one that lies over another. */
const UNREADABLE = 3

interface Span {
  row: Label['row']
  from: number
  to: number
}

function span(point: Named, { row, side }: Label): Span {
  const long = point.label.length * LETTER
  const from = side === 'right' ? point.x + ASIDE : point.x - ASIDE - long
  return { row, from, to: from + long }
}

const over = (one: Span, other: Span): number =>
  one.row === other.row ? Math.max(Math.min(one.to, other.to) + GAP - Math.max(one.from, other.from), 0) : 0

function places(point: Named): Label[] {
  const rows: Label['row'][] = point.isOff ? ['lower'] : ['upper', 'lower']
  return rows.flatMap((row): Label[] => [
    { row, side: 'right' },
    { row, side: 'left' },
  ])
}

/** How often names that came first may be moved for the sake of later ones. */
const ROUNDS = 4

/**
 * The place of each name: the first one where it is free, else the one where it lies least over others or the ends.
 * Names of points off the line come first, since they have fewer places; then each may make room for the others.
 */
export function placed(points: Named[], width: number): Label[] {
  const result = new Map<Named, Label>()
  const cost = (point: Named, place: Label): number => {
    const own = span(point, place)
    const beyond = Math.max(-own.from, 0) + Math.max(own.to - width, 0)
    const others = [...result].filter(([other]) => other !== point)
    return beyond + UNREADABLE * others.reduce((sum, [other, label]) => sum + over(own, span(other, label)), 0)
  }
  const order = [...points].sort((a, b) => Number(b.isOff) - Number(a.isOff))
  for (let round = 0; round < ROUNDS; round += 1) {
    for (const point of order) {
      const costs = places(point).map((place) => cost(point, place))
      const now = result.get(point)
      if (now === undefined || Math.min(...costs) < cost(point, now))
        result.set(point, places(point)[costs.indexOf(Math.min(...costs))]!)
    }
  }
  return points.map((point) => result.get(point)!)
}
