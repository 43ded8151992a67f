<script setup lang="ts">
/** The drawing of a step as the class sees it: the whole sheet, or a part of it large with a small whole beside it. */
import { useWindowSize } from '@vueuse/core'
import { computed } from 'vue'

import type { Box, Drawing, Step } from '@/api/types'
import SheetBeyond from '@/sheet/SheetBeyond.vue'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetLines from '@/sheet/SheetLines.vue'
import SheetPart from '@/sheet/SheetPart.vue'
import SheetPoints from '@/sheet/SheetPoints.vue'
import SheetStep from '@/sheet/SheetStep.vue'
import SheetView from '@/sheet/SheetView.vue'

import type { Looks } from './looks'
import ShowHand from './ShowHand.vue'
import { NOTHING, type Showing } from './showing'
import SpotLight from './SpotLight.vue'

const MANY = 8

const props = defineProps<{
  drawing: Drawing
  step: Step
  number: number
  showing: Showing
  looks: Looks
  seeThrough: boolean
}>()
/** How many times as wide as its texts are tall the picture is. */
const emit = defineEmits<{ fits: [wide: number] }>()

const { shown, ghost, hand, moving } = props.showing
const part = computed(() => (props.looks.closeUp ? ((props.step.close_up ?? null) as Box | null) : null))
const wideMm = computed(() => (part.value ? part.value[2] - part.value[0] : props.drawing.sheet.width_mm))
const { width, height } = useWindowSize()
const isSmall = computed(() => width.value < 760 || height.value < 480)
/** On a small screen, once the points are set up, the sheet is shown without the paper that is taped on for them. */
const isReaching = computed(() => !isSmall.value || props.step.phase === 'setup')
/** Figures grow with the wall. */
const size = computed(() => Math.max(17, Math.round(width.value * 0.0135)))
/** Where many points are marked, or the screen is small, they are smaller, so that each of them is seen. */
const dot = computed(() => (isSmall.value || props.showing.shown.value.marks.length > MANY ? 7 : 11))
const hidden = computed(() => {
  const all = props.drawing.lines.filter((line) => line.role !== 'detail').map((line) => line.id)
  return { ...NOTHING, light: new Set(all) }
})
</script>

<template>
  <div class="board" :class="{ split: part }">
    <SheetView
      v-if="part"
      class="whole"
      :picture="drawing"
      label="The whole sheet"
      :padding="7"
      reach
      :points="shown.points"
    >
      <SheetFaces v-if="shown.toned" />
      <SheetLines :stage="shown" :weight="0.8" />
      <SheetPart :part="part" />
    </SheetView>
    <SheetView
      class="large"
      :picture="drawing"
      :label="`Step ${number}: ${step.title}`"
      :padding="7"
      :reach="isReaching"
      :points="shown.points"
      :part="part"
    >
      <SheetFaces v-if="shown.toned" />
      <SheetLines v-if="seeThrough" :stage="hidden" :weight="1.4" />
      <g v-if="looks.ghost && !moving" class="ghost"><SheetLines :stage="ghost" :weight="1.9" /></g>
      <SheetLines :stage="shown" :weight="1.9" :selected="[step.thing]" />
      <SheetPoints
        :marks="moving || step.letters.length ? [] : shown.marks"
        :taken-up="shown.takenUp"
        :only="shown.points"
        :size="dot"
      />
      <SpotLight v-if="looks.spotlight" :step="step" />
      <SheetStep :step="step" :wide-mm="wideMm" @fits="(wide) => emit('fits', wide)" />
      <SheetBeyond v-if="part || !isReaching" :beyond="step.beyond" :size="size" />
      <ShowHand v-if="moving" :hand="hand" :dark="step.darkens.length > 0" />
    </SheetView>
  </div>
</template>

<style scoped>
.board {
  min-height: 0;
  padding: 4px;
}

.split {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 4fr);
  gap: 4px;
}

.split .whole {
  height: auto;
  max-height: 46%;
}

.ghost {
  opacity: 0.38;
}
</style>
