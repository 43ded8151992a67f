<script setup lang="ts">
/** A word for those who are here for the first time; once read it does not come back. */
import { useLocalStorage } from '@vueuse/core'

const props = defineProps<{ name: string }>()
const isRead = useLocalStorage(`orthopsis.hint.${props.name}`, false)
</script>

<template>
  <div v-if="!isRead" class="hint" role="note">
    <p><slot /></p>
    <button type="button" class="word-button" @click="isRead = true">I see</button>
  </div>
</template>

<style scoped>
.hint {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  background: var(--paper);
  border-left: 5px solid var(--point);
  border-radius: 5px;
  padding: 8px 12px;
  margin: 0 0 12px;
}

p {
  margin: 0;
  flex: 1;
}
</style>
