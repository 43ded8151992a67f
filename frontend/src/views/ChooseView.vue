<script setup lang="ts">
/** Which exercise to show or to print. */
import { api, ask } from '@/api/client'
import KeptPicture from '@/sheet/KeptPicture.vue'
import EmptyState from '@/shell/EmptyState.vue'
import { useLoad } from '@/shell/useLoad'

defineProps<{ purpose: 'show' | 'print' }>()
const { data, failure } = useLoad(() => ask(api.GET('/api/exercises')))
</script>

<template>
  <div class="page">
    <h1>{{ purpose === 'show' ? 'Which exercise is shown to the class?' : 'Which exercise is printed?' }}</h1>
    <p v-if="failure" role="alert">{{ failure }}</p>
    <EmptyState v-if="data && !data.length" title="The shelf is empty" text="Make an exercise at the Desk first.">
      <RouterLink to="/desk">Go to the Desk</RouterLink>
    </EmptyState>
    <ul>
      <li v-for="exercise in data?.filter((e) => !e.problem)" :key="exercise.id">
        <RouterLink :to="`/${purpose}/${exercise.id}`">
          <span class="thumb"><KeptPicture :source="exercise.picture" label="" /></span>
          {{ exercise.title }}
        </RouterLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 16px 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 16px;
}

a {
  display: block;
  background: var(--panel);
  border-radius: 8px;
  padding: 12px 14px;
  font-weight: 700;
  color: var(--ink);
  text-decoration: none;
}

.thumb {
  display: block;
  height: 170px;
  margin-bottom: 8px;
}
</style>
