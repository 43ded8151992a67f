<script setup lang="ts">
/** The lengths that a step lays off, each beside what is measured. */
import { computed } from 'vue'

import type { Dimension } from '@/api/types'

import { placedDimension } from './beside'
import { useSheet } from './context'
import SheetTexts from './SheetTexts.vue'

const props = withDefaults(defineProps<{ dimensions: Dimension[]; size?: number }>(), { size: 17 })
const { at, box, mmPerPx } = useSheet()
const texts = computed(() =>
  props.dimensions.map((one) => placedDimension(one, at, box.value, mmPerPx.value, props.size)),
)
</script>

<template>
  <SheetTexts :texts="texts" />
</template>
