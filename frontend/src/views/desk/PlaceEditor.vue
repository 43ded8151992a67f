<script setup lang="ts">
/** A value inside a sentence: typed where it stands, or chosen from a few. */
import { NPopselect } from 'naive-ui'
import { computed, nextTick, ref, watch } from 'vue'

import type { SentencePiece } from '@/api/types'
import { useExercise } from '@/stores/exercise'

import OutlineEditor from './OutlineEditor.vue'

const props = defineProps<{ piece: SentencePiece; bad: boolean; thing?: string }>()
const exercise = useExercise()
const typing = ref(false)
const text = ref('')
const field = ref<HTMLInputElement>()
const button = ref<HTMLButtonElement>()
const label = computed(() => `${props.thing ? `${props.thing}, ` : ''}${props.piece.says}: ${props.piece.text}`)
const isChoice = computed(() => props.piece.kind === 'choice' || props.piece.kind === 'thing')
const options = computed(() => {
  const things = (exercise.drawing?.sentences ?? [])
    .filter((s) => props.piece.kind === 'thing' && s.owner === 'things' && s.title !== props.thing)
    .map((s) => ({ label: s.title, value: s.title }))
  return [...props.piece.options.map((o) => ({ label: o.text, value: o.value })), ...things]
})

// Another value has come to this place, by a cure or by undo: what was typed is past.
watch(
  () => props.piece.value,
  () => {
    if (document.activeElement !== field.value) typing.value = false
  },
)

async function begin(): Promise<void> {
  refused = ''
  text.value = props.piece.kind === 'free_length' && props.piece.value === '' ? '' : props.piece.text
  typing.value = true
  await nextTick()
  field.value?.focus()
  field.value?.select()
}

/** What is refused stays in the field as it was typed, beside the reason; leaving the field does not ask again. */
let refused = ''
async function commit(stay: boolean): Promise<void> {
  if (!typing.value || (!stay && text.value === refused)) return
  const isNew = text.value.trim() !== props.piece.text
  typing.value = false
  if (isNew && !(await set(text.value))) {
    refused = text.value
    typing.value = true
    await nextTick()
    if (stay) field.value?.focus()
  } else if (stay) await backToPlace()
}

async function leave(): Promise<void> {
  typing.value = false
  exercise.problem = null
  await backToPlace()
}

async function backToPlace(): Promise<void> {
  await nextTick()
  button.value?.focus()
}

/** A long list that scrolls is reached by the keyboard too. */
async function reachable(): Promise<void> {
  await nextTick()
  for (const list of document.querySelectorAll<HTMLElement>('.n-base-select-menu .n-scrollbar-container'))
    list.tabIndex = 0
}

function set(value: string): Promise<boolean> {
  return exercise.act({ op: 'type', path: props.piece.path, text: value })
}

/** Arrow up and down go by one division of the class's ruler. */
async function nudge(by: number): Promise<void> {
  if (typeof props.piece.value !== 'number' || !exercise.drawing) return
  const size = props.piece.kind === 'angle' ? 1 : exercise.drawing.sheet.division_mm
  const next = Number((props.piece.value + by * size).toFixed(4))
  await set(props.piece.kind === 'angle' ? `${next}°` : `${next} mm`)
  text.value = props.piece.text
}
</script>

<template>
  <NPopselect
    v-if="isChoice"
    :value="String(piece.value)"
    :options="options"
    trigger="click"
    scrollable
    @update:value="(value: string) => set(value)"
    @update:show="(is: boolean) => is && reachable()"
  >
    <template v-if="piece.hint" #action
      ><p class="hint">{{ piece.hint }}</p></template
    >
    <button type="button" class="place" :class="{ bad }" :aria-label="label">
      {{ piece.text }}
    </button>
  </NPopselect>
  <OutlineEditor v-else-if="piece.kind === 'outline'" :piece="piece" :bad="bad" :label="label" />
  <input
    v-else-if="typing"
    ref="field"
    v-model="text"
    class="place typing"
    :size="Math.max(5, text.length)"
    :aria-label="label"
    :aria-invalid="bad"
    :class="{ bad }"
    maxlength="40"
    @keydown.enter.prevent="commit(true)"
    @keydown.esc.prevent.stop="leave"
    @keydown.up.prevent="nudge(1)"
    @keydown.down.prevent="nudge(-1)"
    @blur="commit(false)"
  />
  <button v-else ref="button" type="button" class="place" :class="{ bad }" :aria-label="label" @click="begin">
    {{ piece.text }}
  </button>
</template>

<style scoped>
.place {
  font: inherit;
  color: inherit;
  display: inline;
  text-align: left;
  background: var(--paper);
  border: 0;
  border-bottom: 2px solid #8f8371;
  border-radius: 3px 3px 0 0;
  padding: 1px 3px;
  cursor: pointer;
}

.place:hover {
  border-bottom-color: var(--accent);
  background: #fff;
}

.typing {
  border-bottom-color: var(--accent);
  cursor: text;
  outline-offset: 0;
}

.hint {
  margin: 0;
  max-width: 300px;
  line-height: 1.35;
}

.bad {
  border-bottom: 3px double var(--off);
}
</style>
