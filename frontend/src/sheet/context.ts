/** What the parts of a sheet share: its picture, its scale on the screen, and the way from pixels to the page. */
import { inject, type ComputedRef, type InjectionKey } from 'vue'

import type { Picture, Place } from '@/api/types'

import type { ViewBox } from './transform'

export interface SheetContext {
  picture: ComputedRef<Picture>
  mmPerPx: ComputedRef<number>
  /** Whether it is known how large the element is; until then the scale is only a beginning. */
  isMeasured: ComputedRef<boolean>
  /** What the element shows. */
  box: ComputedRef<ViewBox>
  at: (place: Place) => Place
  pageAt: (event: PointerEvent) => Place
}

export const SHEET: InjectionKey<SheetContext> = Symbol('sheet')

export function useSheet(): SheetContext {
  const context = inject(SHEET)
  if (!context) throw new Error('a part of a sheet stands outside of a SheetView')
  return context
}
