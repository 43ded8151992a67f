import { describe, expect, it } from 'vitest'

import { ASIDE, placed, type Label, type Named } from '@/views/desk/railLabels'

const WIDTH = 640

function boxOf(point: Named, label: Label): { row: string; from: number; to: number } {
  const long = point.label.length * 5
  const from = label.side === 'right' ? point.x + ASIDE : point.x - ASIDE - long
  return { row: label.row, from, to: from + long }
}

function overlaps(points: Named[]): string[] {
  const boxes = placed(points, WIDTH).map((label, i) => ({ ...boxOf(points[i]!, label), name: points[i]!.label }))
  return boxes.flatMap((one, i) =>
    boxes
      .slice(i + 1)
      .filter((other) => one.row === other.row && one.from < other.to && other.from < one.to)
      .map((other) => `${one.name} / ${other.name}`),
  )
}

const on = (x: number, label: string): Named => ({ x, label, isOff: false })
const off = (x: number, label: string): Named => ({ x, label, isOff: true })

describe('names of points along the eye level', () => {
  it('stand to the right over the line where there is room', () => {
    expect(placed([on(100, 'left point'), on(400, 'right point')], WIDTH)).toEqual([
      { row: 'upper', side: 'right' },
      { row: 'upper', side: 'right' },
    ])
  })

  it('stand to the left at the right end, and not beyond it', () => {
    expect(placed([on(600, 'right vanishing point')], WIDTH)).toEqual([{ row: 'upper', side: 'left' }])
  })

  it('leave the lower row to points that lie off the line', () => {
    const labels = placed([off(300, 'light point, 78 mm above'), on(300, 'shadow point')], WIDTH)
    expect(labels.map((label) => label.row)).toEqual(['lower', 'upper'])
  })

  it.each([
    ['a sun close to the point', [on(260, 'point'), on(220, 'shadow point'), off(220, 'light point, 78 mm above')]],
    [
      'a third point between two others',
      [on(40, 'left point'), on(600, 'right point'), off(320, 'third point, 400 mm below')],
    ],
    [
      'four points within a hand',
      [on(200, 'left point'), on(230, 'measuring point'), on(260, 'right point'), off(240, 'slope point, 90 mm above')],
    ],
    [
      'one that makes room for a point at the right end',
      [on(30, 'left point'), on(480, 'shadow point'), on(603, 'right point'), off(480, 'light point, 96 mm below')],
    ],
    [
      'a sun so near to the right end that no name has room beside the other',
      [on(44, 'left point'), on(556, 'shadow point'), on(596, 'right point'), off(556, 'light point, 90 mm below')],
    ],
    [
      'two off the line at one place',
      [off(300, 'upper slope point, 90 mm above'), off(300, 'lower slope point, 40 mm below')],
    ],
  ])('do not lie over each other: %s', (_, points) => {
    expect(overlaps(points)).toEqual([])
  })

  it('keep the order in which the points came', () => {
    const points = [on(10, 'a'), off(20, 'b'), on(30, 'c')]
    expect(placed(points, WIDTH)).toHaveLength(3)
    expect(placed(points, WIDTH)[1]!.row).toBe('lower')
  })
})
