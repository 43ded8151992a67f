<script setup lang="ts">
/** The texts of a step: lengths, scales and letters of points, in a picture that shows so much of the sheet. */
import { watch } from 'vue'

import type { Step } from '@/api/types'

import { measurePx } from './beside'
import { useSheet } from './context'
import SheetDimensions from './SheetDimensions.vue'
import SheetLetters from './SheetLetters.vue'
import SheetScales from './SheetScales.vue'

const props = defineProps<{ step: Step; wideMm: number }>()
/** How many times as wide as its texts are tall the picture is. */
const emit = defineEmits<{ fits: [wide: number] }>()
const { mmPerPx, isMeasured } = useSheet()

watch(
  [mmPerPx, isMeasured, () => props.wideMm] as const,
  ([mm, measured, wide]) => {
    if (measured) emit('fits', wide / mm / measurePx(wide, mm))
  },
  { immediate: true },
)
</script>

<template>
  <SheetDimensions :dimensions="step.dimensions" :wide-mm="wideMm" />
  <SheetScales :scales="step.scales" :wide-mm="wideMm" />
  <SheetLetters :letters="step.letters" :wide-mm="wideMm" />
</template>
