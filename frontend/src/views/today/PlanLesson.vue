<script setup lang="ts">
/** A lesson: planned, or changed later. */
import { NButton, NDatePicker, NForm, NFormItem, NInput, NSelect, NTimePicker } from 'naive-ui'
import { computed, ref } from 'vue'

import { api, ask } from '@/api/client'
import type { TodayAnswer } from '@/api/types'
import { useLoad } from '@/shell/useLoad'
import NumberField from '@/shell/NumberField.vue'
import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'

import { localDay } from './days'

const props = defineProps<{ lesson?: TodayAnswer['lessons'][number] }>()
const emit = defineEmits<{ done: []; close: [] }>()
const { trying } = useSay()
const classId = ref(props.lesson?.class_id ?? null)
const exerciseId = ref(props.lesson?.exercise_id ?? null)
const day = ref(props.lesson ? new Date(`${props.lesson.on_date}T12:00`).getTime() : Date.now() + 86_400_000)
const hour = ref(props.lesson?.at_time?.slice(0, 5) ?? null)
const step = ref(props.lesson?.start_step ?? 1)
const remark = ref(props.lesson?.remark ?? '')
const materials = ref(props.lesson?.materials ?? '')
const { data, failure } = useLoad(async () => ({
  classes: await ask(api.GET('/api/classes')),
  shelf: await ask(api.GET('/api/exercises')),
}))
const classes = computed(() => data.value?.classes.map((c) => ({ label: c.name, value: c.id })) ?? [])
const shelf = computed(() => data.value?.shelf.map((e) => ({ label: e.title, value: e.id })) ?? [])
const isWhole = computed(() => classId.value !== null && exerciseId.value !== null)

async function plan(): Promise<void> {
  if (classId.value === null || exerciseId.value === null) return
  const body = {
    class_id: classId.value,
    exercise_id: exerciseId.value,
    on_date: localDay(new Date(day.value)),
    at_time: hour.value ? `${hour.value}:00` : null,
    start_step: step.value,
    remark: remark.value,
    materials: materials.value,
  }
  const id = props.lesson?.id
  const planned = await trying(() =>
    id
      ? ask(api.PUT('/api/lessons/{lesson_id}', { params: { path: { lesson_id: id } }, body }))
      : ask(api.POST('/api/lessons', { body })),
  )
  if (planned) emit('done')
}
</script>

<template>
  <TheDialog :show="true" :title="lesson ? 'Change the lesson' : 'Plan a lesson'" @update:show="emit('close')">
    <p v-if="failure" role="alert">{{ failure }}</p>
    <NForm :show-feedback="false" class="plan" @submit.prevent="plan">
      <NFormItem label="Class"
        ><NSelect
          v-model:value="classId"
          :options="classes"
          filterable
          placeholder="Which class"
          :input-props="{ 'aria-label': 'Class' }"
      /></NFormItem>
      <NFormItem label="Exercise"
        ><NSelect
          v-model:value="exerciseId"
          :options="shelf"
          filterable
          placeholder="Which exercise: type a part of its name"
          :input-props="{ 'aria-label': 'Exercise' }"
      /></NFormItem>
      <div class="pair">
        <NFormItem label="Day"
          ><NDatePicker
            v-model:value="day"
            type="date"
            format="d MMMM yyyy"
            :input-props="{ 'aria-label': 'Day' }"
            @keydown.esc.stop
        /></NFormItem>
        <NFormItem label="Hour"
          ><NTimePicker
            v-model:formatted-value="hour"
            value-format="HH:mm"
            format="HH:mm"
            :minutes="5"
            clearable
            placeholder="not said"
            :input-props="{ 'aria-label': 'Hour' }"
            @keydown.esc.stop
        /></NFormItem>
        <NFormItem label="From step"><NumberField v-model="step" label="From step" :min="1" :max="200" /></NFormItem>
      </div>
      <NFormItem label="Note"
        ><NInput v-model:value="remark" maxlength="200" placeholder="" :input-props="{ 'aria-label': 'Note' }"
      /></NFormItem>
      <NFormItem label="What to bring"
        ><NInput
          v-model:value="materials"
          maxlength="400"
          placeholder="Tape, spare paper, long rulers"
          :input-props="{ 'aria-label': 'What to bring' }"
      /></NFormItem>
      <div class="doors">
        <NButton type="primary" attr-type="submit" :disabled="!isWhole">{{ lesson ? 'Change it' : 'Plan it' }}</NButton>
        <NButton @click="emit('close')">Leave it</NButton>
      </div>
    </NForm>
  </TheDialog>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 10px;
}

.pair {
  display: grid;
  grid-template-columns: 1.4fr 1fr 0.9fr;
  gap: 10px;
}

.doors {
  display: flex;
  gap: 10px;
  margin-top: 6px;
}
</style>
