<script setup lang="ts">
/** The class display: one step at a time, large, the ruler and the pencil moving as the hand does. */
import { useEventListener, useFullscreen, usePreferredReducedMotion, useRafFn, useSwipe } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import { ProblemError } from '@/api/client'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetLines from '@/sheet/SheetLines.vue'
import SheetPoints from '@/sheet/SheetPoints.vue'
import SheetLetters from '@/sheet/SheetLetters.vue'
import SheetScales from '@/sheet/SheetScales.vue'
import SheetView from '@/sheet/SheetView.vue'
import { stageAfter } from '@/sheet/stage'
import EmptyState from '@/shell/EmptyState.vue'
import { setTitle } from '@/router'
import { useExercise } from '@/stores/exercise'

import { handAt, MS_A_LINE, strokesOf } from './show/hand'
import ShowHand from './show/ShowHand.vue'
import StepWords from './show/StepWords.vue'

const props = defineProps<{ id: string }>()
const exercise = useExercise()
const route = useRoute()
const router = useRouter()
const root = ref<HTMLElement>()
const failure = ref('')
const number = ref(Math.max(1, Number(route.query.step) || 1))
const seeThrough = ref(false)
const ms = ref(0)
const reduced = usePreferredReducedMotion()
const { isSupported: canFill, toggle: fill } = useFullscreen(root)

exercise.load(Number(props.id)).catch((error: unknown) => {
  if (!(error instanceof ProblemError)) throw error
  failure.value = error.message
})

const drawing = computed(() => exercise.drawing)
watch(
  () => exercise.title,
  (title) => setTitle(title),
  { immediate: true },
)
const steps = computed(() => drawing.value?.steps ?? [])
const step = computed(() => steps.value[number.value - 1])
const strokes = computed(() => (drawing.value && step.value ? strokesOf(drawing.value, step.value) : []))
const pace = computed(() => (strokes.value.length > 8 ? 700 : MS_A_LINE))
const end = computed(() => strokes.value.length * pace.value)
const hand = computed(() => handAt(strokes.value, ms.value, pace.value))
const moving = computed(() => ms.value < end.value)

const shown = computed(() => {
  const now = stageAfter(steps.value, number.value)
  if (!moving.value) return now
  const before = stageAfter(steps.value, number.value - 1)
  const light = new Set(now.light)
  const dark = new Set(before.dark)
  for (const { line } of strokes.value) {
    if (hand.value.done.has(line.id)) (now.dark.has(line.id) ? dark : light).add(line.id)
    else if (before.light.has(line.id)) light.add(line.id)
    else light.delete(line.id)
  }
  return { ...now, light, dark }
})
const hiddenToo = computed(() => {
  if (!drawing.value || !seeThrough.value) return undefined
  const all = drawing.value.lines.filter((line) => line.role !== 'detail').map((line) => line.id)
  return {
    light: new Set(all),
    dark: new Set<number>(),
    fresh: new Set<number>(),
    marks: [],
    toned: false,
    points: new Set<string>(),
  }
})

const { pause, resume } = useRafFn(({ delta }) => {
  ms.value += delta
  if (ms.value >= end.value) pause()
})

function replay(): void {
  ms.value = reduced.value === 'reduce' ? end.value : 0
  resume()
}

watch([number, () => steps.value.length], ([n, count]) => {
  if (!count) return
  number.value = Math.min(n, count)
  replay()
  void router.replace({ query: { ...route.query, step: number.value } })
})

function go(by: number): void {
  number.value = Math.min(Math.max(number.value + by, 1), steps.value.length)
}

function leave(): void {
  void router.push(`/desk/${props.id}`)
}

/** Next: first finish what is being drawn, then go on, so that a hurried press never skips a line. */
function next(): void {
  if (moving.value) ms.value = end.value
  else go(1)
}

const KEYS: Record<string, () => void> = {
  ArrowRight: next,
  ' ': next,
  PageDown: next,
  Enter: next,
  ArrowLeft: () => go(-1),
  PageUp: () => go(-1),
  Home: () => (number.value = 1),
  End: () => (number.value = steps.value.length),
  r: replay,
  s: () => (seeThrough.value = !seeThrough.value),
  f: () => void fill(),
  Escape: leave,
}
useEventListener('keydown', (event) => {
  const act = KEYS[event.key.length === 1 ? event.key.toLowerCase() : event.key]
  const onButton = event.target instanceof HTMLButtonElement && (event.key === ' ' || event.key === 'Enter')
  if (!act || onButton || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  act()
})
useSwipe(root, {
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') next()
    if (direction === 'right') go(-1)
  },
})
</script>

<template>
  <div ref="root" class="show">
    <EmptyState v-if="failure" title="This exercise cannot be shown" :text="failure">
      <RouterLink to="/show">Choose another one</RouterLink>
    </EmptyState>
    <template v-else-if="drawing && step">
      <div class="board">
        <SheetView
          :picture="drawing"
          :label="`Step ${number}: ${step.title}`"
          :padding="7"
          reach
          :points="shown.points"
        >
          <SheetFaces v-if="shown.toned" />
          <SheetLines v-if="hiddenToo" :stage="hiddenToo" :weight="1.4" />
          <SheetLines :stage="shown" :weight="1.9" :selected="[step.thing]" />
          <SheetPoints :marks="moving ? [] : shown.marks" :only="shown.points" :size="11" />
          <SheetScales :scales="step.scales" :clear="step.letters.length ? 24 : 0" />
          <SheetLetters :letters="step.letters" />
          <ShowHand v-if="moving" :hand="hand" :dark="step.darkens.length > 0" />
        </SheetView>
      </div>
      <div class="progress" role="group" aria-label="All steps">
        <button
          v-for="n in steps.length"
          :key="n"
          type="button"
          :class="{ done: n < number, here: n === number }"
          :aria-label="`Step ${n} of ${steps.length}`"
          :aria-current="n === number ? 'step' : undefined"
          @click="number = n"
        />
      </div>
      <StepWords
        class="words"
        :step="step"
        :number="number"
        :count="steps.length"
        :drawn="moving ? hand.done.size : step.count"
      />
      <nav aria-label="Class display">
        <button type="button" :disabled="number === 1" @click="go(-1)">Back</button>
        <button type="button" class="next" :disabled="number === steps.length && !moving" @click="next">Next</button>
        <button type="button" @click="replay">Again</button>
        <button type="button" :aria-pressed="seeThrough" :class="{ on: seeThrough }" @click="seeThrough = !seeThrough">
          See-through
        </button>
        <button v-if="canFill" type="button" @click="fill">Full screen</button>
        <button type="button" @click="leave">Close</button>
      </nav>
    </template>
  </div>
</template>

<style scoped>
.show {
  height: 100%;
  display: grid;
  grid-template: minmax(0, 1fr) 8px auto / minmax(0, 1fr) auto;
  background: var(--desk);
}

.board {
  grid-column: 1 / -1;
  min-height: 0;
  padding: 4px;
}

.progress {
  grid-column: 1 / -1;
  display: flex;
  gap: 2px;
  background: var(--graphite);
}

.progress button {
  flex: 1;
  border: 0;
  padding: 0;
  background: #59606a;
  cursor: pointer;
}

.progress .done {
  background: #b58e7c;
}

.progress .here {
  background: var(--accent-on-dark);
}

nav,
.progress {
  --focus: var(--accent-on-dark);
}

nav {
  display: grid;
  grid-template-columns: auto auto;
  align-content: center;
  gap: 6px;
  padding: 10px 18px;
  background: var(--graphite);
}

nav button {
  background: var(--graphite-light);
  color: var(--on-graphite);
  border: 1px solid #6a717b;
  border-radius: 5px;
  min-height: 44px;
  padding: 4px 16px;
  font-size: 17px;
  cursor: pointer;
}

nav .next {
  background: var(--accent);
  border-color: var(--accent);
  font-weight: 700;
}

nav .on {
  background: var(--on-graphite);
  color: var(--graphite);
}

nav button:disabled {
  opacity: 0.45;
  cursor: default;
}

/* A phone held upright: the picture first, then the words, then the buttons in one row. */
@media (max-width: 760px) {
  .show {
    grid-template: minmax(44vh, 1fr) 12px auto auto / minmax(0, 1fr);
  }

  .words {
    max-height: none;
  }

  nav {
    display: flex;
    flex-wrap: wrap;
    padding: 8px;
  }

  nav button {
    flex: 1;
    padding: 4px 8px;
    font-size: 15px;
  }

  .show {
    overflow: auto;
    height: auto;
    min-height: 100%;
  }
}

/* A low window, or one that is much enlarged: picture and words beside each other. */
@media (max-height: 560px) and (min-width: 520px) {
  .show {
    grid-template: minmax(0, 1fr) auto 8px / minmax(0, 1.5fr) minmax(190px, 1fr);
    height: 100%;
    min-height: 0;
    overflow: hidden;
  }

  .board {
    grid-area: 1 / 1 / 3 / 2;
  }

  .words {
    grid-area: 1 / 2;
    max-height: none;
    min-height: 0;
    overflow: auto;
  }

  nav {
    grid-area: 2 / 2;
    display: flex;
    flex-wrap: wrap;
    padding: 6px;
    gap: 4px;
  }

  nav button {
    flex: 1;
    padding: 2px 6px;
    font-size: 14px;
  }

  .progress {
    grid-area: 3 / 1 / 4 / 3;
  }
}
</style>
