/** Load something for a view: its data, whether it is on its way, and what went wrong. */
import { onMounted, ref, shallowRef, type Ref, type ShallowRef } from 'vue'

import { ProblemError } from '@/api/client'

export function useLoad<T>(load: () => Promise<T>): {
  data: ShallowRef<T | null>
  failure: Ref<string>
  reload: () => Promise<void>
} {
  const data = shallowRef<T | null>(null)
  const failure = ref('')

  async function reload(): Promise<void> {
    try {
      data.value = await load()
      failure.value = ''
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      failure.value = error.message
    }
  }

  onMounted(reload)
  return { data, failure, reload }
}
