import { flushPromises, RouterLinkStub, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'

import type { TodayAnswer } from '@/api/types'
import PlanLesson from '@/views/today/PlanLesson.vue'
import TodayView from '@/views/TodayView.vue'

import { application, askedOf, Refusal, type Asked } from './application'
import { shown } from './shown'

const MONDAY = new Date(2026, 10, 30, 7, 40)
const LESSON = {
  id: 5,
  class_id: 2,
  class_name: 'Terns',
  exercise_id: 4,
  exercise: 'Crates on the quay',
  picture: '/api/exercises/4/picture.svg',
  on_date: '2026-11-30',
  at_time: '08:00:00',
  start_step: 3,
  step_title: 'the guide lines',
  steps: 14,
  minutes: 41.6,
  remark: 'tape first',
  materials: 'long rulers',
  problem: '',
} as TodayAnswer['lessons'][number]
const NOTHING = { has_exercises: true, has_classes: true, lessons: [], piles: [], needs: [] }

let view: VueWrapper
let asked: Asked[]

async function open(today: object, answers: Record<string, unknown> = {}): Promise<void> {
  asked = application({ 'GET /api/today': { ...NOTHING, ...today }, ...answers })
  view = shown(TodayView, {}, { stubs: { RouterLink: RouterLinkStub } })
  await flushPromises()
}

beforeEach(() => {
  vi.useFakeTimers({ now: MONDAY, toFake: ['Date'] })
  localStorage.clear()
  setActivePinia(createPinia())
})

const says = (): string => document.body.textContent!.replace(/\s+/g, ' ')
const doors = (): Record<string, unknown> =>
  Object.fromEntries(view.findAllComponents(RouterLinkStub).map((link) => [link.text(), link.props('to')]))
async function press(text: string): Promise<void> {
  const button = [...document.querySelectorAll('button')].find((one) => one.textContent?.trim() === text)
  expect(button, text).toBeTruthy()
  button!.click()
  await flushPromises()
}

describe('today', () => {
  it.each([
    [{ has_exercises: false, has_classes: false }, 'No exercise yet', '/desk'],
    [{ has_classes: false }, 'No class yet', '/register'],
  ])('leads on from where somebody begins: %o', async (today, title, to) => {
    await open(today)
    expect(says()).toContain(title)
    expect(Object.values(doors())).toContain(to)
    expect(says(), 'there is nothing to plan with').not.toContain('Plan a lesson')
  })

  it('says of a lesson when, with whom, from which step and what to bring, and opens every door to it', async () => {
    await open({ lessons: [LESSON] })
    expect(says()).toContain('· Terns')
    expect(says()).toContain('From step 3 of 14: the guide lines.')
    expect(says()).toContain('About 42 minutes of drawing.')
    expect(says()).toContain('Bring: long rulers')
    expect(doors()).toMatchObject({
      'Show it': { path: '/show/4', query: { step: 3 } },
      'Print sheets': { path: '/print/4', query: { class: 2 } },
      'Open it at the Desk': '/desk/4',
    })
  })

  it('says what is the matter with an exercise, instead of its steps', async () => {
    await open({ lessons: [{ ...LESSON, problem: 'It is of a newer version.' }] })
    expect(document.querySelector('[role=alert]')?.textContent).toContain('It is of a newer version.')
    expect(says()).not.toContain('From step')
  })

  it('takes a lesson off the list, and has it back', async () => {
    let lessons = [LESSON]
    await open(
      {},
      {
        'GET /api/today': () => ({ ...NOTHING, lessons }),
        'DELETE /api/lessons/5': () => ((lessons = []), {}),
        'POST /api/lessons/5/back': () => ((lessons = [LESSON]), {}),
      },
    )
    await press('Not this lesson')
    await vi.waitFor(() => expect(says()).toContain('No lesson planned'))
    expect(says()).toContain('The lesson with Terns is off the list.')
    await press('Have it back')
    await vi.waitFor(() => expect(says()).toContain('Crates on the quay'))
    expect(askedOf(asked, 'POST /api/lessons/5/back')).toHaveLength(1)
  })

  it('keeps a lesson that cannot be taken off, and says why', async () => {
    await open({ lessons: [LESSON] }, { 'DELETE /api/lessons/5': new Refusal(409, 'It has begun already.') })
    await press('Not this lesson')
    expect(says()).toContain('It has begun already.')
    expect(says()).toContain('Crates on the quay')
    expect(says()).not.toContain('is off the list')
  })

  it('opens the plan empty for a new lesson, and filled for one that is changed', async () => {
    await open({ lessons: [LESSON] }, { 'GET /api/classes': [], 'GET /api/exercises': [] })
    await press('Change the lesson')
    expect(view.findComponent(PlanLesson).props('lesson')).toMatchObject({ id: 5 })
    view.findComponent(PlanLesson).vm.$emit('close')
    await flushPromises()
    await press('Plan a lesson')
    expect(view.findComponent(PlanLesson).props('lesson')).toBeUndefined()
    view.findComponent(PlanLesson).vm.$emit('done')
    await flushPromises()
    expect(view.findComponent(PlanLesson).exists()).toBe(false)
    expect(askedOf(asked, 'GET /api/today'), 'the list is read again').toHaveLength(2)
  })

  it('leads to piles that wait and to students whose last sheet left something open', async () => {
    const pile = { id: 6, class_name: 'Terns', exercise: 'KNOT', waiting: 3, reading: 0, to_look_at: 2, kept: 0 }
    const need = { class_id: 2, alias: 'Tern 4', finding: 'Lines to the wrong point', exercise: 'KNOT' }
    await open({ piles: [pile], needs: [need] })
    expect(doors()).toMatchObject({ 'Terns: KNOT': '/check/6', 'Tern 4': '/register/2' })
    expect(says()).toContain('3 photographed, not yet read. 2 to look at.')
    expect(says()).not.toContain('being read')
    expect(says()).toContain('lines to the wrong point, on “KNOT”')
  })
})
