import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'

import { useExercise } from '@/stores/exercise'

type Answer = { status?: number; body: unknown }
const asked: { url: string; method: string; body: Record<string, unknown> }[] = []
let answers: Record<string, (body: Record<string, unknown>) => Answer>

const said: Record<string, unknown>[] = []

/** A socket that answers a drag as the application does. */
class FakeSocket {
  static OPEN = 1
  readyState = 1
  onopen?: () => void
  onmessage?: (event: { data: string }) => void
  private exercise: object = {}

  constructor() {
    queueMicrotask(() => this.onopen?.())
  }

  send(text: string): void {
    const message = JSON.parse(text) as { exercise?: object; drag?: { x: number } }
    said.push(message as Record<string, unknown>)
    this.exercise = { ...this.exercise, ...message.exercise, ...(message.drag && { x: message.drag.x }) }
    const picture = { lines: [], faces: [], handles: [], measures: [] }
    const change = { ...picture, eye_level_mm: message.drag?.x, gone_lines: [], gone_handles: [], gone_measures: [] }
    const moved = message.exercise ? { picture } : { change: { ...change, painted: [] } }
    const reply = message.drag ? moved : { exercise: this.exercise }
    queueMicrotask(() => this.onmessage?.({ data: JSON.stringify(reply) }))
  }
}

function drawing(exercise: unknown): Answer {
  return { body: { exercise, drawing: { lines: [], steps: [] } } }
}

/** A window that has just been opened, or loaded anew: nothing in memory, the browser's own store as it was. */
function openWindow(): ReturnType<typeof useExercise> {
  setActivePinia(createPinia())
  vi.clearAllTimers()
  return useExercise()
}

/** The network is cut; returns what brings it back. */
function cut(): () => void {
  const whole = globalThis.fetch
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')))
  return () => vi.stubGlobal('fetch', whole)
}

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  vi.useFakeTimers()
  vi.stubGlobal('WebSocket', undefined)
  asked.length = 0
  said.length = 0
  answers = {
    'GET /api/exercises/7': () => ({ body: { id: 7, version: 3, exercise: { title: 'A', n: 0 } } }),
    'POST /api/desk/draw': (body) => drawing(body.exercise),
    'POST /api/desk/act': (body) =>
      drawing({ ...(body.exercise as object), n: Number((body.exercise as { n: number }).n) + 1 }),
    'POST /api/desk/drag': (body) => ({
      body: { exercise: { ...(body.exercise as object), x: (body.drag as { x: number }).x }, picture: { lines: [] } },
    }),
    'PUT /api/exercises/7': (body) => ({
      body: { id: 7, version: Number(body.base_version) + 1, exercise: body.exercise },
    }),
  }
  vi.stubGlobal('fetch', async (request: Request) => {
    const url = new URL(request.url, 'http://x').pathname
    const body = request.method === 'GET' ? {} : ((await request.json()) as Record<string, unknown>)
    asked.push({ url, method: request.method, body })
    const answer = answers[`${request.method} ${url}`]!(body)
    return new Response(JSON.stringify(answer.body), {
      status: answer.status ?? 200,
      headers: { 'content-type': 'application/json' },
    })
  })
})

const saves = (): typeof asked => asked.filter((a) => a.method === 'PUT')
const problem = (code: string): Answer['body'] => ({
  code,
  why: 'w',
  fix: 'f',
  about: 'things.0.width',
  nearest: '',
  version: null,
})

describe('the exercise on the Desk', () => {
  it('undoes and redoes whole acts and saves the newest state by version', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    await exercise.act({ op: 'add', kind: 'box' })
    await exercise.act({ op: 'add', kind: 'box' })
    await exercise.undo()
    expect(exercise.document.n).toBe(1)
    await exercise.redo()
    expect(exercise.document.n).toBe(2)
    await vi.advanceTimersByTimeAsync(1000)
    expect(saves()).toHaveLength(1)
    expect(saves()[0]!.body.base_version).toBe(3)
    expect(exercise.kept).toBe('kept')
    expect(exercise.version).toBe(4)
  })

  it('does one after the other what is asked at once: nothing is lost', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    const adding = [1, 2, 3].map(() => exercise.act({ op: 'add', kind: 'box' }))
    const undone = exercise.undo()
    await Promise.all([...adding, undone])
    expect(exercise.document.n).toBe(2)
    expect(exercise.past).toHaveLength(2)
    const said = asked.filter((a) => a.url === '/api/desk/act').map((a) => (a.body.exercise as { n: number }).n)
    expect(said, 'each begins with what the one before has left').toEqual([0, 1, 2])
  })

  it.each([
    ['over a socket', FakeSocket],
    ['without one', undefined],
  ])('lets a drag %s begin with what the acts before it have left', async (_, socket) => {
    vi.stubGlobal('WebSocket', socket)
    const exercise = useExercise()
    await exercise.load(7)
    const added = exercise.act({ op: 'add', kind: 'box' })
    exercise.drag('things.0.place', [5, 0], true)
    await exercise.rest()
    await added
    expect(exercise.document.n).toBe(1)
    expect(exercise.document.x).toBe(5)
    expect(exercise.past).toHaveLength(2)
  })

  it.each([
    ['over a socket', FakeSocket],
    ['without one', undefined],
  ])('lets what is asked for during a drag %s wait until the hand rests', async (_, socket) => {
    vi.stubGlobal('WebSocket', socket)
    const exercise = useExercise()
    await exercise.load(7)
    exercise.drag('things.0.place', [5, 0], true)
    const added = exercise.act({ op: 'add', kind: 'box' })
    exercise.drag('things.0.place', [8, 0], true)
    await exercise.rest()
    await added
    expect([exercise.document.x, exercise.document.n], 'both are there').toEqual([8, 1])
    await exercise.undo()
    expect([exercise.document.x, exercise.document.n], 'the act is the later one').toEqual([8, 0])
    await exercise.undo()
    expect(exercise.document.x).toBeUndefined()
  })

  it('does what had waited for a drag that moved nothing, or was refused', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    answers['POST /api/desk/drag'] = () => ({ status: 422, body: { code: 'no', why: 'No.', fix: 'Other.' } })
    exercise.drag('things.0.place', [5, 0], true)
    const added = exercise.act({ op: 'add', kind: 'box' })
    await exercise.rest()
    await added
    expect(exercise.document.n).toBe(1)
    expect(exercise.past).toHaveLength(1)
  })

  it('goes on with the next one when one is refused', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    const usual = answers['POST /api/desk/act']!
    let count = 0
    answers['POST /api/desk/act'] = (body) =>
      (count += 1) === 1 ? { status: 422, body: problem('unreadable_length') } : usual(body)
    const [first, second] = await Promise.all([
      exercise.act({ op: 'add', kind: 'box' }),
      exercise.act({ op: 'add', kind: 'box' }),
    ])
    expect([first, second]).toEqual([false, true])
    expect(exercise.document.n).toBe(1)
  })

  it('keeps the last good drawing when an act is refused', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    answers['POST /api/desk/act'] = () => ({ status: 422, body: problem('unreadable_length') })
    expect(await exercise.act({ op: 'type', path: 'things.0.width', text: 'x' })).toBe(false)
    expect(exercise.document.n).toBe(0)
    expect(exercise.problem?.about).toBe('things.0.width')
    expect(exercise.past).toHaveLength(0)
  })

  it.each([
    ['over a socket', FakeSocket],
    ['without one', undefined],
  ])(
    'asks one question at a time while dragging %s, the newest wins, and it is one thing to undo',
    async (_, socket) => {
      vi.stubGlobal('WebSocket', socket)
      const exercise = useExercise()
      await exercise.load(7)
      for (let x = 1; x <= 20; x += 1) exercise.drag('views.0.point', [x, 0], true)
      await exercise.rest()
      const drags = socket ? said.filter((m) => 'drag' in m) : asked.filter((a) => a.url === '/api/desk/drag')
      expect(drags.length).toBeGreaterThan(0)
      expect(drags.length).toBeLessThan(4)
      if (socket)
        expect(
          drags.slice(1).some((m) => 'exercise' in m),
          'the exercise is said once',
        ).toBe(false)
      expect(exercise.document.x).toBe(20)
      expect(exercise.past).toHaveLength(1)
      await exercise.undo()
      expect(exercise.document.x).toBeUndefined()
    },
  )

  it('begins a drag where the one before it has ended, however soon', async () => {
    vi.stubGlobal('WebSocket', FakeSocket)
    const exercise = useExercise()
    await exercise.load(7)
    exercise.drag('views.0.point', [5, 0], true)
    const first = exercise.rest()
    await vi.waitFor(() => expect(said.some((m) => 'rest' in m)).toBe(true))
    exercise.drag('things.0.place', [9, 0], true)
    await Promise.all([first, exercise.rest()])
    const begins = said.filter((m) => 'exercise' in m) as { exercise: { x?: number } }[]
    expect(begins.map((m) => m.exercise.x)).toEqual([undefined, 5])
    expect(exercise.document.x).toBe(9)
    expect(exercise.past).toHaveLength(2)
  })

  it('keeps an edit while the database is gone and saves it when it is back', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    const save = answers['PUT /api/exercises/7']!
    answers['PUT /api/exercises/7'] = () => ({ status: 503, body: problem('database_gone') })
    await exercise.act({ op: 'add', kind: 'box' })
    await vi.advanceTimersByTimeAsync(1000)
    expect(exercise.kept).toBe('waiting')
    answers['PUT /api/exercises/7'] = save
    await vi.advanceTimersByTimeAsync(4000)
    expect(exercise.kept).toBe('kept')
  })

  it('never overwrites what another window saved', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    answers['PUT /api/exercises/7'] = () => ({ status: 409, body: problem('stale_version') })
    await exercise.act({ op: 'add', kind: 'box' })
    await vi.advanceTimersByTimeAsync(1000)
    expect(exercise.kept).toBe('stale')
    await exercise.act({ op: 'add', kind: 'box' })
    await vi.advanceTimersByTimeAsync(5000)
    expect(saves()).toHaveLength(1)
  })

  it('draws and saves what was typed, dragged and named while the network was cut, in that order', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    const mend = cut()
    expect(await exercise.act({ op: 'type', path: 'eye_level.height', text: '6 in' })).toBe(true)
    exercise.drag('views.0.point', [5, 0], true)
    exercise.drag('views.0.point', [9, 0], true)
    await exercise.rest()
    await exercise.rename('Quay')
    await vi.advanceTimersByTimeAsync(10_000)
    expect(exercise.kept).toBe('waiting')
    expect(exercise.waiting).toHaveLength(3)
    mend()
    await vi.advanceTimersByTimeAsync(25_000)
    const acts = asked.filter((a) => a.url === '/api/desk/act').map((a) => a.body.act as Record<string, unknown>)
    expect(acts.map((a) => [a.op, a.path ?? a.x])).toEqual([
      ['type', 'eye_level.height'],
      ['drag', 9],
      ['type', 'title'],
    ])
    expect(exercise.kept).toBe('kept')
    expect(saves().at(-1)!.body.exercise).toEqual(exercise.document)
    expect(exercise.document.n).toBe(3)
    expect(exercise.past).toHaveLength(3)
  })

  it('finds after a reload what the window had not saved, and saves it', async () => {
    const before = useExercise()
    await before.load(7)
    await before.act({ op: 'add', kind: 'box' })
    const mend = cut()
    await before.act({ op: 'type', path: 'title', text: 'Quay' })
    await vi.advanceTimersByTimeAsync(1000)
    expect(localStorage).toHaveLength(1)
    mend()
    const after = openWindow()
    await after.load(7)
    await vi.advanceTimersByTimeAsync(5000)
    expect(after.document.n).toBe(2)
    expect(after.kept).toBe('kept')
    expect(saves().at(-1)!.body.exercise).toEqual({ title: 'A', n: 2 })
    expect(localStorage).toHaveLength(0)
  })

  it('saves what another exercise left unsaved, whatever is open by then', async () => {
    answers['GET /api/exercises/8'] = () => ({ body: { id: 8, version: 1, exercise: { title: 'B', n: 50 } } })
    const exercise = useExercise()
    await exercise.load(7)
    const save = answers['PUT /api/exercises/7']!
    answers['PUT /api/exercises/7'] = () => ({ status: 503, body: problem('database_gone') })
    await exercise.act({ op: 'add', kind: 'box' })
    await vi.advanceTimersByTimeAsync(1000)
    await exercise.load(8)
    expect(exercise.kept).toBe('kept')
    answers['PUT /api/exercises/7'] = save
    await vi.advanceTimersByTimeAsync(20_000)
    expect(saves().at(-1)!.body.exercise).toEqual({ title: 'A', n: 1 })
    expect(exercise.document).toEqual({ title: 'B', n: 50 })
    expect(localStorage).toHaveLength(0)
  })

  it('says a save again as it was when its answer was lost, and only then the newer state', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    const save = answers['PUT /api/exercises/7']!
    answers['PUT /api/exercises/7'] = () => ({ status: 502, body: {} })
    await exercise.act({ op: 'add', kind: 'box' })
    await vi.advanceTimersByTimeAsync(1000)
    await exercise.act({ op: 'add', kind: 'box' })
    answers['PUT /api/exercises/7'] = save
    await vi.advanceTimersByTimeAsync(20_000)
    const said_ = saves().map((s) => [
      s.body.base_version,
      (s.body.exercise as { n: number }).n,
      s.body.save_id as string,
    ])
    const [first] = said_
    expect(said_.slice(0, -1).every((s) => JSON.stringify(s) === JSON.stringify(first))).toBe(true)
    expect(said_.length).toBeGreaterThan(2)
    expect(said_.at(-1)!.slice(0, 2)).toEqual([4, 2])
    expect(said_.at(-1)![2]).not.toBe(first![2])
    expect(exercise.kept).toBe('kept')
  })

  it('tells what the core refuses of what had waited, and does the rest', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    const mend = cut()
    await exercise.act({ op: 'type', path: 'things.0.width', text: 'nonsense' })
    await exercise.act({ op: 'add', kind: 'box' })
    mend()
    const draws = answers['POST /api/desk/act']!
    answers['POST /api/desk/act'] = (body) =>
      (body.act as { text?: string }).text === 'nonsense'
        ? { status: 422, body: problem('unreadable_length') }
        : draws(body)
    await vi.advanceTimersByTimeAsync(25_000)
    expect(exercise.refusal?.code).toBe('unreadable_length')
    expect(exercise.document.n).toBe(1)
    expect(saves()).toHaveLength(1)
  })

  it('does not say kept of what the application will not keep', async () => {
    const exercise = useExercise()
    await exercise.load(7)
    answers['PUT /api/exercises/7'] = () => ({ status: 422, body: problem('too_much') })
    await exercise.act({ op: 'add', kind: 'box' })
    await vi.advanceTimersByTimeAsync(2000)
    expect(exercise.kept).toBe('refused')
    expect(exercise.refusal?.code).toBe('too_much')
  })
})
