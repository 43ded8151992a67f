<script setup lang="ts">
/** Measures, or the numbers of light lines, beside what a step draws, in a picture that shows so much of the sheet. */
import { computed } from 'vue'

import type { Scale } from '@/api/types'

import { measurePx, RIM } from './beside'
import { useSheet } from './context'
import { placedTexts } from './scales'

const props = defineProps<{ scales: Scale[]; wideMm: number }>()
const { at, mmPerPx } = useSheet()

const size = computed(() => measurePx(props.wideMm, mmPerPx.value))
const texts = computed(() => props.scales.flatMap((scale) => placedTexts(scale, at, mmPerPx.value, size.value)))
</script>

<template>
  <g class="scales">
    <g v-for="(text, i) in texts" :key="i">
      <path :d="`M${text.from[0]} ${text.from[1]}L${text.to[0]} ${text.to[1]}`" />
      <text :x="text.x" :y="text.y" :font-size="text.size" :stroke-width="text.size * RIM" :text-anchor="text.anchor">{{
        text.text
      }}</text>
    </g>
  </g>
</template>

<style scoped>
.scales {
  pointer-events: none;
}

path {
  stroke: var(--accent);
  stroke-width: 1.2px;
  vector-effect: non-scaling-stroke;
}

text {
  fill: var(--accent);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
}
</style>
