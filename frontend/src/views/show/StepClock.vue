<script setup lang="ts">
/** How long the class is at this step, beside how long it is thought to take. */
import { useNow } from '@vueuse/core'
import { computed } from 'vue'

const props = defineProps<{ since: number; minutes: number }>()
const now = useNow({ interval: 1000 })
const seconds = computed(() => Math.max(0, Math.floor((now.value.getTime() - props.since) / 1000)))
const text = computed(() => `${Math.floor(seconds.value / 60)}:${String(seconds.value % 60).padStart(2, '0')}`)
const thought = computed(() => Math.max(1, Math.round(props.minutes)))
</script>

<template>
  <p class="clock" :class="{ over: seconds > thought * 60 }">
    <span class="time">{{ text }}</span> of about {{ thought }} min
  </p>
</template>

<style scoped>
.clock {
  margin: 0;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}

.time {
  font-weight: 700;
}

.over .time {
  color: var(--accent-on-dark);
}
</style>
