/**
 * How the hand moves while a step is shown: for each line the ruler is laid on its point, turned until it
 * touches the corner, and the pencil draws. Pure: a time in, a picture out. Places are page mm.
 */
import type { DrawnLine, Drawing, Place, Step } from '@/api/types'

export interface Stroke {
  line: DrawnLine
  /** Where the ruler rests and is turned about, or null where it is simply laid along the line. */
  pivot: Place | null
  /** On which side of the line, seen from its start, the ruler lies, so that it does not cover the thing. */
  side: 1 | -1
}

export interface HandPicture {
  done: Set<number>
  drawing: DrawnLine | null
  /** How much of the line has been drawn, 0 to 1. */
  share: number
  ruler: { at: Place; angle: number; length: number; side: 1 | -1 } | null
  pencil: Place | null
}

export const MS_A_LINE = 1700
const TURNING = 0.45
const SWING = Math.PI / 7

export function strokesOf(drawing: Drawing, step: Step): Stroke[] {
  const ids = step.darkens.length ? step.darkens : step.draws
  const lineOf = new Map(drawing.lines.map((line) => [line.id, line]))
  return ids.flatMap((id) => {
    const line = lineOf.get(id)
    if (!line) return []
    const pivot = line.rests_on ? (drawing.vanishing_points[line.rests_on] ?? line.to) : null
    return [{ line, pivot, side: sideOf(drawing, line) }]
  })
}

/** The ruler lies on the side of the line where the thing is not. */
function sideOf(drawing: Drawing, line: DrawnLine): 1 | -1 {
  const own = drawing.lines.filter((other) => other.thing === line.thing).flatMap(({ from, to }) => [from, to])
  const dx = line.to[0] - line.from[0]
  const dy = line.to[1] - line.from[1]
  const sum = own.reduce((s, p) => s + dx * (p[1] - line.from[1]) - dy * (p[0] - line.from[0]), 0)
  return sum > 0 ? 1 : -1
}

/** What is to be seen `ms` after the step began. */
export function handAt(strokes: readonly Stroke[], ms: number, pace = MS_A_LINE): HandPicture {
  const index = Math.floor(ms / pace)
  const stroke = strokes[index]
  const done = new Set(strokes.slice(0, index).map((s) => s.line.id))
  if (!stroke || ms < 0) return { done, drawing: null, share: 0, ruler: null, pencil: null }
  const part = (ms % pace) / pace
  const turned = ease(Math.min(part / TURNING, 1))
  const share = Math.max(0, (part - TURNING) / (1 - TURNING))
  const { from, to, bend } = stroke.line
  const from0 = stroke.pivot ?? from
  const toward = stroke.pivot ? from : to
  const goal = Math.atan2(toward[1] - from0[1], toward[0] - from0[0])
  const start = startAngle(strokes, index, goal)
  const length = Math.hypot(toward[0] - from0[0], toward[1] - from0[1])
  return {
    done,
    drawing: stroke.line,
    share,
    ruler: bend.length
      ? null
      : {
          at: from0,
          angle: start + turned * (goal - start),
          length,
          side: stroke.pivot ? (stroke.side === 1 ? -1 : 1) : stroke.side,
        },
    pencil: part < TURNING ? from0 : drawnPart(stroke.line, share).at(-1)!,
  }
}

/** The places of a line, or of a curve, up to a share of it. */
export function drawnPart(line: DrawnLine, share: number): Place[] {
  const places = [line.from, ...line.bend, line.to]
  const reach = share * (places.length - 1)
  const whole = Math.min(Math.floor(reach), places.length - 2)
  const [a, b] = [places[whole]!, places[whole + 1]!]
  const rest = reach - whole
  return [...places.slice(0, whole + 1), [a[0] + rest * (b[0] - a[0]), a[1] + rest * (b[1] - a[1])]]
}

/** The ruler swings on from the line before, or comes in from a little aside. */
function startAngle(strokes: readonly Stroke[], index: number, goal: number): number {
  const before = strokes[index - 1]
  const now = strokes[index]!
  if (!now.pivot) return goal
  if (!before?.pivot || before.line.rests_on !== now.line.rests_on) return goal + SWING
  const angle = Math.atan2(before.line.from[1] - now.pivot[1], before.line.from[0] - now.pivot[0])
  const turn = Math.atan2(Math.sin(goal - angle), Math.cos(goal - angle))
  return goal - turn
}

function ease(t: number): number {
  return t * t * (3 - 2 * t)
}
