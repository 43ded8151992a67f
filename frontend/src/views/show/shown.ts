/** The exercise that is shown: with the measures of its sheet, or of a board of the teacher's own size. */
import { computed, ref, watch, type Ref } from 'vue'

import { ProblemError } from '@/api/client'
import { setTitle } from '@/router'
import { useClearTexts } from '@/stores/clearTexts'
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
  const { placed, drawing, problem, fit } = useClearTexts(() => true, boardMm)
  /** How wide the board is, as the class measures; empty without one, or while its measures are not there. */
  const width = computed(() => {
    if (!boardMm.value || !placed.value) return ''
    const [per, unit] = placed.value.sheet.units === 'in' ? [25.4, 'in'] : [10, 'cm']
    return `${Math.round((boardMm.value / (per as number)) * 10) / 10} ${unit}`
  })
  /** Without a board it matters little where texts stand. */
  const boardProblem = computed(() => (boardMm.value ? problem.value : ''))
  return { drawing, failure, problem: boardProblem, boardWidth: width, fit }
}
