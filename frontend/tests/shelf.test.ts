import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'

import ShelfView from '@/views/ShelfView.vue'

import { application, type Asked, askedOf, Refusal } from './application'
import { shown } from './shown'

const SHELF = [
  { id: 3, title: 'Crates on the quay', picture: '', views: ['one_point'], problem: '' },
  { id: 4, title: 'A net loft', picture: '', views: ['two_point'], problem: '' },
  { id: 5, title: 'From a newer time', picture: '', views: [], problem: 'It was written by a newer Orthopsis.' },
]
const router = createRouter({
  history: createMemoryHistory(),
  routes: [{ path: '/:rest(.*)*', component: { template: '<i />' } }],
})

let view: VueWrapper
let asked: Asked[]

async function open(more: Record<string, unknown> = {}): Promise<void> {
  asked = application({ 'GET /api/exercises': SHELF, 'POST /api/exercises': { id: 9 }, ...more })
  view = shown(ShelfView, {}, { plugins: [router] })
  await flushPromises()
}

const titles = (): string[] => view.findAll('.shelf .title').map((title) => title.text())
const button = (name: string) => view.find(`[aria-label="${name}"]`)

beforeEach(async () => {
  setActivePinia(createPinia())
  await router.push('/shelf')
})

describe('the shelf', () => {
  it('finds by a part of the name, and says when there is none', async () => {
    await open()
    expect(titles()).toHaveLength(3)
    await view.find('input[aria-label="Find by name"]').setValue('LOFT')
    expect(titles()).toEqual(['A net loft'])
    await view.find('input[aria-label="Find by name"]').setValue('lighthouse')
    expect(view.text()).toContain('No exercise here is called like “lighthouse”.')
  })

  it('says of an exercise that cannot be opened why, and offers no door to it', async () => {
    await open()
    expect(view.text()).toContain('It was written by a newer Orthopsis.')
    expect(view.findAll('a').some((a) => a.attributes('href') === '/desk/5')).toBe(false)
    expect(view.findAll('a').some((a) => a.attributes('href') === '/desk/3')).toBe(true)
  })

  it('copies an exercise under a name of its own and opens the copy', async () => {
    await open({ 'GET /api/exercises/3': { exercise: { title: 'Crates on the quay' }, version: 2 } })
    await button('Copy Crates on the quay').trigger('click')
    await flushPromises()
    expect(askedOf(asked, 'POST /api/exercises')).toEqual([
      { exercise: { title: 'Crates on the quay (copy)' }, another_name: true },
    ])
    expect(router.currentRoute.value.path).toBe('/desk/9')
  })

  it('takes in a file; what is no exercise is left to the application to refuse', async () => {
    await open({ 'POST /api/exercises': new Refusal(422, 'This is not an exercise document.') })
    const input = view.find('input[type=file]')
    const file = new File(['no json'], 'a.json')
    Object.defineProperty(input.element, 'files', { value: [file] })
    await input.trigger('change')
    await flushPromises()
    await new Promise((done) => setTimeout(done, 20))
    await flushPromises()
    expect(askedOf(asked, 'POST /api/exercises')).toEqual([{ exercise: {}, another_name: true }])
    expect(document.body.textContent).toContain('This is not an exercise document.')
    expect(router.currentRoute.value.path).toBe('/shelf')
  })

  it('is empty at first and says what to do', async () => {
    await open({ 'GET /api/exercises': [] })
    expect(view.text()).toContain('The shelf is empty')
    expect(view.text()).toContain('Make the first exercise')
  })

  it('says so when it cannot be loaded', async () => {
    await open({ 'GET /api/exercises': new Refusal(403, 'You may not see this.') })
    expect(view.find('[role=alert]').text()).toContain('You may not see this.')
  })
})
