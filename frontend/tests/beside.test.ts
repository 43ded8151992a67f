import { describe, expect, it } from 'vitest'

import type { Beyond, Dimension } from '@/api/types'
import { measurePx, placedBeyond, placedDimension } from '@/sheet/beside'
import { partBox, toDrawing, type ViewBox } from '@/sheet/transform'

const HEIGHT = 300
const at = (place: [number, number]) => toDrawing(place, HEIGHT)
const box: ViewBox = { x: 0, y: 0, width: 400, height: 300 }

describe('a measure beside what it measures', () => {
  const level: Dimension = { from: [20, 50], to: [120, 50], out: [0, 1], at: 0.5, row: 0, away: null, text: '100 mm' }
  const upright: Dimension = { from: [80, 50], to: [80, 90], out: [-1, 0], at: 0.5, row: 0, away: null, text: '40 mm' }

  it('stands over a level length, in its middle, on the outer side', () => {
    const text = placedDimension(level, at, box, 0.5, 16)
    expect(text.anchor).toBe('middle')
    expect(text.x).toBe(70)
    expect(text.y).toBeLessThan(at([0, 50])[1])
    const under = placedDimension({ ...level, out: [0, -1] }, at, box, 0.5, 16)
    expect(under.y - under.size * 0.75).toBeGreaterThan(at([0, 50])[1])
  })

  it('stands beside the share of its length that it is given, beyond an end too', () => {
    expect(placedDimension({ ...level, at: 0.3 }, at, box, 0.5, 16).x).toBeCloseTo(50)
    expect(placedDimension({ ...level, at: 1.4 }, at, box, 0.5, 16).x).toBeCloseTo(160)
    const [middle, low] = [0.5, 0.1].map((share) => placedDimension({ ...upright, at: share }, at, box, 0.5, 16).y)
    expect(low! - middle!).toBeCloseTo(16)
  })

  it('stands rows further out, with lines that lead there from the ends of what is measured', () => {
    const [near, far] = [0, 2].map((row) => placedDimension({ ...level, row }, at, box, 0.5, 16))
    expect(near!.y - far!.y).toBeCloseTo(2 * 1.3 * 8)
    const [, foot, , top] = far!.d.match(/M(20 [\d.]+)L(20 [\d.]+)M(120 [\d.]+)L/)!
    expect(Number(foot!.split(' ')[1])).toBeCloseTo(at([20, 50])[1] - 0.2 * 8)
    expect(top).toBe(`120 ${foot!.split(' ')[1]}`)
  })

  it('has its line go on under it where it stands beyond an end', () => {
    const wide = '100 mm'.length * 0.6 * 8
    const [, , to] = placedDimension({ ...level, at: 1.4 }, at, box, 0.5, 16).d.match(/^M(\S+) \S+L(\S+) /)!
    expect(Number(to)).toBeCloseTo(20 + 1.4 * 100 + wide / 2)
    const [, from] = placedDimension({ ...level, at: -0.4 }, at, box, 0.5, 16).d.match(/^M(\S+) /)!
    expect(Number(from)).toBeCloseTo(20 - 40 - wide / 2)
  })

  it('has a line that leads to it from the middle of its length where it stands away from that', () => {
    const text = placedDimension({ ...level, away: [5, 3] }, at, box, 0.5, 16)
    const middle = [70, at([0, 50])[1] - 0.64 * 8]
    expect([text.anchor, text.x]).toEqual(['middle', 70 + 5 * 8])
    expect(text.y - 0.375 * 8).toBeCloseTo(middle[1]! - 3 * 8)
    const [, from, x, y] = text.d.match(/M([\d.]+ [\d.]+)L([\d.]+) ([\d.]+)$/)!
    expect(from).toBe(middle.join(' '))
    // It ends a little outside the corner of the text that is nearest.
    expect(Number(x)).toBeCloseTo(text.x - ('100 mm'.length * 0.6 * 8) / 2 - 0.12 * 8)
    expect(Number(y)).toBeCloseTo(text.y + 0.12 * 8)
  })

  it('ends at the left of an upright one', () => {
    const text = placedDimension(upright, at, box, 0.5, 16)
    expect(text.anchor).toBe('end')
    expect(text.x).toBeLessThan(80)
  })

  it('is as tall for the picture as the core has placed it, but on a small screen it can be read', () => {
    expect(measurePx(360, 0.4)).toBeCloseTo(25)
    expect(measurePx(90, 0.1)).toBeCloseTo(25)
    expect(measurePx(360, 1)).toBe(12)
  })

  it('keeps its size on the screen however much is enlarged', () => {
    const near = placedDimension(level, at, box, 0.1, 16)
    const far = placedDimension(level, at, box, 0.8, 16)
    expect(near.size / 0.1).toBeCloseTo(far.size / 0.8)
  })

  it('changes sides where it would stand over the rim of the picture', () => {
    const high: Dimension = {
      from: [20, 296],
      to: [120, 296],
      out: [0, 1],
      at: 0.5,
      row: 0,
      away: null,
      text: '100 mm',
    }
    expect(placedDimension(high, at, box, 0.5, 16).y).toBeGreaterThan(at([0, 296])[1])
    const aside: Dimension = { from: [4, 50], to: [4, 90], out: [-1, 0], at: 0.5, row: 0, away: null, text: '40 mm' }
    expect(placedDimension(aside, at, box, 0.5, 16).anchor).toBe('start')
  })

  it('draws the length as long as it is', () => {
    const [, x1, y1, x2, y2] = placedDimension(upright, at, box, 0.5, 16)
      .d.match(/^M(\S+) (\S+)L(\S+?) (\S+?)M/)!
      .map(Number)
    expect(Math.hypot(x2! - x1!, y2! - y1!)).toBeCloseTo(40)
  })
})

describe('an arrow to a point beyond the picture', () => {
  const right: Beyond = {
    at: [400, 120],
    way: [1, 0],
    side: 'right',
    text: 'to the right point',
    past: '90 mm past the edge',
  }

  it('has its tip on the rim, and its words within the picture', () => {
    const arrow = placedBeyond(right, at, box, 0.5, 16)
    expect(arrow.d.startsWith(`M400 ${HEIGHT - 120}L`)).toBe(true)
    expect(arrow.anchor).toBe('end')
    expect(arrow.x).toBeLessThan(400)
    expect(arrow.rows).toEqual(['to the right point', '90 mm past the edge'])
    expect(placedBeyond({ ...right, past: '' }, at, box, 0.5, 16).rows).toEqual(['to the right point'])
  })

  it('writes over lines that come from below, and under those that come from above', () => {
    const rim = HEIGHT - 120
    const rising = placedBeyond({ ...right, way: [0.9, 0.1] }, at, box, 0.5, 16)
    const falling = placedBeyond({ ...right, way: [0.9, -0.1] }, at, box, 0.5, 16)
    expect(rising.y).toBeLessThan(rim)
    expect(falling.y).toBeGreaterThan(rim)
  })

  it('keeps its words in the picture at a corner of it', () => {
    const high = placedBeyond({ ...right, at: [400, 299], way: [0.7, 0.7], side: 'top' }, at, box, 0.5, 16)
    expect(high.y - high.size).toBeGreaterThan(0)
    const left = placedBeyond({ ...right, at: [0, 2], way: [-0.7, -0.7], side: 'left' }, at, box, 0.5, 16)
    expect(left.anchor).toBe('start')
    expect(left.y).toBeLessThan(HEIGHT)
  })
})

it('shows a part of the page with y turned down', () => {
  expect(partBox([10, 20, 110, 95], HEIGHT)).toEqual({ x: 10, y: 205, width: 100, height: 75 })
})
