import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { h } from 'vue'

import type { ClassRecord, Picture, Step } from '@/api/types'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetMeasures from '@/sheet/SheetMeasures.vue'
import SheetScales from '@/sheet/SheetScales.vue'
import SheetView from '@/sheet/SheetView.vue'
import FindingBars from '@/views/register/FindingBars.vue'
import StepList from '@/views/show/StepList.vue'
import StepWords from '@/views/show/StepWords.vue'

import { step } from './steps'

const picture = {
  sheet: { width_mm: 400, height_mm: 300, units: 'mm', division_mm: 1, fold_mm: null },
  eye_level_mm: 150,
  vanishing_points: {},
  aims: [],
  strips: [],
  points: {},
  lines: [],
  faces: [
    { id: 1, thing: 'Wall', name: 'front', tone: 1, direction: '', loops: [[[0, 0], [90, 0], [90, 60], [0, 60]], [[20, 10], [20, 40], [50, 40], [50, 10]]] },
    { id: 2, thing: 'Wall', name: 'right', tone: 3, direction: '', loops: [[[90, 0], [110, 20], [110, 50], [90, 60]]] },
  ],
  handles: [],
  measures: [
    { path: 'things.0.width', about: 'things.0', from: [0, 0], to: [90, 0], text: '90 mm' },
    { path: 'things.10.width', about: 'things.10', from: [0, 0], to: [50, 0], text: '50 mm' },
    { path: 'things.0.left', about: 'things.0', from: [0, 30], to: [0, 30], text: '0 mm' },
  ],
} as unknown as Picture // prettier-ignore

function onSheet(part: object, props: object = {}): ReturnType<typeof mount> {
  return mount(SheetView, { props: { picture, label: 'Sheet' }, slots: { default: () => h(part as never, props) } })
}

beforeEach(() => setActivePinia(createPinia()))

describe('faces', () => {
  it('are painted in order, each with its tone, its holes left open', () => {
    const faces = onSheet(SheetFaces).findAll('.faces path')
    expect(faces.map((face) => face.classes()[0])).toEqual(['tone-1', 'tone-3'])
    expect(faces[0]!.attributes('fill-rule')).toBe('evenodd')
    expect(faces[0]!.attributes('d')!.match(/M/g), 'an outline and a hole').toHaveLength(2)
  })
})

describe('measures', () => {
  it('are those of what is chosen, and of nothing whose number only begins alike', () => {
    const shown = onSheet(SheetMeasures, { about: 'things.0' })
    expect(shown.text()).toContain('90 mm')
    expect(shown.text()).not.toContain('50 mm')
    expect(shown.text(), 'no length, no measure').not.toContain('0 mm0')
  })

  it('are none where nothing is chosen', () => {
    expect(onSheet(SheetMeasures, { about: '' }).text()).not.toContain('mm')
  })
})

describe('scales', () => {
  it('stand beside what a step draws, each with its text and a line to its place', () => {
    const marks = [{ at: [10, 20], text: '1', out: 0.5, aside: 0 }, { at: [60, 20], text: '2', out: 2, aside: 1 }] // prettier-ignore
    const shown = onSheet(SheetScales, { scales: [{ side: 'below', marks }], wideMm: 400 })
    expect(shown.findAll('.scales text').map((text) => text.text())).toEqual(['1', '2'])
    expect(shown.findAll('.scales path').map((path) => /^[ML\d. -]+$/.test(path.attributes('d')!))).toEqual([
      true,
      true,
    ])
  })
})

describe('the words of a step on the wall', () => {
  const step = {
    thing: 'Crate', text: 'Draw 3 lines to the point.', count: 3, tool: 'ruler', slip: 'Too dark.', after: '',
  } as unknown as Step // prettier-ignore

  it('count the lines that are drawn, never more than there are', async () => {
    const words = mount(StepWords, {
      props: { step, all: [step], number: 4, count: 9, drawn: 1, since: 0, alone: false },
    })
    expect(words.text()).toContain('Step 4 of 9 · Crate')
    expect(words.text()).toContain('1 of 3')
    await words.setProps({ drawn: 7 })
    expect(words.text()).toContain('3 of 3 lines')
  })

  it('count nothing where nothing is counted, and say what may be done after it', () => {
    const still = { ...step, count: 0, thing: '', after: 'Take the strip off.' }
    const words = mount(StepWords, {
      props: { step: still, all: [still], number: 1, count: 2, drawn: 0, since: 0, alone: false },
    })
    expect(words.find('strong').exists()).toBe(false)
    expect(words.text()).toContain('Take the strip off.')
    expect(words.text()).not.toContain('·')
  })

  it('take the room of all steps, and read out only their own', () => {
    const longer = { ...step, key: 'b', text: 'Rest the ruler on the point and turn it.', after: 'Keep it there.' }
    const words = mount(StepWords, {
      props: { step, all: [step, longer], number: 1, count: 2, drawn: 0, since: 0, alone: false },
    })
    const rooms = words.findAll('.room')
    expect(rooms.map((room) => room.attributes('data-text'))).toEqual([
      'Draw 3 lines to the point.',
      'Rest the ruler on the point and turn it.',
      'With: ruler\nWatch for: Too dark.',
      'With: ruler\nWatch for: Too dark.\nKeep it there.',
    ])
    expect(rooms.every((room) => room.attributes('aria-hidden') === 'true')).toBe(true)
    expect(words.text()).not.toContain('turn it')
  })
})

describe('what came up, pile by pile', () => {
  it('is said in words and numbers, the longest bar for the most', () => {
    const record = {
      piles: ['Crates', 'Lofts'],
      findings: [
        { code: 'a', title: 'Lines miss the point', counts: [4, 1] },
        { code: 'b', title: 'Uprights lean', counts: [0, 2] },
      ],
    } as unknown as ClassRecord
    const bars = mount(FindingBars, { props: { record } })
    const cells = bars.findAll('td').map((cell) => cell.text())
    expect(cells).toEqual(['4 sheets', '1 sheet', '0 sheets', '2 sheets'])
    const widths = bars.findAll('.bar').map((bar) => parseFloat((bar.element as HTMLElement).style.width))
    expect(widths).toEqual([120, 30, 0, 60])
  })

  it('stands where nothing has come up too', () => {
    const record = { piles: ['Crates'], findings: [{ code: 'a', title: 'T', counts: [0] }] } as unknown as ClassRecord
    expect(mount(FindingBars, { props: { record } }).text()).toContain('0 sheets')
  })
})

describe('the list of all steps', () => {
  const steps = Array.from({ length: 40 }, (_, i) =>
    step({ key: `Crate/${i}`, short: `Act ${i + 1}`, title: `Act ${i + 1}` }),
  )

  it('opens where the class is, and goes to the step that is chosen', async () => {
    const seen: string[] = []
    Element.prototype.scrollIntoView = vi.fn(function (this: Element) {
      seen.push(this.textContent ?? '')
    })
    const list = mount(StepList, { props: { steps, number: 33 }, attachTo: document.body })
    await list.find('button.steps').trigger('click')
    await vi.waitFor(() => expect(seen).toHaveLength(1))
    expect(seen[0]).toContain('Act 33')
    const rows = [...document.querySelectorAll<HTMLElement>('ol li button')]
    expect(rows).toHaveLength(40)
    expect(rows.filter((row) => row.getAttribute('aria-current') === 'step')).toEqual([rows[32]])
    rows[4]!.click()
    expect(list.emitted('update:number')).toEqual([[5]])
    list.unmount()
  })
})
