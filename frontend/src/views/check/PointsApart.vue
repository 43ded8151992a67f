<script setup lang="ts">
/** "The points are too close": the student's sheet, and under it the same drawing with its points farther apart. */
import { NButton } from 'naive-ui'
import { ref, shallowRef } from 'vue'

import { api, ask } from '@/api/client'
import type { ApartAnswer, Picture, SheetAnswer } from '@/api/types'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetLines from '@/sheet/SheetLines.vue'
import SheetPair from '@/sheet/SheetPair.vue'
import SheetPoints from '@/sheet/SheetPoints.vue'
import SheetView from '@/sheet/SheetView.vue'
import TheDialog from '@/shell/TheDialog.vue'
import { useSay } from '@/shell/useSay'

import JudgedLines from './JudgedLines.vue'

const props = defineProps<{ sheet: SheetAnswer; picture: Picture }>()
const emit = defineEmits<{ changed: [sheet: SheetAnswer] }>()
const { trying, good } = useSay()
const apart = shallowRef<ApartAnswer | null>(null)
const said = ref(false)

const params = { path: { sheet_id: props.sheet.id } }

async function look(): Promise<void> {
  said.value = false
  const answer = await trying(() => ask(api.GET('/api/sheets/{sheet_id}/points_apart', { params })))
  if (answer) apart.value = answer
}

async function say(): Promise<void> {
  if (!apart.value) return
  const note = [props.sheet.note.trim(), apart.value.says].filter(Boolean).join('\n')
  const answer = await trying(() => ask(api.PUT('/api/sheets/{sheet_id}/note', { params, body: { note } })))
  if (!answer) return
  said.value = true
  good('It stands in the note.')
  emit('changed', answer)
}
</script>

<template>
  <button type="button" class="word-button" title="The same drawing with its points farther apart" @click="look">
    Points apart
  </button>
  <TheDialog
    :show="apart !== null"
    title="The same drawing with its points farther apart"
    width="860px"
    @update:show="apart = null"
  >
    <SheetPair v-if="apart">
      <template #upper-caption>{{ sheet.alias || sheet.file_name }}</template>
      <template #upper>
        <SheetView :picture="picture" label="The student's sheet" :padding="4" reach>
          <image
            v-if="sheet.has_flat"
            :href="`/api/sheets/${sheet.id}/flat.jpg`"
            x="0"
            y="0"
            :width="picture.sheet.width_mm"
            :height="picture.sheet.height_mm"
            preserveAspectRatio="none"
          />
          <JudgedLines :sheet="sheet" :pointed="null" /><SheetPoints :size="5" />
        </SheetView>
      </template>
      <template #lower-caption>Half as far again apart</template>
      <template #lower>
        <SheetView :picture="apart.picture" label="Half as far again apart" :padding="4" reach>
          <SheetFaces /><SheetLines :weight="0.8" /><SheetPoints :size="5" />
        </SheetView>
      </template>
    </SheetPair>
    <template #doors>
      <NButton type="primary" :disabled="said" @click="say">Say it in the note</NButton>
      <NButton @click="apart = null">Close</NButton>
    </template>
  </TheDialog>
</template>
