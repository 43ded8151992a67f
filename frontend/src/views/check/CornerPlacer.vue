<script setup lang="ts">
/** Place the sheet's four corners on the photo by hand. */
import { NButton } from 'naive-ui'
import { ref } from 'vue'

import { api, ask } from '@/api/client'
import type { SheetAnswer } from '@/api/types'
import { useSay } from '@/shell/useSay'

const props = defineProps<{ sheet: SheetAnswer }>()
const emit = defineEmits<{ placed: [sheet: SheetAnswer]; close: [] }>()
const { trying } = useSay()
const NAMES = ['Lower left', 'Lower right', 'Upper right', 'Upper left']
const size = ref({ width: 4000, height: 3000 })
const corners = ref<[number, number][]>([])
const held = ref(-1)
const svg = ref<SVGSVGElement>()

function loaded(event: Event): void {
  const image = event.target as HTMLImageElement
  size.value = { width: image.naturalWidth, height: image.naturalHeight }
  const [w, h] = [image.naturalWidth, image.naturalHeight]
  if (props.sheet.corners.length === 4) {
    corners.value = props.sheet.corners.map(([x, y]) => [x, y])
    return
  }
  corners.value = [
    [0.1 * w, 0.9 * h],
    [0.9 * w, 0.9 * h],
    [0.9 * w, 0.1 * h],
    [0.1 * w, 0.1 * h],
  ]
}

function move(event: PointerEvent): void {
  if (held.value < 0 || !svg.value) return
  const rim = svg.value.getBoundingClientRect()
  const scale = Math.max(size.value.width / rim.width, size.value.height / rim.height)
  const left = (rim.width - size.value.width / scale) / 2
  const top = (rim.height - size.value.height / scale) / 2
  set(held.value, (event.clientX - rim.left - left) * scale, (event.clientY - rim.top - top) * scale)
}

function set(i: number, x: number, y: number): void {
  corners.value[i] = [Math.min(Math.max(x, 0), size.value.width), Math.min(Math.max(y, 0), size.value.height)]
}

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

function nudge(i: number, event: KeyboardEvent): void {
  const way = ARROWS[event.key]
  const here = corners.value[i]
  if (!way || !here) return
  event.preventDefault()
  event.stopPropagation()
  const step = event.shiftKey ? 40 : 4
  set(i, here[0] + way[0] * step, here[1] + way[1] * step)
}

async function done(): Promise<void> {
  const params = { path: { sheet_id: props.sheet.id } }
  const answer = await trying(() =>
    ask(api.POST('/api/sheets/{sheet_id}/corners', { params, body: { corners: corners.value } })),
  )
  if (answer) emit('placed', { ...answer, state: 'queued' })
}
</script>

<template>
  <div class="placer">
    <p>Drag the four rings on to the corners of the paper, then let the sheet be read again.</p>
    <img class="hidden" :src="`/api/sheets/${sheet.id}/upload.jpg`" alt="" @load="loaded" />
    <svg
      ref="svg"
      :viewBox="`0 0 ${size.width} ${size.height}`"
      preserveAspectRatio="xMidYMid meet"
      @pointermove="move"
      @pointerup="held = -1"
      @pointercancel="held = -1"
    >
      <image :href="`/api/sheets/${sheet.id}/upload.jpg`" :width="size.width" :height="size.height" />
      <polygon v-if="corners.length" :points="corners.map((c) => c.join(',')).join(' ')" />
      <g
        v-for="(c, i) in corners"
        :key="i"
        tabindex="0"
        role="slider"
        :aria-label="`${NAMES[i]} corner`"
        :aria-valuetext="`${Math.round(c[0])}, ${Math.round(c[1])}`"
        @pointerdown.prevent="held = i"
        @keydown="nudge(i, $event)"
      >
        <circle :cx="c[0]" :cy="c[1]" :r="size.width / 55" />
        <text :x="c[0]" :y="c[1] - size.width / 45" :font-size="size.width / 55">{{ NAMES[i] }}</text>
      </g>
    </svg>
    <div class="doors">
      <NButton type="primary" :disabled="!corners.length" @click="done">Read it with these corners</NButton>
      <button type="button" class="word-button" @click="emit('close')">Leave it</button>
    </div>
  </div>
</template>

<style scoped>
.placer {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
}

p {
  margin: 0;
}

.hidden {
  display: none;
}

svg {
  flex: 1;
  min-height: 0;
  touch-action: none;
}

polygon {
  fill: rgb(168 60 23 / 8%);
  stroke: var(--accent);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}

circle {
  fill: rgb(253 251 245 / 35%);
  stroke: var(--accent);
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
  cursor: grab;
}

text {
  fill: var(--accent);
  font-weight: 700;
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  vector-effect: non-scaling-stroke;
}

.doors {
  display: flex;
  gap: 10px;
}
</style>
