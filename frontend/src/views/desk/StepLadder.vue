<script setup lang="ts">
/**
 * The ladder: a small true picture of the sheet after each step, standing on a ruler of minutes.
 * Each picture is as wide as its step takes long; choosing one lays the sheet out as it is then.
 */
import { computed, nextTick, ref, watch } from 'vue'

import SheetThumb from '@/sheet/SheetThumb.vue'
import { stageAfter } from '@/sheet/stage'
import { useExercise } from '@/stores/exercise'

import StepMenu from './StepMenu.vue'

const step = defineModel<number>('step', { required: true })
const exercise = useExercise()
const strip = ref<HTMLElement>()
const WIDTH_A_MINUTE = 62
const NARROWEST = 118

const rungs = computed(() => {
  const drawing = exercise.drawing
  let start = 0
  return (drawing?.steps ?? []).map((s, i) => {
    const rung = {
      number: i + 1,
      step: s,
      stage: stageAfter(drawing!, i + 1),
      width: Math.max(NARROWEST, s.minutes * WIDTH_A_MINUTE),
      start,
      group: s.thing || (s.phase === 'setup' ? 'The sheet' : 'All together'),
    }
    start += s.minutes
    return rung
  })
})
const begins = (i: number): boolean => rungs.value[i]?.group !== rungs.value[i - 1]?.group

function choose(number: number): void {
  step.value = step.value === number ? 0 : number
}

function move(by: number): void {
  step.value = Math.min(Math.max(step.value + by, 0), rungs.value.length)
}

watch(step, async (number) => {
  await nextTick()
  strip.value?.querySelector(`[data-step="${number}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
})
</script>

<template>
  <section class="ladder" aria-label="The steps" @keydown.left.prevent="move(-1)" @keydown.right.prevent="move(1)">
    <p v-if="!rungs.length" class="none">The steps come with the first thing on the sheet.</p>
    <ol ref="strip">
      <li v-for="(rung, i) in rungs" :key="rung.number" :data-step="rung.number" :style="{ width: `${rung.width}px` }">
        <span class="group" :class="{ begins: begins(i) }">
          <span>{{ begins(i) ? rung.group : '' }}</span>
          <StepMenu :step="rung.step" :number="rung.number" />
        </span>
        <button
          type="button"
          class="rung"
          :class="{ here: step === rung.number, extra: rung.step.extra }"
          :aria-pressed="step === rung.number"
          @click="choose(rung.number)"
        >
          <span class="picture">
            <SheetThumb :picture="exercise.drawing!" :label="`Sheet after step ${rung.number}`" :stage="rung.stage" />
          </span>
          <span class="title"
            ><b>{{ rung.number }}</b
            ><i v-if="rung.step.extra">extra: </i> {{ rung.step.short }}</span
          >
        </button>
        <span class="tick"
          >{{ Math.round(rung.start) }} min<span v-if="rung.step.stop" class="stop">a good stop</span></span
        >
      </li>
      <li v-if="exercise.drawing?.left_out.length" class="out">
        <span class="group begins"><span>Left out</span></span>
        <button
          v-for="left in exercise.drawing.left_out"
          :key="left.key"
          type="button"
          class="word-button"
          @click="exercise.act({ op: 'bring_back', key: left.key })"
        >
          {{ left.title }}: tell it again
        </button>
      </li>
      <li v-if="exercise.drawing?.unused.length" class="out">
        <span class="group begins"><span>No such step now</span></span>
        <span class="unused">{{ exercise.drawing.unused.join('; ') }}</span>
        <button type="button" class="word-button" @click="exercise.act({ op: 'forget_unused' })">Forget it</button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.ladder {
  --focus: var(--accent-on-dark);

  background: var(--graphite);
  color: var(--on-graphite);
  overflow: auto hidden;
}

ol {
  list-style: none;
  display: flex;
  margin: 0;
  padding: 6px 16px 0;
  height: 100%;
  width: max-content;
}

li {
  display: flex;
  flex-direction: column;
  height: 100%;
}

.group {
  display: flex;
  justify-content: space-between;
  align-items: center;
  height: 24px;
  font-size: 13px;
  font-weight: 700;
  white-space: nowrap;
  padding-left: 7px;
  border-left: 1px solid transparent;
}

.group.begins {
  border-left-color: var(--on-graphite-soft);
}

.rung {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 3px;
  margin: 2px 5px 4px 0;
  padding: 4px;
  background: none;
  border: 2px solid transparent;
  border-radius: 5px;
  cursor: pointer;
  text-align: left;
}

.rung:hover {
  background: var(--graphite-light);
}

.rung.here {
  border-color: var(--accent-on-dark);
  background: var(--graphite-light);
}

.picture {
  flex: 1;
  min-height: 0;
  display: block;
}

.picture :deep(svg) {
  width: auto;
  max-width: 100%;
}

.title {
  font-size: 13px;
  line-height: 1.2;
  height: 2.4em;
  overflow: hidden;
}

.title b {
  margin-right: 3px;
  color: var(--accent-on-dark);
}

.tick {
  height: 20px;
  font-size: 12px;
  color: var(--on-graphite-soft);
  border-top: 1px solid #7b818a;
  border-left: 1px solid #7b818a;
  padding-left: 5px;
  background: repeating-linear-gradient(90deg, #59606a 0 1px, transparent 1px 31px) 0 0 / 100% 5px no-repeat;
}

.extra .picture {
  opacity: 0.6;
}

.stop {
  float: right;
  padding-right: 6px;
  color: var(--on-graphite);
}

.out {
  width: 190px;
  padding: 4px 10px;
  font-size: 13px;
  white-space: normal;
}

.out .word-button {
  color: var(--accent-on-dark);
  text-align: left;
}

.unused {
  display: block;
  padding: 0 8px;
}

.none {
  padding: 20px;
}
</style>
