<script setup lang="ts">
/** Lengths shown on the sheet beside what is chosen or dragged. */
import { computed } from 'vue'

import { useSheet } from './context'

const props = defineProps<{ about: string }>()
const { picture, at, mmPerPx } = useSheet()

const marks = computed(() =>
  picture.value.measures
    .filter((mark) => mark.about === props.about)
    .map((mark) => {
      const a = at(mark.from)
      const b = at(mark.to)
      const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
      const nx = -(b[1] - a[1]) / length
      const ny = (b[0] - a[0]) / length
      const off = 9 * mmPerPx.value
      const tick = 4 * mmPerPx.value
      return {
        ...mark,
        a,
        b,
        ticks: [a, b].map(([x, y]) => `M${x - nx * tick} ${y - ny * tick}L${x + nx * tick} ${y + ny * tick}`).join(''),
        x: (a[0] + b[0]) / 2 + nx * off,
        y: (a[1] + b[1]) / 2 + ny * off,
        width: (mark.text.length * 8.2 + 12) * mmPerPx.value,
        shown: length > 4 * mmPerPx.value,
      }
    })
    .filter((mark) => mark.shown),
)
const size = computed(() => 14 * mmPerPx.value)
</script>

<template>
  <g class="measures">
    <g v-for="mark in marks" :key="mark.path">
      <path :d="`M${mark.a[0]} ${mark.a[1]}L${mark.b[0]} ${mark.b[1]}${mark.ticks}`" />
      <rect
        :x="mark.x - mark.width / 2"
        :y="mark.y - size * 0.72"
        :width="mark.width"
        :height="size * 1.44"
        :rx="size / 4"
      />
      <text :x="mark.x" :y="mark.y + size * 0.34" :font-size="size">{{ mark.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.measures {
  pointer-events: none;
}

path {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.2px;
  vector-effect: non-scaling-stroke;
}

rect {
  fill: var(--accent);
}

text {
  fill: #fff;
  font-weight: 700;
  text-anchor: middle;
}
</style>
