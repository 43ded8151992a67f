<script setup lang="ts">
/**
 * The words of a step, readable from the back row. They take as much room as the longest of all steps, so that the
 * picture over them keeps its scale from step to step.
 */
import { computed } from 'vue'

import type { Step } from '@/api/types'

import StepClock from './StepClock.vue'

const props = defineProps<{
  step: Step
  /** All steps that are shown. */
  all: readonly Step[]
  next?: Step
  number: number
  count: number
  drawn: number
  since: number
  alone: boolean
  board?: string
}>()

/** What would stand at the side of each step, a line each. */
const sides = computed(() => [
  ...new Set(
    props.all.map(({ tool, slip, after }) => [`With: ${tool}`, `Watch for: ${slip}`, after].join('\n').trim()),
  ),
])
</script>

<template>
  <section class="words" aria-live="polite">
    <div class="say">
      <p class="where">
        Step {{ number }} of {{ count }}<template v-if="step.thing"> · {{ step.thing }}</template>
      </p>
      <div class="stack">
        <p class="text">{{ step.text }}</p>
        <i v-for="one in all" :key="one.key" class="room" :data-text="one.text" aria-hidden="true" />
      </div>
      <p v-if="alone && next" class="next">Then: {{ next.title }}. {{ next.text }}</p>
    </div>
    <div class="side stack">
      <div>
        <p v-if="step.count">
          <strong>{{ Math.min(drawn, step.count) }} of {{ step.count }}</strong>
          {{ step.count === 1 ? 'line' : 'lines' }}
        </p>
        <p>With: {{ step.tool }}</p>
        <p class="slip">Watch for: {{ step.slip }}</p>
        <p v-if="step.after">{{ step.after }}</p>
        <p v-if="board">Measures are those of a board {{ board }} wide.</p>
        <StepClock v-if="since" :since="since" :minutes="step.minutes" />
      </div>
      <i v-for="text in sides" :key="text" class="room" :data-text="text" aria-hidden="true" />
    </div>
  </section>
</template>

<style scoped>
.words {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(220px, 27%);
  gap: 24px;
  padding: 12px 26px 16px;
  background: var(--graphite);
  color: var(--on-graphite);
  min-height: 150px;
}

.say {
  font-size: clamp(22px, 2.35vw, 40px);
  line-height: 1.3;
}

.text {
  margin: 0;
}

.stack {
  display: grid;
  align-content: start;
}

.stack > * {
  grid-area: 1 / 1;
}

/* Words that take room and are not seen, nor heard. */
.room {
  visibility: hidden;
  font-style: normal;
}

.room::after {
  content: attr(data-text);
  white-space: pre-line;
}

.side .room {
  margin-top: 1.7em;
}

.next {
  margin: 8px 0 0;
  line-height: normal;
  font-size: clamp(15px, 1.3vw, 20px);
  color: var(--on-graphite-soft);
}

.where {
  margin: 0 0 2px;
  color: var(--accent-on-dark);
  font-weight: 700;
  font-size: 18px;
  line-height: normal;
}

.side {
  font-size: clamp(16px, 1.35vw, 22px);
  line-height: 1.35;
}

.side p {
  margin: 0 0 4px;
}

.side strong {
  font-size: 1.7em;
}

@media (max-width: 760px), (max-height: 560px) {
  .words {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
    padding: 8px 14px;
    min-height: 0;
  }

  .say {
    font-size: 20px;
  }

  .side {
    font-size: 16px;
  }

  .room {
    display: none;
  }
}

.slip {
  color: var(--on-graphite-soft);
}
</style>
