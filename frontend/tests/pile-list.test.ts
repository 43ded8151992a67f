import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { NProgress } from 'naive-ui'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import type { PileAnswer } from '@/api/types'
import PileList from '@/views/check/PileList.vue'

type Sheet = PileAnswer['sheets'][number]

let view: VueWrapper
beforeEach(() => {
  Element.prototype.scrollIntoView = vi.fn()
})
afterEach(() => {
  view.unmount()
  document.body.innerHTML = ''
})

const sheet = (id: number, state: string, more: Partial<Sheet> = {}): Sheet =>
  ({ id, state, alias: `Tern ${id}`, file_name: `photo ${id}.jpg`, headline: `${id} to look at`, ...more }) as Sheet

function open(sheets: Sheet[], chosen = 0): void {
  const pile = { id: 6, sheets } as PileAnswer
  view = mount(PileList, { props: { pile, chosen }, attachTo: document.body })
}

const says = (): string => view.text().replace(/\s+/g, ' ')
const rows = (): string[] => view.findAll('li').map((row) => row.text().replace(/\s+/g, ' '))
const press = (text: string): Promise<void> =>
  view
    .findAll('button')
    .find((one) => one.text() === text)!
    .trigger('click')

describe('the pile', () => {
  it('says what to do with an empty one', () => {
    open([])
    expect(says()).toContain('Photograph or scan the sheets and put them here')
    expect(says()).not.toContain('Who needs help first')
    expect(view.findAll('li')).toHaveLength(0)
  })

  it('offers to read what is not read, also what could not be read before', async () => {
    open([sheet(1, 'waiting'), sheet(2, 'failed', { headline: 'no sheet is seen on it' }), sheet(3, 'judged')])
    await press('Read 2 sheets')
    expect(view.emitted('read')).toHaveLength(1)
    await view.setProps({ pile: { id: 6, sheets: [sheet(1, 'waiting')] } as PileAnswer })
    expect(says()).toContain('Read 1 sheet')
  })

  it('says how far the reading is, and lets it be stopped', async () => {
    open([sheet(1, 'judged'), sheet(2, 'reading'), sheet(3, 'queued'), sheet(4, 'waiting'), sheet(5, 'kept')])
    expect(says()).toContain('2 of 5 read')
    expect(view.findComponent(NProgress).props('percentage')).toBe(40)
    expect(says()).not.toContain('Read 1 sheet')
    await press('Stop')
    expect(view.emitted('stop')).toHaveLength(1)
  })

  it('keeps the order of the application and says of each how it stands', async () => {
    open([sheet(7, 'judged'), sheet(2, 'queued'), sheet(4, 'kept'), sheet(9, 'waiting', { alias: '' })], 4)
    expect(rows()).toEqual([
      'Tern 77 to look at',
      'Tern 2waits to be read',
      'Tern 44 to look at · kept',
      'photo 9.jpgnot yet read',
    ])
    const current = view.findAll('li button').filter((one) => one.attributes('aria-current') === 'true')
    expect(current.map((one) => one.text())).toEqual([expect.stringContaining('Tern 4')])
    await view.findAll('li button')[0]!.trigger('click')
    expect(view.emitted('open')).toEqual([[7]])
  })

  it('brings the sheet into sight that is looked at', async () => {
    open([sheet(1, 'judged'), sheet(2, 'judged')], 1)
    await view.setProps({ chosen: 2 })
    await flushPromises()
    const seen = vi.mocked(Element.prototype.scrollIntoView).mock.contexts as Element[]
    expect(seen.at(-1)?.textContent).toContain('Tern 2')
  })

  it('prints notes only of what is kept', async () => {
    open([sheet(1, 'judged')])
    expect(view.find('a.notes').exists()).toBe(false)
    await view.setProps({ pile: { id: 6, sheets: [sheet(1, 'kept'), sheet(2, 'kept')] } as PileAnswer })
    expect(view.find('a.notes').text()).toBe('Print the notes (2)')
    expect(view.find('a.notes').attributes('href')).toBe('/api/piles/6/notes.pdf')
  })

  it('is removed only after it has been asked again', async () => {
    open([sheet(1, 'judged'), sheet(2, 'kept')])
    await press('Remove this pile')
    await flushPromises()
    expect(view.emitted('remove')).toBeUndefined()
    expect(document.body.textContent).toContain('It goes with all 2 sheets')
    const sure = [...document.querySelectorAll('button')].find((one) => one.textContent?.trim() === 'Remove it all')!
    sure.click()
    await flushPromises()
    expect(view.emitted('remove')).toHaveLength(1)
  })
})
