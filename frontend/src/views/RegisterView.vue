<script setup lang="ts">
/** Classes at the left; of the chosen one its students, what they have done, and findings over time. */
import { NButton, NInput } from 'naive-ui'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, ask } from '@/api/client'
import type { ClassRecord } from '@/api/types'
import EmptyState from '@/shell/EmptyState.vue'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'

import ClassSheet from './register/ClassSheet.vue'

const props = defineProps<{ id?: string }>()
const router = useRouter()
const { trying } = useSay()
const name = ref('')
const record = shallowRef<ClassRecord | null>(null)
const { data: classes, failure, reload } = useLoad(() => ask(api.GET('/api/classes')))
const wanted = computed(() => Number(props.id) || classes.value?.[0]?.id || 0)

async function open(id: number): Promise<void> {
  record.value =
    (await trying(() => ask(api.GET('/api/classes/{class_id}', { params: { path: { class_id: id } } })))) ?? null
}

watch(wanted, (id) => void (id && open(id)), { immediate: true })

async function add(): Promise<void> {
  if (!name.value.trim()) return
  const made = await trying(() => ask(api.POST('/api/classes', { body: { name: name.value } })))
  if (!made) return
  name.value = ''
  await reload()
  await router.push(`/register/${made.id}`)
}

async function changed(): Promise<void> {
  await reload()
  if (wanted.value) await open(wanted.value)
}

async function removed(): Promise<void> {
  record.value = null
  await router.push('/register')
  await reload()
}
</script>

<template>
  <div class="page register">
    <nav aria-label="Classes">
      <h1>Classes</h1>
      <p v-if="failure" role="alert">{{ failure }}</p>
      <RouterLink v-for="c in classes" :key="c.id" :to="`/register/${c.id}`" :class="{ here: c.id === wanted }">
        <strong>{{ c.name }}</strong>
        <span class="quiet">{{ c.students }} {{ c.students === 1 ? 'student' : 'students' }}</span>
      </RouterLink>
      <form @submit.prevent="add">
        <NInput
          v-model:value="name"
          placeholder="Name of a new class"
          maxlength="80"
          :input-props="{ 'aria-label': 'Name of a new class' }"
        />
        <NButton attr-type="submit" :disabled="!name.trim()">Add the class</NButton>
      </form>
    </nav>
    <ClassSheet v-if="record" :key="record.id" :record="record" @changed="changed" @removed="removed" />
    <EmptyState
      v-else-if="classes && !classes.length"
      title="No class yet"
      text="Name a class at the left, then enter its students by alias: initials or made-up names are enough."
    />
  </div>
</template>

<style scoped>
.register {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: 22px;
  align-items: start;
}

nav {
  display: grid;
  gap: 4px;
}

nav a {
  display: flex;
  gap: 8px;
  color: var(--ink);
  text-decoration: none;
  padding: 9px 12px;
  border-radius: 5px;
  border-left: 5px solid transparent;
}

nav a:hover {
  background: rgb(244 239 228 / 60%);
}

nav .here {
  background: var(--panel);
  border-left-color: var(--accent);
}

form {
  display: grid;
  gap: 6px;
  margin-top: 12px;
}

@media (max-width: 860px) {
  .register {
    grid-template-columns: 1fr;
  }
}
</style>
