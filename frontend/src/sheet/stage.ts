/** What is on the paper after a step: the application says from which step on each line is there. */
import type { Drawing } from '@/api/types'

export interface Stage {
  light: Set<number>
  dark: Set<number>
  fresh: Set<number>
  marks: string[]
  /** Marks of earlier steps that the last one takes up. */
  takenUp: string[]
  toned: boolean
  /** The points that steps have marked so far, by name. */
  points: Set<string>
}

export function stageAfter(drawing: Drawing, count: number): Stage {
  const { lines, points, tone } = drawing.on_paper
  const light = new Set<number>()
  const dark = new Set<number>()
  drawing.lines.forEach((line, at) => {
    const [since, until, darkened] = lines[at]!
    if (darkened <= count) dark.add(line.id)
    else if (since <= count && count < until) light.add(line.id)
  })
  const last = count > 0 ? drawing.steps[count - 1] : undefined
  return {
    light,
    dark,
    fresh: new Set(last ? [...last.draws, ...last.darkens] : []),
    marks: last?.marks ?? [],
    takenUp: last?.takes_up ?? [],
    toned: tone <= count,
    points: new Set(Object.keys(points).filter((name) => points[name]! <= count)),
  }
}
