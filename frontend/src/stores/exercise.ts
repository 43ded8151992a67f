/**
 * The exercise on the Desk: what the core answered last, what can be undone, and whether it is kept.
 *
 * The document is never changed here: every act goes to the core, which returns the next document and its
 * drawing. While a handle is dragged only the picture is asked for, one question at a time, the newest wins.
 */
import { useDebounceFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'

import { api, ask, ProblemError } from '@/api/client'
import { type Drag, Dragging } from '@/api/dragging'
import type { Act, Drawing, ExerciseDocument, Picture, Place, Problem } from '@/api/types'

type Kept = 'kept' | 'changed' | 'saving' | 'waiting' | 'stale'
const MOST_UNDO = 200
const SAVE_AFTER_MS = 700
const TRY_AGAIN_MS = 3000

export const useExercise = defineStore('exercise', () => {
  const id = ref(0)
  const version = ref(0)
  const document = shallowRef<ExerciseDocument>({})
  const drawing = shallowRef<Drawing | null>(null)
  const picture = shallowRef<Picture | null>(null)
  const kept = ref<Kept>('kept')
  const problem = ref<Problem | null>(null)
  const past = shallowRef<ExerciseDocument[]>([])
  const future = shallowRef<ExerciseDocument[]>([])
  const title = computed(() => String(document.value.title ?? ''))

  async function load(exerciseId: number): Promise<void> {
    if (id.value === exerciseId && kept.value !== 'kept') return
    drawing.value = null
    const answer = await ask(api.GET('/api/exercises/{exercise_id}', { params: { path: { exercise_id: exerciseId } } }))
    id.value = answer.id
    version.value = answer.version
    past.value = []
    future.value = []
    kept.value = 'kept'
    await draw(answer.exercise)
  }

  async function draw(exercise: ExerciseDocument): Promise<void> {
    const answer = await ask(api.POST('/api/desk/draw', { body: { exercise } }))
    take(answer.exercise, answer.drawing)
  }

  function take(exercise: ExerciseDocument, whole: Drawing): void {
    document.value = exercise
    drawing.value = whole
    picture.value = whole
    problem.value = null
  }

  /** Do something to the exercise; on refusal the last good drawing stays and the problem is shown at its place. */
  async function act(what: Act): Promise<boolean> {
    const before = document.value
    try {
      const answer = await ask(api.POST('/api/desk/act', { body: { exercise: before, act: what } }))
      remember(before)
      take(answer.exercise, answer.drawing)
      return true
    } catch (error) {
      refuse(error)
      return false
    }
  }

  function refuse(error: unknown): void {
    if (!(error instanceof ProblemError)) throw error
    problem.value = error.problem
  }

  function remember(before: ExerciseDocument): void {
    past.value = [...past.value.slice(1 - MOST_UNDO), before]
    future.value = []
    changed()
  }

  let beforeDrag: ExerciseDocument | null = null
  const dragging = new Dragging()
  let wanted: Drag | null = null
  let asking: Promise<void> | null = null
  let isMoved = false
  let resting: Promise<void> | null = null

  /** Drag a handle: the picture follows as fast as the core answers. */
  function drag(handle: string, place: Place, snap: boolean): void {
    wanted = { handle, place, snap }
    asking ??= follow()
  }

  async function follow(): Promise<void> {
    await resting?.catch(() => undefined)
    if (!beforeDrag) {
      beforeDrag = document.value
      dragging.begin(beforeDrag)
    }
    while (wanted) {
      const next = wanted
      wanted = null
      try {
        picture.value = await dragging.move(next)
        isMoved = true
        problem.value = null
      } catch (error) {
        refuse(error)
      }
    }
    asking = null
  }

  /** The hand rests: steps and advice follow, and the drag becomes one thing to undo. */
  async function rest(): Promise<void> {
    await asking
    const before = beforeDrag
    beforeDrag = null
    if (!before || !isMoved) return
    isMoved = false
    const mine = dragging.rest().then((moved) => {
      document.value = moved
      remember(before)
    })
    resting = mine
    try {
      await mine
      const moved = document.value
      const answer = await ask(api.POST('/api/desk/draw', { body: { exercise: moved } }))
      // While the hand is on its way again, or has been, this answer is an old one.
      if (document.value === moved && !beforeDrag) take(answer.exercise, answer.drawing)
    } catch (error) {
      refuse(error)
    } finally {
      if (resting === mine) resting = null
    }
  }

  async function undo(): Promise<void> {
    const before = past.value.at(-1)
    if (!before) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, document.value]
    await draw(before)
    changed()
  }

  async function redo(): Promise<void> {
    const next = future.value.at(-1)
    if (!next) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, document.value]
    await draw(next)
    changed()
  }

  /** Put another state of the exercise on the Desk, as something that can be undone. */
  async function replace(exercise: ExerciseDocument): Promise<void> {
    const before = document.value
    await draw(exercise)
    remember(before)
  }

  function changed(): void {
    if (kept.value !== 'stale') kept.value = 'changed'
    void saveSoon()
  }

  const saveSoon = useDebounceFn(() => save(), SAVE_AFTER_MS)

  async function save(): Promise<void> {
    if (kept.value === 'saving' || kept.value === 'stale' || kept.value === 'kept') return
    const exercise = document.value
    const exerciseId = id.value
    kept.value = 'saving'
    try {
      const answer = await ask(
        api.PUT('/api/exercises/{exercise_id}', {
          params: { path: { exercise_id: exerciseId } },
          body: { base_version: version.value, exercise },
        }),
      )
      version.value = answer.version
      kept.value = document.value === exercise ? 'kept' : 'changed'
      if (document.value !== exercise) void saveSoon()
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      kept.value = error.problem.code === 'stale_version' ? 'stale' : 'waiting'
      if (kept.value === 'waiting') window.setTimeout(() => void save(), TRY_AGAIN_MS)
    }
  }

  /** After a stale save: take the newer state; the own one can be had back by undo. */
  async function takeNewer(): Promise<void> {
    const own = document.value
    const answer = await ask(api.GET('/api/exercises/{exercise_id}', { params: { path: { exercise_id: id.value } } }))
    version.value = answer.version
    kept.value = 'kept'
    await draw(answer.exercise)
    past.value = [...past.value, own]
  }

  /** After a stale save: keep the own state as an exercise of its own; returns its number. */
  async function keepAsCopy(): Promise<number> {
    const copy = { ...document.value, title: `${title.value} (copy)`.slice(0, 80) }
    const answer = await ask(api.POST('/api/exercises', { body: { exercise: copy } }))
    kept.value = 'kept'
    return answer.id
  }

  async function rename(text: string): Promise<void> {
    const tidy = text.trim().slice(0, 80)
    if (!tidy || tidy === title.value) return
    await replace({ ...document.value, title: tidy })
  }

  return {
    id, version, document, drawing, picture, kept, problem, past, future, title,
    load, act, drag, rest, undo, redo, save, replace, takeNewer, keepAsCopy, rename,
  } // prettier-ignore
})
