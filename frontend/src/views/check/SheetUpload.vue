<script setup lang="ts">
/** Put files on the pile, one request each, so that one bad file does not hold up the others. */
import { ref } from 'vue'

import { api, ask, ProblemError } from '@/api/client'

const props = defineProps<{ pileId: number }>()
const emit = defineEmits<{ uploaded: [] }>()
const done = ref(0)
const total = ref(0)
const failures = ref<string[]>([])
const over = ref(false)
let stopped = false

async function take(files: FileList | null | undefined): Promise<void> {
  const list = [...(files ?? [])]
  if (!list.length) return
  done.value = 0
  total.value = list.length
  failures.value = []
  stopped = false
  for (const file of list) {
    if (stopped) break
    await upload(file)
    done.value += 1
    emit('uploaded')
  }
  total.value = 0
}

async function upload(file: File): Promise<void> {
  const form = new FormData()
  form.append('file', file)
  try {
    await ask(
      api.POST('/api/piles/{pile_id}/sheets', {
        params: { path: { pile_id: props.pileId } },
        body: form as never,
        bodySerializer: (body: unknown) => body as FormData,
      }),
    )
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    failures.value = [...failures.value, `${file.name}: ${error.message}`]
  }
}

function pick(event: Event): void {
  const field = event.target as HTMLInputElement
  void take(field.files).then(() => (field.value = ''))
}
</script>

<template>
  <div class="upload">
    <label
      :class="{ over }"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="((over = false), take($event.dataTransfer?.files))"
    >
      <template v-if="total">{{ done }} of {{ total }} put on the pile …</template>
      <template v-else>Add photos or scans<br /><span>JPEG, PNG, PDF or SVG</span></template>
      <input
        type="file"
        multiple
        accept="image/jpeg,image/png,application/pdf,image/svg+xml"
        :disabled="total > 0"
        @change="pick"
      />
    </label>
    <button v-if="total" type="button" class="word-button" @click="stopped = true">Stop</button>
    <p v-for="f in failures" :key="f" role="alert">{{ f }}</p>
  </div>
</template>

<style scoped>
.upload {
  padding: 0 12px;
}

label {
  display: block;
  position: relative;
  text-align: center;
  font-weight: 700;
  border: 2px dashed #a59a85;
  border-radius: 7px;
  padding: 10px 8px;
  cursor: pointer;
}

label:hover,
.over {
  border-color: var(--accent);
  background: var(--paper);
}

label:focus-within {
  outline: 3px solid var(--accent);
}

span {
  font-weight: 400;
  font-size: 13px;
}

input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}

p {
  color: var(--off);
  font-size: 14px;
  margin: 6px 0;
}
</style>
