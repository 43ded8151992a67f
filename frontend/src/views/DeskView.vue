<script setup lang="ts">
/** The Desk: the exercise in words, the sheet, the margin, the ladder. */
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

import { ProblemError } from '@/api/client'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetHandles from '@/sheet/SheetHandles.vue'
import SheetLines from '@/sheet/SheetLines.vue'
import SheetMeasures from '@/sheet/SheetMeasures.vue'
import SheetPoints from '@/sheet/SheetPoints.vue'
import SheetStep from '@/sheet/SheetStep.vue'
import SheetView from '@/sheet/SheetView.vue'
import { stageAfter } from '@/sheet/stage'
import EmptyState from '@/shell/EmptyState.vue'
import { setTitle } from '@/router'
import { useClearTexts } from '@/stores/clearTexts'
import { useExercise } from '@/stores/exercise'

import ExerciseWords from './desk/ExerciseWords.vue'
import LongView from './desk/LongView.vue'
import MarginAdvice from './desk/MarginAdvice.vue'
import SavedState from './desk/SavedState.vue'
import StepLadder from './desk/StepLadder.vue'

const props = defineProps<{ id: string }>()
const exercise = useExercise()
const chosen = ref('')
const step = ref(0)
const failure = ref('')
const wide = useLocalStorage('orthopsis.desk.wide', true)

watch(
  () => props.id,
  async (id) => {
    chosen.value = ''
    step.value = 0
    try {
      await exercise.load(Number(id))
      failure.value = ''
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      failure.value = error.message
    }
  },
  { immediate: true },
)

const stage = computed(() => (exercise.drawing && step.value ? stageAfter(exercise.drawing, step.value) : undefined))
const { drawing: clear, fit } = useClearTexts(() => step.value > 0)
/** The step that is looked at. */
const told = computed(() => (step.value ? clear.value?.steps[step.value - 1] : undefined))
const shown = computed(() => {
  const thing = exercise.drawing?.sentences.find((s) => s.about === chosen.value)?.title
  return thing ? [...exercise.together, thing] : exercise.together
})
watch(
  () => exercise.drawing?.steps.length,
  (count) => {
    if (count !== undefined && step.value > count) step.value = 0
  },
)

watch(
  () => exercise.title,
  (title) => setTitle(title),
  { immediate: true },
)

function choose(about: string): void {
  chosen.value = about
  step.value = 0
}

useEventListener('keydown', (event) => {
  const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
  if (typing || !(event.ctrlKey || event.metaKey)) return
  const key = event.key.toLowerCase()
  if (key === 'z' && !event.shiftKey) void exercise.undo()
  else if (key === 'y' || (key === 'z' && event.shiftKey)) void exercise.redo()
  else return
  event.preventDefault()
})
</script>

<template>
  <div v-if="failure" class="page">
    <EmptyState title="This exercise cannot be opened" :text="failure"
      ><RouterLink to="/desk">To the shelf</RouterLink></EmptyState
    >
  </div>
  <div v-else-if="exercise.picture && exercise.drawing" class="desk">
    <SavedState />
    <ExerciseWords class="words" :chosen="chosen" @choose="choose" />
    <section id="sheet" tabindex="-1" class="middle" aria-label="The sheet">
      <LongView v-model:wide="wide" :picture="exercise.picture" />
      <div class="table">
        <SheetView
          :picture="exercise.picture"
          :label="`Sheet of ${exercise.title}`"
          :padding="9"
          :reach="wide"
          live
          :points="stage?.points"
          @pointerdown="chosen = ''"
        >
          <SheetFaces v-if="!stage || stage.toned" />
          <SheetLines :stage="stage" :selected="shown" />
          <SheetPoints :marks="stage?.marks" :taken-up="stage?.takenUp" :only="stage?.points" />
          <SheetStep v-if="told" :step="told" :wide-mm="exercise.picture.sheet.width_mm" @fits="fit" />
          <SheetMeasures v-if="chosen" :about="chosen" />
          <SheetHandles
            v-if="!stage"
            :selected="chosen"
            :others="exercise.others.map((n) => `things.${n}`)"
            @select="choose"
            @drag="exercise.drag"
            @rest="exercise.rest"
          />
        </SheetView>
      </div>
    </section>
    <MarginAdvice id="margin" tabindex="-1" class="margin" :chosen="chosen" @choose="choose" />
    <StepLadder id="steps" v-model:step="step" tabindex="-1" class="ladder" />
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template: minmax(0, 1fr) 176px / minmax(270px, 23vw) minmax(0, 1fr) minmax(220px, 19vw);
  height: 100%;
}

.words,
.margin {
  overflow: auto;
  background: var(--panel);
}

.middle {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}

.table {
  flex: 1;
  min-height: 0;
  padding: 2px 6px 6px;
}

.ladder {
  grid-column: 1 / -1;
}

@media (max-height: 620px) {
  .desk {
    grid-template-rows: minmax(0, 1fr) 120px;
  }
}

@media (max-width: 760px) {
  .desk {
    grid-template: max(52vh, 240px) auto auto 176px / minmax(0, 1fr);
    overflow: auto;
  }

  .middle {
    order: -1;
    min-height: 240px;
  }

  .words,
  .margin {
    overflow: visible;
  }
}
</style>
