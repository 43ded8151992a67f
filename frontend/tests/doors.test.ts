import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'

import { useSession } from '@/stores/session'
import SignInView from '@/views/SignInView.vue'

import { application, askedOf, Refusal, type Asked } from './application'

const ADA = { id: 1, name: 'Ada', is_demo: false }
let view: VueWrapper
let router: Router
let asked: Asked[]

async function open(door: object, then = '', answers: Record<string, unknown> = {}): Promise<void> {
  asked = application({ 'GET /api/door': door, 'POST /api/sign-in': ADA, 'POST /api/sign-in/demo': ADA, ...answers })
  router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:all(.*)', component: { template: '<i />' } }],
  })
  await router.push(`/sign-in${then}`)
  view = mount(SignInView, { attachTo: document.body, global: { plugins: [router] } })
  await flushPromises()
}

const button = (text: string) => view.findAll('button').find((b) => b.text() === text)
const field = (label: string) => view.find<HTMLInputElement>(`input[aria-label="${label}"]`)

async function signIn(): Promise<void> {
  await field('Sign-in name').setValue('ada')
  await field('Password').setValue('tern-and-gull')
  await view.find('form').trigger('submit')
  await flushPromises()
}

beforeEach(() => setActivePinia(createPinia()))
afterEach(() => {
  view.unmount()
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
})

describe('the door', () => {
  it('lets a teacher in by name and password, to where they were going', async () => {
    await open({ demo: false, first: false }, '?then=/desk/4')
    expect(button('Sign in')!.attributes('disabled'), 'nothing is typed yet').toBeDefined()
    await signIn()
    expect(askedOf(asked, 'POST /api/sign-in')).toEqual([{ login: 'ada', password: 'tern-and-gull' }])
    expect(useSession().who?.name).toBe('Ada')
    expect(router.currentRoute.value.fullPath).toBe('/desk/4')
  })

  it.each(['//elsewhere.example', 'https://elsewhere.example', 'javascript:alert(1)'])(
    'leads nowhere else than into the application: not to %s',
    async (then) => {
      await open({ demo: false, first: false }, `?then=${encodeURIComponent(then)}`)
      await signIn()
      expect(router.currentRoute.value.fullPath).toBe('/today')
    },
  )

  it('says why it stays shut, and keeps what was typed', async () => {
    await open({ demo: false, first: false }, '', {
      'POST /api/sign-in': new Refusal(401, 'Name or password is wrong.'),
    })
    await signIn()
    expect(view.text()).toContain('Name or password is wrong.')
    expect(field('Sign-in name').element.value).toBe('ada')
    expect(router.currentRoute.value.path).toBe('/sign-in')
  })

  it('offers the demo teacher only where there is one', async () => {
    await open({ demo: true, first: false })
    await button('Look around as the demo teacher')!.trigger('click')
    await flushPromises()
    expect(askedOf(asked, 'POST /api/sign-in/demo')).toHaveLength(1)
    expect(router.currentRoute.value.path).toBe('/today')
    view.unmount()
    await open({ demo: false, first: false })
    expect(button('Look around as the demo teacher')).toBeUndefined()
    expect(button('Open an account of your own')).toBeUndefined()
  })

  it('opens the first account, called by its sign-in name if no other is said', async () => {
    await open({ demo: true, first: true }, '', { 'POST /api/sign-in/first': ADA })
    await button('Open an account of your own')!.trigger('click')
    await signIn()
    expect(askedOf(asked, 'POST /api/sign-in/first')).toEqual([
      { login: 'ada', password: 'tern-and-gull', name: 'ada' },
    ])
  })
})
