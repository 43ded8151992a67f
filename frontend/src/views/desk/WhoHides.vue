<script setup lang="ts">
/** Who stands before whom, of things whose pictures lie over each other: why, and the other way round. */
import { computed } from 'vue'

import type { HidesLine } from '@/api/types'
import { useExercise } from '@/stores/exercise'

const props = defineProps<{ chosen: number }>()
const exercise = useExercise()

/** Those of the chosen thing, if it is among them; else all. */
const lines = computed(() => {
  const all = exercise.drawing?.hides ?? []
  const mine = all.filter((line) => line.nearer === props.chosen || line.farther === props.chosen)
  return mine.length ? mine : all
})

async function say(line: HidesLine, how: 'before' | 'unsaid'): Promise<void> {
  await exercise.act({ op: 'hides', index: line.farther, other: line.nearer, how })
}
</script>

<template>
  <details v-if="lines.length" class="who-hides">
    <summary>
      Who stands before whom <span class="quiet">({{ lines.length }})</span>
    </summary>
    <ul>
      <li v-for="line in lines" :key="`${line.nearer} ${line.farther}`">
        {{ line.text }}
        <button type="button" class="word-button" @click="say(line, 'before')">Put {{ line.names[1] }} in front</button>
        <button v-if="line.is_said" type="button" class="word-button" @click="say(line, 'unsaid')">
          Leave it to their places
        </button>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.who-hides {
  margin: 10px 14px 0 17px;
  line-height: 1.5;
}

summary {
  cursor: pointer;
  padding: 2px 0;
}

ul {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 4px 0;
}

li button {
  margin: 0 12px 0 -6px;
}
</style>
