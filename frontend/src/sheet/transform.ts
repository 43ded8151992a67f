/**
 * From page millimetres (origin lower left, y up) to the units of the drawing on the screen (y down).
 *
 * The drawing's view box is counted in millimetres too, so that the only change is the turn of y; what must
 * keep its size on the screen (handles, labels) is scaled by millimetres per pixel.
 */
import type { Place } from '@/api/types'

export interface Box {
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

export function viewBox(frame: Frame): Box {
  const { left, right, top, bottom } = frame.padding
  return {
    x: -left,
    y: -top,
    width: frame.sheetWidth + left + right,
    height: frame.sheetHeight + top + bottom,
  }
}

export function toDrawing(place: Place, sheetHeight: number): Place {
  return [place[0], sheetHeight - place[1]]
}

/** Millimetres in one pixel when the box is fitted, whole and centred, into an element of this size. */
export function millimetresPerPixel(box: Box, width: number, height: number): number {
  if (width <= 0 || height <= 0) return 1
  return Math.max(box.width / width, box.height / height)
}

/** The page place (mm) under a point of the element (px from its upper left corner). */
export function toPage(box: Box, sheetHeight: number, width: number, height: number, px: Place): Place {
  const scale = millimetresPerPixel(box, width, height)
  const left = (width - box.width / scale) / 2
  const top = (height - box.height / scale) / 2
  return [box.x + (px[0] - left) * scale, sheetHeight - (box.y + (px[1] - top) * scale)]
}
