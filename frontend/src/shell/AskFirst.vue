<script setup lang="ts">
/** A button for what cannot be taken back: it says what will be gone and asks first. */
import { NButton } from 'naive-ui'
import { nextTick, ref, watch } from 'vue'

import TheDialog from './TheDialog.vue'

defineProps<{ what: string; title: string; does: string; label?: string }>()
const emit = defineEmits<{ sure: [] }>()
const asking = ref(false)
const leave = ref<InstanceType<typeof NButton>>()

watch(asking, async (is) => {
  await nextTick()
  if (is) leave.value?.$el.focus()
})

function sure(): void {
  asking.value = false
  emit('sure')
}
</script>

<template>
  <button type="button" class="word-button" :aria-label="label" @click="asking = true">{{ what }}</button>
  <TheDialog v-model:show="asking" :title="title" width="420px">
    <p><slot /></p>
    <template #doors>
      <NButton ref="leave" @click="asking = false">Leave it</NButton>
      <NButton type="primary" @click="sure">{{ does }}</NButton>
    </template>
  </TheDialog>
</template>
