/** Load something for a view: its data, and what went wrong. What fails in passing is tried again by itself. */
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { onMounted, ref, shallowRef, type Ref, type ShallowRef } from 'vue'

import { isPassing, ProblemError } from '@/api/client'

const TRY_AGAIN_MS = 3000

export function useLoad<T>(load: () => Promise<T>): {
  data: ShallowRef<T | null>
  failure: Ref<string>
  reload: () => Promise<void>
} {
  const data = shallowRef<T | null>(null)
  const failure = ref('')
  const { start, stop } = useTimeoutFn(() => void reload(), TRY_AGAIN_MS, { immediate: false })

  async function reload(): Promise<void> {
    stop()
    try {
      data.value = await load()
      failure.value = ''
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      failure.value = isPassing(error) ? `${error.message} It is tried again by itself.` : error.message
      if (isPassing(error)) start()
    }
  }

  onMounted(reload)
  useEventListener(window, 'online', () => failure.value && reload())
  return { data, failure, reload }
}
