<script setup lang="ts">
import { NButton } from 'naive-ui'
import { ref } from 'vue'

import { api, ask } from '@/api/client'
import type { TodayAnswer } from '@/api/types'
import KeptPicture from '@/sheet/KeptPicture.vue'
import EmptyState from '@/shell/EmptyState.vue'
import FirstHint from '@/shell/FirstHint.vue'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'

import PlanLesson from './today/PlanLesson.vue'
import { dayWords, hourWords, localDay } from './today/days'

type Lesson = TodayAnswer['lessons'][number]
const { trying, removed } = useSay()
const planning = ref(false)
const changing = ref<Lesson>()
const { data, failure, reload } = useLoad(() =>
  ask(api.GET('/api/today', { params: { query: { since: localDay(new Date()) } } })),
)

async function remove(lesson: Lesson): Promise<void> {
  const params = { path: { lesson_id: lesson.id } }
  const done = await trying(async () => {
    await ask(api.DELETE('/api/lessons/{lesson_id}', { params }))
    await reload()
    return true
  })
  if (!done) return
  removed(`The lesson with ${lesson.class_name} is off the list.`, async () => {
    await ask(api.POST('/api/lessons/{lesson_id}/back', { params }))
    await reload()
  })
}

function plan(lesson?: Lesson): void {
  changing.value = lesson
  planning.value = true
}

async function planned(): Promise<void> {
  planning.value = false
  await reload()
}
</script>

<template>
  <div class="page">
    <FirstHint name="today"
      >One turn of the work: make an exercise at the Desk, show it to the class, print the sheets, check what comes
      back, and the Register keeps it. Begin at the Desk with a ready exercise.</FirstHint
    >
    <p v-if="failure" role="alert">{{ failure }}</p>
    <template v-if="data">
      <div class="head">
        <h1>Next lessons</h1>
        <NButton v-if="data.has_classes && data.has_exercises" @click="plan()">Plan a lesson</NButton>
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
        <NButton type="primary" @click="plan()">Plan a lesson</NButton>
      </EmptyState>
      <ul class="lessons">
        <li v-for="(lesson, i) in data.lessons" :key="lesson.id" :class="{ first: i === 0 }">
          <RouterLink :to="`/desk/${lesson.exercise_id}`" class="thumb">
            <KeptPicture :source="lesson.picture" :label="`Finished sheet of ${lesson.exercise}`" />
          </RouterLink>
          <div class="words">
            <p class="when">
              {{ dayWords(lesson.on_date, new Date())
              }}<template v-if="lesson.at_time">, {{ hourWords(lesson.at_time) }}</template> · {{ lesson.class_name }}
            </p>
            <h2>{{ lesson.exercise }}</h2>
            <p v-if="lesson.problem" role="alert">This exercise cannot be opened. {{ lesson.problem }}</p>
            <p v-else>
              From step {{ lesson.start_step }} of {{ lesson.steps }}: {{ lesson.step_title }}.
              <span class="quiet">About {{ Math.round(lesson.minutes) }} minutes of drawing.</span>
            </p>
            <p v-if="lesson.remark">{{ lesson.remark }}</p>
            <p v-if="lesson.materials" class="quiet">Bring: {{ lesson.materials }}</p>
            <p class="doors">
              <RouterLink :to="{ path: `/show/${lesson.exercise_id}`, query: { step: lesson.start_step } }"
                >Show it</RouterLink
              >
              <RouterLink :to="{ path: `/print/${lesson.exercise_id}`, query: { class: lesson.class_id } }"
                >Print sheets</RouterLink
              >
              <RouterLink :to="`/desk/${lesson.exercise_id}`">Open it at the Desk</RouterLink>
              <button type="button" class="word-button" @click="plan(lesson)">Change the lesson</button>
              <button type="button" class="word-button" @click="remove(lesson)">Not this lesson</button>
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
      <PlanLesson v-if="planning" :lesson="changing" @done="planned" @close="planning = false" />
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
