/** The steps with the measures of a board of the teacher's own size, instead of those of the sheet. */
import { computed, ref, shallowRef, watch, type Ref } from 'vue'

import { api, ask, ProblemError } from '@/api/client'
import type { Drawing } from '@/api/types'
import type { useExercise } from '@/stores/exercise'

export function useBoard(exercise: ReturnType<typeof useExercise>, boardMm: Ref<number>) {
  const onBoard = shallowRef<Drawing | null>(null)
  const problem = ref('')
  /** How wide the board is, as the class measures; empty without one, or while its measures are not there. */
  const width = computed(() => {
    const isThere = boardMm.value && onBoard.value
    if (!isThere) return ''
    const [per, unit] = onBoard.value!.sheet.units === 'in' ? [25.4, 'in'] : [10, 'cm']
    return `${Math.round((boardMm.value / (per as number)) * 10) / 10} ${unit}`
  })
  const drawing = computed(() => (boardMm.value ? onBoard.value : null) ?? exercise.drawing)

  watch(
    [boardMm, () => exercise.drawing] as const,
    async ([mm, drawn]) => {
      problem.value = ''
      onBoard.value = null
      if (!mm || !drawn) return
      try {
        const body = { exercise: exercise.document, board_mm: mm }
        const answer = await ask(api.POST('/api/desk/draw-on-board', { body }))
        if (boardMm.value === mm) onBoard.value = answer.drawing
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error
        problem.value = error.message
      }
    },
    { immediate: true },
  )
  return { drawing, problem, width }
}
