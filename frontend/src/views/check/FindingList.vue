<script setup lang="ts">
/** What a teacher would see, in the order in which teachers look; what is decided on it, the note and the remark. */
import { useEventListener } from '@vueuse/core'
import { NButton, NInput, NSelect } from 'naive-ui'
import { computed, ref, watch } from 'vue'

import { api, ask } from '@/api/client'
import type { Finding, SheetAnswer } from '@/api/types'
import { isControl } from '@/shell/keepFocus'
import { useSay } from '@/shell/useSay'

const props = defineProps<{ sheet: SheetAnswer; students: { id: number; alias: string }[] }>()
const emit = defineEmits<{ point: [finding: Finding | null]; changed: [sheet: SheetAnswer]; kept: [] }>()
const { trying, good } = useSay()
const root = ref<HTMLElement>()
const note = ref(props.sheet.note)
const remark = ref(props.sheet.remark)
watch(
  () => props.sheet.note,
  (text) => (note.value = text),
)

const params = computed(() => ({ path: { sheet_id: props.sheet.id } }))
const findings = computed(() => props.sheet.checked?.findings ?? [])
const students = computed(() => [
  { label: 'nobody yet', value: 0 },
  ...props.students.map((s) => ({ label: s.alias, value: s.id })),
])

const key = (f: Finding): string => `${f.code}:${f.about}`
/** Whether it is about something that was drawn, which may have been misread. */
const isOnSheet = (f: Finding): boolean => f.lines.length > 0 || (f.curve !== '' && f.code !== 'curve_missing')
const decision = (f: Finding): string => props.sheet.decisions[key(f)] ?? 'open'

/** What the teacher has typed is kept before anything else is decided, so that no decision can overwrite it. */
async function keepNote(): Promise<void> {
  if (!props.sheet.checked || note.value === props.sheet.note) return
  const body = { note: note.value }
  const answer = await trying(() => ask(api.PUT('/api/sheets/{sheet_id}/note', { params: params.value, body })))
  if (answer) emit('changed', answer)
}

async function suggestedNote(): Promise<void> {
  const answer = await trying(() => ask(api.PUT('/api/sheets/{sheet_id}/note', { params: params.value, body: {} })))
  if (answer) emit('changed', answer)
}

type Wish = 'agreed' | 'meant' | 'not_line'

async function decide(f: Finding, wish: Wish): Promise<void> {
  await keepNote()
  const body = { key: key(f), decision: decision(f) === wish ? ('open' as const) : wish }
  const answer = await trying(() => ask(api.POST('/api/sheets/{sheet_id}/decide', { params: params.value, body })))
  if (answer) emit('changed', answer)
}

async function assign(id: number): Promise<void> {
  await keepNote()
  const body = { student_id: id || null }
  const answer = await trying(() => ask(api.PUT('/api/sheets/{sheet_id}/student', { params: params.value, body })))
  if (answer) emit('changed', answer)
}

async function keep(): Promise<void> {
  if (!props.sheet.checked) return
  const body = { note: note.value, remark: remark.value }
  const answer = await trying(() => ask(api.POST('/api/sheets/{sheet_id}/keep', { params: params.value, body })))
  if (!answer) return
  good(`${answer.alias || 'The sheet'} is kept in the register.`)
  emit('kept')
}

/** The findings that have something to decide, one after the other. */
function step(by: number): void {
  const all = [...(root.value?.querySelectorAll<HTMLElement>('article') ?? [])]
  const here = all.findIndex((one) => one.contains(document.activeElement))
  all[(here < 0 ? (by > 0 ? 0 : all.length - 1) : here + by + all.length) % all.length]?.focus()
}

function onFinding(wish: Wish): void {
  const all = [...(root.value?.querySelectorAll('article') ?? [])]
  const f = findings.value[all.findIndex((one) => one.contains(document.activeElement))]
  if (f && f.severity > 0 && (wish !== 'not_line' || isOnSheet(f))) void decide(f, wish)
}

const KEYS: Record<string, () => void> = {
  n: () => step(1),
  N: () => step(-1),
  a: () => onFinding('agreed'),
  m: () => onFinding('meant'),
  x: () => onFinding('not_line'),
}
useEventListener('keydown', (event) => {
  const inText = event.target instanceof HTMLTextAreaElement || event.target instanceof HTMLInputElement
  if (event.key !== 'Enter' && !inText && !event.ctrlKey && !event.metaKey && KEYS[event.key]) {
    event.preventDefault()
    return KEYS[event.key]!()
  }
  if (event.key !== 'Enter' || (inText ? !event.ctrlKey : isControl(event.target))) return
  event.preventDefault()
  void keep()
})
</script>

<template>
  <aside ref="root" class="findings" aria-label="What a teacher would see">
    <div class="whose">
      <span>Sheet of</span>
      <NSelect
        size="small"
        :value="sheet.student_id ?? 0"
        :options="students"
        filterable
        :input-props="{ 'aria-label': 'Whose sheet it is' }"
        @update:value="assign"
      />
    </div>
    <p v-if="sheet.problem" role="alert" class="problem">{{ sheet.problem }}</p>
    <template v-if="sheet.checked">
      <article
        v-for="(f, i) in findings"
        :key="key(f)"
        :class="[decision(f), { slight: f.severity < 2 }]"
        tabindex="0"
        :aria-label="`${f.title}${decision(f) === 'meant' ? ', meant so' : decision(f) === 'agreed' ? ', agreed' : ''}`"
        @mouseenter="emit('point', f)"
        @mouseleave="emit('point', null)"
        @focusin="emit('point', f)"
      >
        <h3>
          <span v-if="f.severity > 0" class="number">{{ i + 1 }}</span>{{ f.title
          }}<span v-if="decision(f) === 'meant'" class="quiet">: meant so</span>
        </h3>
        <p>{{ f.text }}</p>
        <div v-if="f.severity > 0" class="doors">
          <NButton
            size="small"
            :type="decision(f) === 'agreed' ? 'primary' : 'default'"
            :aria-pressed="decision(f) === 'agreed'"
            @click="decide(f, 'agreed')"
            >Agree</NButton
          >
          <NButton
            size="small"
            :type="decision(f) === 'meant' ? 'primary' : 'default'"
            :aria-pressed="decision(f) === 'meant'"
            @click="decide(f, 'meant')"
            >Meant so</NButton
          >
          <NButton v-if="isOnSheet(f)" size="small" quaternary @click="decide(f, 'not_line')">{{
            f.curve ? 'Not this curve' : 'Not this line'
          }}</NButton>
        </div>
      </article>
      <p class="home">
        <strong>{{ sheet.home }} of {{ sheet.judged }}</strong>
        {{ sheet.checked.curves?.length ? 'lines and curves' : 'lines' }} home<template
          v-if="sheet.meant.length || sheet.meant_curves.length"
          >; what was meant otherwise is not counted</template
        >.
      </p>
      <label class="text"
        >Note to the student<NInput
          v-model:value="note"
          type="textarea"
          :autosize="{ minRows: 4, maxRows: 9 }"
          @blur="keepNote"
      /></label>
      <p v-if="sheet.own_note" class="own quiet">
        Your own words; nothing changes them.
        <button type="button" class="word-button" @click="suggestedNote">Back to the suggested note</button>
      </p>
      <label class="text"
        >Remark for yourself<NInput
          v-model:value="remark"
          type="textarea"
          :autosize="{ minRows: 1, maxRows: 4 }"
          placeholder=""
      /></label>
      <div class="doors">
        <NButton type="primary" @click="keep">Keep and next (Enter)</NButton>
        <span v-if="sheet.kept_at" class="quiet">kept before</span>
      </div>
    </template>
  </aside>
</template>

<style scoped>
.findings {
  padding: 12px 16px 24px;
}

.whose {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  align-items: center;
  margin-bottom: 8px;
}

article {
  border-top: 1px solid var(--line);
  padding: 9px 0;
}

article.meant {
  border-left: 4px dotted var(--ink-soft);
  padding-left: 8px;
}

.own {
  margin-top: -6px;
}

.slight h3 {
  font-weight: 400;
}

.number {
  display: inline-grid;
  place-items: center;
  width: 22px;
  height: 22px;
  margin-right: 8px;
  border-radius: 50%;
  background: var(--off);
  color: #fff;
  font-size: 14px;
}

p {
  margin: 3px 0 6px;
}

.doors {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.home {
  border-top: 1px solid var(--line);
  padding-top: 9px;
}

.home strong {
  font-size: 19px;
}

.text {
  display: block;
  font-weight: 700;
  margin-bottom: 10px;
}

.problem {
  background: var(--accent-soft);
  border-radius: 5px;
  padding: 8px 10px;
}
</style>
