<script setup lang="ts">
/** The paper on the desk: it fits the sheet into its element and lets its parts draw on it. */
import { useElementSize } from '@vueuse/core'
import { computed, provide, ref } from 'vue'

import type { Box, Picture, Place } from '@/api/types'

import { SHEET } from './context'
import { millimetresPerPixel, partBox, toDrawing, toPage, viewBox, type Frame } from './transform'

const props = withDefaults(
  defineProps<{
    picture: Picture
    label: string
    padding?: number
    plain?: boolean
    reach?: boolean
    live?: boolean
    /** The points that are marked already, by name; strips of others are not taped on yet. */
    points?: Set<string>
    /** A part of the sheet that is shown instead of all of it. */
    part?: Box | null
  }>(),
  { padding: 12 },
)

const svg = ref<SVGSVGElement>()
const { width, height } = useElementSize(svg)
/** How far taped-on paper reaches beyond each side of the sheet. */
const reached = computed(() => {
  const { width_mm, height_mm } = props.picture.sheet
  const far = { left: 0, right: 0, top: 0, bottom: 0 }
  for (const { at, ...strip } of props.picture.strips) {
    far.left = Math.max(far.left, -at[0])
    far.right = Math.max(far.right, at[0] + strip.width_mm - width_mm)
    far.bottom = Math.max(far.bottom, -at[1])
    far.top = Math.max(far.top, at[1] + strip.height_mm - height_mm)
  }
  return far
})
const taped = computed(() =>
  props.picture.strips.filter((s) => props.points === undefined || s.aims.some((name) => props.points!.has(name))),
)
const frame = computed<Frame>(() => {
  const p = props.padding
  const { width_mm, height_mm } = props.picture.sheet
  const beyond = props.reach ? reached.value : { left: 0, right: 0, top: 0, bottom: 0 }
  return {
    sheetWidth: width_mm,
    sheetHeight: height_mm,
    padding: { left: beyond.left + p, right: beyond.right + p, top: beyond.top + p, bottom: beyond.bottom + p },
  }
})
const box = computed(() => (props.part ? partBox(props.part, props.picture.sheet.height_mm) : viewBox(frame.value)))
const mmPerPx = computed(() => millimetresPerPixel(box.value, width.value, height.value))

function pageAt(event: PointerEvent): Place {
  const rim = svg.value!.getBoundingClientRect()
  const px: Place = [event.clientX - rim.left, event.clientY - rim.top]
  return toPage(box.value, props.picture.sheet.height_mm, rim.width, rim.height, px)
}

provide(SHEET, {
  picture: computed(() => props.picture),
  mmPerPx,
  isMeasured: computed(() => width.value > 0 && height.value > 0),
  box,
  at: (place) => toDrawing(place, props.picture.sheet.height_mm),
  pageAt,
})
</script>

<template>
  <svg
    ref="svg"
    class="sheet"
    :role="live ? 'group' : 'img'"
    :aria-label="label"
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    preserveAspectRatio="xMidYMid meet"
  >
    <g v-if="!plain" class="paper-shadow">
      <rect x="0.8" y="1.2" :width="picture.sheet.width_mm" :height="picture.sheet.height_mm" />
    </g>
    <template v-if="!plain">
      <rect
        v-for="strip in taped"
        :key="strip.aims.join()"
        class="strip"
        :x="strip.at[0]"
        :y="picture.sheet.height_mm - strip.at[1] - strip.height_mm"
        :width="strip.width_mm"
        :height="strip.height_mm"
      />
    </template>
    <rect class="paper" x="0" y="0" :width="picture.sheet.width_mm" :height="picture.sheet.height_mm" />
    <line
      v-if="picture.sheet.fold_mm !== null && !plain"
      class="fold"
      :x1="picture.sheet.fold_mm"
      :x2="picture.sheet.fold_mm"
      y1="0"
      :y2="picture.sheet.height_mm"
    />
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

.strip {
  fill: var(--strip);
  stroke: var(--strip-rim);
  stroke-dasharray: 3 2;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}

.fold {
  stroke: var(--fold);
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
}

.paper-shadow rect {
  fill: rgb(60 50 30 / 22%);
}
</style>
