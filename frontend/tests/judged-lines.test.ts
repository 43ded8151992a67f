import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { h } from 'vue'

import type { Finding, Picture, SheetAnswer } from '@/api/types'
import SheetView from '@/sheet/SheetView.vue'
import JudgedLines from '@/views/check/JudgedLines.vue'

const PICTURE = {
  sheet: { width_mm: 420, height_mm: 297, units: 'mm', folds_mm: [] },
  eye_level_mm: 150,
  vanishing_points: { point: [210, 150] },
  points: [],
  lines: [
    { id: 7, thing: 'Crate', name: 'back.top', from: [60, 90], to: [110, 90], role: 'edge', visible: true, bend: [] },
  ],
  faces: [],
  strips: [],
  handles: [],
} as unknown as Picture

const LINE = { matched: 'Crate.depth.a', family: 'point', miss_mm: 9, allowed_mm: 2, aims_at: '' }
const RIM: [number, number][] = [
  [200, 60],
  [220, 70],
  [240, 60],
  [220, 50],
  [200, 60],
]

function sheetWith(more: object = {}, findings: object[] = []): SheetAnswer {
  const curve = { name: 'Tub.rim', verdict: 'off', fault: 'round', runs: [RIM] }
  return {
    meant: [],
    meant_curves: [],
    checked: {
      lines: [{ ...LINE, from: [40, 50], to: [90, 75], verdict: 'off' }],
      curves: [curve, { ...curve, name: 'Tub.base', verdict: 'missing', fault: '' }],
      missing: ['Crate.back.top'],
      findings,
      vanishing_points: {},
    },
    ...more,
  } as unknown as SheetAnswer
}

const ON_LINE = { code: 'no_point', about: 'Crate.depth.a', severity: 3, lines: [0], curve: '' } as unknown as Finding
const ON_RIM = { code: 'curve_round', about: 'Tub.rim', severity: 2, lines: [], curve: 'Tub.rim' } as unknown as Finding

let view: ReturnType<typeof mount>
afterEach(() => view.unmount())

function shown(sheet: SheetAnswer, pointed: Finding | null = null): void {
  view = mount(SheetView, {
    props: { picture: PICTURE, label: 'Sheet of Tern 1' },
    slots: { default: () => h(JudgedLines, { sheet, pointed }) },
  })
}
const curves = (): string[] => view.findAll('.judged polyline').map((one) => one.classes().join(' '))
const numbers = (): string[] => view.findAll('.judged .number text').map((one) => one.text())

describe('the verdicts over a sheet', () => {
  it('show a curve that is off as it was drawn, and a missing one as it should be', () => {
    shown(sheetWith())
    expect(curves()).toEqual(['off', 'missing'])
    const points = view.find('.judged polyline').attributes('points')!.split(' ')
    expect(points).toHaveLength(RIM.length)
    expect(points[0], 'the page counts up from below, the picture down from above').toBe('200,237')
  })

  it('show where a line that is off aims, and where it should', () => {
    shown(sheetWith())
    const should = view.find('.judged line.should').attributes()
    expect([Number(should.x2), Number(should.y2)]).toEqual([210, 147])
    expect(view.findAll('.judged line.aim')).toHaveLength(1)
    expect(view.findAll('.judged line.missing')).toHaveLength(1)
  })

  it('carry the number of each finding, on its line or its curve', () => {
    shown(sheetWith({}, [ON_LINE, ON_RIM]))
    expect(numbers()).toEqual(['1', '2'])
    const marks = view.findAll('.judged .number circle').map((one) => [one.attributes('cx'), one.attributes('cy')])
    expect(marks[1], 'in the middle of its way round').toEqual(['240', '237'])
  })

  it('make the line or the curve of the finding under the pointer thick', () => {
    shown(sheetWith({}, [ON_LINE, ON_RIM]), ON_RIM)
    expect(view.findAll('.judged polyline.pointed')).toHaveLength(1)
    expect(view.findAll('.judged line.pointed')).toHaveLength(0)
    view.unmount()
    shown(sheetWith({}, [ON_LINE, ON_RIM]), ON_LINE)
    expect(view.findAll('.judged polyline.pointed')).toHaveLength(0)
    expect(view.findAll('.judged line.pointed')).toHaveLength(1)
  })

  it('draw what was meant so without blame and without a number', () => {
    shown(sheetWith({ meant: [0], meant_curves: ['Tub.rim'] }, [ON_LINE, ON_RIM]))
    expect(curves()).toEqual(['meant', 'missing'])
    expect(view.find('.judged line.meant').exists()).toBe(true)
    expect(numbers()).toEqual([])
    expect(view.findAll('.judged line.aim')).toHaveLength(0)
  })
})
