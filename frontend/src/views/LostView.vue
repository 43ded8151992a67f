<script setup lang="ts">
import EmptyState from '@/shell/EmptyState.vue'
</script>

<template>
  <div class="page">
    <EmptyState
      title="There is nothing at this address"
      text="It may have been removed, or the address has a slip in it."
    >
      <RouterLink to="/today">Go to Today</RouterLink>
    </EmptyState>
  </div>
</template>
