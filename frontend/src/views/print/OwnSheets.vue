<script setup lang="ts">
/** The sheets of a class in which each student has one of their own: all as small pictures, those to look at first. */
import { NButton, NProgress } from 'naive-ui'
import { computed, onUnmounted, ref, watch } from 'vue'

import { api, ask } from '@/api/client'
import type { OwnSheetLine } from '@/api/types'
import SheetThumb from '@/sheet/SheetThumb.vue'
import { useSay } from '@/shell/useSay'

const props = defineProps<{ exercise: number; schoolClass: number; address: (student: number) => string }>()
const emit = defineEmits<{ drawn: [steps: number[]] }>()
const { trying } = useSay()
const lines = ref<OwnSheetLine[]>([])
const wanted = ref(0)
const isStopped = ref(false)
let run = 0

const isReady = computed(() => wanted.value > 0 && lines.value.length === wanted.value)
const sorted = computed(() =>
  [...lines.value].sort((a, b) => Number(b.remarks.length > 0) - Number(a.remarks.length > 0)),
)
const toLookAt = computed(() => lines.value.filter((line) => line.remarks.length).length)

async function fetchAll(): Promise<void> {
  const mine = ++run
  lines.value = []
  wanted.value = 0
  isStopped.value = false
  const path = { exercise_id: props.exercise, class_id: props.schoolClass }
  const { students } = await ask(api.GET('/api/exercises/{exercise_id}/own/{class_id}', { params: { path } }))
  wanted.value = students.length
  for (const student_id of students) {
    if (mine !== run || isStopped.value) return
    const params = { path: { ...path, student_id } }
    const line = await ask(api.GET('/api/exercises/{exercise_id}/own/{class_id}/{student_id}', { params }))
    if (mine === run) lines.value.push(line)
    if (isReady.value)
      emit(
        'drawn',
        lines.value.map((one) => one.steps),
      )
  }
}

watch(
  () => [props.exercise, props.schoolClass],
  () => void trying(fetchAll),
  { immediate: true },
)
onUnmounted(() => (run += 1))
</script>

<template>
  <section class="own" aria-label="The class’s own sheets">
    <div class="head" aria-live="polite">
      <template v-if="isReady">
        <span
          ><strong>{{ lines.length }} sheets</strong
          >{{ toLookAt ? `, ${toLookAt} to look at before you print` : ', all of them fit' }}</span
        >
      </template>
      <template v-else-if="isStopped">
        <span>Stopped after {{ lines.length }} of {{ wanted }}.</span>
        <NButton size="small" @click="trying(fetchAll)">Draw them all</NButton>
      </template>
      <template v-else>
        <span>Drawing {{ lines.length }} of {{ wanted }}</span>
        <NProgress
          type="line"
          :percentage="wanted ? Math.round((100 * lines.length) / wanted) : 0"
          :show-indicator="false"
          class="progress"
        />
        <NButton size="small" @click="isStopped = true">Stop</NButton>
      </template>
    </div>
    <p v-if="toLookAt" class="cure">
      What becomes of long names, and of those that take longer than the lesson, is decided
      <RouterLink :to="`/desk/${exercise}`">at the desk</RouterLink>, for all at once.
    </p>
    <ul>
      <li v-for="line in sorted" :key="line.student_id" :class="{ look: line.remarks.length }">
        <a :href="address(line.student_id)" target="_blank" rel="noopener" :aria-label="`PDF for ${line.alias}`">
          <span class="picture"><SheetThumb :picture="line.picture" :label="`Sheet of ${line.alias}`" /></span>
          <strong>{{ line.alias }}</strong> <span class="minutes">{{ Math.round(line.minutes) }} min</span>
        </a>
        <p v-for="remark in line.remarks" :key="remark">{{ remark }}</p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  min-height: 34px;
  gap: 10px;
}

.progress {
  max-width: 260px;
}

ul {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 12px;
  margin: 6px 0 0;
  padding: 0;
}

li {
  background: var(--panel);
  border-top: 4px solid transparent;
  border-radius: 5px;
  padding: 8px;
}

li.look {
  border-top-color: var(--accent);
}

a {
  color: inherit;
  text-decoration: none;
}

.cure {
  margin: 2px 0 8px;
}

.cure a {
  color: var(--accent);
  text-decoration: underline;
}

.minutes {
  float: right;
  color: var(--ink-soft);
}

.picture {
  display: block;
  height: 118px;
  margin-bottom: 4px;
  background: var(--desk);
}

p {
  font-size: 13px;
  line-height: 1.35;
  margin: 4px 0 0;
}
</style>
