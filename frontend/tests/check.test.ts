import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'

import type { Picture, SheetAnswer } from '@/api/types'
import CornerPlacer from '@/views/check/CornerPlacer.vue'
import FindingList from '@/views/check/FindingList.vue'
import PointsApart from '@/views/check/PointsApart.vue'

import { application, askedOf, type Asked } from './application'
import { shown } from './shown'

const SHEET = {
  id: 5,
  student_id: 3,
  alias: 'Tern 3',
  state: 'read',
  note: 'Look at the line.',
  own_note: false,
  remark: '',
  home: 7,
  judged: 9,
  meant: [],
  meant_curves: [],
  decisions: {},
  corners: [],
  checked: {
    findings: [
      { code: 'no_point', about: 'Crate.depth.a', title: 'A line goes to no point', text: 'It misses.', severity: 3, lines: [4], curve: '' },
      { code: 'missing', about: 'Crate.back.top', title: 'A line is missing', text: 'At the back.', severity: 2, lines: [], curve: '' },
      { code: 'short', about: '', title: 'Too short to tell', text: '2 lines.', severity: 0, lines: [], curve: '' },
    ],
  },
} as unknown as SheetAnswer // prettier-ignore

function key(name: string, more: KeyboardEventInit = {}, at: Element = document.body): KeyboardEvent {
  const event = new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more })
  at.dispatchEvent(event)
  return event
}

let view: VueWrapper

describe('the findings of a sheet', () => {
  let asked: Asked[]
  const changed = vi.fn()
  const kept = vi.fn()

  function open(sheet: SheetAnswer = SHEET): void {
    asked = application({
      'POST /api/sheets/5/decide': sheet,
      'PUT /api/sheets/5/note': (body: Record<string, unknown>) => ({ ...sheet, note: body.note ?? 'suggested' }),
      'PUT /api/sheets/5/student': sheet,
      'POST /api/sheets/5/keep': sheet,
    })
    changed.mockReset()
    kept.mockReset()
    const students = [{ id: 3, alias: 'Tern 3' }]
    view = shown(FindingList, { sheet, students, onChanged: changed, onKept: kept })
  }

  const articles = (): HTMLElement[] => view.findAll('article').map((one) => one.element as HTMLElement)
  const decided = (): unknown[] => askedOf(asked, 'POST /api/sheets/5/decide')

  it('are gone through by N, and back by Shift N, round and round', () => {
    open()
    key('n')
    expect(document.activeElement).toBe(articles()[0])
    key('n')
    expect(document.activeElement).toBe(articles()[1])
    key('N')
    key('N')
    expect(document.activeElement).toBe(articles()[2])
  })

  it('are agreed to, meant or no line at all by one key, where there is something to decide', async () => {
    open()
    key('a')
    await flushPromises()
    expect(decided(), 'nothing is decided on no finding').toEqual([])
    key('n')
    key('a')
    await flushPromises()
    key('x')
    await flushPromises()
    expect(decided()).toEqual([
      { key: 'no_point:Crate.depth.a', decision: 'agreed' },
      { key: 'no_point:Crate.depth.a', decision: 'not_line' },
    ])
    key('n')
    key('x')
    key('n')
    key('m')
    await flushPromises()
    expect(decided(), 'a missing line is no line that is none, and what is only said is not decided on').toHaveLength(2)
  })

  it('are open again when the same is decided twice', async () => {
    open({ ...SHEET, decisions: { 'no_point:Crate.depth.a': 'meant' } } as SheetAnswer)
    key('n')
    key('m')
    await flushPromises()
    expect(decided()).toEqual([{ key: 'no_point:Crate.depth.a', decision: 'open' }])
  })

  it('leave what the teacher types alone: keys in a text are letters, and the text is kept before a decision', async () => {
    open()
    const [note] = view.findAll('textarea')
    await note!.setValue('Well seen, Tern 3.')
    const typed = key('m', {}, note!.element)
    expect(typed.defaultPrevented).toBe(false)
    expect(decided()).toEqual([])
    key('n')
    key('a')
    await flushPromises()
    expect(asked.map((one) => one.what)).toEqual(['PUT /api/sheets/5/note', 'POST /api/sheets/5/decide'])
    expect(asked[0]!.body).toEqual({ note: 'Well seen, Tern 3.' })
  })

  it('are kept by Enter, in a text by Ctrl Enter; a link keeps its own Enter', async () => {
    open()
    const link = document.createElement('a')
    link.href = '#'
    document.body.append(link)
    expect(key('Enter', {}, link).defaultPrevented).toBe(false)
    const [note] = view.findAll('textarea')
    key('Enter', {}, note!.element)
    await flushPromises()
    expect(kept).not.toHaveBeenCalled()
    key('Enter', { ctrlKey: true }, note!.element)
    await flushPromises()
    expect(kept).toHaveBeenCalledTimes(1)
    key('Enter')
    await flushPromises()
    expect(kept).toHaveBeenCalledTimes(2)
    expect(askedOf(asked, 'POST /api/sheets/5/keep')).toEqual(Array(2).fill({ note: 'Look at the line.', remark: '' }))
  })

  it('say what is home, and that what was meant otherwise is not counted', () => {
    open({ ...SHEET, meant: [4] } as SheetAnswer)
    expect(view.find('.home').text()).toBe('7 of 9 lines home; what was meant otherwise is not counted.')
  })
})

describe('corners placed by hand', () => {
  const placed = vi.fn()

  async function place(corners: number[][]): Promise<Asked[]> {
    const asked = application({ 'POST /api/sheets/5/corners': SHEET })
    placed.mockReset()
    view = shown(CornerPlacer, { sheet: { ...SHEET, corners }, onPlaced: placed })
    const image = view.find('img')
    Object.defineProperties(image.element, { naturalWidth: { value: 1000 }, naturalHeight: { value: 800 } })
    await image.trigger('load')
    return asked
  }

  const told = (): (string | undefined)[] =>
    view.findAll('[role=slider]').map((one) => one.attributes('aria-valuetext'))

  it('begin where the sheet was found, or a tenth in from the edges where it was not', async () => {
    await place([[90, 700], [910, 720], [900, 60], [80, 70]]) // prettier-ignore
    expect(told()).toEqual(['90, 700', '910, 720', '900, 60', '80, 70'])
    view.unmount()
    await place([])
    expect(told()).toEqual(['100, 720', '900, 720', '900, 80', '100, 80'])
  })

  it('are moved by the arrow keys, by more with Shift, and never off the photo', async () => {
    const asked = await place([])
    const [first] = view.findAll('[role=slider]')
    await first!.trigger('keydown', { key: 'ArrowLeft' })
    await first!.trigger('keydown', { key: 'ArrowDown', shiftKey: true })
    expect(told()[0]).toBe('96, 760')
    for (let i = 0; i < 5; i++) await first!.trigger('keydown', { key: 'ArrowDown', shiftKey: true })
    expect(told()[0]).toBe('96, 800')
    await view
      .findAll('button')
      .find((b) => b.text() === 'Read it with these corners')!
      .trigger('click')
    await flushPromises()
    const [body] = askedOf(asked, 'POST /api/sheets/5/corners')
    expect((body!.corners as number[][])[0]).toEqual([96, 800])
    expect(placed.mock.calls[0]![0].state).toBe('queued')
  })
})

describe('the same drawing with its points farther apart', () => {
  const picture = {
    sheet: { width_mm: 420, height_mm: 297, units: 'mm', division_mm: 1, fold_mm: null },
    eye_level_mm: 150,
    aims: [],
    strips: [],
    lines: [],
    faces: [],
    handles: [],
    measures: [],
  } as unknown as Picture
  const sheet = { ...SHEET, checked: { ...SHEET.checked, lines: [], missing: [] } } as unknown as SheetAnswer
  const button = (text: string): HTMLElement =>
    [...document.querySelectorAll<HTMLElement>('button')].find((one) => one.textContent?.trim() === text)!
  const changed = vi.fn()

  async function look(answer: unknown): Promise<Asked[]> {
    const asked = application({
      'GET /api/sheets/5/points_apart': answer,
      'PUT /api/sheets/5/note': (body: Record<string, unknown>) => ({ ...sheet, note: body.note, own_note: true }),
    })
    changed.mockReset()
    view = shown(PointsApart, { sheet, picture, onChanged: changed })
    button('Points apart').click()
    await flushPromises()
    return asked
  }

  it('stands under the sheet of the student, and is said in the note only when the teacher says so', async () => {
    const asked = await look({ picture, says: 'Put the points farther apart next time.' })
    const captions = [...document.querySelectorAll('figcaption')].map((one) => one.textContent)
    expect(captions).toEqual(['Tern 3', 'Half as far again apart'])
    expect(askedOf(asked, 'PUT /api/sheets/5/note')).toEqual([])
    button('Say it in the note').click()
    await flushPromises()
    expect(askedOf(asked, 'PUT /api/sheets/5/note')).toEqual([
      { note: 'Look at the line.\nPut the points farther apart next time.' },
    ])
    expect(changed).toHaveBeenCalledOnce()
    expect(button('Say it in the note').closest('button')?.disabled).toBe(true)
    button('Close').click()
    await flushPromises()
    expect(document.querySelectorAll('[role="dialog"] figure')).toHaveLength(0)
  })
})
