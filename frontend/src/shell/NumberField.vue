<script setup lang="ts">
/** A whole number: typed, or changed by the arrow keys. */
const props = defineProps<{ label: string; min: number; max: number }>()
const value = defineModel<number>({ required: true })

function take(event: Event): void {
  const field = event.target as HTMLInputElement
  const typed = Math.round(Number(field.value))
  if (Number.isFinite(typed) && field.value) value.value = Math.min(Math.max(typed, props.min), props.max)
  field.value = String(value.value)
}
</script>

<template>
  <input type="number" class="number" :value="value" :min="min" :max="max" :aria-label="label" @change="take" />
</template>

<style scoped>
.number {
  font: inherit;
  color: inherit;
  width: 90px;
  height: 38px;
  padding: 0 10px;
  background: var(--paper);
  border: 1px solid #8f8371;
  border-radius: 5px;
}
</style>
