/**
 * The exercise with the texts of its steps where they are clear, asked for where steps are looked at: placing them
 * takes as long as drawing. Until it is there, and where it cannot be had, texts stand beside what they measure.
 */
import { computed, ref, shallowRef, watch, type Ref } from 'vue'

import { api, ask, ProblemError } from '@/api/client'
import type { Drawing } from '@/api/types'
import { SHOWN } from '@/sheet/beside'

import { useExercise } from './exercise'

/** Pictures that are narrower by less than this, in times the size of their texts, are placed for alike. */
const BY = 3
const LEAST = 12

interface Placed {
  of: Drawing
  boardMm: number
  drawing: Drawing
}

/**
 * `isWanted`: whether a step is looked at; `boardMm`: how wide the sheet is drawn on a board whose measures are told,
 * 0 without one.
 */
export function useClearTexts(isWanted: () => boolean = () => true, boardMm: Ref<number> = ref(0)) {
  const exercise = useExercise()
  const last = shallowRef<Placed | null>(null)
  const problem = ref('')
  const times = ref(SHOWN)
  /** The answers for the drawing that is there, by board and size, so that going to and fro asks once. */
  let known = new Map<string, Placed>()
  const placed = computed(() => {
    const { value } = last
    return value?.of === exercise.drawing && value?.boardMm === boardMm.value ? value.drawing : null
  })

  watch(
    [isWanted, boardMm, () => exercise.drawing, times] as const,
    async ([wanted, mm, of, wide], [, , before]) => {
      problem.value = ''
      if (of !== before) known = new Map()
      if (!wanted || !of) return
      const key = `${mm} ${wide}`
      const there = known.get(key)
      if (there) {
        last.value = there
        return
      }
      const isNewest = (): boolean => of === exercise.drawing && mm === boardMm.value && wide === times.value
      try {
        const body = { exercise: exercise.document, board_mm: mm, times: wide }
        const { drawing } = await ask(api.POST('/api/desk/draw-shown', { body }))
        const placed = { of, boardMm: mm, drawing }
        if (of === exercise.drawing) known.set(key, placed)
        if (isNewest()) last.value = placed
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error
        if (isNewest()) problem.value = error.message
      }
    },
    { immediate: true },
  )

  /** A picture is only so many times as wide as its texts are tall: as on a phone, where they are never too small. */
  function fit(wide: number): void {
    // Where it is as wide as on the wall, reckoning may leave it a little less.
    times.value = Math.max(LEAST, Math.floor(wide / BY + 1e-6) * BY)
  }

  return { placed, drawing: computed(() => placed.value ?? exercise.drawing), problem, fit }
}
