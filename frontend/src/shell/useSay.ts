/** Say what went wrong, where there is no better place for it. */
import { useMessage } from 'naive-ui'

import { ProblemError } from '@/api/client'

export function useSay(): {
  good: (text: string) => void
  trying: <T>(act: () => Promise<T>) => Promise<T | undefined>
} {
  const message = useMessage()

  async function trying<T>(act: () => Promise<T>): Promise<T | undefined> {
    try {
      return await act()
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      message.error(error.message, { duration: 8000, closable: true })
      return undefined
    }
  }

  return { good: (text) => void message.success(text), trying }
}
