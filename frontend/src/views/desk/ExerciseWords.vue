<script setup lang="ts">
/** The exercise in words: sentences with places, and what can be done with each thing. */
import { NDropdown } from 'naive-ui'
import { computed, nextTick, ref, watch } from 'vue'

import { api, ask } from '@/api/client'
import type { Act, Sentence } from '@/api/types'
import FirstHint from '@/shell/FirstHint.vue'
import { useLoad } from '@/shell/useLoad'
import { useExercise } from '@/stores/exercise'

import ChooseSeveral from './ChooseSeveral.vue'
import KeptParts from './KeptParts.vue'
import OnTrial from './OnTrial.vue'
import PlaceEditor from './PlaceEditor.vue'
import WhoHides from './WhoHides.vue'
import { useTrial } from './useTrial'

const props = defineProps<{ chosen: string }>()
const emit = defineEmits<{ choose: [about: string] }>()
const exercise = useExercise()
const trial = ref<InstanceType<typeof OnTrial>>()
const tryAct = useTrial(trial)
const { data: kinds } = useLoad(() => ask(api.GET('/api/desk/kinds')))
/** What hangs on another thing is offered once there is one. */
const offered = computed(() => (kinds.value ?? []).filter((kind) => !kind.hangs || things.value.length > 0))
const groups = computed(() =>
  [...new Set(offered.value.map((kind) => kind.group))].map((name) => ({
    name,
    kinds: offered.value.filter((kind) => kind.group === name),
  })),
)
/** In each group one button can be reached by Tab; the arrow keys go on from there. */
const reached = ref<Record<string, number>>({})

function rove(event: KeyboardEvent, group: { name: string; kinds: unknown[] }): void {
  const last = group.kinds.length - 1
  const at = reached.value[group.name] ?? 0
  const next = { ArrowRight: at + 1, ArrowDown: at + 1, ArrowLeft: at - 1, ArrowUp: at - 1, Home: 0, End: last }[
    event.key
  ]
  if (next === undefined) return
  event.preventDefault()
  const to = Math.min(Math.max(next, 0), last)
  reached.value[group.name] = to
  const buttons = (event.currentTarget as HTMLElement).querySelectorAll('button')
  buttons[to]?.focus()
}

const root = ref<HTMLElement>()
const sentences = computed(() => exercise.drawing?.sentences ?? [])
const things = computed(() => sentences.value.filter((s) => s.owner === 'things'))
const problemAbout = computed(() => exercise.problem?.about ?? '')

const names = computed(() => things.value.map((thing) => thing.title))

/** Several things are being chosen. */
const several = ref(false)

function choose(sentence: Sentence, event: MouseEvent): void {
  if (sentence.owner !== 'things' || !(event.shiftKey || event.ctrlKey || event.metaKey))
    return emit('choose', sentence.about)
  const before = things.value.find((s) => s.about === props.chosen)
  if (!several.value && before) exercise.together = [before.title]
  several.value = true
  toggle(sentence.title)
}

function toggle(name: string): void {
  const isIn = exercise.together.includes(name)
  exercise.together = isIn ? exercise.together.filter((other) => other !== name) : [...exercise.together, name]
}

function problemOf(sentence: Sentence): boolean {
  return exercise.problem?.sentence === sentence.about
}

const MENU = [
  { label: 'Copy', key: 'copy' },
  { label: 'Draw it earlier, before the one above', key: 'earlier' },
  { label: 'Draw it later, after the one below', key: 'later' },
  { label: 'Remove', key: 'remove' },
]

const MORE_POINTS = [
  { label: 'One more point on this eye level', key: 'one_point' },
  { label: 'Two more points on this eye level', key: 'two_point' },
]
const APART = { label: 'The points farther apart, beside', key: 'points_apart' }
const isView = (sentence: Sentence): boolean => sentence.owner === 'views'
const manyViews = computed(() => sentences.value.filter(isView).length > 1)

function menuOf(sentence: Sentence): { label: string; key: string }[] {
  if (!isView(sentence)) return MENU
  const kind = sentence.pieces.find((piece) => piece.path === `${sentence.about}.kind`)?.value
  const apart = kind === 'one_point' ? [] : [APART]
  const remove = manyViews.value ? [{ label: 'Remove these points', key: 'remove_view' }] : []
  return [...apart, ...MORE_POINTS, ...remove]
}

async function menu(sentence: Sentence, key: string): Promise<void> {
  const index = sentence.number
  if (key === APART.key) await compare(index)
  if (key === 'one_point' || key === 'two_point') await exercise.act({ op: 'add_view', kind: key })
  if (key === 'remove_view') await exercise.act({ op: key, index })
  if (key === 'earlier' || key === 'later') await exercise.act({ op: 'move', index, by: key === 'earlier' ? -1 : 1 })
  else if (key === 'copy' || key === 'remove') await exercise.act({ op: key, index })
  if (key === 'remove') emit('choose', '')
}

/** Show the drawing as it would be with the points farther apart, beside the present one. */
async function compare(index: number): Promise<void> {
  await tryAct({ op: 'points_apart', index }, 'Are the points too close?', 'The points farther apart')
}

async function add(kind: string): Promise<void> {
  const before = things.value.length
  if (!(await exercise.act({ op: 'add', kind })) || things.value.length === before) return
  const fresh = things.value.at(-1)!
  emit('choose', fresh.about)
  await nextTick()
  // A new word is there to be typed.
  const word = fresh.pieces.findIndex((piece) => piece.kind === 'word')
  const places = root.value?.querySelectorAll<HTMLElement>(`[data-about="${CSS.escape(fresh.about)}"] .place`)
  if (word >= 0) places?.[fresh.pieces.slice(0, word).filter((piece) => piece.path).length]?.click()
}

/** A part that was set down shows itself. */
async function showNewest(): Promise<void> {
  await nextTick()
  const fresh = things.value.at(-1)
  if (fresh) emit('choose', fresh.about)
}

async function rename(sentence: Sentence, event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  if (!(await exercise.act({ op: 'rename', index: sentence.number, name: field.value }))) field.value = sentence.title
}

watch(
  () => props.chosen,
  async (about) => {
    await nextTick()
    root.value?.querySelector(`[data-about="${CSS.escape(about)}"]`)?.scrollIntoView({ block: 'nearest' })
  },
)

// What cannot be done is said at its place, which may be far from the one where the hand is.
watch(
  () => exercise.problem,
  async (problem) => {
    await nextTick()
    if (problem) root.value?.querySelector('.problem')?.scrollIntoView({ block: 'nearest' })
  },
)

/** What was done and could not be drawn yet, as the teacher did it. */
function wordsOf(act: Act): string {
  const place = 'path' in act ? act.path : 'handle' in act ? act.handle : ''
  const piece = sentences.value.flatMap((s) => s.pieces).find((p) => p.path === place)
  if (act.op === 'type') return `${place === 'title' ? 'name' : (piece?.says ?? 'a value')} ${act.text}`
  if (act.op === 'drag') return 'something moved by hand'
  return (
    {
      add: 'a new thing',
      set_down: 'a part',
      copy: 'a copy',
      copy_together: 'copies',
      remove_together: 'several things removed',
      shift_together: 'several things moved',
      remove: 'something removed',
      rename: 'a name',
      hides: 'who hides whom',
    }[act.op as string] ?? 'a change'
  )
}

/** A stop stays on the line of the value before it. */
const STOP = /^[.,;:]/
const stopAfter = (sentence: Sentence, i: number): string => STOP.exec(sentence.pieces[i + 1]?.text ?? '')?.[0] ?? ''
</script>

<template>
  <section ref="root" class="words" aria-label="The exercise in words">
    <FirstHint name="desk"
      >Press a value in a sentence and type another one, or drag a ring on the sheet. What will look wrong stands at the
      right, the steps below; all of it follows by itself, and is kept by itself.</FirstHint
    >
    <div v-if="exercise.waiting.length" class="problem" role="status">
      The application does not answer.
      {{ exercise.waiting.length === 1 ? 'One change waits' : `${exercise.waiting.length} changes wait` }} in this
      browser, also if you close it, and {{ exercise.waiting.length === 1 ? 'is' : 'are' }} drawn as soon as it answers:
      {{ exercise.waiting.map(wordsOf).join('; ') }}.
      <button type="button" class="word-button" @click="exercise.forgetWaiting">Leave undone</button>
    </div>
    <div v-if="exercise.refusal" class="problem" role="alert">
      {{ exercise.refusal.why }} {{ exercise.refusal.fix }}
    </div>
    <article
      v-for="sentence in sentences"
      :key="sentence.about"
      :data-about="sentence.about"
      :class="{
        chosen: chosen === sentence.about,
        thing: sentence.title && !isView(sentence),
        bad: problemOf(sentence),
      }"
      :aria-current="chosen === sentence.about ? 'true' : undefined"
      @click="choose(sentence, $event)"
    >
      <header v-if="sentence.title || isView(sentence)">
        <input
          v-if="several && !isView(sentence)"
          type="checkbox"
          :checked="exercise.together.includes(sentence.title)"
          :aria-label="`choose ${sentence.title}`"
          @click.stop
          @change="toggle(sentence.title)"
        />
        <strong v-if="isView(sentence)">{{ sentence.title || 'Points' }}</strong>
        <input
          v-else
          :value="sentence.title"
          :aria-label="`Name of ${sentence.title}`"
          maxlength="40"
          :size="Math.max(6, sentence.title.length)"
          @change="rename(sentence, $event)"
        />
        <NDropdown :options="menuOf(sentence)" trigger="click" @select="(key: string) => menu(sentence, key)">
          <button
            type="button"
            class="word-button more"
            :aria-label="`more to do with ${sentence.title || 'the points'}`"
            @click.stop
          >
            more
          </button>
        </NDropdown>
      </header>
      <p>
        <template v-for="(piece, i) in sentence.pieces" :key="`${i}${piece.path}`">
          <span v-if="piece.path" class="kept"
            ><PlaceEditor :piece="piece" :bad="problemAbout === piece.path" :thing="sentence.title" />{{
              stopAfter(sentence, i)
            }}</span
          >
          <template v-else>{{ i ? piece.text.replace(STOP, '') : piece.text }}</template>
        </template>
      </p>
      <div v-if="problemOf(sentence) && exercise.problem" class="problem" role="alert">
        {{ exercise.problem.why }} {{ exercise.problem.fix }}
        <button
          v-if="exercise.problem.nearest"
          type="button"
          class="word-button"
          @click.stop="exercise.act({ op: 'type', path: exercise.problem.about, text: exercise.problem.nearest })"
        >
          Use {{ exercise.problem.nearest.replaceAll('_', ' ') }}
        </button>
      </div>
    </article>
    <div v-if="exercise.problem && !sentences.some(problemOf)" class="problem" role="alert">
      {{ exercise.problem.why }} {{ exercise.problem.fix }}
    </div>
    <OnTrial ref="trial" />
    <ChooseSeveral v-if="things.length > 1" v-model:several="several" :names="names" />
    <WhoHides :chosen="things.find((s) => s.about === chosen)?.number ?? -1" />
    <p v-if="!things.length" class="quiet hint">The sheet is set up. Now the first thing that stands on it:</p>
    <div
      v-for="group in groups"
      :key="group.name"
      class="add"
      role="toolbar"
      :aria-label="group.name"
      @keydown="rove($event, group)"
    >
      <span v-if="groups.length > 1" class="quiet">{{ group.name }}</span>
      <button
        v-for="(kind, i) in group.kinds"
        :key="kind.kind"
        type="button"
        class="word-button"
        :tabindex="i === (reached[group.name] ?? 0) ? 0 : -1"
        @focus="reached[group.name] = i"
        @click="add(kind.kind)"
      >
        Add {{ kind.adds }}
      </button>
    </div>
    <KeptParts @down="showNewest" />
  </section>
</template>

<style scoped>
.words {
  padding: 12px 0 20px;
}

article {
  padding: 5px 14px 5px 12px;
  border-left: 5px solid transparent;
  line-height: 1.75;
}

article p {
  margin: 0;
}

.kept {
  white-space: nowrap;
}

.kept > * {
  white-space: normal;
}

.thing {
  border-left-color: var(--desk);
  margin-top: 8px;
}

.chosen {
  border-left-color: var(--accent);
  background: rgb(253 251 245 / 70%);
}

.bad {
  border-left-color: var(--off);
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

header input[type='checkbox'] {
  width: 20px;
  height: 20px;
  margin: 0 10px 0 0;
  accent-color: var(--accent);
}

header input:not([type='checkbox']) {
  font: inherit;
  font-weight: 700;
  background: transparent;
  border: 1px solid transparent;
  border-radius: 4px;
  padding: 0 4px;
  margin-left: -5px;
  max-width: 190px;
  margin-right: auto;
}

header input:hover,
header input:focus {
  border-color: var(--line);
  background: var(--paper);
}

.more {
  font-weight: 400;
  font-size: 14px;
}

.problem {
  margin: 6px 12px 4px 0;
  padding: 7px 10px;
  background: var(--accent-soft);
  border-radius: 5px;
  line-height: 1.4;
}

.words > .problem,
.hint {
  margin: 8px 14px;
}

.add {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  margin: 10px 0 0 11px;
  font-size: 16px;
}

.add .quiet {
  flex-basis: 100%;
  font-size: 14px;
  padding: 0 6px;
}
</style>
