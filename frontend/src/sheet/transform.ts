/**
 * From page millimetres (origin lower left, y up) to the units of the drawing on the screen (y down).
 *
 * The drawing's view box is counted in millimetres too, so that the only change is the turn of y; what must
 * keep its size on the screen (handles, labels) is scaled by millimetres per pixel.
 */
import type { Box, Place } from '@/api/types'

/** What an element shows, in the units of the drawing. */
export interface ViewBox {
  x: number
  y: number
  width: number
  height: number
}

export interface Frame {
  sheetWidth: number
  sheetHeight: number
  padding: { left: number; right: number; top: number; bottom: number }
}

export function viewBox(frame: Frame): ViewBox {
  const { left, right, top, bottom } = frame.padding
  return {
    x: -left,
    y: -top,
    width: frame.sheetWidth + left + right,
    height: frame.sheetHeight + top + bottom,
  }
}

/** The view box that shows a part of the page: left, low, right, high. */
export function partBox([left, low, right, high]: Box, sheetHeight: number): ViewBox {
  return { x: left, y: sheetHeight - high, width: right - left, height: high - low }
}

export function toDrawing(place: Place, sheetHeight: number): Place {
  return [place[0], sheetHeight - place[1]]
}

/** Millimetres in one pixel when the box is fitted, whole and centred, into an element of this size. */
export function millimetresPerPixel(box: ViewBox, width: number, height: number): number {
  if (width <= 0 || height <= 0) return 1
  return Math.max(box.width / width, box.height / height)
}

/** The page place (mm) under a point of the element (px from its upper left corner). */
export function toPage(box: ViewBox, sheetHeight: number, width: number, height: number, px: Place): Place {
  const scale = millimetresPerPixel(box, width, height)
  const left = (width - box.width / scale) / 2
  const top = (height - box.height / scale) / 2
  return [box.x + (px[0] - left) * scale, sheetHeight - (box.y + (px[1] - top) * scale)]
}
