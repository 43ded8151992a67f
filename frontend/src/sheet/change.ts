/** A picture after a change: what is other takes the place of what it was, by its id. */
import type { Picture, PictureChange } from '@/api/types'

export function changed(before: Picture, change: PictureChange): Picture {
  const { painted, lines, gone_lines, faces, handles, gone_handles, measures, gone_measures, ...rest } = change
  const faceOf = new Map([...before.faces, ...faces].map((face) => [face.id, face]))
  return {
    ...before,
    ...rest,
    lines: merged(before.lines, lines, gone_lines, (line) => line.id),
    faces: painted.flatMap((id) => faceOf.get(id) ?? []),
    handles: merged(before.handles, handles, gone_handles, (handle) => handle.id),
    measures: merged(before.measures, measures, gone_measures, (mark) => mark.path),
  }
}

function merged<T, K>(before: readonly T[], other: readonly T[], gone: readonly K[], keyOf: (item: T) => K): T[] {
  const fresh = new Map(other.map((item) => [keyOf(item), item]))
  const left = new Set(gone)
  const kept: T[] = []
  for (const item of before) {
    const key = keyOf(item)
    if (left.has(key)) continue
    kept.push(fresh.get(key) ?? item)
    fresh.delete(key)
  }
  return [...kept, ...fresh.values()]
}
