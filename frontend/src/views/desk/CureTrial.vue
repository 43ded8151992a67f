<script setup lang="ts">
/** A cure on trial: the drawing as it is and as it would be, one above the other; then taken or left. */
import { NButton, NModal } from 'naive-ui'
import { ref, shallowRef } from 'vue'

import { api, ask } from '@/api/client'
import type { Advice, Drawing } from '@/api/types'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetLines from '@/sheet/SheetLines.vue'
import SheetPoints from '@/sheet/SheetPoints.vue'
import SheetView from '@/sheet/SheetView.vue'
import { useSay } from '@/shell/useSay'
import { useExercise } from '@/stores/exercise'

type Cure = Advice['cures'][number]
const exercise = useExercise()
const { trying } = useSay()
const cure = ref<Cure | null>(null)
const after = shallowRef<Drawing | null>(null)

async function show(chosen: Cure): Promise<void> {
  const body = { exercise: exercise.document, act: { op: 'cure' as const, edits: chosen.edits } }
  const answer = await trying(() => ask(api.POST('/api/desk/act', { body })))
  if (!answer) return
  after.value = answer.drawing
  cure.value = chosen
}

async function take(): Promise<void> {
  if (cure.value && (await exercise.act({ op: 'cure', edits: cure.value.edits }))) cure.value = null
}

defineExpose({ show })
</script>

<template>
  <NModal
    :show="cure !== null"
    preset="card"
    :title="cure?.text"
    style="width: min(860px, 92vw)"
    @update:show="cure = null"
  >
    <div v-if="exercise.picture && after" class="both">
      <figure>
        <figcaption>As it is</figcaption>
        <SheetView :picture="exercise.picture" label="The drawing as it is" :padding="4" reach>
          <SheetFaces /><SheetLines :weight="0.8" /><SheetPoints :size="5" />
        </SheetView>
      </figure>
      <figure>
        <figcaption>As it would be</figcaption>
        <SheetView :picture="after" label="The drawing as it would be" :padding="4" reach>
          <SheetFaces /><SheetLines :weight="0.8" /><SheetPoints :size="5" />
        </SheetView>
      </figure>
    </div>
    <template #footer>
      <div class="doors">
        <NButton type="primary" @click="take">Take it</NButton>
        <NButton @click="cure = null">Leave it as it is</NButton>
      </div>
    </template>
  </NModal>
</template>

<style scoped>
.both {
  display: grid;
  gap: 10px;
}

figure {
  margin: 0;
  height: 34vh;
  display: flex;
  flex-direction: column;
  background: var(--desk);
  border-radius: 5px;
  padding: 4px 8px;
}

figcaption {
  font-weight: 700;
}

figure svg {
  flex: 1;
  min-height: 0;
}

.doors {
  display: flex;
  gap: 10px;
}
</style>
