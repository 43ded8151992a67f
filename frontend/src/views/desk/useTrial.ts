/** What an act would make of the drawing, shown beside the present one before it is taken. */
import type { Ref } from 'vue'

import { api, ask } from '@/api/client'
import type { Act } from '@/api/types'
import { useSay } from '@/shell/useSay'
import { useExercise } from '@/stores/exercise'

import type OnTrial from './OnTrial.vue'

export function useTrial(
  trial: Ref<InstanceType<typeof OnTrial> | undefined>,
): (act: Act, title: string, caption: string) => Promise<void> {
  const exercise = useExercise()
  const { trying } = useSay()

  return async (act, title, caption) => {
    const body = { exercise: exercise.document, act }
    const answer = await trying(() => ask(api.POST('/api/desk/act', { body })))
    if (!answer) return
    trial.value?.show({ title, caption, exercise: answer.exercise, picture: answer.drawing })
  }
}
