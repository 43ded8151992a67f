/** Say what went wrong or what was done, where there is no better place for it. */
import { useMessage } from 'naive-ui'
import { h } from 'vue'

import { ProblemError } from '@/api/client'

const UNDO_MS = 15_000

export function useSay(): {
  good: (text: string) => void
  trying: <T>(act: () => Promise<T>) => Promise<T | undefined>
  removed: (text: string, back: () => Promise<void>) => void
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

  /** Something was removed; for a while one press has it back. */
  function removed(text: string, back: () => Promise<void>): void {
    const said = message.success(
      () => [
        `${text} `,
        h(
          'button',
          {
            type: 'button',
            class: 'word-button',
            onClick: () => {
              said.destroy()
              void trying(back)
            },
          },
          'Have it back',
        ),
      ],
      { duration: UNDO_MS, closable: true, keepAliveOnHover: true },
    )
  }

  return { good: (text) => void message.success(text), trying, removed }
}
