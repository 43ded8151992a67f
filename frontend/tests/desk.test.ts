import { flushPromises, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'

import type { Drawing } from '@/api/types'
import { useExercise } from '@/stores/exercise'
import ExerciseWords from '@/views/desk/ExerciseWords.vue'
import MarginAdvice from '@/views/desk/MarginAdvice.vue'
import StepLadder from '@/views/desk/StepLadder.vue'
import WhoHides from '@/views/desk/WhoHides.vue'

import { application, askedOf, Refusal } from './application'
import { shown } from './shown'

const step = {
  phase: 'front',
  thing: 'Crate',
  minutes: 2,
  count: 0,
  extra: false,
  stop: false,
  draws: [],
  darkens: [],
  marks: [],
  takes_away: [],
}
const DRAWING = {
  sheet: { width_mm: 420, height_mm: 297, units: 'mm', division_mm: 1, fold_mm: null },
  eye_level_mm: 150,
  vanishing_points: {},
  aims: [],
  strips: [],
  points: {},
  lines: [],
  faces: [],
  handles: [],
  measures: [],
  sentences: [],
  hides: [
    { nearer: 0, farther: 1, names: ['Crate', 'Chest'], text: 'Crate stands before Chest.', is_said: false },
    { nearer: 2, farther: 3, names: ['Buoy', 'Boat'], text: 'Buoy stands before Boat, as you said.', is_said: true },
  ],
  left_out: [{ key: 'Crate/tone', title: 'Tone' }],
  unused: ['Crate: “Cut it half way.”'],
  on_paper: { lines: [], points: {}, tone: 4 },
  steps: [
    { ...step, key: 'a', short: 'front face', can: ['say'], phase: 'setup', thing: '' },
    { ...step, key: 'b', short: '3 guide lines', can: ['later', 'extra'], phase: 'guides', count: 3, minutes: 5 },
    { ...step, key: 'c', short: 'the back', can: [], phase: 'guides', thing: 'Chest', count: 4, extra: true },
  ],
  advice: [
    {
      code: 'side_too_thin', about: 'things.0', value: 1, limit: 4, unit: 'mm', text: 'Too thin.', why: 'It is near.',
      cure: 'Move it', cures: [{ text: 'Move it farther', edits: [], is_sought: true }],
    },
    {
      code: 'off_the_paper', about: 'things.1', value: 9, limit: 0, unit: 'mm', text: 'Over the edge.', why: 'Paper ends.',
      cure: 'Move it back', cures: [{ text: 'Move it back', edits: [{ path: 'things.1.left', value: 3 }], is_sought: false }],
    },
    { code: 'more_than_the_minutes', about: 'minutes', value: 60, limit: 45, unit: 'min', text: 'Too long.', why: 'Time.',
      cure: 'Plan two lessons', cures: [] },
  ],
} as unknown as Drawing // prettier-ignore

let view: VueWrapper

describe('who stands before whom', () => {
  it('says all of them, or those of the chosen thing, and lets the teacher say otherwise', async () => {
    const exercise = useExercise()
    const act = vi.spyOn(exercise, 'act').mockResolvedValue(true)
    view = shown(WhoHides, { chosen: -1 })
    expect(view.findAll('li')).toHaveLength(2)
    await view.find('li button').trigger('click')
    expect(act).toHaveBeenLastCalledWith({ op: 'hides', index: 1, other: 0, how: 'before' })
    expect(view.find('li').text()).not.toContain('Leave it')
    view.unmount()
    view = shown(WhoHides, { chosen: 3 })
    expect(view.find('li').text()).toContain('Buoy stands before Boat')
    await view.findAll('li button')[1]!.trigger('click')
    expect(act).toHaveBeenLastCalledWith({ op: 'hides', index: 3, other: 2, how: 'unsaid' })
  })

  it('says nothing where no picture lies over another', () => {
    useExercise().drawing = { ...DRAWING, hides: [] }
    view = shown(WhoHides, { chosen: -1 })
    expect(view.find('details').exists()).toBe(false)
  })
})

beforeEach(() => {
  setActivePinia(createPinia())
  const exercise = useExercise()
  exercise.drawing = DRAWING
  exercise.picture = DRAWING
  exercise.document = { title: 'A' }
})

const APART = 'The points farther apart, beside'
const button = (name: string) => view.findAll('button').find((b) => b.text() === name)!

describe('what can be added', () => {
  const KINDS = [
    { kind: 'box', title: 'Box', adds: 'a box', hangs: false, group: 'On the sheet' },
    { kind: 'hip_roof', title: 'Hip roof', adds: 'a hip roof', hangs: true, group: 'Roofs' },
    { kind: 'rectangles', title: 'Windows', adds: 'windows', hangs: true, group: 'On what is there' },
    { kind: 'road', title: 'Road', adds: 'a road', hangs: false, group: 'On the sheet' },
  ]
  const crate = {
    about: 'things.0',
    owner: 'things',
    number: 0,
    title: 'Crate',
    pieces: [{ text: 'A crate.', path: '', kind: 'words', value: '' }],
  }
  const offered = () => view.findAll('.add button').map((b) => b.text())

  async function words(sentences: object[]): Promise<void> {
    application({ 'GET /api/desk/kinds': KINDS })
    useExercise().drawing = { ...DRAWING, sentences } as unknown as Drawing
    view = shown(ExerciseWords, { chosen: '' })
    await flushPromises()
  }

  it('is what stands for itself while the sheet is empty', async () => {
    await words([])
    expect(offered()).toEqual(['Add a box', 'Add a road'])
    expect(view.findAll('.add .quiet')).toHaveLength(0)
  })

  it('is also what hangs on another thing, once there is one', async () => {
    await words([crate])
    expect(offered()).toEqual(['Add a box', 'Add a road', 'Add a hip roof', 'Add windows'])
  })

  it('stands in groups that say what it goes on, each of them named for a reader of the screen', async () => {
    await words([crate])
    const groups = view.findAll('.add')
    expect(groups.map((group) => group.attributes('aria-label'))).toEqual(['On the sheet', 'Roofs', 'On what is there'])
    expect(groups.map((group) => group.findAll('button').length)).toEqual([2, 1, 1])
    expect(groups.map((group) => group.find('.quiet').text())).toEqual(['On the sheet', 'Roofs', 'On what is there'])
  })

  it('takes one stop of the Tab key a group, from which the arrow keys go on', async () => {
    await words([crate])
    const stops = () =>
      view
        .findAll('.add button')
        .filter((b) => b.attributes('tabindex') === '0')
        .map((b) => b.text())
    expect(stops()).toEqual(['Add a box', 'Add a hip roof', 'Add windows'])
    const group = view.find('.add')
    const focused = () => (document.activeElement as HTMLElement).textContent!.trim()
    ;(button('Add a box').element as HTMLElement).focus()
    await group.trigger('keydown', { key: 'ArrowRight' })
    expect(focused()).toBe('Add a road')
    await group.trigger('keydown', { key: 'ArrowRight' })
    expect(focused()).toBe('Add a road')
    await group.trigger('keydown', { key: 'Home' })
    expect(focused()).toBe('Add a box')
    await group.trigger('keydown', { key: 'End' })
    expect(stops()).toEqual(['Add a road', 'Add a hip roof', 'Add windows'])
  })

  it('asks the application for the kind that is pressed', async () => {
    await words([crate])
    const act = vi.spyOn(useExercise(), 'act').mockResolvedValue(false)
    await button('Add a hip roof').trigger('click')
    expect(act).toHaveBeenCalledWith({ op: 'add', kind: 'hip_roof' })
  })
})

describe('the margin', () => {
  it('shows first what is about the thing that is chosen', () => {
    view = shown(MarginAdvice, { chosen: 'things.1' })
    expect(view.findAll('article').slice(0, 3).map((a) => a.find('p').text())).toEqual([
      'Over the edge.', 'Too thin.', 'Too long.',
    ]) // prettier-ignore
  })

  it('tries a cure with its edits, and lets the core look for one that has none yet', async () => {
    const answer = { exercise: { title: 'B' }, drawing: DRAWING }
    const asked = application({ 'POST /api/desk/act': answer })
    view = shown(MarginAdvice, { chosen: '' })
    await button('Move it back').trigger('click')
    await flushPromises()
    await button('Move it farther').trigger('click')
    await flushPromises()
    expect(askedOf(asked, 'POST /api/desk/act').map((body) => body.act)).toEqual([
      { op: 'cure', edits: [{ path: 'things.1.left', value: 3 }] },
      { op: 'seek', code: 'side_too_thin', about: 'things.0' },
    ])
    expect(document.body.textContent).toContain('As it would be')
    expect(useExercise().document, 'nothing is changed before it is taken').toEqual({ title: 'A' })
  })

  it('shows the drawing with its points farther apart, beside the present one, where there are two', async () => {
    const points = (kind: string) => ({
      about: 'views.0',
      owner: 'views',
      number: 0,
      title: '',
      pieces: [{ text: 'Points', path: 'views.0.kind', kind: 'choice', value: kind, options: [], says: 'the kind' }],
    })
    const answer = { exercise: { title: 'B' }, drawing: DRAWING }
    const asked = application({ 'POST /api/desk/act': answer, 'GET /api/desk/kinds': [], 'GET /api/parts': [] })
    const opened = async (kind: string) => {
      useExercise().drawing = { ...DRAWING, sentences: [points(kind)] } as unknown as Drawing
      view = shown(ExerciseWords, { chosen: '' })
      await flushPromises()
      await view.find('.more').trigger('click')
      await flushPromises()
      return [...document.body.querySelectorAll<HTMLElement>('.n-dropdown-option-body')]
    }
    expect((await opened('one_point')).map((option) => option.textContent)).not.toContain(APART)
    view.unmount()
    document.body.innerHTML = ''
    const option = (await opened('two_point')).find((one) => one.textContent === APART)
    option!.click()
    await flushPromises()
    expect(askedOf(asked, 'POST /api/desk/act').map((body) => body.act)).toEqual([{ op: 'points_apart', index: 0 }])
    expect(document.body.textContent).toContain('Are the points too close?')
    expect(useExercise().document, 'nothing is changed before it is taken').toEqual({ title: 'A' })
  })

  it('says it where no cure was found, and changes nothing', async () => {
    application({ 'POST /api/desk/act': new Refusal(422, 'No place near would help.') })
    view = shown(MarginAdvice, { chosen: '' })
    await button('Move it farther').trigger('click')
    await flushPromises()
    expect(document.body.textContent).toContain('No place near would help.')
    expect(document.body.textContent).not.toContain('As it would be')
  })

  it('says why when it is asked, what to do where no button can, and what all takes', async () => {
    view = shown(MarginAdvice, { chosen: '' })
    expect(view.text()).not.toContain('It is near.')
    await view.find('[aria-expanded]').trigger('click')
    expect(view.text()).toContain('It is near.')
    expect(view.text()).toContain('Plan two lessons.')
    expect(view.text()).toContain('3 for Crate')
    expect(view.text()).toContain('4 for Chest')
    expect(view.text()).toContain('9 minutes of drawing')
  })
})

describe('the ladder', () => {
  const chosen = vi.fn()

  function ladder(at: number): void {
    chosen.mockReset()
    view = shown(StepLadder, { step: at, 'onUpdate:step': chosen })
  }

  it('stands on a ruler of minutes, grouped by what is drawn', () => {
    ladder(0)
    expect(view.findAll('.tick').map((t) => t.text())).toEqual(['0 min', '2 min', '7 min'])
    expect(view.findAll('li[data-step] .group > span').map((g) => g.text())).toEqual(['The sheet', 'Crate', 'Chest'])
    const widths = view.findAll<HTMLElement>('li[data-step]').map((l) => parseFloat(l.element.style.width))
    expect(widths[1]).toBeGreaterThan(widths[0]!)
    expect(view.findAll('.title')[2]!.text()).toContain('extra:')
  })

  it('is gone along with the arrow keys and does not run off its ends', async () => {
    ladder(3)
    const section = view.find('.ladder')
    await section.trigger('keydown', { key: 'ArrowRight' })
    expect(chosen.mock.calls.flat().every((n) => n === 3)).toBe(true)
    await section.trigger('keydown', { key: 'ArrowLeft' })
    expect(chosen).toHaveBeenLastCalledWith(2)
  })

  it('goes back to the whole sheet when the step that is chosen is pressed again', async () => {
    ladder(2)
    expect(view.findAll('.rung').map((r) => r.attributes('aria-pressed'))).toEqual(['false', 'true', 'false'])
    await view.findAll('.rung')[1]!.trigger('click')
    expect(chosen).toHaveBeenLastCalledWith(0)
    await view.findAll('.rung')[0]!.trigger('click')
    expect(chosen).toHaveBeenLastCalledWith(1)
  })

  it('tells again what was left out', async () => {
    const act = vi.fn(async () => true)
    useExercise().act = act as never
    ladder(0)
    await button('Tone: tell it again').trigger('click')
    expect(act).toHaveBeenCalledWith({ op: 'bring_back', key: 'Crate/tone' })
  })

  it('says which changes fit no step any more, and forgets them', async () => {
    const act = vi.fn(async () => true)
    useExercise().act = act as never
    ladder(0)
    expect(document.body.textContent).toContain('Crate: “Cut it half way.”')
    await button('Forget it').trigger('click')
    expect(act).toHaveBeenCalledWith({ op: 'forget_unused' })
  })
})
