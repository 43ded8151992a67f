<script setup lang="ts">
/** One class: students, their kept sheets, findings over time, aliases in, CSV out. */
import { NButton, NInput, NModal, NPopconfirm } from 'naive-ui'
import { computed, ref } from 'vue'

import { api, ask } from '@/api/client'
import type { ClassRecord } from '@/api/types'
import EmptyState from '@/shell/EmptyState.vue'
import { useSay } from '@/shell/useSay'

import FindingBars from './FindingBars.vue'

type Student = ClassRecord['students'][number]

const props = defineProps<{ record: ClassRecord }>()
const emit = defineEmits<{ changed: []; removed: [] }>()
const { trying, good } = useSay()
const adding = ref(false)
const text = ref('')
const opened = ref(0)
const renaming = ref<Student | null>(null)
const alias = ref('')
const path = computed(() => ({ class_id: props.record.id }))

async function add(): Promise<void> {
  const students = await trying(() =>
    ask(api.POST('/api/classes/{class_id}/students', { params: { path: path.value }, body: { text: text.value } })),
  )
  if (!students) return
  good(`${students.length} students are in ${props.record.name} now.`)
  text.value = ''
  adding.value = false
  emit('changed')
}

async function fromFile(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) text.value = await file.text()
}

async function rename(): Promise<void> {
  if (!renaming.value) return
  const params = { path: { student_id: renaming.value.id } }
  if (
    !(await trying(() => ask(api.PUT('/api/classes/students/{student_id}', { params, body: { name: alias.value } }))))
  )
    return
  renaming.value = null
  emit('changed')
}

async function remove(student: Student): Promise<void> {
  await trying(() =>
    ask(api.DELETE('/api/classes/students/{student_id}', { params: { path: { student_id: student.id } } })),
  )
  emit('changed')
}

async function removeClass(): Promise<void> {
  await trying(() => ask(api.DELETE('/api/classes/{class_id}', { params: { path: path.value } })))
  emit('removed')
}

function day(text_: string): string {
  return new Date(`${text_}Z`).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })
}
</script>

<template>
  <section class="class">
    <header>
      <h1>{{ record.name }}</h1>
      <NButton @click="adding = true">Enter students</NButton>
      <NButton tag="a" :href="`/api/classes/${record.id}/register.csv`">Register as CSV</NButton>
      <NPopconfirm positive-text="Remove" negative-text="Leave" @positive-click="removeClass">
        <template #trigger><button type="button" class="word-button">Remove the class</button></template>
        Remove {{ record.name }} with its students, piles and kept sheets?
      </NPopconfirm>
    </header>
    <FindingBars v-if="record.findings.length" :record="record" />
    <EmptyState
      v-if="!record.students.length"
      title="No students yet"
      text="Enter aliases, one a line, or bring in a CSV whose first column holds them."
    >
      <NButton type="primary" @click="adding = true">Enter students</NButton>
    </EmptyState>
    <table v-else>
      <thead>
        <tr>
          <th>Alias</th>
          <th>Sheets</th>
          <th>Last sheet</th>
          <th>Lines home</th>
          <th>To practise</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <template v-for="s in record.students" :key="s.id">
          <tr>
            <td>
              <strong>{{ s.alias }}</strong>
            </td>
            <td>
              <button
                v-if="s.sheets.length"
                type="button"
                class="word-button"
                :aria-expanded="opened === s.id"
                @click="opened = opened === s.id ? 0 : s.id"
              >
                {{ s.sheets.length }} {{ s.sheets.length === 1 ? 'sheet' : 'sheets' }}
              </button>
              <span v-else class="quiet">none</span>
            </td>
            <td>{{ s.sheets.at(-1)?.exercise ?? '' }}</td>
            <td>
              <template v-if="s.sheets.length">{{ s.sheets.at(-1)!.home }} of {{ s.sheets.at(-1)!.judged }}</template>
            </td>
            <td>{{ s.sheets.at(-1)?.findings[0] ?? (s.sheets.length ? 'all home' : '') }}</td>
            <td class="doors">
              <button type="button" class="word-button" @click="((renaming = s), (alias = s.alias))">Rename</button>
              <NPopconfirm positive-text="Remove" negative-text="Leave" @positive-click="remove(s)">
                <template #trigger><button type="button" class="word-button">Remove</button></template>
                Remove {{ s.alias }}? The sheets stay on their piles without a name.
              </NPopconfirm>
            </td>
          </tr>
          <tr v-if="opened === s.id">
            <td colspan="6" class="sheets">
              <div v-for="d in s.sheets" :key="d.sheet_id">
                <p>
                  <strong>{{ day(d.kept_at) }} · {{ d.exercise }}</strong> · {{ d.home }} of {{ d.judged }} lines
                  home<template v-if="d.meant"> · {{ d.meant }} meant so</template>
                </p>
                <p v-if="d.findings.length">{{ d.findings.join(', ') }}</p>
                <p class="quiet">{{ d.note }}</p>
                <p v-if="d.remark">Remark: {{ d.remark }}</p>
              </div>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <NModal v-model:show="adding" preset="card" title="Enter students" style="width: 460px">
      <p>An alias or initials are enough. One a line, or a CSV with the aliases in its first column.</p>
      <NInput
        v-model:value="text"
        type="textarea"
        :autosize="{ minRows: 7, maxRows: 14 }"
        placeholder="Tern 1&#10;Tern 2"
      />
      <p class="modal-doors">
        <NButton type="primary" :disabled="!text.trim()" @click="add">Enter them</NButton>
        <label class="word-button file"
          >From a file<input type="file" accept=".csv,.txt,text/csv,text/plain" @change="fromFile"
        /></label>
      </p>
    </NModal>
    <NModal
      :show="renaming !== null"
      preset="card"
      title="Another alias"
      style="width: 360px"
      @update:show="renaming = null"
    >
      <form @submit.prevent="rename">
        <NInput v-model:value="alias" maxlength="40" />
        <p><NButton type="primary" attr-type="submit" :disabled="!alias.trim()">Rename</NButton></p>
      </form>
    </NModal>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-bottom: 14px;
}

h1 {
  margin-right: auto;
}

table {
  width: 100%;
  border-collapse: collapse;
  background: var(--panel);
  border-radius: 8px;
}

th,
td {
  text-align: left;
  padding: 5px 12px;
  border-bottom: 1px solid var(--line);
}

th {
  padding: 9px 12px;
  background: #e9e1d1;
}

td.doors {
  text-align: right;
  white-space: nowrap;
}

.doors .word-button {
  font-weight: 400;
}

.sheets {
  background: var(--paper);
}

.sheets p {
  margin: 2px 0;
}

.sheets div + div {
  border-top: 1px solid var(--line);
  margin-top: 6px;
  padding-top: 6px;
}

.file {
  position: relative;
  display: inline-block;
}

.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
}

.modal-doors {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
