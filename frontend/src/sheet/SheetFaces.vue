<script setup lang="ts">
/** Faces with their tone, the far ones first. */
import { computed } from 'vue'

import { useSheet } from './context'

const { picture, at } = useSheet()
const faces = computed(() =>
  picture.value.faces.map((face) => ({
    tone: face.tone,
    d: face.loops.map((loop) => `M${loop.map((place) => at(place).join(' ')).join('L')}Z`).join(''),
  })),
)
</script>

<template>
  <g class="faces">
    <path v-for="(face, i) in faces" :key="i" :class="`tone-${face.tone}`" :d="face.d" fill-rule="evenodd" />
  </g>
</template>

<style scoped>
/* A hair of stroke closes the seams between the pieces of a curved surface. */
path {
  fill: var(--tone);
  stroke: var(--tone);
  stroke-width: 0.7px;
  vector-effect: non-scaling-stroke;
}

.tone-0 {
  --tone: #fdfbf5;
}

.tone-1 {
  --tone: #e6e1d5;
}

.tone-2 {
  --tone: #c9c3b4;
}

.tone-3 {
  --tone: #a39d90;
}
</style>
