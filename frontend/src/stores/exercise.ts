/**
 * The exercise on the Desk: what the core answered last, what can be undone, and whether it is kept.
 *
 * The document is never changed here: every act goes to the core, which returns the next document and its
 * drawing. While a handle is dragged only the picture is asked for, one question at a time, the newest wins.
 * What the core or the application cannot answer just now is looked after by the keeper.
 */
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'

import { api, ask, isPassing, ProblemError } from '@/api/client'
import { type Drag, Dragging } from '@/api/dragging'
import type { Act, Drawing, ExerciseDocument, Picture, Place, Problem } from '@/api/types'
import { useKeeper } from '@/keeping/keeper'

const MOST_UNDO = 200

export const useExercise = defineStore('exercise', () => {
  const keeper = useKeeper()
  const id = ref(0)
  const version = ref(0)
  const document = shallowRef<ExerciseDocument>({})
  const drawing = shallowRef<Drawing | null>(null)
  const picture = shallowRef<Picture | null>(null)
  const problem = ref<Problem | null>(null)
  const past = shallowRef<ExerciseDocument[]>([])
  const future = shallowRef<ExerciseDocument[]>([])
  const title = computed(() => String(document.value.title ?? ''))
  const kept = computed(() => keeper.state(id.value))
  const waiting = computed(() => keeper.waiting(id.value))
  /** Why the application will not keep the exercise as it is. */
  const refusal = computed(() => keeper.problems.get(id.value) ?? null)

  /** The things that are chosen together, by their names; none while one is chosen after the other. */
  const together = ref<string[]>([])
  const others = computed(() =>
    (drawing.value?.sentences ?? [])
      .filter((sentence) => together.value.includes(sentence.title))
      .map((sentence) => sentence.number),
  )

  keeper.listen(
    (exerciseId, drawn) => {
      if (exerciseId !== id.value) return
      past.value = [...past.value.slice(1 - MOST_UNDO), document.value]
      take(drawn.exercise, drawn.drawing)
    },
    (exerciseId, saved) => {
      if (exerciseId === id.value) version.value = saved
    },
  )

  let last: Promise<unknown> = Promise.resolve()

  /** What changes the exercise is done one after the other: each begins with what the one before has left. */
  function inTurn<T>(change: () => Promise<T>): Promise<T> {
    const mine = last.then(change)
    last = mine.catch(() => undefined)
    return mine
  }

  async function load(exerciseId: number): Promise<void> {
    if (id.value === exerciseId && drawing.value && kept.value !== 'kept') return
    drawing.value = null
    together.value = []
    const path = { exercise_id: exerciseId }
    const answer = await ask(api.GET('/api/exercises/{exercise_id}', { params: { path } }))
    const unsaved = await keeper.claim(exerciseId)
    id.value = answer.id
    version.value = answer.version
    past.value = unsaved?.isChanged ? [answer.exercise] : []
    future.value = []
    await draw(unsaved?.exercise ?? answer.exercise)
    if (unsaved) void keeper.settle(exerciseId)
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

  /**
   * Do something to the exercise. On refusal the last good drawing stays and the problem is shown at its place; what
   * cannot be drawn just now waits, in order, and is drawn as soon as the application answers.
   */
  function act(what: Act): Promise<boolean> {
    return inTurn(() => actNow(what))
  }

  async function actNow(what: Act): Promise<boolean> {
    const before = document.value
    if (waiting.value.length) return later(what)
    try {
      const answer = await ask(api.POST('/api/desk/act', { body: { exercise: before, act: what } }))
      take(answer.exercise, answer.drawing)
      remember(before)
      return true
    } catch (error) {
      if (isPassing(error)) return later(what)
      refuse(error)
      return false
    }
  }

  function later(what: Act): boolean {
    keeper.wait(id.value, version.value, document.value, what)
    problem.value = null
    return true
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
  /** The last move that nobody answered: the hand has been there, so it is drawn later. */
  let unanswered: Drag | null = null
  let asking: Promise<void> | null = null
  let isMoved = false
  /** A drag is one turn: what is asked for while the hand moves waits until it has rested. */
  let turn: { begins: Promise<unknown>; end: () => void } | null = null

  function takeTurn(): { begins: Promise<unknown>; end: () => void } {
    let end = (): void => undefined
    const over = new Promise<void>((done) => (end = done))
    const begins = last
    last = begins.then(() => over)
    return { begins, end }
  }

  /** Drag a handle: the picture follows as fast as the core answers. */
  function drag(handle: string, place: Place, snap: boolean): void {
    wanted = { handle, place, snap, others: others.value }
    turn ??= takeTurn()
    asking ??= follow(turn.begins)
  }

  async function follow(begins: Promise<unknown>): Promise<void> {
    await begins
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
        unanswered = null
        problem.value = null
      } catch (error) {
        if (isPassing(error)) unanswered = next
        else refuse(error)
      }
    }
    asking = null
  }

  function actOf({ handle, place, snap, others }: Drag): Act {
    return { op: 'drag', handle, x: place[0], y: place[1], snap, others }
  }

  /** The hand rests: steps and advice follow, and the drag becomes one thing to undo. */
  async function rest(): Promise<void> {
    await asking
    const before = beforeDrag
    beforeDrag = null
    const lost = unanswered
    unanswered = null
    const isOver = turn
    turn = null
    try {
      if (!before || (!isMoved && !lost)) return
      isMoved = false
      if (lost) return void later(actOf(lost))
      document.value = await dragging.rest()
      remember(before)
    } catch (error) {
      if (!isPassing(error)) refuse(error)
      return
    } finally {
      isOver?.end()
    }
    await drawMoved(document.value)
  }

  /** Steps and advice follow the hand. */
  async function drawMoved(moved: ExerciseDocument): Promise<void> {
    try {
      const answer = await ask(api.POST('/api/desk/draw', { body: { exercise: moved } }))
      // While the hand is on its way again, or has been, this answer is an old one.
      if (document.value === moved && !beforeDrag) take(answer.exercise, answer.drawing)
    } catch (error) {
      if (!isPassing(error)) refuse(error)
    }
  }

  function undo(): Promise<void> {
    return inTurn(async () => {
      const before = past.value.at(-1)
      if (!before) return
      const now = document.value
      await draw(before)
      past.value = past.value.slice(0, -1)
      future.value = [...future.value, now]
      changed()
    })
  }

  function redo(): Promise<void> {
    return inTurn(async () => {
      const next = future.value.at(-1)
      if (!next) return
      const now = document.value
      await draw(next)
      future.value = future.value.slice(0, -1)
      past.value = [...past.value, now]
      changed()
    })
  }

  /** Put another state of the exercise on the Desk, as something that can be undone. */
  function replace(exercise: ExerciseDocument): Promise<void> {
    return inTurn(async () => {
      const before = document.value
      await draw(exercise)
      remember(before)
    })
  }

  function changed(): void {
    keeper.change(id.value, version.value, document.value)
  }

  /** After a stale save: take the newer state; the own one can be had back by undo. */
  async function takeNewer(): Promise<void> {
    const own = document.value
    const answer = await ask(api.GET('/api/exercises/{exercise_id}', { params: { path: { exercise_id: id.value } } }))
    await draw(answer.exercise)
    keeper.drop(id.value)
    version.value = answer.version
    past.value = [...past.value, own]
  }

  /** After a stale or refused save: keep the own state as an exercise of its own; returns its number. */
  async function keepAsCopy(): Promise<number> {
    const copy = { ...document.value, title: `${title.value} (copy)`.slice(0, 80) }
    const answer = await ask(api.POST('/api/exercises', { body: { exercise: copy, another_name: true } }))
    keeper.drop(id.value)
    return answer.id
  }

  /** Leave undone what waits to be drawn. */
  function forgetWaiting(): void {
    keeper.dropActs(id.value)
  }

  async function rename(text: string): Promise<void> {
    const tidy = text.trim().slice(0, 80)
    if (tidy && tidy !== title.value) await act({ op: 'type', path: 'title', text: tidy })
  }

  return {
    id, version, document, drawing, picture, kept, problem, past, future, title, waiting, refusal, together, others,
    load, act, drag, rest, undo, redo, replace, takeNewer, keepAsCopy, rename, forgetWaiting,
  } // prettier-ignore
})
