<script setup lang="ts">
/** The student's sheet laid flat, and over it each line with its verdict. */
import { computed } from 'vue'

import type { Finding, Picture, SheetAnswer } from '@/api/types'
import SheetView from '@/sheet/SheetView.vue'

import JudgedLines from './JudgedLines.vue'

const props = defineProps<{ sheet: SheetAnswer; picture: Picture; pointed: Finding | null }>()
const size = computed(() => props.picture.sheet)
const photo = computed(() => {
  if (props.sheet.has_flat) return `/api/sheets/${props.sheet.id}/flat.jpg`
  return ''
})
</script>

<template>
  <div class="judged">
    <SheetView
      v-if="sheet.checked"
      :key="sheet.id"
      :picture="picture"
      :label="`Sheet of ${sheet.alias || sheet.file_name}`"
      :padding="8"
    >
      <image
        v-if="photo"
        :href="photo"
        x="0"
        y="0"
        :width="size.width_mm"
        :height="size.height_mm"
        preserveAspectRatio="none"
      />
      <JudgedLines :sheet="sheet" :pointed="pointed" />
    </SheetView>
    <img
      v-else-if="sheet.has_photo"
      class="photo"
      :src="`/api/sheets/${sheet.id}/upload.jpg`"
      :alt="`Photo ${sheet.file_name}`"
    />
    <ul v-if="sheet.checked" class="legend" aria-label="Legend">
      <li class="fine">home</li>
      <li class="slight">slightly off</li>
      <li class="off">off</li>
      <li class="aim">where it aims</li>
      <li class="should">where it should</li>
      <li class="missing">missing</li>
      <li v-if="sheet.meant.length || sheet.meant_curves.length" class="meant">meant so</li>
    </ul>
  </div>
</template>

<style scoped>
.judged {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}

.photo {
  min-height: 0;
  flex: 1;
  object-fit: contain;
}

.legend {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 4px 22px;
  padding: 4px 0;
  margin: 0;
  font-size: 14px;
}

.legend li::before {
  content: '';
  display: inline-block;
  width: 30px;
  margin-right: 7px;
  vertical-align: middle;
  border-top: 3px solid var(--home);
}

.legend .slight::before {
  border-top: 4px double var(--slight);
}

.legend .off::before {
  border-top: 5px solid var(--off);
}

.legend .aim::before {
  border-top: 2px dashed var(--off);
}

.legend .should::before {
  border-top: 2px dotted var(--point);
}

.legend .meant::before {
  border-top: 3px dotted var(--ink-soft);
}

.legend .missing::before {
  border-top: 3px dashed #55585e;
}
</style>
