<script setup lang="ts">
/** What to begin with: an empty sheet, or one of the ready exercises. */
import { shallowRef, watch } from 'vue'

import { api, ask } from '@/api/client'
import type { ReadyLine } from '@/api/types'
import KeptPicture from '@/sheet/KeptPicture.vue'
import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'

const show = defineModel<boolean>('show', { required: true })
const emit = defineEmits<{ chosen: [exercise: Record<string, unknown> | null] }>()
const { trying } = useSay()
const ready = shallowRef<ReadyLine[]>([])

watch(show, async (isShown) => {
  if (isShown && !ready.value.length) ready.value = (await trying(() => ask(api.GET('/api/exercises/ready')))) ?? []
})

function choose(exercise: Record<string, unknown> | null): void {
  show.value = false
  emit('chosen', exercise)
}
</script>

<template>
  <TheDialog v-model:show="show" title="Begin with" width="940px">
    <ul>
      <li>
        <button type="button" @click="choose(null)"><span class="picture empty" />An empty sheet</button>
      </li>
      <li v-for="one in ready" :key="one.title">
        <button type="button" @click="choose(one.exercise)">
          <span class="picture"><KeptPicture :source="one.picture" label="" /></span>{{ one.title }}
        </button>
      </li>
    </ul>
  </TheDialog>
</template>

<style scoped>
ul {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 10px;
  margin: 0;
  padding: 2px;
  max-height: 68vh;
  overflow: auto;
}

button {
  display: flex;
  flex-direction: column;
  font: inherit;
  line-height: 1.3;
  width: 100%;
  height: 100%;
  text-align: left;
  background: none;
  border: 2px solid transparent;
  border-radius: 6px;
  padding: 6px;
  cursor: pointer;
}

button:hover,
button:focus-visible {
  border-color: var(--accent);
}

.picture {
  width: 100%;
  height: 130px;
  margin-bottom: 5px;
  padding: 8px;
  background: var(--desk);
  border-radius: 4px;
}

.empty::after {
  content: '';
  display: block;
  height: 100%;
  background: var(--paper);
}
</style>
