<script setup lang="ts">
/** The words of a step, readable from the back row. */
import type { Step } from '@/api/types'

import StepClock from './StepClock.vue'

defineProps<{
  step: Step
  next?: Step
  number: number
  count: number
  drawn: number
  since: number
  alone: boolean
  board?: string
}>()
</script>

<template>
  <section class="words" aria-live="polite">
    <div class="say">
      <p class="where">
        Step {{ number }} of {{ count }}<template v-if="step.thing"> · {{ step.thing }}</template>
      </p>
      <p class="text">{{ step.text }}</p>
      <p v-if="alone && next" class="next">Then: {{ next.title }}. {{ next.text }}</p>
    </div>
    <div class="side">
      <p v-if="step.count">
        <strong>{{ Math.min(drawn, step.count) }} of {{ step.count }}</strong> {{ step.count === 1 ? 'line' : 'lines' }}
      </p>
      <p>With: {{ step.tool }}</p>
      <p class="slip">Watch for: {{ step.slip }}</p>
      <p v-if="step.after">{{ step.after }}</p>
      <p v-if="board">Measures are those of a board {{ board }} wide.</p>
      <StepClock v-if="since" :since="since" :minutes="step.minutes" />
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

.text {
  font-size: clamp(22px, 2.35vw, 40px);
  line-height: 1.3;
  margin: 0;
}

.next {
  margin: 8px 0 0;
  font-size: clamp(15px, 1.3vw, 20px);
  color: var(--on-graphite-soft);
}

.where {
  margin: 0 0 2px;
  color: var(--accent-on-dark);
  font-weight: 700;
  font-size: 18px;
}

.side p {
  margin: 0 0 4px;
  font-size: clamp(16px, 1.35vw, 22px);
  line-height: 1.35;
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

  .text {
    font-size: 20px;
  }

  .side p {
    font-size: 16px;
  }
}

.slip {
  color: var(--on-graphite-soft);
}
</style>
