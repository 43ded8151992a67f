<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ref } from 'vue'

import { api, ask } from '@/api/client'
import SheetThumb from '@/sheet/SheetThumb.vue'
import EmptyState from '@/shell/EmptyState.vue'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'

import PlanLesson from './today/PlanLesson.vue'
import { dayWords, localDay } from './today/days'

const { trying } = useSay()
const planning = ref(false)
const { data, failure, reload } = useLoad(() =>
  ask(api.GET('/api/today', { params: { query: { since: localDay(new Date()) } } })),
)

async function remove(id: number): Promise<void> {
  await trying(() => ask(api.DELETE('/api/lessons/{lesson_id}', { params: { path: { lesson_id: id } } })))
  await reload()
}

async function planned(): Promise<void> {
  planning.value = false
  await reload()
}
</script>

<template>
  <div class="page">
    <p v-if="failure" role="alert">{{ failure }}</p>
    <template v-if="data">
      <div class="head">
        <h1>Next lessons</h1>
        <NButton v-if="data.has_classes && data.has_exercises" @click="planning = true">Plan a lesson</NButton>
      </div>
      <EmptyState
        v-if="!data.has_exercises"
        title="No exercise yet"
        text="Make the first one at the Desk: a sheet, an eye level, a point, a box."
      >
        <RouterLink to="/desk">Go to the Desk</RouterLink>
      </EmptyState>
      <EmptyState
        v-else-if="!data.has_classes"
        title="No class yet"
        text="Enter a class with its aliases, then lessons can be planned and sheets kept."
      >
        <RouterLink to="/register">Go to the Register</RouterLink>
      </EmptyState>
      <EmptyState
        v-else-if="!data.lessons.length"
        title="No lesson planned"
        text="Plan one: which class, which exercise, which day."
      >
        <NButton type="primary" @click="planning = true">Plan a lesson</NButton>
      </EmptyState>
      <ul class="lessons">
        <li v-for="(lesson, i) in data.lessons" :key="lesson.id" :class="{ first: i === 0 }">
          <RouterLink :to="`/desk/${lesson.exercise_id}`" class="thumb">
            <SheetThumb :picture="lesson.picture" :label="`Finished sheet of ${lesson.exercise}`" />
          </RouterLink>
          <div class="words">
            <p class="when">{{ dayWords(lesson.on_date, new Date()) }} · {{ lesson.class_name }}</p>
            <h2>{{ lesson.exercise }}</h2>
            <p>
              From step {{ lesson.start_step }} of {{ lesson.steps }}: {{ lesson.step_title }}.
              <span class="quiet">About {{ Math.round(lesson.minutes) }} minutes of drawing.</span>
            </p>
            <p class="doors">
              <RouterLink :to="{ path: `/show/${lesson.exercise_id}`, query: { step: lesson.start_step } }"
                >Show it</RouterLink
              >
              <RouterLink :to="{ path: `/print/${lesson.exercise_id}`, query: { class: lesson.class_id } }"
                >Print sheets</RouterLink
              >
              <RouterLink :to="`/desk/${lesson.exercise_id}`">Change it</RouterLink>
              <button type="button" class="word-button" @click="remove(lesson.id)">Not this lesson</button>
            </p>
          </div>
        </li>
      </ul>
      <div class="two">
        <section>
          <h2>Waiting to be checked</h2>
          <p v-if="!data.piles.length" class="quiet">
            No pile waits. <RouterLink to="/check">Begin one</RouterLink> when sheets come in.
          </p>
          <ul class="plain">
            <li v-for="pile in data.piles" :key="pile.id">
              <RouterLink :to="`/check/${pile.id}`">{{ pile.class_name }}: {{ pile.exercise }}</RouterLink>
              <span class="quiet">
                <template v-if="pile.waiting">{{ pile.waiting }} photographed, not yet read. </template>
                <template v-if="pile.reading">{{ pile.reading }} being read. </template>
                <template v-if="pile.to_look_at">{{ pile.to_look_at }} to look at. </template>
                <template v-if="pile.kept">{{ pile.kept }} kept.</template>
              </span>
            </li>
          </ul>
        </section>
        <section>
          <h2>Who needs what</h2>
          <p v-if="!data.needs.length" class="quiet">Nobody's last kept sheet left something open.</p>
          <ul class="plain">
            <li v-for="need in data.needs" :key="need.class_id + need.alias">
              <RouterLink :to="`/register/${need.class_id}`">{{ need.alias }}</RouterLink>
              <span class="quiet">{{ need.finding.toLowerCase() }}, on “{{ need.exercise }}”</span>
            </li>
          </ul>
        </section>
      </div>
      <PlanLesson v-if="planning" @done="planned" @close="planning = false" />
    </template>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 12px;
}

.lessons {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}

.doors .word-button {
  font-weight: 400;
  padding: 4px 0;
}

.lessons li {
  display: flex;
  gap: 16px;
  background: var(--panel);
  border-radius: 8px;
  padding: 14px;
}

.lessons .first {
  grid-column: 1 / -1;
  border-left: 5px solid var(--accent);
}

.thumb {
  flex: none;
  width: 150px;
  height: 108px;
}

.first .thumb {
  width: 260px;
  height: 186px;
}

.words p {
  margin: 3px 0;
}

.when {
  font-weight: 700;
  color: var(--accent);
}

.doors {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}

.doors a {
  font-weight: 700;
  padding: 5px 0;
}

.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  margin-top: 14px;
}

.two section {
  background: var(--panel);
  border-radius: 8px;
  padding: 14px 18px;
}

.plain {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
}

.plain li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
}

@media (max-width: 900px) {
  .lessons,
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
