<script setup lang="ts">
/** A dialog: named by its title, closed by Esc, by its button or by a press beside it. */
import { NModal } from 'naive-ui'
import { useId } from 'vue'

withDefaults(defineProps<{ title: string; width?: string; closable?: boolean }>(), { width: '480px', closable: true })
const show = defineModel<boolean>('show', { required: true })
const heading = useId()
</script>

<template>
  <NModal v-model:show="show" :mask-closable="closable" :close-on-esc="closable">
    <!-- A div: the focus trap of NModal looks for one. -->
    <div class="dialog" role="dialog" aria-modal="true" :aria-labelledby="heading" :style="{ width }">
      <header>
        <h2 :id="heading">{{ title }}</h2>
        <button v-if="closable" type="button" class="word-button" @click="show = false">Close</button>
      </header>
      <slot />
      <footer v-if="$slots.doors"><slot name="doors" /></footer>
    </div>
  </NModal>
</template>

<style scoped>
.dialog {
  max-width: 94vw;
  max-height: 92vh;
  overflow: auto;
  background: var(--panel);
  border-radius: 8px;
  padding: 16px 22px 20px;
  box-shadow: 2px 4px 18px rgb(40 30 10 / 35%);
}

header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  margin-bottom: 10px;
}

h2 {
  font-size: 18px;
}

footer {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 14px;
}
</style>
