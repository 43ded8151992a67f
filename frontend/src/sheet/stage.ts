/** What is on the paper after a step: looked up in the drawing's steps, line by line. */
import type { Step } from '@/api/types'

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

export function stageAfter(steps: readonly Step[], count: number): Stage {
  const light = new Set<number>()
  const dark = new Set<number>()
  let toned = false
  for (const step of steps.slice(0, count)) {
    step.takes_away.forEach((id) => light.delete(id))
    step.draws.forEach((id) => light.add(id))
    step.darkens.forEach((id) => dark.add(id))
    toned ||= step.tones
  }
  dark.forEach((id) => light.delete(id))
  const last = count > 0 ? steps[count - 1] : undefined
  return {
    light,
    dark,
    // what is left of a line that was taken away is not new
    fresh: new Set(last && last.phase !== 'take_away' ? [...last.draws, ...last.darkens] : []),
    marks: last?.marks ?? [],
    takenUp: last?.takes_up ?? [],
    toned,
    points: new Set(steps.slice(0, count).flatMap((step) => step.marks)),
  }
}
