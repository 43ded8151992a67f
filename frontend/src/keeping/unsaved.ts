/**
 * What has been edited and is not kept by the application yet, in the browser's own store: it survives a reload, a
 * crash, and a window that was closed. Each window has its own; what a closed one left is taken over by the next window
 * that opens the exercise.
 */
import type { Act, ExerciseDocument } from '@/api/types'

export interface Unsaved {
  exerciseId: number
  /** The version that the application has, which the next save is made from. */
  baseVersion: number
  /** The newest state that the core has drawn. */
  exercise: ExerciseDocument
  /** Whether that state is newer than what the application has. */
  isChanged: boolean
  /** A save on its way: said again as it is until it is answered, so that it is never two. */
  sending: { id: string; exercise: ExerciseDocument } | null
  /** What was done to the exercise and could not be drawn yet, in order. */
  acts: Act[]
}

const PREFIX = 'orthopsis.unsaved'
const WINDOW = 'orthopsis.window'

/** Names this window; a reload keeps the name. */
export const windowId = ((): string => {
  const known = sessionStorage.getItem(WINDOW)
  const id = known ?? crypto.randomUUID()
  sessionStorage.setItem(WINDOW, id)
  return id
})()

// Held for as long as this window is open; others see by it whose edits nobody looks after.
void navigator.locks?.request(`${WINDOW}.${windowId}`, () => new Promise(() => undefined))

const keyOf = (exerciseId: number, owner: string): string => `${PREFIX}.${exerciseId}.${owner}`

/** Write an entry down; false if the browser has no room for it. */
export function write(entry: Unsaved): boolean {
  try {
    localStorage.setItem(keyOf(entry.exerciseId, windowId), JSON.stringify(entry))
    return true
  } catch {
    return false
  }
}

export function remove(exerciseId: number): void {
  localStorage.removeItem(keyOf(exerciseId, windowId))
}

/** What this window, or one that is gone, has left unsaved of an exercise; it is this window's from now on. */
export async function claim(exerciseId: number): Promise<Unsaved | null> {
  const own = read(keyOf(exerciseId, windowId))
  if (own) return own
  const held = (await navigator.locks?.query())?.held?.map((lock) => lock.name) ?? []
  for (const key of keys().filter((k) => k.startsWith(`${PREFIX}.${exerciseId}.`))) {
    const owner = key.slice(`${PREFIX}.${exerciseId}.`.length)
    const left = held.includes(`${WINDOW}.${owner}`) ? null : read(key)
    if (!left) continue
    write(left)
    localStorage.removeItem(key)
    return left
  }
  return null
}

/** The exercises of which this window has something unsaved. */
export function ownIds(): number[] {
  return keys()
    .map((key) => key.split('.'))
    .filter((parts) => parts.length === 4 && `${parts[0]}.${parts[1]}` === PREFIX && parts[3] === windowId)
    .map((parts) => Number(parts[2]))
}

const keys = (): string[] => Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')

function read(key: string): Unsaved | null {
  try {
    const entry = JSON.parse(localStorage.getItem(key) ?? 'null') as Unsaved | null
    if (!entry || typeof entry.exerciseId !== 'number' || !Array.isArray(entry.acts)) return null
    // What is on its way and what is newest are one and the same state if they say the same.
    if (entry.sending && JSON.stringify(entry.sending.exercise) === JSON.stringify(entry.exercise))
      entry.sending.exercise = entry.exercise
    return entry
  } catch {
    return null
  }
}
