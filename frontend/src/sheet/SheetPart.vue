<script setup lang="ts">
/** On a small whole: which part of it is shown large. */
import { computed } from 'vue'

import type { Box } from '@/api/types'

import { useSheet } from './context'
import { partBox } from './transform'

const props = defineProps<{ part: Box }>()
const { picture } = useSheet()
const box = computed(() => partBox(props.part, picture.value.sheet.height_mm))
</script>

<template>
  <rect class="part" :x="box.x" :y="box.y" :width="box.width" :height="box.height" />
</template>

<style scoped>
.part {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2.5px;
  vector-effect: non-scaling-stroke;
}
</style>
