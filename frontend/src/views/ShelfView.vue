<script setup lang="ts">
import { NButton, NInput, NSwitch } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, ask } from '@/api/client'
import SheetThumb from '@/sheet/SheetThumb.vue'
import EmptyState from '@/shell/EmptyState.vue'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'

import ReadyExercises from './shelf/ReadyExercises.vue'

const router = useRouter()
const { trying } = useSay()
const find = ref('')
const away = ref(false)
const choosing = ref(false)
const { data, failure, reload } = useLoad(() =>
  ask(api.GET('/api/exercises', { params: { query: { put_away: away.value } } })),
)
watch(away, reload)
const shown = computed(
  () => data.value?.filter((e) => e.title.toLowerCase().includes(find.value.trim().toLowerCase())) ?? [],
)

async function add(exercise: Record<string, unknown> | null): Promise<void> {
  const made = await trying(() => ask(api.POST('/api/exercises', { body: { exercise } })))
  if (made) await router.push(`/desk/${made.id}`)
}

async function copy(id: number): Promise<void> {
  const kept = await trying(() =>
    ask(api.GET('/api/exercises/{exercise_id}', { params: { path: { exercise_id: id } } })),
  )
  if (kept) await add({ ...kept.exercise, title: `${String(kept.exercise.title)} (copy)`.slice(0, 80) })
}

async function putAway(id: number): Promise<void> {
  const params = { path: { exercise_id: id } }
  await trying(() => ask(api.POST('/api/exercises/{exercise_id}/away', { params, body: { put_away: !away.value } })))
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
      <NInput v-model:value="find" placeholder="Find by name" clearable class="find" />
      <label class="away"><NSwitch v-model:value="away" size="small" /> put away</label>
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
    <p v-else-if="data && !shown.length" class="quiet">No exercise is called like “{{ find }}”.</p>
    <ul class="shelf">
      <li v-for="exercise in shown" :key="exercise.id">
        <RouterLink :to="`/desk/${exercise.id}`" class="thumb">
          <SheetThumb :picture="exercise.picture" :label="`Finished sheet of ${exercise.title}`" />
        </RouterLink>
        <RouterLink :to="`/desk/${exercise.id}`" class="title">{{ exercise.title }}</RouterLink>
        <p class="doors">
          <RouterLink :to="`/show/${exercise.id}`">Show</RouterLink>
          <RouterLink :to="`/print/${exercise.id}`">Print</RouterLink>
          <button type="button" class="word-button" @click="copy(exercise.id)">Copy</button>
          <button type="button" class="word-button" @click="putAway(exercise.id)">
            {{ away ? 'Put back' : 'Put away' }}
          </button>
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

.title {
  display: block;
  font-weight: 700;
  margin-top: 8px;
  color: var(--ink);
  text-decoration: none;
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
