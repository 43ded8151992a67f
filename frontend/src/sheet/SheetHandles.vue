<script setup lang="ts">
/** Points that can be dragged by pointer, and moved with the arrow keys by one division of the ruler. */
import { computed, ref } from 'vue'

import type { HandlePlace, Place } from '@/api/types'

import { useSheet } from './context'

const props = defineProps<{ selected?: string; others?: string[] }>()
const emit = defineEmits<{
  select: [about: string]
  drag: [id: string, place: Place, snap: boolean]
  rest: []
}>()

const { picture, at, mmPerPx, pageAt } = useSheet()
const held = ref<{ id: string; grip: Place } | null>(null)
const r = computed(() => 7 * mmPerPx.value)
const reach = computed(() => 17 * mmPerPx.value)

const STEPS: Record<string, Place> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }

function take(handle: HandlePlace, event: PointerEvent): void {
  const target = event.currentTarget as Element
  target.setPointerCapture(event.pointerId)
  const page = pageAt(event)
  held.value = { id: handle.id, grip: [handle.at[0] - page[0], handle.at[1] - page[1]] }
  emit('select', handle.about)
}

function move(event: PointerEvent): void {
  if (!held.value) return
  const page = pageAt(event)
  emit('drag', held.value.id, [page[0] + held.value.grip[0], page[1] + held.value.grip[1]], !event.altKey)
}

function drop(): void {
  if (!held.value) return
  held.value = null
  emit('rest')
}

function step(handle: HandlePlace, event: KeyboardEvent): void {
  const way = STEPS[event.key]
  if (!way) return
  event.preventDefault()
  const size = picture.value.sheet.division_mm * (event.shiftKey ? 10 : 1)
  emit('drag', handle.id, [handle.at[0] + way[0] * size, handle.at[1] + way[1] * size], true)
  emit('rest')
}

/** The many corners of an outline show only while their thing is chosen. */
const isShown = (handle: HandlePlace): boolean =>
  handle.shape !== 'corner' || props.selected === handle.about || held.value?.id === handle.id

/** Corners lie under the other handles, so that those can still be taken where both are. */
const cornersFirst = (a: HandlePlace, b: HandlePlace): number =>
  Number(b.shape === 'corner') - Number(a.shape === 'corner')

const handles = computed(() =>
  picture.value.handles
    .filter(isShown)
    .sort(cornersFirst)
    .map((handle) => ({
      handle,
      at: at(handle.at),
      chosen: props.selected === handle.about || (props.others?.includes(handle.about) && handle.shape === 'place'),
      kind: handle.shape,
    })),
)
</script>

<template>
  <g class="handles">
    <g
      v-for="item in handles"
      :key="item.handle.id"
      class="handle"
      :class="[{ chosen: item.chosen, held: held?.id === item.handle.id }, item.kind]"
      tabindex="0"
      role="slider"
      :aria-label="item.handle.says"
      :aria-valuenow="Math.round(item.handle.at[0])"
      :aria-valuetext="item.handle.reads"
      @pointerdown.prevent.stop="take(item.handle, $event)"
      @pointermove="move"
      @pointerup="drop"
      @pointercancel="drop"
      @lostpointercapture="drop"
      @focus="emit('select', item.handle.about)"
      @keydown="step(item.handle, $event)"
    >
      <title>{{ item.handle.says }}</title>
      <circle class="reach" :cx="item.at[0]" :cy="item.at[1]" :r="item.kind === 'corner' ? r * 1.2 : reach" />
      <circle v-if="item.kind === 'place'" class="grip" :cx="item.at[0]" :cy="item.at[1]" :r="r" />
      <rect
        v-else-if="item.kind === 'size'"
        class="grip"
        :x="item.at[0] - r * 0.85"
        :y="item.at[1] - r * 0.85"
        :width="r * 1.7"
        :height="r * 1.7"
      />
      <circle v-else-if="item.kind === 'corner'" class="grip" :cx="item.at[0]" :cy="item.at[1]" :r="r * 0.5" />
      <path
        v-else
        class="grip"
        :d="`M${item.at[0]} ${item.at[1] - r * 1.15}l${r * 1.15} ${r * 1.15}l${-r * 1.15} ${r * 1.15}l${-r * 1.15} ${-r * 1.15}z`"
      />
    </g>
  </g>
</template>

<style scoped>
.reach {
  fill: transparent;
}

.grip {
  fill: var(--paper);
  stroke: var(--accent);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  opacity: 0.55;
}

.handle {
  cursor: grab;
  outline: none;
}

.handle:hover .grip,
.chosen .grip {
  opacity: 1;
}

.chosen .grip,
.held .grip {
  fill: var(--accent);
}

.handle:focus-visible .grip {
  stroke: var(--ink);
  stroke-width: 4px;
  opacity: 1;
}

.held {
  cursor: grabbing;
}
</style>
