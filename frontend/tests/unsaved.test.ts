import { beforeEach, describe, expect, it, vi } from 'vitest'

import { claim, ownIds, remove, type Unsaved, windowId, write } from '@/keeping/unsaved'

const entry = (exerciseId: number, n: number): Unsaved => ({
  exerciseId,
  baseVersion: 3,
  exercise: { title: 'A', n },
  isChanged: true,
  sending: { id: 's1', exercise: { title: 'A', n } },
  acts: [],
})

/** Which windows are open, as the browser's locks tell. */
function open(...windows: string[]): void {
  const held = windows.map((id) => ({ name: `orthopsis.window.${id}` }))
  vi.stubGlobal('navigator', { locks: { query: () => Promise.resolve({ held }), request: () => Promise.resolve() } })
}

function leftBy(owner: string, left: Unsaved): void {
  localStorage.setItem(`orthopsis.unsaved.${left.exerciseId}.${owner}`, JSON.stringify(left))
}

beforeEach(() => {
  localStorage.clear()
  open(windowId)
})

describe('edits in the browser’s own store', () => {
  it('are this window’s until they are removed', async () => {
    expect(await claim(7)).toBeNull()
    expect(write(entry(7, 1))).toBe(true)
    write(entry(12, 4))
    expect(ownIds().sort()).toEqual([12, 7])
    const back = await claim(7)
    expect(back).toEqual(entry(7, 1))
    expect(back!.sending!.exercise, 'one and the same state').toBe(back!.exercise)
    remove(7)
    expect(await claim(7)).toBeNull()
    expect(ownIds()).toEqual([12])
  })

  it('that a closed window left are taken over once, those of an open one are not', async () => {
    leftBy('closed', entry(7, 5))
    leftBy('other', entry(8, 6))
    open(windowId, 'other')
    expect((await claim(7))!.exercise).toEqual({ title: 'A', n: 5 })
    expect(Object.keys({ ...localStorage }).filter((key) => key.includes('closed'))).toEqual([])
    expect(await claim(8)).toBeNull()
    open(windowId)
    expect((await claim(8))!.exercise).toEqual({ title: 'A', n: 6 })
  })

  it('that are no longer readable are left alone', async () => {
    localStorage.setItem('orthopsis.unsaved.7.closed', '{"exerciseId":7')
    localStorage.setItem('orthopsis.unsaved.8.closed', '{"exerciseId":"8","acts":1}')
    expect(await claim(7)).toBeNull()
    expect(await claim(8)).toBeNull()
  })

  it('say so when the browser has no room for them', () => {
    vi.stubGlobal('localStorage', {
      setItem() {
        throw new DOMException('full', 'QuotaExceededError')
      },
    })
    expect(write(entry(7, 1))).toBe(false)
    vi.unstubAllGlobals()
  })
})
