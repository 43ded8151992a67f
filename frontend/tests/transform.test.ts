import { describe, expect, it } from 'vitest'

import { millimetresPerPixel, toDrawing, toPage, viewBox, type Frame } from '@/sheet/transform'

const a3: Frame = { sheetWidth: 420, sheetHeight: 297, padding: { left: 10, right: 30, top: 5, bottom: 15 } }

describe('from the page to the screen and back', () => {
  it('turns y round, so that the lower left corner is at the bottom', () => {
    expect(toDrawing([0, 0], 297)).toEqual([0, 297])
    expect(toDrawing([420, 297], 297)).toEqual([420, 0])
  })

  it.each([
    [900, 600],
    [300, 900],
    [1200, 317],
  ])('finds the page place under a pixel in an element of %i x %i', (width, height) => {
    const box = viewBox(a3)
    const scale = millimetresPerPixel(box, width, height)
    for (const page of [
      [0, 0],
      [420, 297],
      [123.4, 56.7],
    ] as [number, number][]) {
      const [x, y] = toDrawing(page, a3.sheetHeight)
      const left = (width - box.width / scale) / 2
      const top = (height - box.height / scale) / 2
      const px: [number, number] = [left + (x - box.x) / scale, top + (y - box.y) / scale]
      const back = toPage(box, a3.sheetHeight, width, height, px)
      expect(back[0]).toBeCloseTo(page[0], 6)
      expect(back[1]).toBeCloseTo(page[1], 6)
    }
  })

  it('does not fail before the element has a size', () => {
    expect(millimetresPerPixel(viewBox(a3), 0, 0)).toBe(1)
  })
})
