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
  --tone: var(--tone-0);
}

.tone-1 {
  --tone: var(--tone-1);
}

.tone-2 {
  --tone: var(--tone-2);
}

.tone-3 {
  --tone: var(--tone-3);
}
</style>
