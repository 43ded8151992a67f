<script setup lang="ts">
/** What can be done with a step; the core says what this one allows. */
import { NButton, NDropdown, NInput } from 'naive-ui'
import { computed, ref } from 'vue'

import type { Step } from '@/api/types'
import TheDialog from '@/shell/TheDialog.vue'
import { useExercise } from '@/stores/exercise'

const props = defineProps<{ step: Step; number: number }>()
const exercise = useExercise()
const saying = ref(false)
const words = ref('')

const LABELS: [Step['can'][number], string][] = [
  ['say', 'Say it in other words'],
  ['own', 'Back to the usual words'],
  ['earlier', 'Earlier'],
  ['later', 'Later'],
  ['join', 'In one breath with the step before'],
  ['part', 'Part again'],
  ['split', 'Line by line'],
  ['whole', 'As one step again'],
  ['extra', 'Extra, for those who are quick'],
  ['required', 'For everybody'],
  ['leave_out', 'Leave out'],
]
const options = computed(() =>
  LABELS.filter(([key]) => props.step.can.includes(key)).map(([key, label]) => ({ key, label })),
)

function choose(change: Step['can'][number]): void {
  if (change === 'say') {
    words.value = props.step.text
    saying.value = true
  } else void exercise.act({ op: 'step', key: props.step.key, change, text: '' })
}

async function say(): Promise<void> {
  if (await exercise.act({ op: 'step', key: props.step.key, change: 'say', text: words.value })) saying.value = false
}
</script>

<template>
  <NDropdown :options="options" trigger="click" placement="top-end" @select="choose">
    <button type="button" class="more" :aria-label="`Change step ${number}`">change</button>
  </NDropdown>
  <TheDialog v-model:show="saying" :title="`Step ${number} in your words`" width="520px">
    <NInput
      v-model:value="words"
      type="textarea"
      maxlength="600"
      show-count
      :autosize="{ minRows: 3, maxRows: 8 }"
      :input-props="{ 'aria-label': 'The words of this step' }"
    />
    <template #doors><NButton type="primary" @click="say">Use these words</NButton></template>
  </TheDialog>
</template>

<style scoped>
.more {
  background: none;
  border: 0;
  color: #a9a598;
  font-size: 12px;
  font-weight: 400;
  padding: 4px 8px;
  cursor: pointer;
}

.more:hover,
.more:focus-visible {
  color: var(--on-graphite);
  text-decoration: underline;
}
</style>
