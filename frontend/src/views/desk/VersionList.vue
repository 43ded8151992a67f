<script setup lang="ts">
/** Earlier states of the exercise; taking one up can be undone. */
import { api, ask } from '@/api/client'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'
import { useExercise } from '@/stores/exercise'

const emit = defineEmits<{ chosen: [] }>()
const exercise = useExercise()
const { trying } = useSay()
const path = { exercise_id: exercise.id }
const { data, failure } = useLoad(() => ask(api.GET('/api/exercises/{exercise_id}/versions', { params: { path } })))

async function take(version: number): Promise<void> {
  const params = { path: { ...path, version } }
  await trying(async () => {
    const earlier = await ask(api.GET('/api/exercises/{exercise_id}/versions/{version}', { params }))
    await exercise.replace(earlier.exercise)
  })
  emit('chosen')
}

function when(text: string): string {
  return new Date(`${text}Z`).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })
}
</script>

<template>
  <div class="versions">
    <strong>Earlier states</strong>
    <p v-if="failure">{{ failure }}</p>
    <button v-for="v in data" :key="v.version" type="button" class="word-button" @click="take(v.version)">
      {{ v.version }} · {{ when(v.saved_at) }} · {{ v.things }} {{ v.things === 1 ? 'thing' : 'things' }}
    </button>
  </div>
</template>

<style scoped>
.versions {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
</style>
