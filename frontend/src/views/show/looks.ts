/** How the class display looks, as the teacher left it. */
import { useLocalStorage } from '@vueuse/core'

export interface Looks {
  /** How many times as long the hand takes. */
  slower: number
  /** Whether what the next step draws shows faintly. */
  ghost: boolean
  /** Whether all but what is new lies in the shade. */
  spotlight: boolean
  /** Whether small work is shown large, with a small whole beside it. */
  closeUp: boolean
  /** Whether the room is dark: a dark paper, so that the wall does not dazzle. */
  darkRoom: boolean
  /** Whether it is shown how long the class has been at this step. */
  clock: boolean
  /** Whether single keys do something. */
  keys: boolean
  /** How wide the teacher draws on a board of their own, mm; 0: measures are those of the sheet. */
  boardMm: number
}

export const USUAL: Looks = {
  slower: 1,
  ghost: false,
  spotlight: false,
  closeUp: true,
  darkRoom: false,
  clock: false,
  keys: true,
  boardMm: 0,
}

export function useLooks() {
  return useLocalStorage<Looks>('show-looks', { ...USUAL }, { mergeDefaults: true })
}
