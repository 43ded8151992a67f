<script setup lang="ts">
/** The letters by which the words of a step name its points, each on the outer side of its point. */
import { computed } from 'vue'

import type { PointLetter } from '@/api/types'

import { RIM } from './beside'
import { useSheet } from './context'
import { placedLetters } from './letters'

const props = withDefaults(defineProps<{ letters: PointLetter[]; size?: number }>(), { size: 19 })
const { at, mmPerPx } = useSheet()

const placed = computed(() => placedLetters(props.letters, at, mmPerPx.value, props.size))
</script>

<template>
  <g class="letters">
    <g v-for="letter in placed" :key="letter.text">
      <title>{{ letter.reads }}</title>
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

text {
  fill: var(--accent);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
}
</style>
