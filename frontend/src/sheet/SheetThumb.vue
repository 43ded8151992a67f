<script setup lang="ts">
/** A small true picture of a sheet, finished or after a step. */
import type { Picture } from '@/api/types'

import SheetFaces from './SheetFaces.vue'
import SheetLines from './SheetLines.vue'
import SheetView from './SheetView.vue'
import type { Stage } from './stage'

defineProps<{ picture: Picture; label: string; stage?: Stage }>()
</script>

<template>
  <SheetView :picture="picture" :label="label" :padding="0" plain>
    <SheetFaces v-if="!stage || stage.toned" />
    <SheetLines :stage="stage" bare :weight="0.62" />
  </SheetView>
</template>
