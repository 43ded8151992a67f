<script setup lang="ts">
/** The class display: one step at a time, large, the ruler and the pencil moving as the hand does. */
import { useFullscreen, useSwipe } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import EmptyState from '@/shell/EmptyState.vue'
import KeyList from '@/shell/KeyList.vue'

import { useKeys } from './show/keys'
import { useLooks, type Looks } from './show/looks'
import ShowBoard from './show/ShowBoard.vue'
import ShowLooks from './show/ShowLooks.vue'
import { useShowing } from './show/showing'
import { useShown } from './show/shown'
import { useSteering } from './show/steering'
import StepList from './show/StepList.vue'
import StepWords from './show/StepWords.vue'

const props = defineProps<{ id: string }>()
const route = useRoute()
const router = useRouter()
const root = ref<HTMLElement>()
const number = ref(Math.max(1, Number(route.query.step) || 1))
const seeThrough = ref(false)
const covered = ref(false)
const allKeys = ref(false)
const looks = useLooks()
const { isSupported: canFill, toggle: fill } = useFullscreen()

const { drawing, failure, problem, boardWidth, fit } = useShown(
  props.id,
  computed(() => looks.value.boardMm),
)
const showing = useShowing(
  drawing,
  number,
  computed(() => looks.value.slower),
)
const { steps, step, moving, drawn, begun, since, replay, go, next, toPart } = showing
const inches = computed(() => drawing.value?.sheet.units === 'in')

watch(number, (n) => void router.replace({ query: { ...route.query, step: n } }))

function openClassWindow(): void {
  window.open(
    router.resolve(`/show/${props.id}/class`).href,
    `orthopsis-class-${props.id}`,
    'popup,width=1280,height=800',
  )
}

function leave(): void {
  void router.push(`/desk/${props.id}`)
}

function turn(look: 'ghost' | 'spotlight' | 'closeUp' | 'darkRoom' | 'clock'): void {
  looks.value = { ...looks.value, [look]: !looks.value[look] }
}

const PACES: Looks['slower'][] = [2, 1, 0.5]
function pace(by: 1 | -1): void {
  const slower = PACES[PACES.indexOf(looks.value.slower) + by]
  if (slower !== undefined) looks.value = { ...looks.value, slower }
}

/** What a presenter's remote sends is among them: Page down and up, and a full stop or B for a dark screen. */
const KEYS = {
  ArrowRight: next,
  ' ': next,
  PageDown: next,
  Enter: next,
  ArrowLeft: () => go(number.value - 1),
  PageUp: () => go(number.value - 1),
  ArrowDown: () => toPart(1),
  ArrowUp: () => toPart(-1),
  Home: () => go(1),
  End: () => go(steps.value.length),
  Escape: leave,
}
const LETTERS = {
  r: replay,
  s: () => (seeThrough.value = !seeThrough.value),
  f: () => void fill(),
  b: () => (covered.value = !covered.value),
  '.': () => (covered.value = !covered.value),
  g: () => turn('ghost'),
  l: () => turn('spotlight'),
  c: () => turn('closeUp'),
  d: () => turn('darkRoom'),
  t: () => turn('clock'),
  '-': () => pace(-1),
  '+': () => pace(1),
  '?': () => (allKeys.value = true),
}
const { press } = useKeys(
  KEYS,
  LETTERS,
  computed(() => looks.value.keys),
)

const { isSupported: canSteer, watched } = useSteering(
  props.id,
  computed(() => ({
    number: number.value,
    begun: begun.value,
    seeThrough: seeThrough.value,
    covered: covered.value,
    looks: looks.value,
  })),
  (key) => key !== 'Escape' && press(key),
)

useSwipe(root, {
  onSwipeEnd: (_, direction) => {
    if (direction === 'left') next()
    if (direction === 'right') go(number.value - 1)
  },
})
</script>

<template>
  <div ref="root" class="show" :class="{ 'dark-room': looks.darkRoom }">
    <EmptyState v-if="failure" title="This exercise cannot be shown" :text="failure">
      <RouterLink to="/show">Choose another one</RouterLink>
    </EmptyState>
    <template v-else-if="drawing && step">
      <ShowBoard
        class="drawn"
        :drawing="drawing"
        :step="step"
        :number="number"
        :showing="showing"
        :looks="looks"
        :see-through="seeThrough"
        @fits="fit"
      />
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
        :all="steps"
        :next="steps[number]"
        :number="number"
        :count="steps.length"
        :drawn="drawn"
        :since="looks.clock ? since : 0"
        :alone="watched"
        :board="boardWidth"
      />
      <nav aria-label="Class display">
        <button type="button" :disabled="number === 1" @click="go(number - 1)">Back</button>
        <button type="button" class="next" :disabled="number === steps.length && !moving" @click="next">Next</button>
        <button type="button" @click="replay">Again</button>
        <StepList v-model:number="number" :steps="steps" />
        <button type="button" :aria-pressed="seeThrough" :class="{ on: seeThrough }" @click="seeThrough = !seeThrough">
          See-through
        </button>
        <ShowLooks v-model:looks="looks" :inches="inches" :problem="problem" />
        <button v-if="canSteer" type="button" :class="{ on: watched }" @click="openClassWindow">Class window</button>
        <button v-if="canFill" type="button" @click="fill()">Full screen</button>
        <button type="button" @click="leave">Close</button>
      </nav>
      <button v-if="covered" type="button" class="cover" :class="{ aside: watched }" @click="covered = false">
        {{ watched ? 'The class sees a dark screen.' : 'The screen is dark.' }} Press B, or here, and the drawing is
        back.
      </button>
    </template>
    <KeyList v-model:show="allKeys" />
  </div>
</template>

<style scoped>
.show {
  height: 100%;
  display: grid;
  grid-template: minmax(0, 1fr) 24px auto / minmax(0, 1fr) auto;
  background: var(--desk);
}

.drawn {
  grid-column: 1 / -1;
}

.cover {
  position: fixed;
  inset: 0;
  border: 0;
  background: #000;
  color: #777;
  font: inherit;
  display: grid;
  place-content: end center;
  padding: 24px;
  z-index: 5;
}

.cover.aside {
  inset: 0 0 auto;
  place-content: center;
  color: #fff;
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
  /* Thin to look at, tall enough to be hit. */
  --bar: #59606a;
  background: linear-gradient(var(--bar), var(--bar)) top / 100% 8px no-repeat;
  cursor: pointer;
}

.progress .done {
  --bar: #b58e7c;
}

.progress .here {
  --bar: var(--accent-on-dark);
}

nav,
.progress {
  --focus: var(--accent-on-dark);
  --accent: #92310f;
}

nav {
  display: grid;
  grid-template-columns: repeat(3, auto);
  align-content: center;
  gap: 6px;
  padding: 10px 18px;
  background: var(--graphite);
}

nav :deep(button) {
  background: var(--graphite-light);
  color: var(--on-graphite);
  border: 1px solid #6a717b;
  border-radius: 5px;
  min-height: 44px;
  padding: 4px 12px;
  font-size: 16px;
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
    grid-template: minmax(44vh, 1fr) 24px auto auto / minmax(0, 1fr);
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
    grid-template: minmax(0, 1fr) auto 24px / minmax(0, 1.5fr) minmax(190px, 1fr);
    height: 100%;
    min-height: 0;
    overflow: hidden;
  }

  .drawn {
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
