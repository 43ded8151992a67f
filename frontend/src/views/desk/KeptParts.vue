<script setup lang="ts">
/** The teacher's own parts, each with its picture: set down on this sheet, or taken away for good. */
import { ref } from 'vue'

import { ProblemError } from '@/api/client'
import KeptPicture from '@/sheet/KeptPicture.vue'
import AskFirst from '@/shell/AskFirst.vue'
import { useExercise } from '@/stores/exercise'
import { useParts } from '@/stores/parts'
import type { PartLine } from '@/api/types'

const emit = defineEmits<{ down: [] }>()
const exercise = useExercise()
const kept = useParts()
const failure = ref('')
const isBusy = ref(false)

kept.load().catch(fail)

function fail(error: unknown): void {
  if (!(error instanceof ProblemError)) throw error
  failure.value = error.message
}

async function setDown(part: PartLine): Promise<void> {
  isBusy.value = true
  try {
    if (await exercise.act({ op: 'set_down', part: part.part, view: '' })) emit('down')
  } finally {
    isBusy.value = false
  }
}

async function drop(part: PartLine): Promise<void> {
  try {
    await kept.drop(part.id)
    failure.value = ''
  } catch (error) {
    fail(error)
  }
}
</script>

<template>
  <section v-if="kept.parts.length || failure" class="parts" aria-label="Your parts">
    <h3>Your parts</h3>
    <p v-if="failure" class="problem" role="alert">{{ failure }}</p>
    <ul>
      <li v-for="part in kept.parts" :key="part.id">
        <button type="button" class="down" :disabled="isBusy" @click="setDown(part)">
          <span class="picture"><KeptPicture :source="part.picture" label="" /></span>
          <span>Set down {{ part.name }}</span>
        </button>
        <AskFirst
          what="take away"
          :label="`Take away the part ${part.name}`"
          :title="`Take away ${part.name}?`"
          does="Take it away"
          @sure="drop(part)"
          >It is gone from your parts for good. What was set down of it stays where it is.</AskFirst
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.parts {
  margin: 14px 14px 0 11px;
}

h3 {
  margin: 0 0 4px;
  font-size: 16px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}

.down {
  display: flex;
  align-items: center;
  gap: 10px;
  flex: 1;
  min-width: 0;
  padding: 4px;
  font: inherit;
  color: var(--accent);
  text-align: left;
  background: none;
  border: 0;
  border-radius: 5px;
  cursor: pointer;
}

.down:hover {
  background: var(--accent-soft);
}

.down:disabled {
  opacity: 0.6;
  cursor: progress;
}

li > :deep(.word-button) {
  font-weight: 400;
}

.picture {
  flex: none;
  width: 62px;
  height: 44px;
  background: var(--paper);
  box-shadow: 0 1px 2px rgb(60 50 30 / 30%);
}
</style>
