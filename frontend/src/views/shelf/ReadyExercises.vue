<script setup lang="ts">
/** What to begin with: an empty sheet, or one of the ready exercises, by what they are about. */
import { NButton, NInput } from 'naive-ui'
import { computed, shallowRef, watch } from 'vue'

import { api, ask } from '@/api/client'
import type { ReadyLine } from '@/api/types'
import KeptPicture from '@/sheet/KeptPicture.vue'
import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'

const show = defineModel<boolean>('show', { required: true })
const emit = defineEmits<{ chosen: [exercise: Record<string, unknown> | null] }>()
const { trying } = useSay()
const ready = shallowRef<ReadyLine[]>([])
const sought = shallowRef('')

watch(show, async (isShown) => {
  if (isShown && !ready.value.length) ready.value = (await trying(() => ask(api.GET('/api/exercises/ready')))) ?? []
})

const groups = computed(() => {
  const words = sought.value.toLowerCase().split(/\s+/)
  const found = ready.value.filter(({ title }) => words.every((word) => title.toLowerCase().includes(word)))
  return [...new Set(found.map(({ group }) => group))].map((name) => ({
    name,
    lines: found.filter(({ group }) => group === name),
  }))
})

function choose(exercise: Record<string, unknown> | null): void {
  show.value = false
  emit('chosen', exercise)
}
</script>

<template>
  <TheDialog v-model:show="show" title="Begin with" width="940px">
    <div class="first">
      <NInput
        v-model:value="sought"
        placeholder="Find by a word: roof, one point, KNOT"
        clearable
        :input-props="{ 'aria-label': 'Find a ready exercise' }"
      />
      <NButton type="primary" @click="choose(null)">An empty sheet</NButton>
    </div>
    <div class="all">
      <section v-for="group in groups" :key="group.name">
        <h3>{{ group.name }}</h3>
        <ul>
          <li v-for="one in group.lines" :key="one.title">
            <button type="button" @click="choose(one.exercise)">
              <span class="picture"><KeptPicture :source="one.picture" label="" /></span>{{ one.title }}
            </button>
          </li>
        </ul>
      </section>
      <p v-if="ready.length && !groups.length">
        None is called like “{{ sought }}”. Try another word, or begin with an empty sheet.
      </p>
    </div>
  </TheDialog>
</template>

<style scoped>
.first {
  display: flex;
  gap: 12px;
}

.all {
  height: 62vh;
  overflow: auto;
  padding: 2px;
}

h3 {
  font-size: 1rem;
  margin: 14px 0 4px 8px;
}

ul {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
}

li button {
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

li button:hover,
li button:focus-visible {
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
</style>
