/** The parts that the teacher keeps: some things of an exercise under a name, to be set down on other sheets. */
import { defineStore } from 'pinia'
import { ref } from 'vue'

import { api, ask } from '@/api/client'
import type { ExerciseDocument, PartLine } from '@/api/types'

export const useParts = defineStore('parts', () => {
  const parts = ref<PartLine[]>([])

  async function load(): Promise<void> {
    parts.value = await ask(api.GET('/api/parts'))
  }

  async function keep(exercise: ExerciseDocument, indices: number[], name: string): Promise<PartLine> {
    const kept = await ask(api.POST('/api/parts', { body: { exercise, indices, name } }))
    parts.value = [...parts.value, kept].sort((a, b) => a.name.localeCompare(b.name))
    return kept
  }

  async function drop(id: number): Promise<void> {
    await ask(api.DELETE('/api/parts/{part_id}', { params: { path: { part_id: id } } }))
    parts.value = parts.value.filter((part) => part.id !== id)
  }

  return { parts, load, keep, drop }
})
