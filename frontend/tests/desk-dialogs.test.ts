import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { NDropdown } from 'naive-ui'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'

import type { SentencePiece, Step } from '@/api/types'
import { useExercise } from '@/stores/exercise'
import OutlineEditor from '@/views/desk/OutlineEditor.vue'
import StepMenu from '@/views/desk/StepMenu.vue'
import VersionList from '@/views/desk/VersionList.vue'

import { application, askedOf, type Asked } from './application'
import { shown } from './shown'

let act: ReturnType<typeof vi.fn>
let view: VueWrapper

beforeEach(() => {
  setActivePinia(createPinia())
  act = vi.fn(async () => true)
  useExercise().act = act as never
})

const anywhere = (text: string): HTMLElement =>
  [...document.querySelectorAll<HTMLElement>('button')].find((b) => b.textContent?.trim() === text)!

async function opened(part: object, props: object): Promise<void> {
  view = shown(part, props)
  await flushPromises()
}

describe('the menu of a step', () => {
  const step = { key: 'Crate/front', text: 'Draw its front.', can: ['say', 'later', 'extra'] } as unknown as Step

  it('offers what the core allows, in one order', async () => {
    await opened(StepMenu, { step, number: 3 })
    const options = view.findComponent(NDropdown).props('options') as { label: string }[]
    expect(options.map((option) => option.label)).toEqual([
      'Say it in other words',
      'Later',
      'Extra, for those who are quick',
    ])
  })

  it('does at once what needs no words', async () => {
    await opened(StepMenu, { step, number: 3 })
    view.findComponent(NDropdown).vm.$emit('select', 'later')
    expect(act).toHaveBeenCalledWith({ op: 'step', key: 'Crate/front', change: 'later', text: '' })
  })

  it('begins with the words as they are, and stays open while they are refused', async () => {
    act.mockResolvedValueOnce(false)
    await opened(StepMenu, { step, number: 3 })
    view.findComponent(NDropdown).vm.$emit('select', 'say')
    await flushPromises()
    const words = document.querySelector<HTMLTextAreaElement>('[aria-label="The words of this step"]')!
    expect(words.value).toBe('Draw its front.')
    words.value = 'Draw the crate.'
    words.dispatchEvent(new Event('input'))
    anywhere('Use these words').click()
    await flushPromises()
    expect(act).toHaveBeenLastCalledWith({ op: 'step', key: 'Crate/front', change: 'say', text: 'Draw the crate.' })
    expect(words.value, 'what was typed is not lost').toBe('Draw the crate.')
    anywhere('Use these words').click()
    await flushPromises()
    expect(act).toHaveBeenCalledTimes(2)
  })
})

describe('the outline of a shape', () => {
  const piece = {
    path: 'things.0.outline',
    text: '4 corners',
    value: '0 0, 10 0, 10 10, 0 10',
    options: [{ value: 'letter T', text: 'letter T' }],
  } as unknown as SentencePiece

  it('is chosen ready, or its corners are typed beginning with those that are there', async () => {
    await opened(OutlineEditor, { piece, bad: false, label: 'Shape, the outline: 4 corners' })
    await view.find('.place').trigger('click')
    await flushPromises()
    anywhere('letter T').click()
    await flushPromises()
    expect(act).toHaveBeenLastCalledWith({ op: 'type', path: 'things.0.outline', text: 'letter T' })
    await view.find('.place').trigger('click')
    await flushPromises()
    const corners = document.querySelector<HTMLTextAreaElement>('[aria-label="Corners, across and up"]')!
    expect(corners.value).toBe('0 0, 10 0, 10 10, 0 10')
    corners.value = '0 0, 10 0, 5 9'
    corners.dispatchEvent(new Event('input'))
    anywhere('Use these corners').click()
    await flushPromises()
    expect(act).toHaveBeenLastCalledWith({ op: 'type', path: 'things.0.outline', text: '0 0, 10 0, 5 9' })
  })
})

describe('earlier states', () => {
  let asked: Asked[]

  async function open(count: number): Promise<void> {
    const lines = Array.from({ length: count }, (_, i) => ({
      version: count - i,
      saved_at: `2026-11-0${1 + (i % 9)}T08:00:00`,
      things: i === 0 ? 1 : 2,
    }))
    const drawing = { lines: [], faces: [], aims: [], strips: [], points: {}, sheet: { width_mm: 420, height_mm: 297 } }
    const versions = Object.fromEntries(
      lines.map((line) => [
        `GET /api/exercises/0/versions/${line.version}`,
        { version: line.version, exercise: { title: `V${line.version}` } },
      ]),
    )
    asked = application({
      'GET /api/exercises/0/versions': lines,
      ...versions,
      'POST /api/desk/draw': (body: Record<string, unknown>) => ({ exercise: body.exercise, drawing }),
    })
    await opened(VersionList, {})
    await flushPromises()
    await vi.waitFor(() => expect(askedOf(asked, 'POST /api/desk/draw')).toHaveLength(Math.min(count, 8)))
    await flushPromises()
  }

  it('are drawn a few at a time; more come when they are asked for', async () => {
    await open(10)
    expect(view.findAll('li')).toHaveLength(8)
    expect(view.text()).toContain('1 thing')
    anywhere('Still earlier').click()
    await vi.waitFor(() => expect(askedOf(asked, 'POST /api/desk/draw')).toHaveLength(10))
    expect(view.findAll('li')).toHaveLength(10)
    expect(anywhere('Still earlier')).toBeUndefined()
  })

  it('are compared with the others that are drawn before one is taken up', async () => {
    await open(3)
    const list = view.findComponent(VersionList)
    await view.findAll('li button')[1]!.trigger('click')
    const trial = list.emitted('compare')![0]![0] as { caption: string; exercise: object; others: unknown[] }
    expect(trial.caption).toContain('State 2')
    expect(trial.exercise).toEqual({ title: 'V2' })
    expect(trial.others).toHaveLength(2)
  })
})
