<script setup lang="ts">
/** A value inside a sentence: typed where it stands, or chosen from a few. */
import { NPopselect } from 'naive-ui'
import { computed, nextTick, ref } from 'vue'

import type { SentencePiece } from '@/api/types'
import { useExercise } from '@/stores/exercise'

import OutlineEditor from './OutlineEditor.vue'

const props = defineProps<{ piece: SentencePiece; bad: boolean }>()
const exercise = useExercise()
const typing = ref(false)
const text = ref('')
const field = ref<HTMLInputElement>()
const isChoice = computed(() => props.piece.kind === 'choice' || props.piece.kind === 'thing')
const options = computed(() => {
  const own = props.piece.path.replace(/\.[^.]*$/, '')
  const things = (exercise.drawing?.sentences ?? [])
    .filter((s) => props.piece.kind === 'thing' && s.about.startsWith('things.') && s.about !== own)
    .map((s) => ({ label: s.title, value: s.title }))
  return [...props.piece.options.map((o) => ({ label: o.text, value: o.value })), ...things]
})

async function begin(): Promise<void> {
  text.value = props.piece.kind === 'free_length' && props.piece.value === '' ? '' : props.piece.text
  typing.value = true
  await nextTick()
  field.value?.focus()
  field.value?.select()
}

async function commit(): Promise<void> {
  if (!typing.value) return
  typing.value = false
  if (text.value.trim() !== props.piece.text) await set(text.value)
}

function set(value: string): Promise<boolean> {
  return exercise.act({ op: 'type', path: props.piece.path, text: value })
}

/** Arrow up and down go by one division of the class's ruler. */
async function nudge(by: number): Promise<void> {
  if (typeof props.piece.value !== 'number' || !exercise.drawing) return
  const size = props.piece.kind === 'angle' ? 1 : exercise.drawing.sheet.division_mm
  await set(`${props.piece.value + by * size}${props.piece.kind === 'angle' ? '°' : ' mm'}`)
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
  >
    <button type="button" class="place" :class="{ bad }" :aria-label="`${piece.says}: ${piece.text}`">
      {{ piece.text }}
    </button>
  </NPopselect>
  <OutlineEditor v-else-if="piece.kind === 'outline'" :piece="piece" :bad="bad" />
  <input
    v-else-if="typing"
    ref="field"
    v-model="text"
    class="place typing"
    :size="Math.max(5, text.length)"
    :aria-label="piece.says"
    maxlength="40"
    @keydown.enter.prevent="commit"
    @keydown.esc.prevent="typing = false"
    @keydown.up.prevent="nudge(1)"
    @keydown.down.prevent="nudge(-1)"
    @blur="commit"
  />
  <button
    v-else
    type="button"
    class="place"
    :class="{ bad }"
    :aria-label="`${piece.says}: ${piece.text}`"
    @click="begin"
  >
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

.bad {
  border-bottom: 3px double var(--off);
}
</style>
