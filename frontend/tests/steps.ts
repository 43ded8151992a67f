/** Lines and steps as the application answers them, for tests. */
import type { DrawnLine, Step } from '@/api/types'

export function line(id: number, from: [number, number], to: [number, number], restsOn = ''): DrawnLine {
  const role = restsOn ? 'guide' : 'construction'
  return {
    id,
    thing: 'Crate',
    name: `l${id}`,
    from,
    to,
    role,
    family: 'level',
    visible: true,
    behind: false,
    rests_on: restsOn,
    turns_to: '',
    bend: [],
  }
}

export function step(part: Partial<Step>): Step {
  const base = {
    key: 'Crate/guides',
    joins: [],
    can: [],
    stop: false,
    phase: 'guides',
    thing: 'Crate',
    title: '',
    short: '',
    text: '',
    scales: [],
    letters: [],
    dimensions: [],
    close_up: null,
    beyond: [],
    tool: '',
    rests_on: '',
    count: 0,
    rule: '',
    slip: '',
    after: '',
  }
  return {
    ...base,
    minutes: 1,
    extra: false,
    draws: [],
    marks: [],
    takes_up: [],
    takes_away: [],
    leaves: [],
    darkens: [],
    tones: false,
    ...part,
  }
}
