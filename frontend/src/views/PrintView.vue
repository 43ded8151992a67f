<script setup lang="ts">
/** What is printed of an exercise, at 1:1, for how many. */
import { NButton } from 'naive-ui'
import { computed } from 'vue'
import { useRoute } from 'vue-router'

import { api, ask } from '@/api/client'
import { setTitle } from '@/router'
import EmptyState from '@/shell/EmptyState.vue'
import { useLoad } from '@/shell/useLoad'

import { usePrintOrder, type Kind, type Level } from './print/order'
import OwnSheets from './print/OwnSheets.vue'
import PrintHow from './print/PrintHow.vue'

const props = defineProps<{ id: string }>()
const route = useRoute()

const { data, failure } = useLoad(async () => {
  const path = { exercise_id: Number(props.id) }
  const kept = await ask(api.GET('/api/exercises/{exercise_id}', { params: { path } }))
  const { drawing } = await ask(api.POST('/api/desk/draw', { body: { exercise: kept.exercise } }))
  const classes = await ask(api.GET('/api/classes'))
  const levels = await ask(api.GET('/api/desk/levels'))
  setTitle(String(kept.exercise.title))
  const { level } = kept.exercise.wording as { level: Level }
  return { title: String(kept.exercise.title), drawing, classes, level, levels, isPersonal: drawing.is_personal }
})
const order = usePrintOrder(props.id, data, Number(route.query.class) || 0)
const { kind, whose, ownSteps, isLesson, isPieces, hasSheet, isOwn, tiles, readOn, pages, counted, addressFor } = order

interface Choice {
  kind: Kind
  title: string
  text: string
}
const KINDS: Choice[] = [
  { kind: 'starter', title: 'Starter sheet', text: 'Eye level and points; students draw the rest.' },
  { kind: 'steps', title: 'Step sheets', text: 'Pictures with words, for the wall or the desk.' },
  { kind: 'answer', title: 'Answer', text: 'The finished sheet, dark lines and tone.' },
  { kind: 'overlay', title: 'Overlay', text: 'Every line, thin: on film over a student’s sheet.' },
  { kind: 'lesson', title: 'Lesson sheet', text: 'What to lay out, the care, the steps in time.' },
]
/** Only where points lie off the sheet. */
const PIECES: Choice[] = [
  { kind: 'strips', title: 'Strips to tape on', text: 'The points off the sheet, marked, true to size.' },
  { kind: 'ticks', title: 'Ticks beside the sheet', text: 'Lines to far points, for those without strips.' },
]
const WHOLE: Choice = {
  kind: 'whole',
  title: 'Everything for each student',
  text: 'Starter, steps, answer, student by student.',
}
const FILES: Record<string, string> = {
  html: 'steps to take home (HTML)',
  'steps.svg': 'steps as a film strip (SVG)',
  exercise: 'exercise (JSON)',
}
const kinds = computed(() => [
  ...(data.value?.isPersonal ? [WHOLE] : []),
  ...KINDS,
  ...(data.value?.drawing.strips.length ? PIECES : []),
])
const paper = computed(() => {
  const sheet = data.value?.drawing.sheet
  if (!sheet) return ''
  const read = readOn.value === 'letter' ? 'letter paper' : 'A4 paper'
  if (!hasSheet.value || tiles.value) return read
  const inches = (mm: number): string => String(Math.round((mm / 25.4) * 100) / 100)
  const own =
    sheet.units === 'in'
      ? `paper of ${inches(sheet.width_mm)} × ${inches(sheet.height_mm)} in`
      : `paper of ${Math.round(sheet.width_mm)} × ${Math.round(sheet.height_mm)} mm`
  return kind.value === 'whole' ? `${own}, the steps on ${read}` : own
})
const many = computed(() => {
  const known = pages.value || counted.value
  if (known) return `${known} ${known === 1 ? 'page' : 'pages'}`
  if (tiles.value) return 'Each sheet over several pages'
  if (isPieces.value) return 'As many pages as the pieces take'
  return `As many pages as the ${isOwn.value ? 'sheets' : 'steps'} take`
})

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
          <label v-for="k in kinds" :key="k.kind" :class="{ chosen: kind === k.kind }" :title="k.text">
            <input v-model="kind" type="radio" name="kind" :value="k.kind" />
            <!-- What each is stands with the chosen one: so its choices have room on a small screen. -->
            <span
              ><strong>{{ k.title }}</strong
              ><template v-if="kind === k.kind"><br />{{ k.text }}</template></span
            >
          </label>
          <PrintHow :data="data" :order="order" />
          <div class="act">
            <p>
              {{ many }} on {{ paper }}.
              <template v-if="kind !== 'steps' && !isLesson"
                >Print at 100 %, not “fit to page”{{
                  isPieces ? '' : ': the line at the bottom must measure 10 cm'
                }}.</template
              >
            </p>
            <NButton tag="a" type="primary" size="large" :href="address" target="_blank" rel="noopener"
              >Open the PDF to print</NButton
            >
          </div>
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
  padding: 5px 12px;
  margin-bottom: 5px;
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

/* With many choices the button would lie under the window's edge. */
.act {
  position: sticky;
  bottom: 0;
  padding: 2px 0 10px;
  background: var(--desk);
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
