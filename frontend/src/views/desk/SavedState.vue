<script setup lang="ts">
/** In the top bar: name of the exercise, undo and redo, and whether it is kept. */
import { NButton, NPopover } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'
import { useExercise } from '@/stores/exercise'

import OnTrial, { type Trial } from './OnTrial.vue'
import VersionList from './VersionList.vue'

const exercise = useExercise()
const router = useRouter()
const { trying } = useSay()
const showVersions = ref(false)
const trial = ref<InstanceType<typeof OnTrial>>()

const WORDS = {
  kept: 'kept',
  changed: 'keeping …',
  saving: 'keeping …',
  waiting: 'not kept yet, trying again …',
  stale: 'changed elsewhere',
  refused: 'cannot be kept',
}
const words = computed(() => WORDS[exercise.kept])

function compare(other: Trial): void {
  showVersions.value = false
  trial.value?.show(other)
}

async function copy(): Promise<void> {
  const made = await trying(() => exercise.keepAsCopy())
  if (made) await router.push(`/desk/${made}`)
}
</script>

<template>
  <Teleport to="#bar-side">
    <RouterLink to="/desk" class="tool all">All exercises</RouterLink>
    <input
      class="title"
      :value="exercise.title"
      aria-label="Name of the exercise"
      maxlength="80"
      @change="exercise.rename(($event.target as HTMLInputElement).value)"
    />
    <button
      type="button"
      class="tool"
      :disabled="!exercise.past.length"
      title="Undo (Ctrl Z)"
      @click="trying(exercise.undo)"
    >
      Undo
    </button>
    <button
      type="button"
      class="tool"
      :disabled="!exercise.future.length"
      title="Redo (Ctrl Y)"
      @click="trying(exercise.redo)"
    >
      Redo
    </button>
    <NPopover
      v-model:show="showVersions"
      trigger="click"
      placement="bottom-end"
      style="max-height: 60vh; overflow: auto"
    >
      <template #trigger
        ><button type="button" class="tool state" :class="exercise.kept">{{ words }}</button></template
      >
      <VersionList v-if="showVersions" @compare="compare" />
    </NPopover>
  </Teleport>
  <OnTrial ref="trial" />
  <TheDialog :show="exercise.kept === 'stale'" :closable="false" title="Changed in another window">
    <p>This exercise was saved from another window meanwhile. Nothing of yours is lost, and nothing was overwritten.</p>
    <div class="choices">
      <NButton type="primary" @click="trying(() => exercise.takeNewer())"
        >Take the newer one (yours stays under Undo)</NButton
      >
      <NButton @click="copy">Keep mine as a copy</NButton>
    </div>
  </TheDialog>
</template>

<style scoped>
.title {
  font: inherit;
  font-weight: 700;
  color: var(--on-graphite);
  background: transparent;
  border: 1px solid transparent;
  border-radius: 4px;
  padding: 3px 6px;
  width: min(24ch, 18vw);
  text-overflow: ellipsis;
}

.title:hover,
.title:focus {
  border-color: #6a717b;
}

.tool {
  background: none;
  border: 0;
  color: var(--on-graphite);
  padding: 6px;
  cursor: pointer;
  min-height: 36px;
}

.all {
  margin-right: auto;
  text-decoration: none;
}

.tool:disabled {
  color: #7d838b;
  cursor: default;
}

.tool:not(:disabled):hover {
  text-decoration: underline;
}

.waiting,
.refused,
.stale {
  color: var(--accent-on-dark);
  font-weight: 700;
}

.choices {
  display: grid;
  gap: 10px;
}
</style>
