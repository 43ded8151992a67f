<script setup lang="ts">
/** Another state of the exercise on trial, above it the present one or a third; then it is taken or left. */
import { NButton, NSelect } from 'naive-ui'
import { computed, ref, shallowRef } from 'vue'

import type { ExerciseDocument, Picture } from '@/api/types'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetLines from '@/sheet/SheetLines.vue'
import SheetPair from '@/sheet/SheetPair.vue'
import SheetPoints from '@/sheet/SheetPoints.vue'
import SheetView from '@/sheet/SheetView.vue'
import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'
import { useExercise } from '@/stores/exercise'

export interface Trial {
  title: string
  caption: string
  exercise: ExerciseDocument
  picture: Picture
  /** What it may be compared with besides the present state. */
  others?: { caption: string; picture: Picture }[]
}

const NOW = 'As it is'

const exercise = useExercise()
const { trying } = useSay()
const trial = shallowRef<Trial | null>(null)
const beside = ref(NOW)
const others = computed(() => trial.value?.others ?? [])
const options = computed(() => [NOW, ...others.value.map((o) => o.caption)].map((o) => ({ label: o, value: o })))
const above = computed(() => others.value.find((o) => o.caption === beside.value)?.picture ?? exercise.picture)

function show(other: Trial): void {
  beside.value = NOW
  trial.value = other
}

async function take(): Promise<void> {
  const chosen = trial.value
  if (!chosen) return
  await trying(() => exercise.replace(chosen.exercise))
  trial.value = null
}

defineExpose({ show })
</script>

<template>
  <TheDialog :show="trial !== null" :title="trial?.title ?? ''" width="860px" @update:show="trial = null">
    <SheetPair v-if="above && trial">
      <template #upper-caption>
        <NSelect
          v-if="others.length"
          v-model:value="beside"
          :options="options"
          size="small"
          class="choice"
          aria-label="What to compare it with"
        />
        <template v-else>{{ NOW }}</template>
      </template>
      <template #upper>
        <SheetView :picture="above" :label="beside" :padding="4" reach>
          <SheetFaces /><SheetLines :weight="0.8" /><SheetPoints :size="5" />
        </SheetView>
      </template>
      <template #lower-caption>{{ trial.caption }}</template>
      <template #lower>
        <SheetView :picture="trial.picture" :label="trial.caption" :padding="4" reach>
          <SheetFaces /><SheetLines :weight="0.8" /><SheetPoints :size="5" />
        </SheetView>
      </template>
    </SheetPair>
    <template #doors>
      <NButton type="primary" @click="take">Take it</NButton>
      <NButton @click="trial = null">Leave it as it is</NButton>
    </template>
  </TheDialog>
</template>

<style scoped>
.choice {
  max-width: 260px;
  margin-bottom: 3px;
}
</style>
