<script setup lang="ts">
/** How something is printed, and for whom: only the choices that matter for what it is. */
import { NCheckbox, NSelect } from 'naive-ui'
import { computed } from 'vue'

import NumberField from '@/shell/NumberField.vue'

import { AFTER_STARTER, AS_USUAL, type Level, type Printable, type PrintOrder } from './order'

const props = defineProps<{ data: Printable; order: PrintOrder }>()
const {
  kind, perPage, begin, type, handout, isTiled, level, onlyRequired, copies, students, whose,
  isLesson, isPieces, hasSteps, hasWords, hasSheet, isOwn, isLarge, tiles, usualType, readOn, setUp, hasExtra,
} = props.order // prettier-ignore

const classOptions = computed(() => [
  { label: isLesson.value ? 'for any class' : 'for anybody', value: 0 },
  ...props.data.classes.map((c) => ({
    label: `${isLesson.value ? 'for' : 'one each for'} ${c.name} (${c.students})`,
    value: c.id,
  })),
])
const typeOptions = computed(() => [
  { label: `as usual (${usualType.value} points)`, value: AS_USUAL },
  { label: 'large (14 points)', value: 14 },
  { label: 'very large (18 points)', value: 18 },
])
const beginOptions = computed(() => [
  { label: 'with the first step', value: 1 },
  ...(setUp.value ? [{ label: 'after what the starter sheet has', value: AFTER_STARTER }] : []),
  ...(isOwn.value ? [] : props.data.drawing.steps)
    .map((step, i) => ({ label: `at step ${i + 1}: ${step.title}`, value: i + 1 }))
    .slice(1),
])
const HANDOUTS = [
  { label: 'A4', value: 'a4' },
  { label: 'letter', value: 'letter' },
]
const levels = computed<{ label: string; value: Level | '' }[]>(() => [
  { label: 'as the exercise says', value: '' },
  ...props.data.levels.map(({ level, says }) => ({ label: says, value: level })),
])
const PIECES = computed(() => [
  { label: 'in one piece', value: 'whole' },
  { label: `over pages of ${readOn.value === 'letter' ? 'letter' : 'A4'} paper`, value: 'tiled' },
])
</script>

<template>
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
    <template v-if="hasWords">
      <span>Words for</span>
      <NSelect v-model:value="level" :options="levels" aria-label="Words for which age" />
    </template>
    <template v-if="hasSteps && hasExtra">
      <span>Extra steps</span>
      <NCheckbox v-model:checked="onlyRequired">leave them out</NCheckbox>
    </template>
    <template v-if="hasSheet && isLarge">
      <span>Large sheet</span>
      <NSelect
        :value="isTiled ? 'tiled' : 'whole'"
        :options="PIECES"
        aria-label="Large sheet"
        @update:value="isTiled = $event === 'tiled'"
      />
    </template>
    <template v-if="hasWords || isPieces || tiles">
      <span>Printer’s paper</span>
      <NSelect :value="readOn" :options="HANDOUTS" aria-label="Printer’s paper" @update:value="handout = $event" />
    </template>
    <template v-if="!isPieces && (!hasSteps || data.isPersonal)">
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
</template>

<style scoped>
.how {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 8px;
  align-items: center;
  margin: 12px 0 4px;
}
</style>
