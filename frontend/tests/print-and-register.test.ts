import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { NSelect } from 'naive-ui'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'

import type { ClassRecord } from '@/api/types'
import PrintView from '@/views/PrintView.vue'
import EnterStudents from '@/views/register/EnterStudents.vue'

import { application, askedOf, Refusal, type Asked } from './application'
import { shown } from './shown'

let view: VueWrapper

async function openedAt(address: string, part: object, props: object): Promise<VueWrapper> {
  const nothing = { template: '<i />' }
  const routes = [{ path: '/:all(.*)', component: nothing }]
  const router = createRouter({ history: createMemoryHistory(), routes })
  await router.push(address)
  const mounted = shown(part, props, { plugins: [router] })
  await flushPromises()
  return mounted
}

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})

describe('printing', () => {
  /** Two of them set up the sheet. */
  const stepsOf = (count: number): object[] =>
    Array.from({ length: count }, (_, i) => ({
      title: `Act ${i + 1}`,
      phase: i < 2 ? 'setup' : 'front',
      extra: extra && i > 6,
    }))

  let strips: object[] = []
  let extra = false
  let counts: Record<string, unknown> = {}

  async function open(
    units = 'mm',
    steps = 9,
    isPersonal = false,
    address = '/print/4',
    level = 'middle',
  ): Promise<void> {
    const sheet = { width_mm: 419.1, height_mm: 266.7, units, division_mm: 1, fold_mm: null }
    const drawing = { sheet, steps: stepsOf(steps), strips, is_personal: isPersonal }
    application({
      'GET /api/exercises/4': { id: 4, version: 1, exercise: { title: 'Crates', wording: { level } } },
      'POST /api/desk/draw': { exercise: {}, drawing },
      'GET /api/classes': [{ id: 2, name: 'Terns', students: 24 }],
      'GET /api/desk/levels': [
        { level: 'youngest', says: 'the youngest', type_pt: 14 },
        { level: 'middle', says: 'middle', type_pt: 11 },
      ],
      ...counts,
    })
    view = await openedAt(address, PrintView, { id: '4' })
  }

  beforeEach(() => {
    strips = []
    extra = false
    counts = {}
  })

  const choose = (kind: string) => view.find(`input[value=${kind}]`).setValue(true)
  const address = (): URL => new URL(view.find('a[target=_blank]').attributes('href')!, 'http://x')
  const says = (): string => view.text().replace(/\s+/g, ' ')

  it('says how many pages come, and on which paper', async () => {
    await open()
    expect(says()).toContain('1 page on paper of 419 × 267 mm.')
    await choose('steps')
    expect(says()).toContain('3 pages on A4 paper.')
    expect(says()).not.toContain('Print at 100 %')
  })

  it('lays a large sheet over pages of the printer’s paper, and remembers that', async () => {
    await open()
    expect(address().searchParams.get('tiled')).toBeNull()
    select('Large sheet').vm.$emit('update:value', 'tiled')
    await flushPromises()
    expect(address().searchParams.get('tiled')).toBe('true')
    expect(address().searchParams.get('paper')).toBe('a4')
    expect(says()).toContain('Each sheet over several pages on A4 paper.')
    await choose('steps')
    expect(address().searchParams.get('tiled'), 'steps are read, not drawn on').toBeNull()
    view.unmount()
    await open()
    expect(address().searchParams.get('tiled')).toBe('true')
  })

  it('asks how many pages come where only the application can count them', async () => {
    strips = [{ side: 'left', aims: ['left'], at: [-130, 110], width_mm: 130, height_mm: 80 }]
    counts = {
      'GET /api/exercises/4/print/answer/pages': { pages: 6 },
      'GET /api/exercises/4/print/strips/pages': { pages: 1 },
    }
    await open()
    await choose('answer')
    expect(says(), 'a sheet in one piece needs no counting').toContain('1 page on paper of 419 × 267 mm.')
    select('Large sheet').vm.$emit('update:value', 'tiled')
    await flushPromises()
    expect(says()).toContain('6 pages on A4 paper.')
    await choose('strips')
    await flushPromises()
    expect(says()).toContain('1 page on A4 paper.')
    await choose('ticks')
    await flushPromises()
    expect(says(), 'nobody has counted these').toContain('As many pages as the pieces take on A4 paper.')
  })

  it('prints strips and ticks only where points lie off the sheet, for nobody in particular', async () => {
    await open()
    expect(view.find('input[value=strips]').exists()).toBe(false)
    view.unmount()
    strips = [{ side: 'left', aims: ['left'], at: [-130, 110], width_mm: 130, height_mm: 80 }]
    await open()
    await choose('ticks')
    expect(address().pathname).toContain('/print/ticks.pdf')
    expect(address().searchParams.get('copies')).toBeNull()
    expect(says()).toContain('As many pages as the pieces take on A4 paper. Print at 100 %')
  })

  it('prints the steps in words for another age, with type as large as that needs', async () => {
    await open()
    await choose('steps')
    select('Words for which age').vm.$emit('update:value', 'youngest')
    await flushPromises()
    expect(address().searchParams.get('level')).toBe('youngest')
    expect(address().searchParams.get('type_pt')).toBe('14')
    await choose('starter')
    expect(address().searchParams.get('level'), 'a starter sheet has no words').toBeNull()
  })

  it('leaves extra steps out where there are any and the teacher wants it', async () => {
    await open()
    await choose('steps')
    expect(says()).not.toContain('Extra steps')
    view.unmount()
    extra = true
    await open()
    await choose('steps')
    await view.find('.n-checkbox').trigger('click')
    expect(address().searchParams.get('only_required')).toBe('true')
  })

  it('speaks of inches and letter paper to a class that measures in inches', async () => {
    await open('in')
    expect(says()).toContain('paper of 16.5 × 10.5 in.')
    await choose('steps')
    expect(says()).toContain('on letter paper.')
  })

  it('asks for so many copies, or for one sheet for each of a class', async () => {
    await open()
    expect([address().pathname, address().search]).toEqual(['/api/exercises/4/print/starter.pdf', '?copies=1'])
    view.unmount()
    await open('mm', 9, false, '/print/4?class=2')
    expect(address().search).toBe('?class_id=2')
    expect(says()).toContain('24 pages')
  })

  it('remembers how many steps stand on a page, and shows the first page of what is chosen', async () => {
    localStorage.setItem('print-steps-a-page', '2')
    await open()
    await choose('steps')
    expect(says()).toContain('5 pages on A4')
    expect(address().search).toBe('?per_page=2&type_pt=11&paper=a4')
    expect(view.find('.preview img').attributes('src')).toBe(
      '/api/exercises/4/print/steps.png?per_page=2&type_pt=11&paper=a4',
    )
  })

  const select = (label: string) =>
    view.findAllComponents(NSelect).find((one) => one.attributes('aria-label') === label)!
  const pick = async (label: string, value: string | number): Promise<void> => {
    select(label).vm.$emit('update:value', value)
    await flushPromises()
  }

  it('leaves out what the starter sheet has, or begins at a step, and counts the pages so', async () => {
    await open()
    await choose('steps')
    const offered = select('Begin at which step')
      .props('options')!
      .map((one) => String(one.label))
    expect(offered.slice(0, 3)).toEqual(['with the first step', 'after what the starter sheet has', 'at step 2: Act 2'])
    expect(offered).toHaveLength(10)
    await pick('Begin at which step', 0)
    expect(address().searchParams.get('without_starter')).toBe('true')
    expect(says()).toContain('2 pages on A4')
    await pick('Begin at which step', 8)
    expect(address().searchParams.get('first')).toBe('8')
    expect(address().searchParams.has('without_starter')).toBe(false)
    expect(says()).toContain('1 page on A4')
  })

  it('never prints for a student twice what their starter sheet has', async () => {
    await open('mm', 9, true)
    await choose('whole')
    expect(address().searchParams.get('without_starter')).toBe('true')
    expect(select('Begin at which step')).toBeUndefined()
    expect(says()).toContain('4 pages')
  })

  it('remembers the printer’s paper, whatever the class measures in', async () => {
    await open('in')
    await choose('steps')
    await pick('Printer’s paper', 'a4')
    expect(says()).toContain('on A4 paper.')
    view.unmount()
    await open('in')
    await choose('lesson')
    expect(address().searchParams.get('paper')).toBe('a4')
  })

  it('sets larger type for the youngest, or for whom a teacher chooses it, and then counts no pages', async () => {
    await open('mm', 9, false, '/print/4', 'youngest')
    await choose('steps')
    expect(address().searchParams.get('type_pt')).toBe('14')
    expect(says()).toContain('As many pages as the steps take on A4 paper.')
    await pick('Text size', 18)
    expect(address().searchParams.get('type_pt')).toBe('18')
    view.unmount()
    await open()
    await choose('steps')
    expect(address().searchParams.get('type_pt')).toBe('18')
  })

  it('asks for how many students a lesson is, remembers it, and needs no test line', async () => {
    await open()
    await choose('lesson')
    expect([address().pathname, address().search]).toEqual(['/api/exercises/4/print/lesson.pdf', '?paper=a4&copies=24'])
    expect(says()).toContain('As many pages as the steps take on A4 paper.')
    expect(says()).not.toContain('Print at 100 %')
    expect(says()).toContain('Students')
    expect(says()).not.toContain('Copies')
    view.unmount()
    localStorage.setItem('print-lesson-students', '17')
    await open('mm', 9, true, '/print/4?class=2')
    await choose('lesson')
    expect(address().search).toBe('?paper=a4&class_id=2')
    expect(view.find('.preview img').exists(), 'one page for all, whoever has a sheet of their own').toBe(true)
  })

  it('offers everything for each student only where each has a sheet of their own', async () => {
    await open()
    expect(view.find('input[value=whole]').exists()).toBe(false)
    view.unmount()
    await open('mm', 9, true)
    expect(view.find('input[value=whole]').exists()).toBe(true)
  })

  it('says what is wrong where the exercise cannot be had', async () => {
    application({ 'GET /api/exercises/4': new Refusal(404, 'It is not on your shelf.') })
    view = await openedAt('/print/4', PrintView, { id: '4' })
    expect(view.text()).toContain('This exercise cannot be printed')
    expect(view.text()).toContain('It is not on your shelf.')
  })
})

describe('entering students', () => {
  const record = { id: 2, name: 'Terns' } as ClassRecord
  const entered = vi.fn()
  let asked: Asked[]

  async function open(seen: object): Promise<void> {
    vi.useFakeTimers()
    entered.mockReset()
    asked = application({
      'POST /api/classes/2/students/look': seen,
      'POST /api/classes/2/students': [{ id: 1 }, { id: 2 }, { id: 3 }],
    })
    view = await openedAt('/register/2', EnterStudents, { record, show: true, onEntered: entered })
  }

  async function type(text: string): Promise<void> {
    const field = document.querySelector<HTMLTextAreaElement>('textarea')!
    field.value = text
    field.dispatchEvent(new Event('input', { bubbles: true }))
    await vi.advanceTimersByTimeAsync(400)
    await flushPromises()
  }

  const door = (): HTMLButtonElement =>
    [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === 'Enter them')!

  it('shows what will be entered before it is, and enters nothing that nobody has seen', async () => {
    const names = [
      { name: 'Tern 1', alias: 'Tern 1', is_new: false },
      { name: 'Tern 2', alias: 'Tern 2', is_new: true },
      { name: 'Tern 2', alias: 'Tern 2 (2)', is_new: true },
    ]
    await open({ new: 2, columns: ['names'], column: 0, names })
    expect(door().disabled).toBe(true)
    await type('Tern 1\nTern 2\nTern 2')
    const text = document.body.textContent!.replace(/\s+/g, ' ')
    expect(text).toContain('2 new students, 1 there already.')
    expect(text).toContain('told apart by a number: Tern 2 (2).')
    door().click()
    await flushPromises()
    expect(askedOf(asked, 'POST /api/classes/2/students')).toEqual([{ text: 'Tern 1\nTern 2\nTern 2', column: null }])
    expect(entered).toHaveBeenCalledTimes(1)
  })

  it('lets the column of the names be chosen where a list has several', async () => {
    const names = [{ name: 'Tern 1', alias: 'Tern 1', is_new: true }]
    await open({ new: 1, columns: ['No', 'Name'], column: 1, names })
    await type('No;Name\n1;Tern 1')
    const select = view.findComponent(NSelect)
    expect(select.props('options')).toEqual([
      { label: 'No', value: 0 },
      { label: 'Name', value: 1 },
    ])
    select.vm.$emit('update:value', 0)
    await vi.advanceTimersByTimeAsync(400)
    await flushPromises()
    expect(askedOf(asked, 'POST /api/classes/2/students/look').at(-1)).toEqual({
      text: 'No;Name\n1;Tern 1',
      column: 0,
    })
  })

  it('asks once for a text that is typed in one go', async () => {
    await open({ new: 0, columns: [], column: null, names: [] })
    const field = document.querySelector<HTMLTextAreaElement>('textarea')!
    for (const text of ['T', 'Te', 'Tern 9']) {
      field.value = text
      field.dispatchEvent(new Event('input', { bubbles: true }))
      await vi.advanceTimersByTimeAsync(50)
    }
    await vi.advanceTimersByTimeAsync(400)
    expect(askedOf(asked, 'POST /api/classes/2/students/look')).toEqual([{ text: 'Tern 9', column: null }])
  })
})
