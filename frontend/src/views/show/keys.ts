/** Keys that do something wherever the page has the focus, but not while something is typed or chosen. */
import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'

type Acts = Record<string, () => void>

/** `letters`: keys of one character, by the small one; they do something only while `lettersOn`. */
export function useKeys(keys: Acts, letters: Acts, lettersOn: Ref<boolean>) {
  function actOf(key: string): (() => void) | undefined {
    return keys[key] ?? (lettersOn.value ? letters[key.toLowerCase()] : undefined)
  }

  useEventListener('keydown', (event) => {
    const { target } = event
    const onButton = target instanceof HTMLButtonElement && (event.key === ' ' || event.key === 'Enter')
    const typing =
      target instanceof HTMLInputElement || (target instanceof Element && target.closest('[role="dialog"]'))
    const act = actOf(event.key)
    if (!act || onButton || typing || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    act()
  })

  return { press: (key: string) => actOf(key)?.() }
}

/** While something is open over the page, Escape closes that, and nothing else. */
export function useEscape(open: Ref<boolean>): void {
  useEventListener(
    window,
    'keydown',
    (event) => {
      if (!open.value || event.key !== 'Escape') return
      event.stopImmediatePropagation()
      open.value = false
    },
    { capture: true },
  )
}
