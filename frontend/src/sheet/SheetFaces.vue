<script setup lang="ts">
/** Faces with their tone, the far ones first. */
import { computed } from 'vue'

import { useSheet } from './context'

const { picture, at } = useSheet()
const faces = computed(() =>
  picture.value.faces.map((face) => ({
    key: `${face.thing}.${face.name}`,
    tone: face.tone,
    d: face.loops.map((loop) => `M${loop.map((place) => at(place).join(' ')).join('L')}Z`).join(''),
  })),
)
</script>

<template>
  <g class="faces">
    <path v-for="face in faces" :key="face.key" :class="`tone-${face.tone}`" :d="face.d" fill-rule="evenodd" />
  </g>
</template>

<style scoped>
.tone-0 {
  fill: #fdfbf5;
}

.tone-1 {
  fill: #e6e1d5;
}

.tone-2 {
  fill: #c9c3b4;
}

.tone-3 {
  fill: #a39d90;
}
</style>
