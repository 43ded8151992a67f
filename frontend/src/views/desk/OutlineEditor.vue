<script setup lang="ts">
/** The outline of a shape: a ready one chosen, or its corners typed one after the other. */
import { NButton, NInput, NPopover } from 'naive-ui'
import { ref, watch } from 'vue'

import type { SentencePiece } from '@/api/types'
import { useExercise } from '@/stores/exercise'

const props = defineProps<{ piece: SentencePiece; bad: boolean; label: string }>()
const exercise = useExercise()
const open = ref(false)
const corners = ref('')
watch(
  () => [open.value, props.piece.value],
  () => (corners.value = String(props.piece.value)),
  { immediate: true },
)

async function set(text: string): Promise<void> {
  if (await exercise.act({ op: 'type', path: props.piece.path, text })) open.value = false
}
</script>

<template>
  <NPopover v-model:show="open" trigger="click" placement="bottom-start" style="width: 340px">
    <template #trigger>
      <button type="button" class="place" :class="{ bad }" :aria-label="label">
        {{ piece.text }}
      </button>
    </template>
    <p class="quiet">A ready shape:</p>
    <div class="ready">
      <NButton v-for="o in piece.options" :key="o.value" size="small" @click="set(o.value)">{{ o.text }}</NButton>
    </div>
    <label>
      <span class="quiet"
        >Or its corners, across and up from the lower left; r and a number rounds one, a hole or a second piece follows
        after a slash:</span
      >
      <NInput
        v-model:value="corners"
        type="textarea"
        :autosize="{ minRows: 3, maxRows: 8 }"
        :input-props="{ 'aria-label': 'Corners, across and up' }"
      />
    </label>
    <NButton type="primary" size="small" class="use" @click="set(corners)">Use these corners</NButton>
  </NPopover>
</template>

<style scoped>
.place {
  font: inherit;
  color: inherit;
  background: var(--paper);
  border: 0;
  border-bottom: 2px solid #8f8371;
  border-radius: 3px 3px 0 0;
  padding: 1px 3px;
  cursor: pointer;
}

.bad {
  border-bottom: 3px double var(--off);
}

.ready {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-bottom: 10px;
}

p {
  margin: 0 0 4px;
}

.use {
  margin-top: 8px;
}
</style>
