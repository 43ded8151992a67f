<script setup lang="ts">
/** The letters by which a step names its points, each beside its point; as tall as its measures. */
import { computed } from 'vue'

import type { PointLetter } from '@/api/types'

import { measurePx, RIM } from './beside'
import { useSheet } from './context'
import { placedLetters } from './letters'

const props = defineProps<{ letters: PointLetter[]; wideMm: number }>()
const { at, mmPerPx } = useSheet()

const placed = computed(() => placedLetters(props.letters, at, mmPerPx.value, measurePx(props.wideMm, mmPerPx.value)))
</script>

<template>
  <g class="letters">
    <g v-for="letter in placed" :key="letter.text">
      <title>{{ letter.reads }}</title>
      <line
        v-if="letter.led"
        :x1="letter.at[0]"
        :y1="letter.at[1]"
        :x2="letter.led[0]"
        :y2="letter.led[1]"
        :stroke-width="letter.size * 0.06"
      />
      <circle :cx="letter.at[0]" :cy="letter.at[1]" :r="letter.size * 0.14" />
      <text
        :x="letter.x"
        :y="letter.y"
        :font-size="letter.size"
        :stroke-width="letter.size * RIM"
        text-anchor="middle"
        >{{ letter.text }}</text
      >
    </g>
  </g>
</template>

<style scoped>
.letters {
  pointer-events: none;
}

circle {
  fill: var(--accent);
}

line {
  stroke: var(--accent);
}

text {
  fill: var(--accent);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
}
</style>
