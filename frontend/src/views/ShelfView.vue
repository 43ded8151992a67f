<script setup lang="ts">
import { NButton, NInput, NSelect, NSwitch } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, ask } from '@/api/client'
import type { ShelfLine } from '@/api/types'
import KeptPicture from '@/sheet/KeptPicture.vue'
import AskFirst from '@/shell/AskFirst.vue'
import EmptyState from '@/shell/EmptyState.vue'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'

import ReadyExercises from './shelf/ReadyExercises.vue'

const router = useRouter()
const { trying, removed } = useSay()
const find = ref('')
const away = ref(false)
const choosing = ref(false)
const points = ref('')
const { data, failure, reload } = useLoad(() =>
  ask(api.GET('/api/exercises', { params: { query: { put_away: away.value } } })),
)
watch(away, reload)
const POINTS = [
  { label: 'any points', value: '' },
  { label: 'one point', value: 'one_point' },
  { label: 'two points', value: 'two_point' },
  { label: 'three points', value: 'three_point' },
]
const shown = computed(() => {
  const words = find.value.trim().toLowerCase()
  const isOf = (e: ShelfLine): boolean => !points.value || e.views.includes(points.value)
  return data.value?.filter((e) => isOf(e) && e.title.toLowerCase().includes(words)) ?? []
})

async function add(exercise: Record<string, unknown> | null): Promise<void> {
  const made = await trying(() => ask(api.POST('/api/exercises', { body: { exercise, another_name: true } })))
  if (made) await router.push(`/desk/${made.id}`)
}

async function copy(id: number): Promise<void> {
  const kept = await trying(() =>
    ask(api.GET('/api/exercises/{exercise_id}', { params: { path: { exercise_id: id } } })),
  )
  if (kept) await add({ ...kept.exercise, title: `${String(kept.exercise.title)} (copy)`.slice(0, 80) })
}

async function move(id: number, toAway: boolean): Promise<void> {
  const params = { path: { exercise_id: id } }
  await ask(api.POST('/api/exercises/{exercise_id}/away', { params, body: { put_away: toAway } }))
  await reload()
}

async function putAway(exercise: ShelfLine): Promise<void> {
  const toAway = !away.value
  const done = await trying(async () => {
    await move(exercise.id, toAway)
    return true
  })
  if (done && toAway) removed(`“${exercise.title}” is put away.`, () => move(exercise.id, false))
}

async function deleteForGood(id: number): Promise<void> {
  await trying(() => ask(api.DELETE('/api/exercises/{exercise_id}', { params: { path: { exercise_id: id } } })))
  await reload()
}

async function bring(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  let document: Record<string, unknown>
  try {
    document = JSON.parse(await file.text()) as Record<string, unknown>
  } catch {
    document = {}
  }
  await add(document)
}
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>{{ away ? 'Put away' : 'Exercises' }}</h1>
      <NInput
        v-model:value="find"
        placeholder="Find by name"
        clearable
        class="find"
        :input-props="{ 'aria-label': 'Find by name' }"
      />
      <NSelect v-model:value="points" :options="POINTS" class="points" aria-label="Which points" />
      <span class="away"
        ><NSwitch v-model:value="away" size="small" aria-label="Show what is put away" /> put away</span
      >
      <label class="word-button bring">
        Bring in a file<input type="file" accept=".json,application/json" class="hidden" @change="bring" />
      </label>
      <NButton type="primary" @click="choosing = true">New exercise</NButton>
    </div>
    <ReadyExercises v-model:show="choosing" @chosen="add" />
    <p v-if="failure" role="alert">{{ failure }}</p>
    <EmptyState
      v-if="data && !data.length"
      :title="away ? 'Nothing is put away' : 'The shelf is empty'"
      text="An exercise is a sheet with an eye level, a point and things that stand on it."
    >
      <NButton v-if="!away" type="primary" @click="choosing = true">Make the first exercise</NButton>
    </EmptyState>
    <p v-else-if="data && !shown.length" class="quiet">
      No exercise here {{ find ? `is called like “${find}”` : 'has these points' }}.
    </p>
    <ul class="shelf">
      <li v-for="exercise in shown" :key="exercise.id">
        <template v-if="exercise.problem">
          <p class="title">{{ exercise.title }}</p>
          <p class="unreadable">This exercise cannot be opened. {{ exercise.problem }}</p>
        </template>
        <RouterLink v-else :to="`/desk/${exercise.id}`" class="open">
          <span class="thumb"><KeptPicture :source="exercise.picture" label="" /></span>
          <span class="title">{{ exercise.title }}</span>
        </RouterLink>
        <p class="doors">
          <template v-if="!exercise.problem">
            <RouterLink :to="`/show/${exercise.id}`" :aria-label="`Show ${exercise.title}`">Show</RouterLink>
            <RouterLink :to="`/print/${exercise.id}`" :aria-label="`Print ${exercise.title}`">Print</RouterLink>
            <button type="button" class="word-button" :aria-label="`Copy ${exercise.title}`" @click="copy(exercise.id)">
              Copy
            </button>
          </template>
          <button
            type="button"
            class="word-button"
            :aria-label="`${away ? 'Put back' : 'Put away'} ${exercise.title}`"
            @click="putAway(exercise)"
          >
            {{ away ? 'Put back' : 'Put away' }}
          </button>
          <AskFirst
            v-if="away"
            what="Delete"
            :label="`Delete ${exercise.title} for good`"
            title="Delete it for good?"
            does="Delete for good"
            @sure="deleteForGood(exercise.id)"
          >
            “{{ exercise.title }}” goes with its earlier states and its planned lessons. This cannot be taken back.
            Sheets that were kept stay in the register.
          </AskFirst>
        </p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin-bottom: 16px;
}

h1 {
  margin-right: auto;
}

.find {
  width: 220px;
}

.hidden {
  position: absolute;
  opacity: 0;
  width: 1px;
}

.bring:focus-within {
  outline: 3px solid var(--accent);
}

.shelf {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 16px;
}

.shelf li {
  background: var(--panel);
  border-radius: 8px;
  padding: 12px 14px 8px;
}

.thumb {
  display: block;
  height: 170px;
}

.open {
  color: var(--ink);
  text-decoration: none;
}

.title {
  display: block;
  font-weight: 700;
  margin: 8px 0 0;
}

.unreadable {
  min-height: 150px;
  margin: 8px 0;
}

.points {
  width: 140px;
}

.away {
  display: flex;
  gap: 6px;
  align-items: center;
}

.doors {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 2px 0 0;
}

.doors a,
.doors button {
  font-size: 14px;
  font-weight: 700;
  padding: 4px 2px;
}
</style>
