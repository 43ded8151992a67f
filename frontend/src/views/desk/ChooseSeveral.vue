<script setup lang="ts">
/** Several things chosen at once: moved by a measure, or with the one that is dragged; copied; kept as a part; removed. */
import { computed, nextTick, ref, watch } from 'vue'

import { ProblemError } from '@/api/client'
import { useExercise } from '@/stores/exercise'
import { useParts } from '@/stores/parts'

const props = defineProps<{ names: string[] }>()
const several = defineModel<boolean>('several', { required: true })
const exercise = useExercise()
const bar = ref<HTMLElement>()
const first = ref<HTMLElement>()

const count = computed(() => exercise.together.length)
/** Ten divisions of the ruler: as far as an arrow key with Shift goes. */
const step = computed(() => 10 * (exercise.picture?.sheet.division_mm ?? 1))
const WAYS = [
  { says: 'left', right: -1, up: 0 },
  { says: 'right', right: 1, up: 0 },
  { says: 'up', right: 0, up: 1 },
  { says: 'down', right: 0, up: -1 },
]

function all(): void {
  exercise.together = count.value < props.names.length ? [...props.names] : []
}

async function begin(): Promise<void> {
  several.value = true
  await nextTick()
  bar.value?.querySelector('button')?.focus()
}

async function end(): Promise<void> {
  several.value = false
  exercise.together = []
  await nextTick()
  first.value?.focus()
}

async function copy(): Promise<void> {
  const before = new Set(props.names)
  if (!(await exercise.act({ op: 'copy_together', indices: exercise.others, right_mm: 0, up_mm: 0 }))) return
  await nextTick()
  exercise.together = props.names.filter((name) => !before.has(name))
}

async function remove(): Promise<void> {
  if (await exercise.act({ op: 'remove_together', indices: exercise.others, right_mm: 0, up_mm: 0 })) await end()
}

const parts = useParts()
/** What the part is to be called; null while none is being kept. */
const partName = ref<string | null>(null)
const said = ref('')

async function nameIt(): Promise<void> {
  partName.value = ''
  said.value = ''
  await nextTick()
  bar.value?.querySelector('input')?.focus()
}

async function keep(): Promise<void> {
  try {
    const kept = await parts.keep(exercise.document, exercise.others, partName.value ?? '')
    said.value = `Kept as “${kept.name}”: it is among your parts below, on every sheet.`
    partName.value = null
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    said.value = error.message
  }
}

function shift(right: number, up: number): void {
  const by = { right_mm: right * step.value, up_mm: up * step.value }
  void exercise.act({ op: 'shift_together', indices: exercise.others, ...by })
}

// What is gone, or called otherwise, is not chosen any more.
watch(
  () => props.names,
  (names) => {
    const left = exercise.together.filter((name) => names.includes(name))
    if (left.length < exercise.together.length) exercise.together = left
  },
)
</script>

<template>
  <p v-if="!several" class="begin">
    <button ref="first" type="button" class="word-button" @click="begin">Choose several</button>
  </p>
  <div v-else ref="bar" class="bar" role="group" aria-label="Several things" @keydown.esc="end">
    <p aria-live="polite">
      <strong>{{ count ? `${count} chosen.` : 'None chosen yet.' }}</strong>
      {{ count ? 'Drag the ring of one of them and all move.' : 'Tick what you mean, or press it with Shift held.' }}
    </p>
    <div class="acts">
      <button type="button" class="word-button" @click="all">
        {{ count < names.length ? 'Choose all' : 'Choose none' }}
      </button>
      <template v-if="count">
        <span class="move">Move</span>
        <button
          v-for="way in WAYS"
          :key="way.says"
          type="button"
          class="word-button"
          :aria-label="`move ${way.says}`"
          @click="shift(way.right, way.up)"
        >
          {{ way.says }}
        </button>
        <button type="button" class="word-button" @click="copy">Copy</button>
        <button type="button" class="word-button" @click="nameIt">Keep as a part</button>
        <button type="button" class="word-button" @click="remove">Remove</button>
      </template>
      <button type="button" class="word-button" @click="end">Done</button>
    </div>
    <form v-if="partName !== null && count" class="keep" @submit.prevent="keep" @keydown.esc.stop="partName = null">
      <label
        >Keep as
        <input v-model="partName" maxlength="80" placeholder="Table" />
      </label>
      <button type="submit" class="word-button">Keep</button>
      <button type="button" class="word-button" @click="partName = null">Leave it</button>
    </form>
    <p v-if="said" role="status">{{ said }}</p>
  </div>
</template>

<style scoped>
.begin {
  margin: 10px 0 0 11px;
}

.bar {
  position: sticky;
  bottom: -20px;
  margin-top: 10px;
  padding: 8px 14px 10px;
  background: var(--accent-soft);
  border-top: 1px solid var(--line);
  line-height: 1.4;
}

.bar p {
  margin: 0 0 4px;
}

.move {
  padding-left: 6px;
}

.keep {
  display: flex;
  align-items: baseline;
  gap: 6px;
  margin: 2px 0 4px;
}

.keep input {
  font: inherit;
  width: 130px;
  padding: 2px 6px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 2px;
}
</style>
