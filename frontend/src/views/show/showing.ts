/** One step at a time: which one, how far the hand has come with it, and what is on the paper meanwhile. */
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

import type { Drawing, Step } from '@/api/types'
import { stageAfter, type Stage } from '@/sheet/stage'

import { handAt, MS_A_LINE, strokesOf } from './hand'

/** Where a step draws more lines than this, each is drawn in less time. */
const MANY_LINES = 8
const MS_OF_MANY = 700

export const NOTHING: Stage = {
  light: new Set(),
  dark: new Set(),
  fresh: new Set(),
  marks: [],
  takenUp: [],
  toned: false,
  points: new Set(),
}

/** Numbers of the steps, from 1, with which another part of the work begins: another thing, or another phase of it. */
export function beginnings(steps: readonly Step[]): number[] {
  return steps.flatMap((step, i) => {
    const before = steps[i - 1]
    return before && before.thing === step.thing && before.phase === step.phase ? [] : [i + 1]
  })
}

/** `slower`: how many times as long the hand takes. */
export function useShowing(drawing: Ref<Drawing | null>, number: Ref<number>, slower: Ref<number>) {
  const ms = ref(0)
  /** How often the step was begun, so that another window can begin with it. */
  const begun = ref(0)
  /** When the class came to this step. */
  const since = ref(Date.now())
  const reduced = usePreferredReducedMotion()
  const steps = computed(() => drawing.value?.steps ?? [])
  const step = computed(() => steps.value[number.value - 1])
  const strokes = computed(() => (drawing.value && step.value ? strokesOf(drawing.value, step.value) : []))
  const pace = computed(() => (strokes.value.length > MANY_LINES ? MS_OF_MANY : MS_A_LINE) * slower.value)
  const end = computed(() => strokes.value.length * pace.value)
  const hand = computed(() => handAt(strokes.value, ms.value, pace.value))
  const moving = computed(() => ms.value < end.value)
  const drawn = computed(() => (moving.value ? hand.value.done.size : (step.value?.count ?? 0)))

  const shown = computed<Stage>(() => {
    if (!drawing.value) return NOTHING
    const now = stageAfter(drawing.value, number.value)
    if (!moving.value) return now
    const before = stageAfter(drawing.value, number.value - 1)
    const light = new Set(now.light)
    const dark = new Set(before.dark)
    for (const { line } of strokes.value) {
      if (hand.value.done.has(line.id)) (now.dark.has(line.id) ? dark : light).add(line.id)
      else if (before.light.has(line.id)) light.add(line.id)
      else light.delete(line.id)
    }
    return { ...now, light, dark }
  })

  /** What the step after this one will draw that is not there yet. */
  const ghost = computed<Stage>(() => {
    const next = steps.value[number.value]
    if (!next) return NOTHING
    const coming = [...next.draws, ...next.darkens].filter(
      (id) => !shown.value.light.has(id) && !shown.value.dark.has(id),
    )
    return { ...NOTHING, light: new Set(coming), marks: next.marks }
  })

  const { pause, resume } = useRafFn(({ delta }) => {
    ms.value += delta
    if (ms.value >= end.value) pause()
  })

  function replay(): void {
    begun.value += 1
    ms.value = reduced.value === 'reduce' ? end.value : 0
    resume()
  }

  function go(to: number): void {
    number.value = Math.min(Math.max(to, 1), steps.value.length)
  }

  /** Next: first finish what is being drawn, then go on, so that a hurried press never skips a line. */
  function next(): void {
    if (moving.value) ms.value = end.value
    else go(number.value + 1)
  }

  /** To where the part of the work after or before this one begins; back first to where this one does. */
  function toPart(by: 1 | -1): void {
    const begins = beginnings(steps.value)
    const to = by > 0 ? begins.find((n) => n > number.value) : begins.findLast((n) => n < number.value)
    if (to !== undefined) go(to)
  }

  watch([number, () => steps.value.length], ([n, count]) => {
    if (!count) return
    go(n)
    since.value = Date.now()
    replay()
  })

  return { steps, step, strokes, hand, moving, drawn, shown, ghost, begun, since, replay, go, next, toPart }
}

export type Showing = ReturnType<typeof useShowing>
