<script setup lang="ts">
/** How the class display looks, what the keys do, and how large the teacher's own board is. */
import { NCheckbox, NInput, NPopover, NRadioButton, NRadioGroup } from 'naive-ui'
import { computed, ref, watch } from 'vue'

import KeyList from '@/shell/KeyList.vue'

import { useEscape } from './keys'
import type { Looks } from './looks'

const looks = defineModel<Looks>('looks', { required: true })
const props = defineProps<{ inches: boolean; problem: string }>()
const open = ref(false)
const keys = ref(false)
useEscape(computed({ get: () => open.value && !keys.value, set: (is) => (open.value = is) }))

const SWITCHES: {
  name: keyof Looks & ('ghost' | 'spotlight' | 'closeUp' | 'darkRoom' | 'clock' | 'keys')
  says: string
  key: string
}[] = [
  { name: 'closeUp', says: 'Small work large, the whole sheet beside it', key: 'C' },
  { name: 'ghost', says: 'What comes next, faintly', key: 'G' },
  { name: 'spotlight', says: 'Shade over all but what is new', key: 'L' },
  { name: 'darkRoom', says: 'Dark room: chalk on slate', key: 'D' },
  { name: 'clock', says: 'How long the class is at this step', key: 'T' },
  { name: 'keys', says: 'Letters on the keyboard do something', key: '' },
]
const PACES = [
  { slower: 2, says: 'slow' },
  { slower: 1, says: 'as usual' },
  { slower: 0.5, says: 'quick' },
]
const MM_PER = computed(() => (props.inches ? 25.4 : 10))
const board = ref('')
watch(
  [() => looks.value.boardMm, MM_PER],
  ([mm, per]) => (board.value = mm ? String(Math.round((mm / per) * 10) / 10) : ''),
  { immediate: true },
)

function set(part: Partial<Looks>): void {
  looks.value = { ...looks.value, ...part }
}

function takeBoard(): void {
  const value = Number(board.value.replace(',', '.'))
  set({ boardMm: Number.isFinite(value) && value > 0 ? value * MM_PER.value : 0 })
}
</script>

<template>
  <NPopover v-model:show="open" trigger="click" placement="top-end" :width="370" style="max-height: 80vh" scrollable>
    <template #trigger>
      <button type="button" class="looks">Looks</button>
    </template>
    <div class="list">
      <NCheckbox
        v-for="one in SWITCHES"
        :key="one.name"
        :checked="looks[one.name]"
        @update:checked="(value: boolean) => set({ [one.name]: value })"
      >
        {{ one.says }}<kbd v-if="one.key && looks.keys">{{ one.key }}</kbd>
      </NCheckbox>
      <p>
        <span id="show-pace">The hand draws</span>
        <NRadioGroup
          :value="looks.slower"
          size="small"
          aria-labelledby="show-pace"
          @update:value="(slower: number) => set({ slower })"
        >
          <NRadioButton v-for="one in PACES" :key="one.slower" :value="one.slower">{{ one.says }}</NRadioButton>
        </NRadioGroup>
      </p>
      <form @submit.prevent="takeBoard">
        <label for="show-board">I draw along on a board, this wide:</label>
        <NInput
          :value="board"
          :input-props="{ id: 'show-board', inputmode: 'decimal' }"
          placeholder="the sheet’s own measures"
          @update:value="(value: string) => (board = value)"
          @blur="takeBoard"
        >
          <template #suffix>{{ inches ? 'in' : 'cm' }}</template>
        </NInput>
        <small v-if="problem" role="alert">{{ problem }}</small>
        <small v-else>Words and figures then say the measures of your board.</small>
      </form>
      <button type="button" class="plain" @click="keys = true">All keys …</button>
    </div>
    <KeyList v-model:show="keys" />
  </NPopover>
</template>

<style scoped>
.list {
  display: grid;
  gap: 9px;
  padding: 4px 2px;
}

p {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 4px 0;
}

kbd {
  margin-left: 8px;
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 3px;
  font: inherit;
  font-size: 12px;
}

form {
  display: grid;
  gap: 4px;
}

small {
  color: var(--ink-soft);
}

.plain {
  justify-self: start;
  border: 0;
  padding: 4px 0;
  background: none;
  color: var(--accent);
  text-decoration: underline;
  cursor: pointer;
}
</style>
