import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { NInput } from 'naive-ui'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'

import type { ClassRecord } from '@/api/types'
import ClassSheet from '@/views/register/ClassSheet.vue'

import { application, askedOf, Refusal, type Asked } from './application'
import { shown } from './shown'

type Kept = ClassRecord['students'][number]['sheets'][number]

const kept = (more: Partial<Kept> = {}): Kept =>
  ({
    sheet_id: 1,
    kept_at: '2026-11-24T08:15:00',
    exercise: 'Crates',
    home: 20,
    judged: 24,
    meant: 0,
    findings: ['Lines to the wrong point', 'Two tones'],
    note: 'Look at the two lines at the left.',
    remark: '',
    ...more,
  }) as Kept

function recordOf(students: { id: number; alias: string; sheets: Kept[] }[], more: object = {}): ClassRecord {
  return { id: 2, name: 'Terns', students, findings: [], piles: [], ...more } as unknown as ClassRecord
}

let view: VueWrapper
let told: string[]
let asked: Asked[]

async function open(record: ClassRecord, answers: Record<string, unknown> = {}): Promise<void> {
  asked = application(answers)
  told = []
  const listens = { onChanged: () => told.push('changed'), onRemoved: () => told.push('removed') }
  view = shown(ClassSheet, { record, ...listens })
  await flushPromises()
}

beforeEach(() => setActivePinia(createPinia()))

const says = (): string => document.body.textContent!.replace(/\s+/g, ' ')
const cells = (row: number): string[] =>
  view
    .findAll('tbody tr')
    [row]!.findAll('td')
    .map((cell) => cell.text().replace(/\s+/g, ' '))
async function submit(): Promise<void> {
  document.querySelectorAll('form').forEach((form) => form.dispatchEvent(new Event('submit', { cancelable: true })))
  await flushPromises()
}
async function press(name: string, which: 'text' | 'label' = 'text'): Promise<void> {
  const found = [...document.querySelectorAll('button')].filter((one) =>
    which === 'text' ? one.textContent?.trim() === name : one.getAttribute('aria-label') === name,
  )
  expect(found, name).toHaveLength(1)
  found[0]!.click()
  await flushPromises()
}

const TWO = recordOf([
  {
    id: 11,
    alias: 'Tern 1',
    sheets: [kept({ sheet_id: 1 }), kept({ sheet_id: 2, exercise: 'KNOT', home: 9, judged: 9, findings: [] })],
  },
  { id: 12, alias: 'Tern 2', sheets: [] },
])

describe('a class in the register', () => {
  it('says of each student what the last kept sheet was and left open', async () => {
    await open(TWO)
    expect(cells(0).slice(0, 5)).toEqual(['Tern 1', '2 sheets', 'KNOT', '9 of 9', 'all home'])
    expect(cells(1).slice(0, 5)).toEqual(['Tern 2', 'none', '', '', ''])
    view.unmount()
    await open(recordOf([{ id: 11, alias: 'Tern 1', sheets: [kept()] }]))
    expect(cells(0).slice(1, 5)).toEqual(['1 sheet', 'Crates', '20 of 24', 'Lines to the wrong point'])
  })

  it('does not call all home what a teacher has let pass', async () => {
    await open(recordOf([{ id: 11, alias: 'Tern 1', sheets: [kept({ findings: [], meant: 3 })] }]))
    expect(cells(0)[4]).toBe('the others home')
  })

  it('opens and closes the kept sheets of a student', async () => {
    await open(TWO)
    expect(says()).not.toContain('24 Nov')
    await press('2 sheets')
    expect(says()).toContain('24 Nov · Crates')
    expect(says()).toContain('Lines to the wrong point, Two tones')
    expect(view.find('[aria-expanded=true]').exists()).toBe(true)
    await press('2 sheets')
    expect(says()).not.toContain('24 Nov')
  })

  it('gives a student another alias, and keeps the field open when that is refused', async () => {
    let answer: unknown = new Refusal(409, 'There is a Tern 2 already.')
    await open(TWO, { 'PUT /api/classes/students/11': () => answer })
    await press('Rename Tern 1', 'label')
    const field = view.findComponent(NInput)
    expect(field.props('value')).toBe('Tern 1')
    field.vm.$emit('update:value', 'Tern 2')
    await flushPromises()
    await submit()
    expect(says()).toContain('There is a Tern 2 already.')
    expect(told).toEqual([])
    answer = { id: 11 }
    field.vm.$emit('update:value', 'Gull')
    await flushPromises()
    await submit()
    expect(askedOf(asked, 'PUT /api/classes/students/11').at(-1)).toEqual({ name: 'Gull' })
    expect(told).toEqual(['changed'])
  })

  it('removes a student, or the class, only after asking', async () => {
    await open(TWO, { 'DELETE /api/classes/students/12': {}, 'DELETE /api/classes/2': {} })
    await press('Remove Tern 2', 'label')
    expect(says()).toContain('the printed code of Tern 2 is known no more')
    expect(asked).toEqual([])
    await press('Leave it')
    expect(asked).toEqual([])
    await press('Remove the class')
    expect(says()).toContain('Terns goes with its 2 students')
    await press('Remove it all')
    expect(askedOf(asked, 'DELETE /api/classes/2')).toHaveLength(1)
    expect(askedOf(asked, 'DELETE /api/classes/students/12')).toHaveLength(0)
    expect(told).toEqual(['removed'])
  })

  it('shows what came up pile by pile, the most often as the longest bar', async () => {
    const findings = [
      { code: 'wrong_point', title: 'Lines to the wrong point', counts: [6, 1] },
      { code: 'tones_differ', title: 'Two tones', counts: [0, 3] },
    ]
    await open(recordOf([{ id: 11, alias: 'Tern 1', sheets: [] }], { findings, piles: ['Crates', 'KNOT'] }))
    const wide = view.findAll('.bar').map((bar) => parseFloat((bar.element as HTMLElement).style.width))
    expect(wide).toEqual([120, 20, 0, 60])
    expect(says()).toContain('6 sheets')
    expect(says()).toContain('1 sheet')
  })

  it('begins an empty class with its students, and offers the register as a file', async () => {
    await open(recordOf([]))
    expect(says()).toContain('No students yet')
    expect(view.find('table').exists()).toBe(false)
    expect(view.find('a[href="/api/classes/2/register.csv"]').exists()).toBe(true)
  })
})
