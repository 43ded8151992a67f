<script setup lang="ts">
/** Shade over all of the sheet but what is new in a step. */
import { computed } from 'vue'

import type { Step } from '@/api/types'
import { useSheet } from '@/sheet/context'

const props = defineProps<{ step: Step }>()
const { picture, at, box, mmPerPx } = useSheet()
const ROOM_PX = 40

const lit = computed(() => {
  const fresh = new Set([...props.step.draws, ...props.step.darkens])
  const lines = picture.value.lines.filter((line) => fresh.has(line.id))
  const { points, vanishing_points } = picture.value
  const marks = props.step.marks
    .map((name) => points[name] ?? vanishing_points[name])
    .filter((place) => place !== undefined)
  const places = [...lines.flatMap((line) => [line.from, ...line.bend, line.to]), ...marks]
  if (!places.length) return ''
  const drawn = places.map(([x, y]) => at([x, y]))
  const room = ROOM_PX * mmPerPx.value
  const [left, right] = [Math.min(...drawn.map((p) => p[0])) - room, Math.max(...drawn.map((p) => p[0])) + room]
  const [top, low] = [Math.min(...drawn.map((p) => p[1])) - room, Math.max(...drawn.map((p) => p[1])) + room]
  return `M${left} ${top}H${right}V${low}H${left}Z`
})
const shade = computed(() => {
  const { x, y, width, height } = box.value
  return `M${x - width} ${y - height}h${3 * width}v${3 * height}h${-3 * width}Z${lit.value}`
})
</script>

<template>
  <path v-if="lit" class="shade" :d="shade" fill-rule="evenodd" />
</template>

<style scoped>
.shade {
  fill: rgb(30 26 20 / 62%);
  pointer-events: none;
}
</style>
