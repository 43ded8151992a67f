/**
 * Sees to it that every edit reaches the application: what was done while it did not answer is drawn and saved as soon as
 * it does, whichever exercise is open by then.
 */
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'

import { api, ask, isPassing, ProblemError } from '@/api/client'
import type { Act, Drawing, ExerciseDocument, Problem } from '@/api/types'

import { claim as claimUnsaved, ownIds, remove, type Unsaved, write } from './unsaved'

export type Kept = 'kept' | 'changed' | 'saving' | 'waiting' | 'stale' | 'refused'
export interface Drawn {
  exercise: ExerciseDocument
  drawing: Drawing
}

const SAVE_AFTER_MS = 700
const TRY_AGAIN_MS = 3000
const LONGEST_PAUSE_MS = 20_000

export const useKeeper = defineStore('keeper', () => {
  const entries = shallowReactive(new Map<number, Unsaved>())
  const states = shallowReactive(new Map<number, Kept>())
  const problems = shallowReactive(new Map<number, Problem>())
  const timers = new Map<number, number>()
  const pauses = new Map<number, number>()
  const busy = new Set<number>()
  let hasRoom = true
  let onDrawn: (exerciseId: number, drawn: Drawn) => void = () => undefined
  let onVersion: (exerciseId: number, version: number) => void = () => undefined

  const entry = (id: number): Unsaved | undefined => entries.get(id)
  const state = (id: number): Kept => states.get(id) ?? 'kept'
  const waiting = (id: number): readonly Act[] => entries.get(id)?.acts ?? []

  function put(next: Unsaved): void {
    entries.set(next.exerciseId, next)
    hasRoom = write(next)
  }

  function drop(id: number): void {
    entries.delete(id)
    states.delete(id)
    remove(id)
    window.clearTimeout(timers.get(id))
  }

  function start(id: number, version: number, exercise: ExerciseDocument): Unsaved {
    return (
      entries.get(id) ?? { exerciseId: id, baseVersion: version, exercise, isChanged: false, sending: null, acts: [] }
    )
  }

  /** A new state of an exercise: it is kept here at once, and saved in a moment. */
  function change(id: number, version: number, exercise: ExerciseDocument): void {
    problems.delete(id)
    put({ ...start(id, version, exercise), exercise, isChanged: true })
    if (state(id) === 'stale') return
    states.set(id, 'changed')
    settleIn(id, SAVE_AFTER_MS)
  }

  /** Something that was done and could not be drawn: it is done as soon as the application answers. */
  function wait(id: number, version: number, exercise: ExerciseDocument, act: Act): void {
    const before = start(id, version, exercise)
    put({ ...before, acts: [...before.acts, act] })
    states.set(id, 'waiting')
    settleIn(id, TRY_AGAIN_MS)
  }

  function dropActs(id: number): void {
    const before = entries.get(id)
    if (!before) return
    if (before.isChanged || before.sending) put({ ...before, acts: [] })
    else drop(id)
  }

  function settleIn(id: number, ms: number): void {
    window.clearTimeout(timers.get(id))
    timers.set(
      id,
      window.setTimeout(() => void settle(id), ms),
    )
  }

  /** Draw what waits, and save what is new; what cannot be done now is tried again by itself. */
  async function settle(id: number): Promise<void> {
    if (busy.has(id) || state(id) === 'stale') return
    busy.add(id)
    window.clearTimeout(timers.get(id))
    try {
      await drawWaiting(id)
      await saveAll(id)
      pauses.delete(id)
    } catch (error) {
      failed(id, error)
    } finally {
      busy.delete(id)
    }
    const left = entries.get(id)
    if (left && state(id) === 'changed') settleIn(id, SAVE_AFTER_MS)
  }

  async function drawWaiting(id: number): Promise<void> {
    for (let next = entries.get(id); next?.acts.length; next = entries.get(id)) {
      const act = next.acts[0]!
      let drawn: Drawn | null = null
      try {
        drawn = await ask(api.POST('/api/desk/act', { body: { exercise: next.exercise, act } }))
      } catch (error) {
        if (!(error instanceof ProblemError) || isPassing(error) || error.status === 401) throw error
        problems.set(id, error.problem)
      }
      const acts = entries.get(id)!.acts.slice(1)
      put({ ...entries.get(id)!, acts, ...(drawn && { exercise: drawn.exercise, isChanged: true }) })
      if (drawn) onDrawn(id, drawn)
    }
    const rest = entries.get(id)
    if (rest && !rest.isChanged && !rest.sending) drop(id)
  }

  async function saveAll(id: number): Promise<void> {
    for (let next = entries.get(id); next && (next.isChanged || next.sending); next = entries.get(id)) {
      const sending = next.sending ?? { id: crypto.randomUUID(), exercise: next.exercise }
      put({ ...next, sending })
      states.set(id, 'saving')
      const params = { path: { exercise_id: id } }
      const body = { base_version: next.baseVersion, exercise: sending.exercise, save_id: sending.id }
      const { version } = await ask(api.PUT('/api/exercises/{exercise_id}', { params, body }))
      onVersion(id, version)
      const now = entries.get(id)
      if (!now) return
      const isWhole = now.exercise === sending.exercise
      if (isWhole && !now.acts.length) drop(id)
      else put({ ...now, baseVersion: version, sending: null, isChanged: !isWhole })
    }
  }

  function failed(id: number, error: unknown): void {
    if (!(error instanceof ProblemError)) {
      states.set(id, 'waiting')
      settleIn(id, LONGEST_PAUSE_MS)
      throw error
    }
    if (error.problem.code === 'stale_version') states.set(id, 'stale')
    else if (isPassing(error) || error.status === 401) {
      states.set(id, 'waiting')
      const pause = Math.min(pauses.get(id) ?? TRY_AGAIN_MS, LONGEST_PAUSE_MS)
      pauses.set(id, pause * 1.5)
      settleIn(id, pause)
    } else {
      states.set(id, 'refused')
      problems.set(id, error.problem)
      const entry_ = entries.get(id)
      if (entry_) put({ ...entry_, sending: null })
    }
  }

  /** What was left unsaved of an exercise, by this window or by one that is gone. */
  async function claim(id: number): Promise<Unsaved | undefined> {
    const known = entries.get(id) ?? (await claimUnsaved(id))
    if (!known) return undefined
    entries.set(id, known)
    if (!states.has(id)) states.set(id, 'changed')
    return known
  }

  /** After a reload: what this window had not saved, whichever exercise is opened now. */
  async function resume(): Promise<void> {
    for (const id of ownIds()) {
      await claim(id)
      settleIn(id, SAVE_AFTER_MS)
    }
  }

  function tryAll(): void {
    pauses.clear()
    for (const id of entries.keys()) settleIn(id, 0)
  }
  useEventListener(window, 'online', tryAll)
  // Only where the browser has no room for it would an edit be lost with its window.
  useEventListener(window, 'beforeunload', (event) => {
    if (entries.size && !hasRoom) event.preventDefault()
  })

  function listen(drawn: typeof onDrawn, version: typeof onVersion): void {
    onDrawn = drawn
    onVersion = version
  }

  return {
    entries,
    states,
    problems,
    entry,
    state,
    waiting,
    change,
    wait,
    dropActs,
    drop,
    settle,
    claim,
    resume,
    listen,
  }
})
