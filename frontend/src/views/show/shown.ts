/** The exercise that is shown: with the measures of its sheet, or of a board of the teacher's own size. */
import { computed, ref, shallowRef, watch, type Ref } from 'vue'

import { api, ask, ProblemError } from '@/api/client'
import type { Drawing } from '@/api/types'
import { setTitle } from '@/router'
import { useExercise } from '@/stores/exercise'

export function useShown(id: string, boardMm: Ref<number>) {
  const exercise = useExercise()
  const failure = ref('')
  exercise.load(Number(id)).catch((error: unknown) => {
    if (!(error instanceof ProblemError)) throw error
    failure.value = error.message
  })
  watch(
    () => exercise.title,
    (title) => setTitle(title),
    { immediate: true },
  )
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
  return { drawing, failure, problem, boardWidth: width }
}
