<script setup lang="ts">
/** What is printed of an exercise, at 1:1, for how many. */
import { useLocalStorage } from '@vueuse/core'
import { NButton, NSelect } from 'naive-ui'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'

import { api, ask } from '@/api/client'
import EmptyState from '@/shell/EmptyState.vue'
import { setTitle } from '@/router'
import NumberField from '@/shell/NumberField.vue'
import { useLoad } from '@/shell/useLoad'

import OwnSheets from './print/OwnSheets.vue'

type Kind = 'starter' | 'steps' | 'answer' | 'overlay' | 'whole' | 'lesson'

const props = defineProps<{ id: string }>()
const route = useRoute()
const kind = ref<Kind>('starter')
const perPage = useLocalStorage('print-steps-a-page', 4)
/** Number of the first step that is printed; AFTER_STARTER: those that the starter sheet has are left out. */
const AFTER_STARTER = 0
const begin = ref(1)
/** Size of the type of step sheets, points; AS_USUAL: as the age of the class asks. */
const AS_USUAL = 0
const type = useLocalStorage('print-type', AS_USUAL)
const handout = useLocalStorage<'' | 'a4' | 'letter'>('print-handout-paper', '')
const copies = ref(1)
const students = useLocalStorage('print-lesson-students', 24)
const whose = ref(Number(route.query.class) || 0)

const { data, failure } = useLoad(async () => {
  const path = { exercise_id: Number(props.id) }
  const kept = await ask(api.GET('/api/exercises/{exercise_id}', { params: { path } }))
  const { drawing } = await ask(api.POST('/api/desk/draw', { body: { exercise: kept.exercise } }))
  const classes = await ask(api.GET('/api/classes'))
  setTitle(String(kept.exercise.title))
  const { level } = kept.exercise.wording as { level: string }
  return { title: String(kept.exercise.title), drawing, classes, level, isPersonal: drawing.is_personal }
})

const KINDS: { kind: Kind; title: string; text: string }[] = [
  { kind: 'starter', title: 'Starter sheet', text: 'Eye level and points; students draw the rest.' },
  { kind: 'steps', title: 'Step sheets', text: 'Pictures with words, for the wall or the desk.' },
  { kind: 'answer', title: 'Answer', text: 'The finished sheet, dark lines and tone.' },
  { kind: 'overlay', title: 'Overlay', text: 'Every line, thin: on film over a student’s sheet.' },
  {
    kind: 'lesson',
    title: 'Lesson sheet',
    text: 'What to lay out, the care, the steps in time.',
  },
]
const WHOLE = {
  kind: 'whole' as const,
  title: 'Everything for each student',
  text: 'Starter, steps, answer, student by student.',
}
const FILES: Record<string, string> = {
  html: 'steps to take home (HTML)',
  'steps.svg': 'steps as a film strip (SVG)',
  exercise: 'exercise (JSON)',
}
const kinds = computed(() => (data.value?.isPersonal ? [WHOLE, ...KINDS] : KINDS))
const isLesson = computed(() => kind.value === 'lesson')
const isOwn = computed(() => Boolean(data.value?.isPersonal && whose.value && !isLesson.value))

const classOptions = computed(() => [
  { label: isLesson.value ? 'for any class' : 'for anybody', value: 0 },
  ...(data.value?.classes ?? []).map((c) => ({
    label: `${isLesson.value ? 'for' : 'one each for'} ${c.name} (${c.students})`,
    value: c.id,
  })),
])
/** Steps of each student's own sheet, once all are drawn: until then their number is not known. */
const ownSteps = ref<number[]>([])
watch(whose, () => (ownSteps.value = []))
/** Younger hands read larger type. */
const usualType = computed(() => (data.value?.level === 'youngest' ? 14 : 11))
const typeOptions = computed(() => [
  { label: `as usual (${usualType.value} points)`, value: AS_USUAL },
  { label: 'large (14 points)', value: 14 },
  { label: 'very large (18 points)', value: 18 },
])
const setUp = computed(() => data.value?.drawing.steps.filter((step) => step.phase === 'setup').length ?? 0)
const beginOptions = computed(() => [
  { label: 'with the first step', value: 1 },
  ...(setUp.value ? [{ label: 'after what the starter sheet has', value: AFTER_STARTER }] : []),
  ...(isOwn.value ? [] : (data.value?.drawing.steps ?? []))
    .map((step, i) => ({ label: `at step ${i + 1}: ${step.title}`, value: i + 1 }))
    .slice(1),
])
watch(whose, () => (begin.value = Math.min(begin.value, 1)))
const skipped = computed(() =>
  kind.value === 'whole' || begin.value === AFTER_STARTER ? setUp.value : begin.value - 1,
)
const pages = computed(() => {
  const chosen = data.value?.classes.find((c) => c.id === whose.value)
  if (!hasSteps.value) return chosen ? chosen.students : copies.value
  if ((type.value || usualType.value) > 11) return 0 // the words decide how many steps have room
  const steps = isOwn.value ? ownSteps.value : [data.value?.drawing.steps.length ?? 0]
  const more = kind.value === 'whole' ? 2 : 0
  return steps.reduce((sum, count) => sum + Math.ceil((count - skipped.value) / perPage.value) + more, 0)
})
/** The paper for what is read and not drawn on. */
const readOn = computed(() => handout.value || (data.value?.drawing.sheet.units === 'in' ? 'letter' : 'a4'))
const HANDOUTS = [
  { label: 'A4', value: 'a4' },
  { label: 'letter', value: 'letter' },
]
const paper = computed(() => {
  const sheet = data.value?.drawing.sheet
  if (!sheet) return ''
  const read = readOn.value === 'letter' ? 'letter paper' : 'A4 paper'
  if (kind.value === 'steps' || isLesson.value) return read
  const inches = (mm: number): string => String(Math.round((mm / 25.4) * 100) / 100)
  const own =
    sheet.units === 'in'
      ? `paper of ${inches(sheet.width_mm)} × ${inches(sheet.height_mm)} in`
      : `paper of ${Math.round(sheet.width_mm)} × ${Math.round(sheet.height_mm)} mm`
  return kind.value === 'whole' ? `${own}, the steps on ${read}` : own
})
const hasSteps = computed(() => kind.value === 'steps' || kind.value === 'whole')

function addressFor(student = 0): string {
  const query = new URLSearchParams()
  if (hasSteps.value) {
    query.set('per_page', String(perPage.value))
    query.set('type_pt', String(type.value || usualType.value))
    if (kind.value === 'whole' || begin.value === AFTER_STARTER) query.set('without_starter', 'true')
    else if (begin.value > 1) query.set('first', String(begin.value))
  }
  if (hasSteps.value || isLesson.value) query.set('paper', readOn.value)
  if (whose.value && (!hasSteps.value || isOwn.value)) query.set('class_id', String(whose.value))
  else if (!hasSteps.value) query.set('copies', String(isLesson.value ? students.value : copies.value))
  if (student) query.set('student_id', String(student))
  return `/api/exercises/${props.id}/print/${kind.value}.pdf?${query}`
}

const address = computed(() => addressFor())
const preview = computed(() => address.value.replace('.pdf?', '.png?'))
</script>

<template>
  <div class="page">
    <EmptyState v-if="failure" title="This exercise cannot be printed" :text="failure">
      <RouterLink to="/print">Choose another one</RouterLink>
    </EmptyState>
    <template v-if="data">
      <h1>Print “{{ data.title }}”</h1>
      <div class="print">
        <div class="choices" role="radiogroup" aria-label="What is printed">
          <label v-for="k in kinds" :key="k.kind" :class="{ chosen: kind === k.kind }">
            <input v-model="kind" type="radio" name="kind" :value="k.kind" />
            <span
              ><strong>{{ k.title }}</strong
              ><br />{{ k.text }}</span
            >
          </label>
          <div class="how">
            <template v-if="hasSteps">
              <span>Steps a page</span>
              <NumberField v-model="perPage" label="Steps on each page" :min="1" :max="8" />
              <template v-if="kind === 'steps'">
                <span>Begin</span>
                <NSelect
                  v-model:value="begin"
                  :options="beginOptions"
                  :consistent-menu-width="false"
                  aria-label="Begin at which step"
                />
              </template>
              <span>Text size</span>
              <NSelect v-model:value="type" :options="typeOptions" aria-label="Text size" />
            </template>
            <template v-if="hasSteps || isLesson">
              <span>Printer’s paper</span>
              <NSelect
                :value="readOn"
                :options="HANDOUTS"
                aria-label="Printer’s paper"
                @update:value="handout = $event"
              />
            </template>
            <template v-if="!hasSteps || data.isPersonal">
              <span>{{ isLesson ? 'Class' : 'Sheets' }}</span>
              <NSelect v-model:value="whose" :options="classOptions" aria-label="Sheets for whom" />
              <template v-if="!whose && isLesson">
                <span>Students</span>
                <NumberField v-model="students" label="Students" :min="1" :max="40" />
              </template>
              <template v-else-if="!whose && !hasSteps">
                <span>Copies</span>
                <NumberField v-model="copies" label="Copies" :min="1" :max="40" />
              </template>
            </template>
          </div>
          <p>
            <template v-if="isLesson">As many pages as the steps take</template
            ><template v-else-if="pages">{{ pages }} {{ pages === 1 ? 'page' : 'pages' }}</template
            ><template v-else>As many pages as the {{ isOwn ? 'sheets' : 'steps' }} take</template> on {{ paper }}.
            <template v-if="kind !== 'steps' && !isLesson"
              >Print at 100 %, not “fit to page”: the line at the bottom must measure 10 cm.</template
            >
          </p>
          <NButton tag="a" type="primary" size="large" :href="address" target="_blank" rel="noopener"
            >Open the PDF to print</NButton
          >
          <p class="files quiet">
            As a file:
            <a
              v-for="form in ['html', 'steps.svg', 'svg', 'png', 'dxf', 'obj', 'exercise']"
              :key="form"
              :href="`/api/exercises/${id}/file.${form}`"
              >{{ FILES[form] ?? form.toUpperCase() }}</a
            >
          </p>
        </div>
        <OwnSheets
          v-if="isOwn"
          :exercise="Number(id)"
          :school-class="whose"
          :address="addressFor"
          @drawn="ownSteps = $event"
        />
        <div v-else class="preview">
          <img :key="preview" :src="preview" :alt="`First page: ${kind}`" />
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.print {
  display: grid;
  grid-template-columns: 400px minmax(0, 1fr);
  gap: 24px;
  margin-top: 14px;
}

.choices label {
  display: flex;
  gap: 10px;
  align-items: flex-start;
  background: var(--panel);
  border-left: 5px solid transparent;
  border-radius: 5px;
  padding: 6px 12px;
  margin-bottom: 6px;
  line-height: 1.35;
  cursor: pointer;
}

.choices label.chosen {
  border-left-color: var(--accent);
}

input[type='radio'] {
  accent-color: var(--accent);
  width: 18px;
  height: 18px;
  margin-top: 3px;
  flex: none;
}

.how {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 8px;
  align-items: center;
  margin: 12px 0 4px;
}

.files a {
  margin-right: 12px;
}

.preview img {
  display: block;
  max-width: 100%;
  max-height: 76vh;
  background: var(--paper);
  box-shadow: 1px 2px 6px rgb(60 50 30 / 28%);
}

@media (max-width: 980px) {
  .print {
    grid-template-columns: 1fr;
  }
}
</style>
