<script setup lang="ts">
/** All piles, and the beginning of a new one. */
import { NButton, NSelect } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import { api, ask } from '@/api/client'
import EmptyState from '@/shell/EmptyState.vue'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'

const router = useRouter()
const { trying } = useSay()
const classId = ref<number | null>(null)
const exerciseId = ref<number | null>(null)
const { data, failure } = useLoad(async () => ({
  piles: await ask(api.GET('/api/piles')),
  classes: await ask(api.GET('/api/classes')),
  shelf: await ask(api.GET('/api/exercises')),
}))
const classes = computed(() => data.value?.classes.map((c) => ({ label: c.name, value: c.id })) ?? [])
const shelf = computed(() => data.value?.shelf.map((e) => ({ label: e.title, value: e.id })) ?? [])

async function begin(): Promise<void> {
  if (classId.value === null || exerciseId.value === null) return
  const body = { class_id: classId.value, exercise_id: exerciseId.value }
  const made = await trying(() => ask(api.POST('/api/piles', { body })))
  if (made) await router.push(`/check/${made.sheets}`)
}
</script>

<template>
  <div class="page">
    <h1>Piles of sheets</h1>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <template v-if="data">
      <EmptyState
        v-if="!classes.length || !shelf.length"
        title="Not yet"
        text="A pile holds the sheets of one class for one exercise: make an exercise at the Desk and a class in the Register first."
      >
        <RouterLink to="/register">To the Register</RouterLink>
      </EmptyState>
      <section v-else class="begin">
        <strong>Begin a pile</strong>
        <NSelect
          v-model:value="classId"
          :options="classes"
          filterable
          placeholder="Which class"
          :input-props="{ 'aria-label': 'Which class' }"
        />
        <NSelect
          v-model:value="exerciseId"
          :options="shelf"
          filterable
          placeholder="Which exercise"
          :input-props="{ 'aria-label': 'Which exercise' }"
        />
        <NButton type="primary" :disabled="classId === null || exerciseId === null" @click="begin">Begin</NButton>
      </section>
      <ul>
        <li v-for="pile in data.piles" :key="pile.id">
          <RouterLink :to="`/check/${pile.id}`">
            <strong>{{ pile.class_name }}</strong>
            <span class="exercise">{{ pile.exercise }}</span>
            <span v-if="pile.waiting" class="todo">{{ pile.waiting }} not yet read</span>
            <span v-if="pile.reading" class="todo">{{ pile.reading }} being read</span>
            <span v-if="pile.to_look_at" class="todo">{{ pile.to_look_at }} to look at</span>
            <span v-if="pile.kept" class="quiet">{{ pile.kept }} kept</span>
            <span v-if="!(pile.waiting + pile.reading + pile.to_look_at + pile.kept)" class="quiet">no sheets yet</span>
          </RouterLink>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.begin {
  display: grid;
  grid-template-columns: auto 200px 320px auto;
  justify-content: start;
  gap: 12px;
  align-items: center;
  background: var(--panel);
  border-radius: 8px;
  padding: 14px 18px;
  margin: 14px 0;
}

ul {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 8px;
}

li a {
  display: flex;
  gap: 18px;
  align-items: baseline;
  background: var(--panel);
  border-radius: 8px;
  padding: 13px 18px;
  color: var(--ink);
  text-decoration: none;
}

li a:hover {
  background: var(--paper);
}

.exercise {
  flex: 1;
}

.todo {
  color: var(--accent);
  font-weight: 700;
}

@media (max-width: 900px) {
  .begin {
    grid-template-columns: 1fr;
  }
}
</style>
