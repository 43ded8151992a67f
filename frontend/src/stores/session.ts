/** Who is signed in. */
import { defineStore } from 'pinia'
import { ref } from 'vue'

import { api, ask, ProblemError } from '@/api/client'
import type { Who } from '@/api/types'

export const useSession = defineStore('session', () => {
  const who = ref<Who | null>(null)

  /** Whether somebody is signed in; asks the application once. */
  async function known(): Promise<boolean> {
    if (who.value) return true
    try {
      who.value = await ask(api.GET('/api/me'))
      return true
    } catch (error) {
      if (error instanceof ProblemError) return false
      throw error
    }
  }

  async function signOut(): Promise<void> {
    await ask(api.POST('/api/sign-out'))
    who.value = null
  }

  return { who, known, signOut }
})
