/** The texts of a step on its sheet, and how large the sheet says that it is for them. */
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, nextTick, ref } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'

import type { Picture, Step } from '@/api/types'
import { SHEET } from '@/sheet/context'
import SheetStep from '@/sheet/SheetStep.vue'
import { useExercise } from '@/stores/exercise'
import DeskView from '@/views/DeskView.vue'

import { application, askedOf } from './application'
import { line, step } from './steps'

const told = step({
  title: 'Crate: front',
  draws: [1],
  dimensions: [{ from: [10, 10], to: [90, 10], out: [0, -1], text: '80 mm', at: 0.5, row: 0, away: null }],
  scales: [{ side: 'below', marks: [{ at: [30, 10], text: '20', out: 0.5, aside: 0 }] }],
  letters: [{ at: [10, 10], text: 'a', across: '0', up: '0', beside: [-0.6, -0.6] }],
} as Partial<Step>)

function onSheet(mmPerPx: number, isMeasured: boolean) {
  const scale = ref(mmPerPx)
  const known = ref(isMeasured)
  const shown = mount(SheetStep, {
    props: { step: told, wideMm: 420 },
    global: {
      provide: {
        [SHEET as symbol]: {
          picture: computed(() => ({}) as Picture),
          mmPerPx: computed(() => scale.value),
          isMeasured: computed(() => known.value),
          box: computed(() => ({ x: 0, y: 0, width: 420, height: 297 })),
          at: ([x, y]: [number, number]) => [x, 297 - y],
          pageAt: () => [0, 0],
        },
      },
    },
  })
  return { shown, scale, known }
}

describe('the texts of a step', () => {
  it('are its lengths, its scales and the letters of its points', () => {
    const { shown } = onSheet(0.5, true)
    expect(shown.findAll('text').map((text) => text.text())).toEqual(['80 mm', '20', 'a'])
  })

  it('say how many times as wide as they are the picture is, once that is known', async () => {
    const { shown, scale, known } = onSheet(1, false)
    expect(shown.emitted('fits')).toBeUndefined()
    scale.value = 0.5
    known.value = true
    await nextTick()
    expect(shown.emitted('fits')!.at(-1)![0]).toBeCloseTo(36, 9)
    scale.value = 1.4
    await nextTick()
    expect(shown.emitted('fits')!.at(-1)![0], '300 px wide, and never smaller than 12 px').toBeCloseTo(25, 9)
  })
})

describe('a step on the Desk', () => {
  beforeEach(() => setActivePinia(createPinia()))

  it('is shown with its texts where they are clear, and asked for only when it is chosen', async () => {
    const clear = { ...told, dimensions: [{ ...told.dimensions[0]!, text: '80 mm, clear' }] }
    const picture = {
      sheet: { width_mm: 420, height_mm: 297, units: 'mm', division_mm: 1, fold_mm: null },
      eye_level_mm: 150, vanishing_points: {}, aims: [], strips: [], points: {}, faces: [], handles: [], measures: [],
      sentences: [], hides: [], left_out: [], unused: [], advice: [], lines: [line(1, [10, 10], [90, 10])],
      on_paper: { lines: [[1, 2, 2]], points: {}, tone: 2 },
    } // prettier-ignore
    const asked = application({
      'GET /api/exercises/7': { id: 7, version: 1, exercise: { title: 'Crate' } },
      'POST /api/desk/draw': { exercise: { title: 'Crate' }, drawing: { ...picture, steps: [told] } },
      'POST /api/desk/draw-shown': { exercise: {}, drawing: { ...picture, steps: [clear] } },
      'GET /api/desk/kinds': [],
      'GET /api/parts': [],
    })
    vi.stubGlobal('ResizeObserver', class { observe() {} unobserve() {} disconnect() {} }) // prettier-ignore
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:all(.*)', component: { template: '<p />' } }],
    })
    const desk = mount(DeskView, {
      props: { id: '7' },
      global: {
        plugins: [router],
        stubs: { ExerciseWords: true, MarginAdvice: true, SavedState: true, StepMenu: true },
      },
    })
    await flushPromises()
    expect(useExercise().title).toBe('Crate')
    expect(askedOf(asked, 'POST /api/desk/draw-shown')).toHaveLength(0)
    await desk.find('.rung').trigger('click')
    await flushPromises()
    expect(desk.find('.table').text()).toContain('80 mm, clear')
    await desk.find('.rung').trigger('click')
    await flushPromises()
    expect(desk.find('.table').text()).not.toContain('80 mm')
    desk.unmount()
  })
})
