<script setup lang="ts">
/** The lengths that a step lays off, each beside what is measured, in a picture that shows so much of the sheet. */
import { computed } from 'vue'

import type { Dimension } from '@/api/types'

import { measurePx, placedDimension } from './beside'
import { useSheet } from './context'
import SheetTexts from './SheetTexts.vue'

const props = defineProps<{ dimensions: Dimension[]; wideMm: number }>()
const { at, box, mmPerPx } = useSheet()
const size = computed(() => measurePx(props.wideMm, mmPerPx.value))
const texts = computed(() =>
  props.dimensions.map((one) => placedDimension(one, at, box.value, mmPerPx.value, size.value)),
)
</script>

<template>
  <SheetTexts :texts="texts" />
</template>
