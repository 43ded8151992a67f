<script setup lang="ts">
/** The small picture of a finished sheet, as the application keeps it. */
import { ref, watch } from 'vue'

const props = defineProps<{ source: string; label: string }>()
const isMissing = ref(false)
watch(
  () => props.source,
  () => (isMissing.value = false),
)
</script>

<template>
  <span v-if="isMissing" class="missing">no picture</span>
  <img v-else :src="source" :alt="label" loading="lazy" @error="isMissing = true" />
</template>

<style scoped>
img,
.missing {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: contain;
}

img {
  filter: drop-shadow(0 1px 2px rgb(60 50 30 / 35%));
}

.missing {
  display: grid;
  place-items: center;
  border: 2px dashed var(--desk-deep);
  color: var(--ink-soft);
}
</style>
