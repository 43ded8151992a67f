import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { NInput, NSelect } from 'naive-ui'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'

import NumberField from '@/shell/NumberField.vue'
import PlanLesson from '@/views/today/PlanLesson.vue'

import { application, askedOf, Refusal, type Asked } from './application'
import { shown } from './shown'

const KNOWN = {
  'GET /api/classes': [{ id: 2, name: 'Terns', students: 24 }],
  'GET /api/exercises': [
    { id: 4, title: 'Crates' },
    { id: 9, title: 'KNOT' },
  ],
}
const THURSDAY = new Date(2026, 9, 1, 7, 40)

let view: VueWrapper
let told: string[]
let asked: Asked[]

async function open(answers: Record<string, unknown>, props: object = {}): Promise<void> {
  asked = application({ ...KNOWN, ...answers })
  const listens = { onDone: () => told.push('done'), onClose: () => told.push('close') }
  view = shown(PlanLesson, { ...props, ...listens })
  await flushPromises()
}

beforeEach(() => {
  vi.useFakeTimers({ now: THURSDAY, toFake: ['Date'] })
  setActivePinia(createPinia())
  told = []
})

const dialog = (): VueWrapper => view.findComponent(PlanLesson)
const button = (text: string): HTMLButtonElement =>
  [...document.querySelectorAll('button')].find((one) => one.textContent?.trim() === text)!
const choose = async (number: number, value: number): Promise<void> => {
  dialog().findAllComponents(NSelect)[number]!.vm.$emit('update:value', value)
  await flushPromises()
}
async function press(text: string): Promise<void> {
  document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
  expect(button(text)).toBeTruthy()
  await flushPromises()
}

describe('planning a lesson', () => {
  it('waits for a class and an exercise, and then plans the next day, from the first step', async () => {
    await open({ 'POST /api/lessons': { id: 3 } })
    expect(button('Plan it').disabled).toBe(true)
    await press('Plan it')
    expect(askedOf(asked, 'POST /api/lessons'), 'nothing is planned for nobody').toEqual([])
    await choose(0, 2)
    expect(button('Plan it').disabled).toBe(true)
    await choose(1, 9)
    expect(button('Plan it').disabled).toBe(false)
    await press('Plan it')
    const usual = { at_time: null, start_step: 1, remark: '', materials: '' }
    expect(askedOf(asked, 'POST /api/lessons')).toEqual([
      { class_id: 2, exercise_id: 9, on_date: '2026-10-02', ...usual },
    ])
    expect(told).toEqual(['done'])
  })

  it('changes a lesson that is there, and leaves what nobody has changed', async () => {
    const lesson = {
      id: 5,
      class_id: 2,
      exercise_id: 4,
      on_date: '2026-11-30',
      at_time: '09:50:00',
      start_step: 7,
      remark: 'tape first',
      materials: 'long rulers',
    }
    await open({ 'PUT /api/lessons/5': { id: 5 } }, { lesson })
    expect(document.body.textContent).toContain('Change the lesson')
    dialog().findComponent(NumberField).vm.$emit('update:modelValue', 8)
    dialog().findAllComponents(NInput).at(-1)!.vm.$emit('update:value', 'spare paper')
    await flushPromises()
    await press('Change it')
    const { id, ...kept } = lesson
    expect(id).toBe(5)
    expect(askedOf(asked, 'PUT /api/lessons/5')).toEqual([{ ...kept, start_step: 8, materials: 'spare paper' }])
    expect(askedOf(asked, 'POST /api/lessons')).toEqual([])
    expect(told).toEqual(['done'])
  })

  it('stays open when the application refuses, and says why', async () => {
    await open({ 'POST /api/lessons': new Refusal(409, 'The Terns have a lesson then.') })
    await choose(0, 2)
    await choose(1, 4)
    await press('Plan it')
    expect(told).toEqual([])
    expect(document.body.textContent).toContain('The Terns have a lesson then.')
    expect(button('Plan it').disabled, 'it can be tried again').toBe(false)
  })

  it('can be left, and plans nothing then', async () => {
    await open({})
    await choose(0, 2)
    button('Leave it').click()
    await flushPromises()
    expect(told).toEqual(['close'])
    expect(asked.filter((one) => !one.what.startsWith('GET'))).toEqual([])
  })

  it('says when classes and shelf cannot be had', async () => {
    await open({ 'GET /api/classes': new Refusal(500, 'The database does not answer.') })
    expect(document.querySelector('[role=alert]')?.textContent).toContain('The database does not answer.')
  })
})
