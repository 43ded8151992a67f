<script setup lang="ts">
/** One class: students, their kept sheets, findings over time, aliases in, CSV out. */
import { NButton, NInput } from 'naive-ui'
import { computed, ref } from 'vue'

import { api, ask } from '@/api/client'
import type { ClassRecord } from '@/api/types'
import AskFirst from '@/shell/AskFirst.vue'
import EmptyState from '@/shell/EmptyState.vue'
import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'

import EnterStudents from './EnterStudents.vue'
import FindingBars from './FindingBars.vue'

type Student = ClassRecord['students'][number]

const props = defineProps<{ record: ClassRecord }>()
const emit = defineEmits<{ changed: []; removed: [] }>()
const { trying } = useSay()
const adding = ref(false)
const opened = ref(0)
const renaming = ref<Student | null>(null)
const alias = ref('')
const path = computed(() => ({ class_id: props.record.id }))

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
      <AskFirst what="Remove the class" :title="`Remove ${record.name}?`" does="Remove it all" @sure="removeClass">
        {{ record.name }} goes with its {{ record.students.length }} students, its piles and all kept sheets. This
        cannot be taken back.
      </AskFirst>
    </header>
    <FindingBars v-if="record.findings.length" :record="record" />
    <EmptyState
      v-if="!record.students.length"
      title="No students yet"
      text="Enter aliases, one a line, or bring in a CSV."
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
          <th>What to do</th>
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
            <td>
              {{
                s.sheets.at(-1)?.findings[0] ??
                (s.sheets.length ? (s.sheets.at(-1)!.meant ? 'the others home' : 'all home') : '')
              }}
            </td>
            <td class="doors">
              <button
                type="button"
                class="word-button"
                :aria-label="`Rename ${s.alias}`"
                @click="((renaming = s), (alias = s.alias))"
              >
                Rename
              </button>
              <AskFirst
                what="Remove"
                :label="`Remove ${s.alias}`"
                :title="`Remove ${s.alias}?`"
                does="Remove"
                @sure="remove(s)"
              >
                The sheets stay on their piles without a name; the printed code of {{ s.alias }} is known no more.
              </AskFirst>
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
    <EnterStudents v-model:show="adding" :record="record" @entered="emit('changed')" />
    <TheDialog :show="renaming !== null" title="Another alias" width="360px" @update:show="renaming = null">
      <form @submit.prevent="rename">
        <NInput v-model:value="alias" maxlength="40" :input-props="{ 'aria-label': 'Alias' }" />
        <p><NButton type="primary" attr-type="submit" :disabled="!alias.trim()">Rename</NButton></p>
      </form>
    </TheDialog>
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
</style>
