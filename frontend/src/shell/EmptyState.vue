<script setup lang="ts">
/** What to do where there is nothing yet. */
defineProps<{ title: string; text: string }>()
</script>

<template>
  <div class="empty">
    <h2>{{ title }}</h2>
    <p>{{ text }}</p>
    <slot />
  </div>
</template>

<style scoped>
.empty {
  border: 2px dashed var(--desk-deep);
  border-radius: 8px;
  padding: 26px;
  text-align: center;
  background: rgb(253 251 245 / 45%);
}

p {
  margin: 6px auto 14px;
  max-width: 46ch;
}
</style>
