<script setup lang="ts">
/** Arrows to the points that lie beyond the picture of a step: what each is called, and how far off the sheet it is. */
import { computed } from 'vue'

import type { Beyond } from '@/api/types'

import { placedBeyond } from './beside'
import { useSheet } from './context'
import SheetTexts from './SheetTexts.vue'

const props = withDefaults(defineProps<{ beyond: Beyond[]; size?: number }>(), { size: 17 })
const { at, box, mmPerPx } = useSheet()
const texts = computed(() => props.beyond.map((one) => placedBeyond(one, at, box.value, mmPerPx.value, props.size)))
</script>

<template>
  <SheetTexts :texts="texts" filled />
</template>
