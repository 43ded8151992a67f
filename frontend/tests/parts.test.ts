import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'

import { useExercise } from '@/stores/exercise'
import { useParts } from '@/stores/parts'
import ChooseSeveral from '@/views/desk/ChooseSeveral.vue'
import KeptParts from '@/views/desk/KeptParts.vue'

const TABLE = { id: 4, name: 'Table', part: { title: 'Table' }, picture: '/api/parts/4/picture.svg' }
const asked: { method: string; url: string; body: unknown }[] = []
let answers: Record<string, { status?: number; body?: unknown }>
let act: ReturnType<typeof vi.fn>

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  asked.length = 0
  answers = { 'GET /api/parts': { body: [TABLE] }, 'DELETE /api/parts/4': { status: 204 } }
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url, 'http://x').pathname
    const body = request.method === 'POST' ? await request.json() : null
    asked.push({ method: request.method, url, body })
    const { status = 200, body: said } = answers[`${request.method} ${url}`]!
    return new Response(status === 204 ? null : JSON.stringify(said), {
      status,
      headers: { 'content-type': 'application/json' },
    })
  })
  const exercise = useExercise()
  act = vi.fn(async () => true)
  exercise.act = act as never
  exercise.document = { title: 'Sheet' }
  const sentences = ['Top', 'Legs'].map((title, i) => ({
    about: `things.${i}`,
    owner: 'things',
    number: i,
    title,
    pieces: [],
  }))
  exercise.drawing = { sentences, sheet: { division_mm: 1 } } as never
})

async function press(view: VueWrapper, name: string): Promise<void> {
  const button = view.findAll('button').find((b) => b.text() === name || b.attributes('aria-label') === name)
  expect(button, name).toBeDefined()
  await button!.trigger('click')
  await flushPromises()
}

async function several(): Promise<VueWrapper> {
  const view = mount(ChooseSeveral, { props: { names: ['Top', 'Legs'], several: true }, attachTo: document.body })
  useExercise().together = ['Legs']
  await flushPromises()
  return view
}

describe('parts', () => {
  it('are kept under a name from what is chosen, by its numbers', async () => {
    answers['POST /api/parts'] = { status: 201, body: TABLE }
    const view = await several()
    await press(view, 'Keep as a part')
    expect(document.activeElement, 'the name is typed at once').toBe(view.find('input').element)
    await view.find('input').setValue('Table')
    await view.find('form').trigger('submit')
    await flushPromises()
    expect(asked.at(-1)).toEqual({
      method: 'POST',
      url: '/api/parts',
      body: { exercise: { title: 'Sheet' }, indices: [1], name: 'Table' },
    })
    expect(view.text()).toContain('Kept as “Table”')
    expect(view.find('form').exists()).toBe(false)
    expect(useParts().parts.map((part) => part.name)).toEqual(['Table'])
  })

  it('that cannot be kept say why, and what was typed stays', async () => {
    const body = { code: 'no_name', why: 'The part has no name.', fix: 'Type one.', about: 'name', nearest: '' }
    answers['POST /api/parts'] = { status: 422, body: { ...body, version: null } }
    const view = await several()
    await press(view, 'Keep as a part')
    await view.find('input').setValue('  ')
    await view.find('form').trigger('submit')
    await flushPromises()
    expect(view.text()).toContain('The part has no name.')
    expect(view.find('input').element.value).toBe('  ')
  })

  it('are set down whole, as they were kept', async () => {
    const view = mount(KeptParts)
    await flushPromises()
    await press(view, 'Set down Table')
    expect(act).toHaveBeenCalledWith({ op: 'set_down', part: { title: 'Table' }, view: '' })
    expect(view.emitted('down')).toHaveLength(1)
  })

  it('that could not be set down are not shown as if they were', async () => {
    act.mockResolvedValue(false)
    const view = mount(KeptParts)
    await flushPromises()
    await press(view, 'Set down Table')
    expect(view.emitted('down')).toBeUndefined()
    expect(view.find('.down').attributes('disabled'), 'it can be tried again').toBeUndefined()
  })

  it('are taken away only after asking', async () => {
    const view = mount(KeptParts, { attachTo: document.body, global: { stubs: { teleport: true } } })
    await flushPromises()
    await press(view, 'Take away the part Table')
    expect(asked.map((a) => a.method)).toEqual(['GET'])
    const sure = [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === 'Take it away')
    sure!.click()
    await flushPromises()
    expect(asked.at(-1)?.method).toBe('DELETE')
    expect(view.text()).not.toContain('Table')
  })

  it('show nothing where there are none, and say it where they cannot be had', async () => {
    answers['GET /api/parts'] = { body: [] }
    const none = mount(KeptParts)
    await flushPromises()
    expect(none.find('section').exists()).toBe(false)
    const body = { code: 'x', why: 'The application rests.', fix: 'Wait.', about: '', nearest: '', version: null }
    answers['GET /api/parts'] = { status: 503, body }
    const view = mount(KeptParts)
    await flushPromises()
    expect(view.find('[role=alert]').text()).toContain('The application rests.')
  })
})
