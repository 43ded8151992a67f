<script setup lang="ts">
/** The window on the wall: the drawing alone, as the teacher's window says. */
import { useEventListener, useFullscreen } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

import EmptyState from '@/shell/EmptyState.vue'

import { USUAL } from './show/looks'
import ShowBoard from './show/ShowBoard.vue'
import { useShowing } from './show/showing'
import { useShown } from './show/shown'
import { useSteered } from './show/steering'

const props = defineProps<{ id: string }>()
const { state, press } = useSteered(props.id)
const { toggle: fill } = useFullscreen()

const number = ref(1)
const looks = computed(() => state.value?.looks ?? USUAL)
const { drawing, failure, fit } = useShown(
  props.id,
  computed(() => looks.value.boardMm),
)
const showing = useShowing(
  drawing,
  number,
  computed(() => looks.value.slower),
)
const { step, replay } = showing
watch(
  () => [state.value?.number, state.value?.begun] as const,
  ([to]) => {
    if (to === undefined) return
    if (number.value === to) replay()
    else number.value = to
  },
)
useEventListener('keydown', (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key.toLowerCase() === 'f') void fill()
  else press(event.key)
})
</script>

<template>
  <div class="class" :class="{ 'dark-room': looks.darkRoom }" @dblclick="fill()">
    <EmptyState v-if="failure" title="This exercise cannot be shown" :text="failure" />
    <template v-else-if="drawing && step">
      <ShowBoard
        class="all"
        :drawing="drawing"
        :step="step"
        :number="number"
        :showing="showing"
        :looks="looks"
        :see-through="state?.seeThrough ?? false"
        @fits="fit"
      />
      <p v-if="!state" class="waits">Open “Show” of this exercise in another window: it steers this one.</p>
      <div v-if="state?.covered" class="cover" />
    </template>
  </div>
</template>

<style scoped>
.class {
  position: relative;
  height: 100%;
  background: var(--desk);
}

.all {
  height: 100%;
}

.waits {
  position: absolute;
  inset: auto 0 12px;
  text-align: center;
  font-size: 18px;
}

.cover {
  position: absolute;
  inset: 0;
  background: #000;
}
</style>
