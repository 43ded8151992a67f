<script setup lang="ts">
/** "The points are too close": the student's sheet, and under it the same drawing with its points farther apart. */
import { NButton } from 'naive-ui'
import { ref, shallowRef } from 'vue'

import { api, ask } from '@/api/client'
import type { ApartAnswer, Picture, SheetAnswer } from '@/api/types'
import SheetFaces from '@/sheet/SheetFaces.vue'
import SheetLines from '@/sheet/SheetLines.vue'
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
  <button type="button" class="word-button" @click="look">Points apart</button>
  <TheDialog
    :show="apart !== null"
    title="The same drawing with its points farther apart"
    width="860px"
    @update:show="apart = null"
  >
    <div v-if="apart" class="both">
      <figure>
        <figcaption>{{ sheet.alias || sheet.file_name }}</figcaption>
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
          <JudgedLines :sheet="sheet" :pointed="[]" /><SheetPoints :size="5" />
        </SheetView>
      </figure>
      <figure>
        <figcaption>Half as far again apart</figcaption>
        <SheetView :picture="apart.picture" label="Half as far again apart" :padding="4" reach>
          <SheetFaces /><SheetLines :weight="0.8" /><SheetPoints :size="5" />
        </SheetView>
      </figure>
    </div>
    <template #doors>
      <NButton type="primary" :disabled="said" @click="say">Say it in the note</NButton>
      <NButton @click="apart = null">Close</NButton>
    </template>
  </TheDialog>
</template>

<style scoped>
.both {
  display: grid;
  gap: 10px;
}

figure {
  margin: 0;
  height: 34vh;
  display: flex;
  flex-direction: column;
  background: var(--desk);
  border-radius: 5px;
  padding: 4px 8px;
}

figcaption {
  font-weight: 700;
}

figure svg {
  flex: 1;
  min-height: 0;
}
</style>
