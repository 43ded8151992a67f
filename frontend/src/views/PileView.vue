<script setup lang="ts">
/** The pile: who needs help first at the left, the sheet in the middle, what a teacher would see at the right. */
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'

import { api, ask } from '@/api/client'
import type { Finding, SheetAnswer } from '@/api/types'
import EmptyState from '@/shell/EmptyState.vue'
import FirstHint from '@/shell/FirstHint.vue'
import { useLoad } from '@/shell/useLoad'
import { setTitle } from '@/router'
import { useSay } from '@/shell/useSay'

import CornerPlacer from './check/CornerPlacer.vue'
import FindingList from './check/FindingList.vue'
import JudgedSheet from './check/JudgedSheet.vue'
import PileList from './check/PileList.vue'
import PointsApart from './check/PointsApart.vue'

const props = defineProps<{ id: string }>()
const router = useRouter()
const { trying, removed } = useSay()
const pileId = computed(() => Number(props.id))
const {
  data: pile,
  failure,
  reload,
} = useLoad(() => ask(api.GET('/api/piles/{pile_id}', { params: { path: { pile_id: pileId.value } } })))
const { data: picture } = useLoad(() =>
  ask(api.GET('/api/piles/{pile_id}/picture', { params: { path: { pile_id: pileId.value } } })),
)
const chosen = ref(0)
const sheet = shallowRef<SheetAnswer | null>(null)
const pointed = shallowRef<Finding | null>(null)
const placing = ref(false)

const count = (...states: string[]): number => pile.value?.sheets.filter((s) => states.includes(s.state)).length ?? 0
const reading = computed(() => count('queued', 'reading'))
const total = computed(() => pile.value?.sheets.length ?? 0)

useIntervalFn(async () => {
  if (!reading.value) return
  await reload()
  if (sheet.value && ['queued', 'reading'].includes(sheet.value.state)) await open(sheet.value.id)
}, 700)

async function open(id: number): Promise<void> {
  const answer = await trying(() => ask(api.GET('/api/sheets/{sheet_id}', { params: { path: { sheet_id: id } } })))
  if (!answer) return
  chosen.value = id
  sheet.value = answer
  pointed.value = null
  placing.value = answer.state === 'not_found'
}

/** The list stands in this order: who needs help most is at its top. */
const toLookAt = computed(
  () => pile.value?.sheets.filter((s) => ['not_found', 'failed', 'read'].includes(s.state)) ?? [],
)

watch(pile, (now) => {
  setTitle(now ? `${now.class_name}: ${now.exercise}` : '')
  if (chosen.value || reading.value) return
  const first = toLookAt.value[0]
  if (first) void open(first.id)
})

async function readAll(): Promise<void> {
  await trying(() => ask(api.POST('/api/piles/{pile_id}/read', { params: { path: { pile_id: pileId.value } } })))
  await reload()
}

async function cancel(): Promise<void> {
  await trying(() => ask(api.POST('/api/piles/{pile_id}/cancel', { params: { path: { pile_id: pileId.value } } })))
  await reload()
}

function noted(answer: SheetAnswer): void {
  sheet.value = answer
}

async function changed(answer: SheetAnswer): Promise<void> {
  sheet.value = answer
  pointed.value = null
  placing.value = answer.state === 'not_found'
  await reload()
}

/** After keeping: the next one below that is still to be looked at, and from the top again when there is none. */
async function kept(): Promise<void> {
  const order = toLookAt.value.map((s) => s.id)
  const here = order.indexOf(chosen.value)
  const next = [...order.slice(here + 1), ...order.slice(0, Math.max(0, here))].find((id) => id !== chosen.value)
  await reload()
  if (next ?? sheet.value) await open(next ?? sheet.value!.id)
}

async function removeSheet(): Promise<void> {
  if (!sheet.value) return
  const { id, alias, file_name: file } = sheet.value
  const params = { path: { sheet_id: id } }
  const done = await trying(async () => {
    await ask(api.DELETE('/api/sheets/{sheet_id}', { params }))
    return true
  })
  if (!done) return
  sheet.value = null
  chosen.value = 0
  await reload()
  removed(`${alias || file} is off the pile.`, async () => {
    await ask(api.POST('/api/sheets/{sheet_id}/back', { params }))
    await reload()
    await open(id)
  })
}

async function removePile(): Promise<void> {
  await trying(() => ask(api.DELETE('/api/piles/{pile_id}', { params: { path: { pile_id: pileId.value } } })))
  await router.push('/check')
}

function step(by: number): void {
  const order = pile.value?.sheets ?? []
  const next = order[order.findIndex((s) => s.id === chosen.value) + by]
  if (next) void open(next.id)
}

useEventListener('keydown', (event) => {
  if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement || event.ctrlKey) return
  if (event.key === 'ArrowDown') step(1)
  else if (event.key === 'ArrowUp') step(-1)
  else return
  event.preventDefault()
})
</script>

<template>
  <div v-if="failure" class="page">
    <EmptyState title="This pile cannot be opened" :text="failure"
      ><RouterLink to="/check">To the piles</RouterLink></EmptyState
    >
  </div>
  <div v-else-if="pile" class="pile">
    <Teleport to="#bar-side">
      <span class="bar-words">{{ pile.class_name }} · {{ pile.exercise }}</span>
    </Teleport>
    <PileList
      class="list"
      :pile="pile"
      :chosen="chosen"
      @open="open"
      @changed="reload"
      @read="readAll"
      @stop="cancel"
      @remove="removePile"
    />
    <section class="table" aria-label="The sheet">
      <FirstHint name="pile"
        >Put the photos on the pile and let them be read. Who needs help most comes first; press Enter to keep a sheet
        and go to the next. The question mark shows all keys.</FirstHint
      >
      <CornerPlacer
        v-if="sheet && placing && sheet.has_photo"
        :key="sheet.id"
        :sheet="sheet"
        @placed="changed"
        @close="placing = false"
      />
      <JudgedSheet v-else-if="sheet && picture" :sheet="sheet" :picture="picture" :pointed="pointed" />
      <EmptyState
        v-else
        :title="total ? 'No sheet chosen' : 'The pile is empty'"
        :text="
          total
            ? 'Choose a sheet at the left, or let them all be read.'
            : 'Put the photos of the sheets on the pile at the left.'
        "
      />
      <p v-if="sheet?.has_photo && !placing && sheet.state !== 'waiting'" class="below">
        <span v-if="sheet.found_by" class="quiet"
          >Sheet found by its
          {{ sheet.found_by === 'hand' ? 'corners, placed by hand' : sheet.found_by.replace('_', ' ') }}.</span
        >
        <button type="button" class="word-button" @click="placing = true">Place the corners by hand</button>
        <PointsApart
          v-if="sheet.checked && picture && pile.has_two_points"
          :key="sheet.id"
          :sheet="sheet"
          :picture="picture"
          @changed="noted"
        />
        <button type="button" class="word-button" @click="removeSheet">Take off the pile</button>
      </p>
    </section>
    <FindingList
      v-if="sheet"
      :key="sheet.id"
      class="findings"
      :sheet="sheet"
      :students="pile.students"
      @point="pointed = $event"
      @changed="changed"
      @kept="kept"
    />
  </div>
</template>

<style scoped>
.pile {
  height: 100%;
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr) minmax(270px, 25vw);
}

.findings {
  background: var(--panel);
  overflow: auto;
  min-height: 0;
}

.table {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  padding: 8px;
}

.below {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  align-items: center;
  white-space: nowrap;
}

/* A narrow or much enlarged window: the sheet first, then what is found, then the pile. */
@media (max-width: 900px) {
  .pile {
    grid-template: max(56vh, 260px) auto auto / minmax(0, 1fr);
    overflow: auto;
  }

  .table {
    order: -1;
  }

  .findings {
    order: 0;
    overflow: visible;
  }

  .list {
    order: 1;
    overflow: visible;
  }
}

.bar-words {
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
