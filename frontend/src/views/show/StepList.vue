<script setup lang="ts">
/** All steps, by the parts of the work; choosing one goes there. */
import { NPopover } from 'naive-ui'
import { computed, nextTick, ref, watch } from 'vue'

import type { Step } from '@/api/types'

import { useEscape } from './keys'
import { beginnings } from './showing'

const number = defineModel<number>('number', { required: true })
const props = defineProps<{ steps: Step[] }>()
const open = ref(false)
useEscape(open)
const list = ref<HTMLElement>()

watch(open, async (is) => {
  await nextTick()
  if (is) list.value?.querySelector('.here')?.scrollIntoView({ block: 'center' })
})

const parts = computed(() => {
  const begins = beginnings(props.steps)
  return begins.map((first, i) => ({
    owner: ownerOf(props.steps[first - 1]!),
    steps: props.steps.slice(first - 1, (begins[i + 1] ?? props.steps.length + 1) - 1).map((step, n) => ({
      number: first + n,
      says: step.short,
    })),
  }))
})
const isNew = (i: number): boolean => parts.value[i]!.owner !== parts.value[i - 1]?.owner

function ownerOf(step: Step): string {
  return step.thing || (step.phase === 'setup' ? 'The sheet' : 'All together')
}

function choose(to: number): void {
  number.value = to
  open.value = false
}
</script>

<template>
  <NPopover v-model:show="open" trigger="click" placement="top-end" :width="340" scrollable style="max-height: 70vh">
    <template #trigger>
      <button type="button" class="steps">Steps</button>
    </template>
    <ol ref="list">
      <template v-for="(part, i) in parts" :key="i">
        <li v-if="isNew(i)" class="owner">{{ part.owner }}</li>
        <li v-for="(one, n) in part.steps" :key="one.number" :class="{ begins: !isNew(i) && n === 0 }">
          <button
            type="button"
            :aria-current="one.number === number ? 'step' : undefined"
            :class="{ here: one.number === number }"
            @click="choose(one.number)"
          >
            <span>{{ one.number }}</span> {{ one.says }}
          </button>
        </li>
      </template>
    </ol>
  </NPopover>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}

.owner {
  font-weight: 700;
  padding: 8px 6px 2px;
}

.begins {
  border-top: 1px solid var(--line);
}

li button {
  display: flex;
  gap: 8px;
  width: 100%;
  padding: 5px 6px;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}

li button span {
  flex: 0 0 2ch;
  text-align: right;
  color: var(--ink-soft);
}

li button:hover,
.here {
  background: var(--accent-soft);
}
</style>
