<script setup lang="ts">
/** Earlier states of the exercise with their pictures; one is compared with the present state before it is taken up. */
import { ref, shallowRef } from 'vue'

import { api, ask } from '@/api/client'
import type { Drawing, ExerciseDocument } from '@/api/types'
import SheetThumb from '@/sheet/SheetThumb.vue'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'
import { useExercise } from '@/stores/exercise'

import type { Trial } from './OnTrial.vue'

const AT_ONCE = 8
const emit = defineEmits<{ compare: [trial: Trial] }>()
const exercise = useExercise()
const { trying } = useSay()
const path = { exercise_id: exercise.id }
const shown = ref(AT_ONCE)
const states = shallowRef(new Map<number, { exercise: ExerciseDocument; drawing: Drawing }>())
const { data, failure } = useLoad(async () => {
  const lines = await ask(api.GET('/api/exercises/{exercise_id}/versions', { params: { path } }))
  void fetchStates(lines.slice(0, AT_ONCE).map((line) => line.version))
  return lines
})

async function fetchStates(versions: number[]): Promise<void> {
  for (const version of versions) {
    const params = { path: { ...path, version } }
    const kept = await ask(api.GET('/api/exercises/{exercise_id}/versions/{version}', { params }))
    const state = await ask(api.POST('/api/desk/draw', { body: { exercise: kept.exercise } }))
    states.value = new Map(states.value).set(version, state)
  }
}

function more(): void {
  const next = data.value?.slice(shown.value, shown.value + AT_ONCE) ?? []
  shown.value += AT_ONCE
  void trying(() => fetchStates(next.map((line) => line.version)))
}

function compare(version: number, saved: string): void {
  const state = states.value.get(version)
  if (!state) return
  const { exercise: earlier, drawing } = state
  const others = (data.value ?? []).flatMap((line) => {
    const other = line.version === version ? undefined : states.value.get(line.version)
    return other ? [{ caption: `State ${line.version}, ${when(line.saved_at)}`, picture: other.drawing }] : []
  })
  emit('compare', {
    title: `As it was at ${when(saved)}`,
    caption: `State ${version}, ${when(saved)}`,
    exercise: earlier,
    picture: drawing,
    others,
  })
}

function when(text: string): string {
  return new Date(`${text}Z`).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })
}
</script>

<template>
  <div class="versions">
    <strong>Earlier states</strong>
    <p v-if="failure">{{ failure }}</p>
    <ol>
      <li v-for="v in data?.slice(0, shown)" :key="v.version">
        <button type="button" :disabled="!states.has(v.version)" @click="compare(v.version, v.saved_at)">
          <span class="picture"
            ><SheetThumb
              v-if="states.get(v.version)"
              :picture="states.get(v.version)!.drawing"
              :label="`State ${v.version}`"
          /></span>
          {{ when(v.saved_at) }}<br />{{ v.things }} {{ v.things === 1 ? 'thing' : 'things' }}
        </button>
      </li>
    </ol>
    <button v-if="data && data.length > shown" type="button" class="word-button" @click="more">Still earlier</button>
  </div>
</template>

<style scoped>
.versions {
  width: 420px;
}

ol {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
  margin: 8px 0;
  padding: 0;
}

li button {
  font: inherit;
  font-size: 13px;
  line-height: 1.3;
  width: 100%;
  text-align: left;
  background: none;
  border: 2px solid transparent;
  border-radius: 5px;
  padding: 4px;
  cursor: pointer;
}

li button:hover,
li button:focus-visible {
  border-color: var(--accent);
}

.picture {
  display: block;
  height: 84px;
  background: var(--desk);
}
</style>
