<script setup lang="ts">
/** The paper on the desk: it fits the sheet into its element and lets its parts draw on it. */
import { useElementSize } from '@vueuse/core'
import { computed, provide, ref } from 'vue'

import type { Picture, Place } from '@/api/types'

import { SHEET } from './context'
import { millimetresPerPixel, toDrawing, toPage, viewBox, type Frame } from './transform'

const props = withDefaults(defineProps<{ picture: Picture; label: string; padding?: number; plain?: boolean }>(), {
  padding: 12,
})

const svg = ref<SVGSVGElement>()
const { width, height } = useElementSize(svg)
const frame = computed<Frame>(() => {
  const p = props.padding
  const { width_mm, height_mm } = props.picture.sheet
  return { sheetWidth: width_mm, sheetHeight: height_mm, padding: { left: p, right: p, top: p, bottom: p } }
})
const box = computed(() => viewBox(frame.value))
const mmPerPx = computed(() => millimetresPerPixel(box.value, width.value, height.value))

function pageAt(event: PointerEvent): Place {
  const rim = svg.value!.getBoundingClientRect()
  const px: Place = [event.clientX - rim.left, event.clientY - rim.top]
  return toPage(box.value, props.picture.sheet.height_mm, rim.width, rim.height, px)
}

provide(SHEET, {
  picture: computed(() => props.picture),
  mmPerPx,
  at: (place) => toDrawing(place, props.picture.sheet.height_mm),
  pageAt,
})
</script>

<template>
  <svg
    ref="svg"
    class="sheet"
    role="img"
    :aria-label="label"
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    preserveAspectRatio="xMidYMid meet"
  >
    <g v-if="!plain" class="paper-shadow">
      <rect x="0.8" y="1.2" :width="picture.sheet.width_mm" :height="picture.sheet.height_mm" />
    </g>
    <rect class="paper" x="0" y="0" :width="picture.sheet.width_mm" :height="picture.sheet.height_mm" />
    <slot />
  </svg>
</template>

<style scoped>
.sheet {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
  user-select: none;
}

.paper {
  fill: var(--paper);
}

.paper-shadow rect {
  fill: rgb(60 50 30 / 22%);
}
</style>
