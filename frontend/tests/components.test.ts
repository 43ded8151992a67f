import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { h } from 'vue'

import type { Picture, SentencePiece } from '@/api/types'
import SheetHandles from '@/sheet/SheetHandles.vue'
import SheetLines from '@/sheet/SheetLines.vue'
import SheetPoints from '@/sheet/SheetPoints.vue'
import SheetView from '@/sheet/SheetView.vue'
import { useExercise } from '@/stores/exercise'
import LongView from '@/views/desk/LongView.vue'
import PlaceEditor from '@/views/desk/PlaceEditor.vue'

const line = { thing: 'Crate', family: 'level', visible: true, behind: false, rests_on: '', turns_to: '', bend: [] }
const picture: Picture = {
  sheet: { width_mm: 420, height_mm: 297, units: 'mm', division_mm: 1, fold_mm: null },
  eye_level_mm: 150,
  vanishing_points: { point: [210, 150], 'point left distance': [-60, 150] },
  aims: [
    { name: 'point', at: [210, 150], kind: 'vanishing', label: 'point', reads: '' },
    { name: 'point left distance', at: [-60, 150], kind: 'aid', label: 'left distance point', reads: '' },
  ],
  strips: [{ side: 'left', aims: ['point left distance'], at: [-80, 110], width_mm: 80, height_mm: 80 }],
  points: {},
  lines: [
    { ...line, id: 0, name: 'eye level', thing: '', from: [0, 150], to: [420, 150], role: 'construction' },
    { ...line, id: 1, name: 'guide.a', from: [40, 30], to: [210, 150], role: 'guide', rests_on: 'point' },
    { ...line, id: 2, name: 'front.top', from: [40, 90], to: [120, 90], role: 'edge' },
    { ...line, id: 3, name: 'back.top', from: [50, 95], to: [110, 95], role: 'edge', visible: false },
    { ...line, id: 4, name: 'back.left', from: [50, 40], to: [50, 95], role: 'edge', behind: true },
  ],
  faces: [],
  handles: [
    {
      id: 'things.0.place',
      at: [40, 30],
      says: 'Move the box: Crate',
      reads: '40 mm from the left, 30 mm up',
      about: 'things.0',
      shape: 'place',
    },
  ],
  measures: [],
}

function onSheet(part: object, props: object = {}): ReturnType<typeof mount> {
  return mount(SheetView, { props: { picture, label: 'Sheet' }, slots: { default: () => h(part as never, props) } })
}

beforeEach(() => setActivePinia(createPinia()))

describe('the lines of a sheet', () => {
  it('shows the finished sheet: seen edges dark, the back of see-through things thin, hidden ones not at all', () => {
    const looks = onSheet(SheetLines)
      .findAll('.lines path')
      .map((l) => l.classes()[0])
    expect(looks.sort()).toEqual(['behind', 'dark', 'guide'])
  })

  it('draws a curve through all its places', () => {
    const curve = {
      ...line,
      id: 0,
      name: 'front.curve.2',
      from: [40, 90] as const,
      to: [60, 90] as const,
      bend: [[50, 97]],
    }
    const bent = { ...picture, lines: [{ ...curve, role: 'edge' }] } as unknown as Picture
    const sheet = mount(SheetView, {
      props: { picture: bent, label: 'Sheet' },
      slots: { default: () => h(SheetLines) },
    })
    expect(sheet.find('.lines path').attributes('d')).toBe('M40 207L50 200L60 207')
  })

  it('touches only the paths of a thing that moves, and draws dark lines over all others', async () => {
    const seen = (id: number, thing: string, y: number, role = 'edge') => {
      return { ...line, id, name: `front.${id}`, thing, from: [40, y] as const, to: [60, y] as const, role }
    }
    const before = [seen(1, 'Crate', 10), seen(2, 'Chest', 20, 'guide'), seen(3, 'Chest', 30), seen(4, 'Crate', 40)]
    const drawn = (lines: unknown[]) => ({ ...picture, lines }) as unknown as Picture
    const sheet = mount(SheetView, {
      props: { picture: drawn(before), label: 'Sheet' },
      slots: { default: () => h(SheetLines) },
    })
    const paths = () => sheet.findAll('.lines path').map((path) => path.element)
    const [guide, crate, chest] = paths()
    expect(paths().map((path) => path.getAttribute('class'))).toEqual(['guide', 'dark', 'dark'])
    expect(crate!.getAttribute('d')).toBe('M40 287L60 287M40 257L60 257')
    const touched: Node[] = []
    const watcher = new MutationObserver((records) => touched.push(...records.map((record) => record.target)))
    watcher.observe(sheet.element, { subtree: true, attributes: true, childList: true })
    await sheet.setProps({ picture: drawn([...before.slice(0, 2), seen(3, 'Chest', 33), before[3]!]) })
    await flushPromises()
    watcher.disconnect()
    expect(paths()).toEqual([guide, crate, chest])
    expect(touched).toEqual([chest])
    expect(chest!.getAttribute('d')).toBe('M40 264L60 264')
  })

  it('shows after a step just what is on the paper, turned the right way up', () => {
    const stage = { light: new Set([0, 1]), dark: new Set([2]), fresh: new Set([1]), marks: [], toned: false }
    const lines = onSheet(SheetLines, { stage }).findAll('.lines path')
    expect(lines.map((l) => l.classes()[0]).sort()).toEqual(['dark', 'guide', 'level'])
    expect(lines.find((l) => l.classes().includes('dark'))?.attributes()).toMatchObject({
      d: 'M40 207L120 207',
    })
  })
})

describe('a handle', () => {
  it('is moved by the arrow keys by one division of the ruler, ten with shift', async () => {
    const drags: unknown[][] = []
    const sheet = onSheet(SheetHandles, { onDrag: (...told: unknown[]) => drags.push(told) })
    const handle = sheet.find('[aria-label="Move the box: Crate"]')
    await handle.trigger('keydown', { key: 'ArrowUp' })
    await handle.trigger('keydown', { key: 'ArrowLeft', shiftKey: true })
    await handle.trigger('keydown', { key: 'a' })
    expect(drags).toEqual([
      ['things.0.place', [40, 31], true],
      ['things.0.place', [30, 30], true],
    ])
  })
})

describe('the long view', () => {
  it('shows the sheet and beyond it the strip that a far point needs', () => {
    const view = mount(LongView, { props: { picture } })
    expect(view.findAll('.strip')).toHaveLength(1)
    expect(view.text()).toContain('left distance point')
  })

  it('shows a point that lies over the eye level at its place along it, with how far off it is', () => {
    const slope = {
      name: 'Roof.slope_above',
      at: [-60, 320] as [number, number],
      kind: 'vanishing' as const,
      label: 'upper slope point',
      reads: '170 mm above',
    }
    const view = mount(LongView, { props: { picture: { ...picture, aims: [slope, ...picture.aims] } } })
    expect(view.text()).toContain('upper slope point, 170 mm above')
    expect(view.findAll('.off')).toHaveLength(1)
    expect(view.findAll('.centre')).toHaveLength(1)
  })
})

describe('points and the paper taped on for them', () => {
  const known = (...names: string[]) => new Set(names)

  it('are all there where no step is shown', () => {
    const sheet = onSheet(SheetPoints)
    expect(sheet.findAll('.strip')).toHaveLength(1)
    expect(sheet.findAll('.points > *')).toHaveLength(2)
  })

  it('come only with the step that marks them', () => {
    const before = mount(SheetView, {
      props: { picture, label: 'Sheet', points: known('point') },
      slots: { default: () => h(SheetPoints, { only: known('point') }) },
    })
    expect(before.findAll('.strip')).toHaveLength(0)
    expect(before.findAll('.points > *').map((p) => p.classes())).toEqual([['vanishing']])
    const after = mount(SheetView, { props: { picture, label: 'Sheet', points: known('point left distance') } })
    expect(after.findAll('.strip')).toHaveLength(1)
  })

  it('show marks of earlier steps beside new ones, and none that the drawing does not know', () => {
    const marked = { ...picture, points: { foot: [10, 20], top: [10, 60] } as typeof picture.points }
    const sheet = mount(SheetView, {
      props: { picture: marked, label: 'Sheet' },
      slots: { default: () => h(SheetPoints, { marks: ['top', 'elsewhere'], takenUp: ['foot', 'nowhere'] }) },
    })
    expect(sheet.findAll('circle.mark')).toHaveLength(1)
    expect(sheet.findAll('circle.old')).toHaveLength(1)
    const [old, fresh] = ['.old', '.mark'].map((name) => Number(sheet.get(name).attributes('r')))
    expect(old!).toBeLessThan(fresh!)
  })

  it('have two strips on one side where they lie far apart, and the sheet is as wide as the longer one asks', () => {
    const [strip] = picture.strips
    const far = { ...strip!, aims: ['slope'], at: [-120, 300] as [number, number], width_mm: 120 }
    const two = { ...picture, strips: [far, strip!] }
    const sheet = mount(SheetView, { props: { picture: two, label: 'Sheet', reach: true, padding: 0 } })
    expect(sheet.findAll('.strip')).toHaveLength(2)
    expect(sheet.find('svg').attributes('viewBox')?.split(' ').map(Number)[0]).toBe(-120)
  })
})

describe('a place in a sentence', () => {
  const piece: SentencePiece = {
    text: '62 mm',
    path: 'things.0.width',
    kind: 'length',
    value: 62,
    options: [],
    says: 'the width',
    hint: '',
  }

  it('is typed where it stands, Enter keeps it and Escape does not', async () => {
    const act = vi.spyOn(useExercise(), 'act').mockResolvedValue(true)
    const place = mount(PlaceEditor, { props: { piece, bad: false } })
    await place.find('button').trigger('click')
    await place.find('input').setValue('6.5 cm')
    await place.find('input').trigger('keydown', { key: 'Enter' })
    expect(act).toHaveBeenCalledWith({ op: 'type', path: 'things.0.width', text: '6.5 cm' })
    await place.find('button').trigger('click')
    await place.find('input').setValue('9 cm')
    await place.find('input').trigger('keydown', { key: 'Escape' })
    expect(act).toHaveBeenCalledTimes(1)
  })

  it('keeps what was typed when it is refused, and does not ask again when the field is left', async () => {
    const act = vi.spyOn(useExercise(), 'act').mockResolvedValue(false)
    const place = mount(PlaceEditor, { props: { piece, bad: true, thing: 'Crate' } })
    expect(place.find('button').attributes('aria-label')).toBe('Crate, the width: 62 mm')
    await place.find('button').trigger('click')
    await place.find('input').setValue('6 furlongs')
    await place.find('input').trigger('keydown', { key: 'Enter' })
    await flushPromises()
    expect(place.find('input').element.value).toBe('6 furlongs')
    expect(place.find('input').attributes('aria-invalid')).toBe('true')
    await place.find('input').trigger('blur')
    expect(act).toHaveBeenCalledTimes(1)
    await place.setProps({ piece: { ...piece, value: 70, text: '70 mm' } })
    expect(place.find('button').text()).toBe('70 mm')
  })

  it('goes by one mark of an inch ruler without a tail of digits', async () => {
    const exercise = useExercise()
    exercise.drawing = { sheet: { division_mm: 1.5875 }, sentences: [] } as never
    const act = vi.spyOn(exercise, 'act').mockResolvedValue(true)
    const place = mount(PlaceEditor, { props: { piece: { ...piece, value: 103.1875, text: '4 1/16 in' }, bad: false } })
    await place.find('button').trigger('click')
    await place.find('input').trigger('keydown', { key: 'ArrowUp' })
    expect(act).toHaveBeenCalledWith({ op: 'type', path: 'things.0.width', text: '104.775 mm' })
  })
})
