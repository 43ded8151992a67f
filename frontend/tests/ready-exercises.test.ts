import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { ref } from 'vue'

import ReadyExercises from '@/views/shelf/ReadyExercises.vue'

import { application, Refusal } from './application'
import { shown } from './shown'

const line = (title: string, group: string) => ({ title, group, views: [], picture: '', exercise: { title } })
const READY = [
  line('Three crates', 'Boxes'),
  line('A boathouse with a roof, two points', 'Houses'),
  line('A net loft with a roof, one point', 'Houses'),
]

let view: VueWrapper
let chosen: unknown[]

/** The dialog, opened after it is there, as a press of the button does. */
async function open(ready: unknown = READY): Promise<void> {
  application({ 'GET /api/exercises/ready': ready })
  chosen = []
  const show = ref(false)
  view = shown(ReadyExercises, () => ({
    show: show.value,
    'onUpdate:show': (is: boolean) => (show.value = is),
    onChosen: (exercise: unknown) => chosen.push(exercise),
  }))
  show.value = true
  await flushPromises()
}

const dialog = (): HTMLElement => document.body
const texts = (selector: string): string[] =>
  [...dialog().querySelectorAll(selector)].map((e) => e.textContent?.trim() ?? '')
async function find(words: string): Promise<void> {
  const input = dialog().querySelector<HTMLInputElement>('input[aria-label="Find a ready exercise"]')
  if (!input) throw new Error('no field')
  input.value = words
  input.dispatchEvent(new Event('input'))
  await flushPromises()
}

beforeEach(() => setActivePinia(createPinia()))

describe('what to begin with', () => {
  it('shows the ready exercises by what they are about', async () => {
    await open()
    expect(texts('h3')).toEqual(['Boxes', 'Houses'])
    expect(texts('li button')).toEqual(READY.map(({ title }) => title))
  })

  it('finds by words in any order, and leaves out groups of which nothing is left', async () => {
    await open()
    await find('POINT roof two')
    expect(texts('h3')).toEqual(['Houses'])
    expect(texts('li button')).toEqual(['A boathouse with a roof, two points'])
  })

  it('says what to do when none is called so', async () => {
    await open()
    await find('lighthouse')
    expect(texts('li button')).toEqual([])
    expect(dialog().textContent).toContain('None is called like “lighthouse”')
    await find('')
    expect(texts('li button')).toHaveLength(3)
  })

  it('gives the exercise that is pressed, and nothing for an empty sheet', async () => {
    await open()
    const buttons = [...dialog().querySelectorAll<HTMLElement>('li button')]
    buttons[2]?.click()
    await flushPromises()
    expect(chosen).toEqual([{ title: 'A net loft with a roof, one point' }])
    view.unmount()
    await open()
    dialog().querySelector<HTMLElement>('.first .n-button')?.click()
    await flushPromises()
    expect(chosen).toEqual([null])
  })

  it('still offers an empty sheet when the others cannot be loaded', async () => {
    await open(new Refusal(500, 'The database is not there.'))
    expect(texts('.first .n-button')).toEqual(['An empty sheet'])
    expect(dialog().textContent).toContain('The database is not there.')
  })
})
