/**
 * The focus stays near where it was: when what has it goes away (a button that has done its work, a view that is left),
 * what it stood in takes it, so that the next Tab goes on from there and not from the top of the page.
 */
import { useEventListener, useIntervalFn } from '@vueuse/core'

/** How often it is looked whether the focus was lost; to watch every change of the page would cost each drag more. */
const EVERY_MS = 150

export function useKeptFocus(): void {
  /** What has the focus and all that it stands in, the innermost first. */
  let path: HTMLElement[] = []

  useEventListener(document, 'focusin', (event: FocusEvent) => {
    path = event.composedPath().filter((one): one is HTMLElement => one instanceof HTMLElement)
  })

  useIntervalFn(() => {
    if (!path.length || path[0]!.isConnected || document.activeElement !== document.body) return
    const home = path.find((one) => one.isConnected && one !== document.body && one !== document.documentElement)
    const main = document.getElementById('main')
    const taker = home && !(main && home.contains(main)) ? home : main
    if (!taker) return
    if (!taker.hasAttribute('tabindex')) taker.tabIndex = -1
    taker.focus({ preventScroll: true })
  }, EVERY_MS)
}

/** Whether a key belongs to what is pressed there, such as Enter on a link. */
export function isControl(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('a, button, input, textarea, select, [role=combobox]') !== null
}
