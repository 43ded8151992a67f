<script setup lang="ts">
/** Texts on the sheet with the lines that belong to them, on a rim of paper so that no line runs through them. */
import { RIM, type BesideText } from './beside'

defineProps<{ texts: BesideText[]; filled?: boolean }>()
</script>

<template>
  <g class="texts" :class="{ filled }">
    <g v-for="(text, i) in texts" :key="i">
      <path :d="text.d" />
      <text :font-size="text.size" :stroke-width="text.size * RIM" :text-anchor="text.anchor">
        <tspan v-for="(row, n) in text.rows" :key="n" :x="text.x" :y="text.y + n * text.size * 1.15">{{ row }}</tspan>
      </text>
    </g>
  </g>
</template>

<style scoped>
.texts {
  pointer-events: none;
}

path {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.4px;
  vector-effect: non-scaling-stroke;
}

.filled path {
  fill: var(--accent);
}

text {
  fill: var(--accent);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
}
</style>
