import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { NMessageProvider } from 'naive-ui'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'

import { useExercise } from '@/stores/exercise'
import ExerciseWords from '@/views/desk/ExerciseWords.vue'

const NAMES = ['Crate', 'Chest', 'Cove']

function sentences(names: string[]): object[] {
  const things = names.map((title, i) => ({
    about: `things.${i}`,
    owner: 'things',
    number: i,
    title,
    pieces: [{ text: 'It stands.', path: '' }],
  }))
  return [{ about: 'eye_level', owner: 'eye_level', number: -1, title: '', pieces: [] }, ...things]
}

function drawn(names: string[]): never {
  return { sentences: sentences(names), sheet: { division_mm: 2 } } as never
}

let act: ReturnType<typeof vi.fn>

const Words = defineComponent({
  props: { chosen: { type: String, required: true } },
  setup: (props) => () => h(NMessageProvider, null, { default: () => h(ExerciseWords, { chosen: props.chosen }) }),
})

async function words(): Promise<VueWrapper> {
  const mounted = mount(Words, { props: { chosen: '' }, attachTo: document.body })
  await flushPromises()
  return mounted
}

async function press(view: VueWrapper, name: string): Promise<void> {
  const button = view.findAll('button').find((b) => b.text() === name || b.attributes('aria-label') === name)
  expect(button, name).toBeDefined()
  await button!.trigger('click')
  await flushPromises()
}

const ticked = (view: VueWrapper): boolean[] =>
  view.findAll<HTMLInputElement>('input[type=checkbox]').map((box) => box.element.checked)

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  vi.stubGlobal('fetch', async () => new Response('[]', { headers: { 'content-type': 'application/json' } }))
  const exercise = useExercise()
  exercise.drawing = drawn(NAMES)
  exercise.picture = exercise.drawing
  act = vi.fn(async () => true)
  exercise.act = act as never
})

describe('several things at once', () => {
  it('are ticked, moved by ten divisions and removed, by their numbers', async () => {
    const view = await words()
    await press(view, 'Choose several')
    expect(ticked(view)).toEqual([false, false, false])
    await view.find('[aria-label="choose Crate"]').setValue(true)
    await view.find('[aria-label="choose Cove"]').setValue(true)
    expect(view.text()).toContain('2 chosen.')
    await press(view, 'move up')
    expect(act).toHaveBeenLastCalledWith({ op: 'shift_together', indices: [0, 2], right_mm: 0, up_mm: 20 })
    await press(view, 'Remove')
    expect(act).toHaveBeenLastCalledWith({ op: 'remove_together', indices: [0, 2], right_mm: 0, up_mm: 0 })
    expect(useExercise().together).toEqual([])
    expect(document.activeElement?.textContent).toBe('Choose several')
    view.unmount()
  })

  it('are joined to the one that is chosen by pressing others with Shift held', async () => {
    const view = await words()
    await view.setProps({ chosen: 'things.1' })
    await view.find('[data-about="things.2"]').trigger('click', { shiftKey: true })
    expect(useExercise().together).toEqual(['Chest', 'Cove'])
    expect(useExercise().others).toEqual([1, 2])
    await view.find('[data-about="things.1"]').trigger('click', { ctrlKey: true })
    expect(useExercise().together).toEqual(['Cove'])
    view.unmount()
  })

  it('are the copies, once they are copied', async () => {
    const view = await words()
    await press(view, 'Choose several')
    await press(view, 'Choose all')
    const exercise = useExercise()
    act.mockImplementation(async () => {
      exercise.drawing = drawn([...NAMES, 'Crate 1', 'Chest 1', 'Cove 1'])
      return true
    })
    await press(view, 'Copy')
    expect(exercise.together).toEqual(['Crate 1', 'Chest 1', 'Cove 1'])
    view.unmount()
  })

  it('are chosen no more once they are gone, and Escape ends it', async () => {
    const view = await words()
    await press(view, 'Choose several')
    await press(view, 'Choose all')
    const exercise = useExercise()
    exercise.drawing = drawn(['Crate', 'Cove'])
    await flushPromises()
    expect(exercise.together).toEqual(['Crate', 'Cove'])
    await view.find('.bar').trigger('keydown', { key: 'Escape' })
    await flushPromises()
    expect(view.find('.bar').exists()).toBe(false)
    expect(exercise.together).toEqual([])
    view.unmount()
  })

  it('is not offered for one thing alone', async () => {
    useExercise().drawing = drawn(['Crate'])
    const view = await words()
    expect(view.text()).not.toContain('Choose several')
    view.unmount()
  })
})
