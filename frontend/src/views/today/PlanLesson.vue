<script setup lang="ts">
import { NButton, NDatePicker, NForm, NFormItem, NInputNumber, NModal, NSelect } from 'naive-ui'
import { computed, ref } from 'vue'

import { api, ask } from '@/api/client'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'

import { localDay } from './days'

const emit = defineEmits<{ done: []; close: [] }>()
const { trying } = useSay()
const classId = ref<number | null>(null)
const exerciseId = ref<number | null>(null)
const day = ref(Date.now() + 86_400_000)
const step = ref(1)
const { data } = useLoad(async () => ({
  classes: await ask(api.GET('/api/classes')),
  shelf: await ask(api.GET('/api/exercises')),
}))
const classes = computed(() => data.value?.classes.map((c) => ({ label: c.name, value: c.id })) ?? [])
const shelf = computed(() => data.value?.shelf.map((e) => ({ label: e.title, value: e.id })) ?? [])

async function plan(): Promise<void> {
  if (classId.value === null || exerciseId.value === null) return
  const body = {
    class_id: classId.value,
    exercise_id: exerciseId.value,
    on_date: localDay(new Date(day.value)),
    start_step: step.value,
  }
  if (await trying(() => ask(api.POST('/api/lessons', { body })))) emit('done')
}
</script>

<template>
  <NModal :show="true" preset="card" title="Plan a lesson" style="width: 440px" @update:show="emit('close')">
    <NForm @submit.prevent="plan">
      <NFormItem label="Class"
        ><NSelect v-model:value="classId" :options="classes" placeholder="Which class"
      /></NFormItem>
      <NFormItem label="Exercise"
        ><NSelect v-model:value="exerciseId" :options="shelf" placeholder="Which exercise"
      /></NFormItem>
      <NFormItem label="Day"><NDatePicker v-model:value="day" type="date" format="d MMMM yyyy" /></NFormItem>
      <NFormItem label="Starts from step"><NInputNumber v-model:value="step" :min="1" :max="200" /></NFormItem>
      <NButton type="primary" attr-type="submit" :disabled="classId === null || exerciseId === null">Plan it</NButton>
    </NForm>
  </NModal>
</template>
