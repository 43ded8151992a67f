/**
 * Two windows of one show: in the one the teacher reads the words and goes on, the other shows the class the drawing
 * alone, on the wall. They find each other by the exercise; keys that are pressed in the class's window count too.
 */
import { useBroadcastChannel, useEventListener } from '@vueuse/core'
import { computed, onMounted, ref, watch, type Ref } from 'vue'

import type { Looks } from './looks'

export interface ShowState {
  number: number
  /** How often a step was begun: a new number begins it again. */
  begun: number
  seeThrough: boolean
  /** Whether the class sees nothing for a while. */
  covered: boolean
  looks: Looks
}

type Message = { kind: 'here' } | { kind: 'gone' } | { kind: 'key'; key: string } | { kind: 'state'; state: ShowState }

function channelOf(id: string) {
  return useBroadcastChannel<Message, Message>({ name: `orthopsis-show-${id}` })
}

/** The teacher's side: tells the class's window what to show, and hears the keys that are pressed there. */
export function useSteering(id: string, state: Ref<ShowState>, press: (key: string) => void) {
  const { data, post, isSupported } = channelOf(id)
  const watched = ref(false)
  const tell = (): void => post({ kind: 'state', state: JSON.parse(JSON.stringify(state.value)) as ShowState })
  watch(data, (message) => {
    if (message?.kind === 'here') {
      watched.value = true
      tell()
    } else if (message?.kind === 'gone') watched.value = false
    else if (message?.kind === 'key') press(message.key)
  })
  watch(state, tell, { deep: true })
  return { isSupported, watched: computed(() => watched.value) }
}

/** The class's side: what to show, as the teacher's window says. */
export function useSteered(id: string) {
  const { data, post } = channelOf(id)
  const state = ref<ShowState | null>(null)
  watch(data, (message) => {
    if (message?.kind === 'state') state.value = message.state
  })
  onMounted(() => post({ kind: 'here' }))
  useEventListener('pagehide', () => post({ kind: 'gone' }))
  return { state, press: (key: string) => post({ kind: 'key', key }) }
}
