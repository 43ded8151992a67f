import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import { useKeeper } from '@/keeping/keeper'

import { application, type Asked, askedOf, Refusal } from './application'

const SAVE = 'PUT /api/exercises/7'
const ACT = 'POST /api/desk/act'
const drawing = { sentences: [] }

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** Let so much time go by, with all that is asked meanwhile. */
const wait = (ms: number): Promise<unknown> => vi.advanceTimersByTimeAsync(ms)

describe('an edit', () => {
  it('is saved in a moment, once, with the version it was made from', async () => {
    const asked = application({ [SAVE]: { version: 5 } })
    const keeper = useKeeper()
    const versions: number[] = []
    keeper.listen(
      () => undefined,
      (_, version) => versions.push(version),
    )
    keeper.change(7, 4, { title: 'A' })
    expect(keeper.state(7)).toBe('changed')
    keeper.change(7, 4, { title: 'B' })
    await wait(2000)
    const saves = askedOf(asked, SAVE)
    expect(saves).toHaveLength(1)
    expect(saves[0]).toMatchObject({ base_version: 4, exercise: { title: 'B' } })
    expect(versions).toEqual([5])
    expect(keeper.state(7)).toBe('kept')
    expect(keeper.entry(7)).toBeUndefined()
  })

  it('made while a save is on its way is saved after it, from the new version', async () => {
    const keeper = useKeeper()
    let version = 4
    const asked = application({
      [SAVE]: () => {
        if (version === 4) keeper.change(7, 4, { title: 'later' })
        return { version: (version += 1) }
      },
    })
    keeper.change(7, 4, { title: 'first' })
    await wait(3000)
    expect(askedOf(asked, SAVE).map((save) => [save.base_version, save.exercise])).toEqual([
      [4, { title: 'first' }],
      [5, { title: 'later' }],
    ])
    expect(keeper.state(7)).toBe('kept')
  })

  it('is said again as it was while nobody answers, so that it is never two', async () => {
    let answers = false
    const asked = application({ [SAVE]: () => (answers ? { version: 5 } : new Refusal(503, 'It rests.')) })
    const keeper = useKeeper()
    keeper.change(7, 4, { title: 'A' })
    await wait(10_000)
    expect(keeper.state(7)).toBe('waiting')
    answers = true
    await wait(30_000)
    const saves = askedOf(asked, SAVE)
    expect(saves.length).toBeGreaterThan(2)
    expect(new Set(saves.map((save) => save.save_id)).size).toBe(1)
    expect(keeper.state(7)).toBe('kept')
  })

  it('is tried at once when the network is back', async () => {
    let answers = false
    const asked = application({ [SAVE]: () => (answers ? { version: 5 } : new Refusal(503, 'It rests.')) })
    const keeper = useKeeper()
    keeper.change(7, 4, { title: 'A' })
    await wait(60_000)
    const before = askedOf(asked, SAVE).length
    answers = true
    window.dispatchEvent(new Event('online'))
    await wait(50)
    expect(askedOf(asked, SAVE)).toHaveLength(before + 1)
    expect(keeper.state(7)).toBe('kept')
  })

  it('that the application will not keep says why, and waits for the next one', async () => {
    let answers: unknown = new Refusal(422, 'This cannot be kept.')
    const asked = application({ [SAVE]: () => answers })
    const keeper = useKeeper()
    keeper.change(7, 4, { title: 'A' })
    await wait(2000)
    expect(keeper.state(7)).toBe('refused')
    expect(keeper.problems.get(7)!.why).toBe('This cannot be kept.')
    await wait(60_000)
    expect(askedOf(asked, SAVE), 'it is not asked again by itself').toHaveLength(1)
    answers = { version: 5 }
    keeper.change(7, 4, { title: 'B' })
    await wait(2000)
    expect(keeper.state(7)).toBe('kept')
    expect(keeper.problems.get(7)).toBeUndefined()
  })

  it('survives a reload: a new window of the same name goes on with it', async () => {
    application({ [SAVE]: new Refusal(503, 'It rests.') })
    useKeeper().change(7, 4, { title: 'A' })
    await wait(1000)
    setActivePinia(createPinia())
    const asked = application({ [SAVE]: { version: 5 } })
    await useKeeper().resume()
    await wait(2000)
    expect(askedOf(asked, SAVE)[0]).toMatchObject({ base_version: 4, exercise: { title: 'A' } })
    expect(useKeeper().state(7)).toBe('kept')
  })
})

describe('what could not be drawn', () => {
  const type = { op: 'type' as const, path: 'title', text: 'Quay' }

  function waiting(answers: Record<string, unknown>): Asked[] {
    const asked = application(answers)
    useKeeper().wait(7, 4, { title: 'A' }, type)
    return asked
  }

  it('is drawn and saved as soon as the application answers', async () => {
    const drawn: string[] = []
    useKeeper().listen(
      (_, { exercise }) => drawn.push(String(exercise.title)),
      () => undefined,
    )
    const asked = waiting({ [ACT]: { exercise: { title: 'Quay' }, drawing }, [SAVE]: { version: 5 } })
    expect(useKeeper().waiting(7)).toEqual([type])
    await wait(5000)
    expect(drawn).toEqual(['Quay'])
    expect(askedOf(asked, SAVE)[0]).toMatchObject({ exercise: { title: 'Quay' } })
    expect(useKeeper().state(7)).toBe('kept')
  })

  it('and cannot be, is said and left undone; nothing is saved for it', async () => {
    const asked = waiting({ [ACT]: new Refusal(422, 'There is no such place.') })
    await wait(5000)
    expect(useKeeper().problems.get(7)!.why).toBe('There is no such place.')
    expect(useKeeper().waiting(7)).toEqual([])
    expect(askedOf(asked, SAVE)).toHaveLength(0)
    expect(useKeeper().state(7)).toBe('kept')
  })

  it('can be left undone by the teacher', async () => {
    const asked = waiting({})
    useKeeper().dropActs(7)
    await wait(60_000)
    expect(askedOf(asked, ACT)).toHaveLength(0)
    expect(useKeeper().entry(7)).toBeUndefined()
  })
})

it('an exercise that another window has saved is not overwritten', async () => {
  vi.stubGlobal('fetch', async () =>
    new Response(JSON.stringify({ code: 'stale_version', why: 'Another window.', fix: '', about: '', nearest: '' }), {
      status: 409,
      headers: { 'content-type': 'application/json' },
    }),
  ) // prettier-ignore
  const keeper = useKeeper()
  keeper.change(7, 4, { title: 'A' })
  await wait(2000)
  expect(keeper.state(7)).toBe('stale')
  keeper.change(7, 4, { title: 'B' })
  await wait(60_000)
  expect(keeper.state(7)).toBe('stale')
  expect(keeper.entry(7)!.exercise, 'the newest state stays here').toEqual({ title: 'B' })
})
