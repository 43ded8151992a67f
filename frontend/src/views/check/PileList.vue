<script setup lang="ts">
/** The pile at the left: put sheets on it, let them be read, and who needs help first. */
import { NButton, NProgress } from 'naive-ui'
import { computed, nextTick, ref, watch } from 'vue'

import type { PileAnswer } from '@/api/types'
import AskFirst from '@/shell/AskFirst.vue'

import SheetUpload from './SheetUpload.vue'

const props = defineProps<{ pile: PileAnswer; chosen: number }>()
const emit = defineEmits<{ open: [id: number]; changed: []; read: []; stop: []; remove: [] }>()

const root = ref<HTMLElement>()
watch(
  () => [props.chosen, props.pile],
  async () => {
    await nextTick()
    root.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest' })
  },
)

const STATES: Record<string, string> = {
  waiting: 'not yet read',
  queued: 'waits to be read',
  reading: 'is being read …',
}
const count = (...states: string[]): number => props.pile.sheets.filter((s) => states.includes(s.state)).length
const reading = computed(() => count('queued', 'reading'))
const waiting = computed(() => count('waiting', 'failed'))
const total = computed(() => props.pile.sheets.length)
const done = computed(() => total.value - reading.value - count('waiting'))
</script>

<template>
  <section ref="root" class="list" aria-label="The pile, who needs help first">
    <SheetUpload :pile-id="pile.id" @uploaded="emit('changed')" />
    <div v-if="reading" class="progress">
      <NProgress
        type="line"
        :percentage="total ? Math.round((100 * done) / total) : 0"
        :show-indicator="false"
        color="#a83c17"
      />
      <p>
        {{ done }} of {{ total }} read <button type="button" class="word-button" @click="emit('stop')">Stop</button>
      </p>
    </div>
    <NButton v-else-if="waiting" type="primary" block class="read" @click="emit('read')">
      Read {{ waiting }} {{ waiting === 1 ? 'sheet' : 'sheets' }}
    </NButton>
    <p v-if="!total" class="quiet hint">Photograph or scan the sheets and put them here: one file for each sheet.</p>
    <h2 v-if="total" class="order">Who needs help first</h2>
    <ul>
      <li v-for="s in pile.sheets" :key="s.id">
        <button
          type="button"
          :class="{ here: s.id === chosen, kept: s.state === 'kept' }"
          :aria-current="s.id === chosen ? 'true' : undefined"
          @click="emit('open', s.id)"
        >
          <strong>{{ s.alias || s.file_name }}</strong>
          <span>{{ STATES[s.state] ?? s.headline }}<template v-if="s.state === 'kept'"> · kept</template></span>
        </button>
      </li>
    </ul>
    <a v-if="count('kept')" class="notes" :href="`/api/piles/${pile.id}/notes.pdf`" target="_blank" rel="noopener"
      >Print the notes ({{ count('kept') }})</a
    >
    <p class="remove">
      <AskFirst what="Remove this pile" title="Remove this pile?" does="Remove it all" @sure="emit('remove')">
        It goes with all {{ total }} sheets, their photos and judgements. This cannot be taken back.
      </AskFirst>
    </p>
  </section>
</template>

<style scoped>
.list {
  background: var(--panel);
  overflow: auto;
  min-height: 0;
  padding: 12px 0;
}

.read,
.progress,
.hint {
  margin: 10px 12px;
  width: auto;
}

.progress p {
  margin: 2px 0 0;
}

ul {
  list-style: none;
  padding: 0;
  margin: 10px 0;
}

li button {
  display: block;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-left: 5px solid transparent;
  padding: 7px 14px 7px 11px;
  cursor: pointer;
  line-height: 1.3;
}

li button:hover {
  background: rgb(253 251 245 / 60%);
}

li .here {
  background: var(--paper);
  border-left-color: var(--accent);
}

li strong {
  display: block;
}

li span {
  font-size: 14px;
  color: var(--ink-soft);
}

li .kept strong {
  font-weight: 400;
}

.notes {
  display: block;
  padding: 6px 14px;
  font-weight: 700;
}

.remove {
  margin: 4px 14px;
}

.order {
  font-size: 14px;
  padding: 8px 16px 0;
  color: var(--ink-soft);
}
</style>
