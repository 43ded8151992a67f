import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref, shallowRef, type EffectScope } from 'vue'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'

import type { Drawing } from '@/api/types'
import ClassView from '@/views/ClassView.vue'
import ShowView from '@/views/ShowView.vue'
import { beginnings, useShowing } from '@/views/show/showing'

import { application, askedOf, Refusal, type Asked } from './application'
import { line, step } from './steps'

const steps = [
  step({ phase: 'setup', thing: '', title: 'Eye level', draws: [1] }),
  step({ phase: 'front', thing: 'Crate', title: 'Crate: front', text: 'Draw the front.', draws: [2, 3], count: 2 }),
  step({ phase: 'front', thing: 'Crate', title: 'Crate: corner', marks: ['Crate.a'] }),
  step({ phase: 'back', thing: 'Crate', title: 'Crate: back', draws: [4], count: 1, close_up: [10, 10, 110, 85] }),
  step({ phase: 'back', thing: 'Lamp', title: 'Lamp: back', draws: [5], count: 1 }),
  step({ phase: 'take_away', thing: '', title: 'Take away', takes_away: [3], leaves: [2] }),
]
const drawing = {
  sheet: { width_mm: 400, height_mm: 300, units: 'mm', division_mm: 1, fold_mm: null },
  eye_level_mm: 150,
  vanishing_points: { point: [200, 150] },
  aims: [],
  strips: [],
  points: { 'Crate.a': [40, 40] },
  lines: [1, 2, 3, 4, 5].map((id) => line(id, [10 * id, 10], [10 * id, 60])),
  faces: [],
  steps,
  on_paper: {
    lines: [
      [1, 7, 7],
      [2, 7, 7],
      [2, 6, 7],
      [4, 7, 7],
      [5, 7, 7],
    ],
    points: { 'Crate.a': 3 },
    tone: 7,
  },
} as unknown as Drawing

describe('where parts of the work begin', () => {
  it('is where another thing or another phase comes', () => {
    expect(beginnings(steps)).toEqual([1, 2, 4, 5, 6])
    expect(beginnings([])).toEqual([])
  })
})

describe('one step at a time', () => {
  let scope: EffectScope
  const number = ref(2)
  const slower = ref(1)
  const begin = () => scope.run(() => useShowing(shallowRef(drawing), number, slower))!

  beforeEach(() => {
    number.value = 2
    scope = effectScope()
  })
  afterEach(() => scope.stop())

  it('finishes what is being drawn before it goes on', () => {
    const showing = begin()
    expect(showing.moving.value).toBe(true)
    showing.next()
    expect([number.value, showing.moving.value]).toEqual([2, false])
    showing.next()
    expect(number.value).toBe(3)
  })

  it('never leaves the steps', () => {
    const { go } = begin()
    go(99)
    expect(number.value).toBe(6)
    go(-3)
    expect(number.value).toBe(1)
  })

  it('goes to where the next part of the work begins, and back to where this one does', () => {
    const { toPart } = begin()
    toPart(1)
    expect(number.value).toBe(4)
    number.value = 3
    toPart(-1)
    expect(number.value).toBe(2)
    number.value = 6
    toPart(1)
    expect(number.value).toBe(6)
  })

  it('knows what comes next that is not there yet', () => {
    number.value = 3
    expect([...begin().ghost.value.light]).toEqual([4])
    number.value = 2
    expect(begin().ghost.value.marks).toEqual(['Crate.a'])
    number.value = 5
    expect([...begin().ghost.value.light], 'what is taken away has no ghost').toEqual([])
  })

  it('counts how often a step was begun, and from when', async () => {
    vi.useFakeTimers({ now: 5_000, toFake: ['Date'] })
    const showing = begin()
    vi.setSystemTime(60_000)
    number.value = 4
    await nextTick()
    expect(showing.since.value).toBe(60_000)
    showing.replay()
    expect(showing.begun.value).toBe(2)
    expect(showing.since.value, 'drawing it again is the same step').toBe(60_000)
    vi.useRealTimers()
  })
})

describe('the class display', () => {
  let router: Router
  let asked: Asked[]
  const views: VueWrapper[] = []
  const answers = {
    'GET /api/exercises/7': { id: 7, version: 1, exercise: { title: 'Crates' } },
    'POST /api/desk/draw': { exercise: { title: 'Crates' }, drawing },
  }

  async function open(view: object, more: Record<string, unknown> = {}): Promise<VueWrapper> {
    asked = application({ ...answers, ...more })
    router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:all(.*)', component: { template: '<i />' } }],
    })
    await router.push('/show/7?step=2')
    const shown = mount(view, { props: { id: '7' }, attachTo: document.body, global: { plugins: [router] } })
    views.push(shown)
    await flushPromises()
    return shown
  }
  const key = async (name: string): Promise<void> => {
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }))
    await flushPromises()
  }
  const settle = async (): Promise<void> => {
    await new Promise((done) => setTimeout(done, 60))
    await flushPromises()
  }
  const where = (view: VueWrapper): string => view.find('.where').text()

  beforeEach(() => {
    localStorage.clear()
    setActivePinia(createPinia())
  })
  afterEach(() => {
    views.splice(0).forEach((view) => view.unmount())
    document.body.innerHTML = ''
    vi.unstubAllGlobals()
  })

  it('is worked by the keys of a presenter’s remote', async () => {
    const show = await open(ShowView)
    expect(where(show)).toBe('Step 2 of 6 · Crate')
    await key('PageDown')
    await key('PageDown')
    expect(where(show)).toBe('Step 3 of 6 · Crate')
    await key('PageUp')
    expect(where(show)).toBe('Step 2 of 6 · Crate')
    await key('.')
    expect(show.find('.cover').exists()).toBe(true)
    await key('b')
    expect(show.find('.cover').exists()).toBe(false)
  })

  it('jumps by the parts of the work, with keys and by the list', async () => {
    const show = await open(ShowView)
    await key('ArrowDown')
    expect(where(show)).toBe('Step 4 of 6 · Crate')
    await show.find('.steps').trigger('click')
    await flushPromises()
    const list = [...document.querySelectorAll('ol button')]
    expect(list).toHaveLength(6)
    ;(list[4] as HTMLElement).click()
    await flushPromises()
    expect(where(show)).toBe('Step 5 of 6 · Lamp')
  })

  it('remembers how it looks, and letters do nothing where they are switched off', async () => {
    const show = await open(ShowView)
    await key('d')
    await key('t')
    expect(show.find('.dark-room').exists()).toBe(true)
    expect(show.find('.clock').text()).toContain('of about 1 min')
    expect(JSON.parse(localStorage.getItem('show-looks')!)).toMatchObject({ darkRoom: true, clock: true })
    show.unmount()
    localStorage.setItem('show-looks', JSON.stringify({ keys: false }))
    const again = await open(ShowView)
    await key('d')
    expect(again.find('.dark-room').exists()).toBe(false)
    await key('ArrowDown')
    expect(where(again), 'arrows are no letters').toBe('Step 4 of 6 · Crate')
  })

  it('shows small work large with the whole sheet beside it, until the teacher wants the whole', async () => {
    const show = await open(ShowView)
    await key('ArrowDown')
    expect(show.findAll('svg.sheet')).toHaveLength(2)
    expect(show.find('svg.large').attributes('viewBox')).toBe('10 215 100 75')
    expect(show.find('.part').attributes('width')).toBe('100')
    await key('c')
    expect(show.findAll('svg.sheet')).toHaveLength(1)
  })

  it('leaves out the taped-on paper on a small screen, once the points are set up, and says where they are', async () => {
    const point = { at: [400, 150], way: [1, 0], side: 'right', text: 'right point', past: '200 mm past the edge' }
    const far = {
      ...drawing,
      strips: [{ at: [400, 120], width_mm: 200, height_mm: 60, aims: ['point'], way: 'right' }],
      steps: steps.map((one) => ({ ...one, beyond: one.phase === 'setup' ? [] : [point] })),
    }
    const wide = () => Number(show.find('svg.large').attributes('viewBox')!.split(' ')[2])
    vi.stubGlobal('innerWidth', 390)
    const show = await open(ShowView, { 'POST /api/desk/draw': { exercise: {}, drawing: far } })
    expect(where(show)).toBe('Step 2 of 6 · Crate')
    expect(wide(), 'the sheet and its rim').toBe(414)
    expect(show.find('svg.large').text()).toContain('right point')
    await key('Home')
    expect(wide(), 'all of it where the point is marked').toBe(614)
    expect(show.find('svg.large').text()).not.toContain('right point')
    vi.stubGlobal('innerWidth', 1280)
    window.dispatchEvent(new Event('resize'))
    await key('PageDown')
    expect(wide()).toBe(614)
  })

  it('lays shade over all but what is new', async () => {
    const show = await open(ShowView)
    await key('l')
    const shade = show.find('.shade').attributes('d')!
    expect(shade.match(/Z/g), 'the sheet, and a hole in it').toHaveLength(2)
  })

  it('tells the measures of a board, and why not of one that nobody has', async () => {
    const board = { ...drawing, steps: steps.map((one) => ({ ...one, text: 'On the board.' })) }
    localStorage.setItem('show-looks', JSON.stringify({ boardMm: 2400 }))
    const show = await open(ShowView, { 'POST /api/desk/draw-shown': { exercise: {}, drawing: board } })
    expect(askedOf(asked, 'POST /api/desk/draw-shown')[0]).toMatchObject({ board_mm: 2400 })
    expect(show.find('.text').text()).toBe('On the board.')
    expect(show.find('.side').text()).toContain('a board 240 cm wide')
    show.unmount()
    const refused = await open(ShowView, { 'POST /api/desk/draw-shown': new Refusal(422, 'No such board.') })
    expect(refused.find('.text').text(), 'the sheet’s own measures stay').toBe('Draw the front.')
  })

  it('steers a window that shows the class the drawing alone', async () => {
    const show = await open(ShowView)
    const wall = await open(ClassView)
    await settle()
    expect(show.find('.next').text(), 'the teacher reads what comes').toBeTruthy()
    expect(show.text()).toContain('Then: Crate: corner')
    expect(wall.find('.words').exists()).toBe(false)
    const label = () => wall.find('svg.large').attributes('aria-label')
    expect(label()).toBe('Step 2: Crate: front')
    await show.findAll('.progress button')[3]!.trigger('click')
    await settle()
    expect(label()).toBe('Step 4: Crate: back')
    await show
      .findAll('nav button')
      .find((b) => b.text() === 'See-through')!
      .trigger('click')
    await settle()
    expect(wall.findAll('.large .lines')).toHaveLength(2)
  })

  it('says on the wall that nobody steers it yet', async () => {
    const wall = await open(ClassView)
    expect(wall.text()).toContain('in another window')
  })

  it('says why an exercise cannot be shown', async () => {
    const show = await open(ShowView, { 'GET /api/exercises/7': new Refusal(404, 'It is not there any more.') })
    expect(show.text()).toContain('It is not there any more.')
  })
})
