import { describe, expect, it } from 'vitest'

import type { Drawing } from '@/api/types'
import { stageAfter } from '@/sheet/stage'
import { handAt, MS_A_LINE, strokesOf } from '@/views/show/hand'

import { line, step } from './steps'

/** Ids are no places in the list: each thing has a run of its own. */
const lines = [
  line(200000, [0, 0], [100, 100], 'point'),
  line(200001, [0, 50], [100, 100], 'point'),
  line(300000, [0, 0], [40, 0]),
]
const drawing = {
  lines,
  vanishing_points: { point: [100, 100] },
} as unknown as Drawing

describe('the stage after a step', () => {
  const steps = [step({ draws: [0, 1] }), step({ draws: [2], takes_away: [0] }), step({ darkens: [2], tones: true })]

  it('knows a point from the step on that marks it', () => {
    const marked = [step({ marks: ['point'] }), step({ marks: [] }), step({ marks: ['Roof.slope_above'] })]
    expect([...stageAfter(marked, 2).points]).toEqual(['point'])
    expect([...stageAfter(marked, 3).points]).toEqual(['point', 'Roof.slope_above'])
  })

  it('knows the marks that a step takes up from earlier ones, not those of the step before', () => {
    const using = [step({ marks: ['foot'] }), step({ takes_up: ['foot'] }), step({ marks: ['top'] })]
    expect(stageAfter(using, 1).takenUp).toEqual([])
    expect(stageAfter(using, 2).takenUp).toEqual(['foot'])
    expect(stageAfter(using, 3).takenUp).toEqual([])
  })

  it('does not show as new what is left of a line that was erased', () => {
    const erased = [...steps.slice(0, 1), step({ phase: 'take_away', takes_away: [0], draws: [3] })]
    expect([...stageAfter(erased, 1).fresh]).toEqual([0, 1])
    expect([...stageAfter(erased, 2).light]).toEqual([1, 3])
    expect(stageAfter(erased, 2).fresh.size).toBe(0)
  })

  it('adds what is drawn, takes away what is erased, and darkens what stays', () => {
    expect([...stageAfter(steps, 1).light]).toEqual([0, 1])
    expect([...stageAfter(steps, 2).light]).toEqual([1, 2])
    const last = stageAfter(steps, 3)
    expect([...last.light]).toEqual([1])
    expect([...last.dark]).toEqual([2])
    expect(last.toned).toBe(true)
  })

  it('is an empty sheet before the first step', () => {
    expect(stageAfter(steps, 0).light.size).toBe(0)
  })
})

describe('the hand', () => {
  const strokes = strokesOf(drawing, step({ draws: [200000, 200001, 300000] }))

  it('draws the lines of the step, in its order, and leaves out one that is not there', () => {
    expect(strokes.map((stroke) => stroke.line.id)).toEqual([200000, 200001, 300000])
    expect(strokesOf(drawing, step({ draws: [1, 300000] })).map((s) => s.line.id)).toEqual([300000])
  })

  it('turns the ruler about the point before it draws', () => {
    const turning = handAt(strokes, 0.1 * MS_A_LINE)
    expect(turning.ruler?.at).toEqual([100, 100])
    expect(turning.share).toBe(0)
    expect(turning.pencil).toEqual([100, 100])
  })

  it('ends the turn with the ruler on the corner', () => {
    const drawn = handAt(strokes, 0.99 * MS_A_LINE)
    expect(drawn.ruler?.angle).toBeCloseTo(Math.atan2(-100, -100), 6)
    expect(drawn.share).toBeGreaterThan(0.9)
  })

  it('draws each line once and then rests', () => {
    expect([...handAt(strokes, 1.5 * MS_A_LINE).done]).toEqual([200000])
    const end = handAt(strokes, 3 * MS_A_LINE)
    expect([...end.done]).toEqual([200000, 200001, 300000])
    expect(end.ruler).toBeNull()
  })

  it('lays the ruler on the side where the thing is not', () => {
    expect(strokes[0]!.side).toBe(1)
    const below = line(400000, [50, -300], [60, -300])
    const mirrored = { ...drawing, lines: [...lines, below] }
    expect(strokesOf(mirrored, step({ draws: [200000] }))[0]!.side).toBe(-1)
  })
})
