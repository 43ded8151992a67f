<script setup lang="ts">
/** Students entered from a list: what will be entered is seen before it is. */
import { watchDebounced } from '@vueuse/core'
import { NButton, NInput, NSelect } from 'naive-ui'
import { computed, ref, shallowRef } from 'vue'

import { api, ask } from '@/api/client'
import type { ClassRecord, ListAnswer } from '@/api/types'
import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'

const props = defineProps<{ record: ClassRecord }>()
const emit = defineEmits<{ entered: [] }>()
const show = defineModel<boolean>('show', { required: true })
const { trying, good } = useSay()
const text = ref('')
const column = ref<number | null>(null)
const seen = shallowRef<ListAnswer | null>(null)
const params = computed(() => ({ path: { class_id: props.record.id } }))
const columns = computed(
  () => seen.value?.columns.map((name, i) => ({ label: name || `column ${i + 1}`, value: i })) ?? [],
)
const twice = computed(() => seen.value?.names.filter((n) => n.is_new && n.alias !== n.name) ?? [])
const known = computed(() => seen.value?.names.filter((n) => !n.is_new) ?? [])

watchDebounced(
  [text, column],
  async () => {
    seen.value = null
    if (!text.value.trim()) return
    const body = { text: text.value, column: column.value }
    seen.value =
      (await trying(() => ask(api.POST('/api/classes/{class_id}/students/look', { params: params.value, body })))) ??
      null
  },
  { debounce: 300 },
)

async function fromFile(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  if (!file) return
  column.value = null
  text.value = await file.text()
}

async function enter(): Promise<void> {
  const body = { text: text.value, column: column.value }
  const count = seen.value?.new ?? 0
  const students = await trying(() => ask(api.POST('/api/classes/{class_id}/students', { params: params.value, body })))
  if (!students) return
  good(
    `${count} ${count === 1 ? 'student is' : 'students are'} new; ${students.length} are in ${props.record.name} now.`,
  )
  text.value = ''
  show.value = false
  emit('entered')
}
</script>

<template>
  <TheDialog v-model:show="show" title="Enter students" width="620px">
    <p class="quiet">
      An alias or initials are enough. One a line, or the text of a CSV; you see first what will be entered.
    </p>
    <div class="both">
      <NInput
        v-model:value="text"
        type="textarea"
        class="list"
        placeholder="Tern 1&#10;Tern 2"
        :input-props="{ 'aria-label': 'Students, one a line' }"
      />
      <section class="seen" aria-live="polite">
        <p v-if="!seen" class="quiet">What will be entered stands here.</p>
        <template v-else>
          <label v-if="columns.length > 1"
            >The names stand in
            <NSelect
              :value="seen.column"
              :options="columns"
              size="small"
              aria-label="Column of the names"
              @update:value="(n: number) => (column = n)"
          /></label>
          <p>
            <strong>{{ seen.new }} {{ seen.new === 1 ? 'new student' : 'new students' }}</strong
            ><template v-if="known.length">, {{ known.length }} there already</template>.
          </p>
          <p v-if="twice.length">
            Of one name, told apart by a number: {{ twice.map((n) => n.alias).join(', ') }}. Change them as you like
            afterwards.
          </p>
          <ol>
            <li v-for="(n, i) in seen.names" :key="i" :class="{ known: !n.is_new }">
              {{ n.alias }}<span v-if="!n.is_new" class="quiet"> (there already)</span>
            </li>
          </ol>
        </template>
      </section>
    </div>
    <template #doors>
      <NButton type="primary" :disabled="!seen?.new" @click="enter">Enter them</NButton>
      <label class="word-button file"
        >From a file<input type="file" accept=".csv,.txt,text/csv,text/plain" @change="fromFile"
      /></label>
    </template>
  </TheDialog>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}

.list :deep(textarea) {
  min-height: 260px;
}

.seen {
  max-height: 290px;
  overflow: auto;
}

.seen p {
  margin: 4px 0;
}

ol {
  padding-left: 26px;
  margin: 6px 0;
}

.known {
  color: var(--ink-soft);
}

.file {
  position: relative;
}

.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
}

@media (max-width: 560px) {
  .both {
    grid-template-columns: 1fr;
  }
}
</style>
