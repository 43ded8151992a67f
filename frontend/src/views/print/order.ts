/** What is printed, for whom and how: from the teacher's choices to the address of the PDF. */
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

import { api, ask } from '@/api/client'
import type { paths } from '@/api/schema'
import type { Drawing, LevelLine } from '@/api/types'

export type Kind = 'starter' | 'steps' | 'answer' | 'overlay' | 'strips' | 'ticks' | 'whole' | 'lesson'
export type Level = LevelLine['level']

/** What the application is asked to print. */
type Asked = NonNullable<paths['/api/exercises/{exercise_id}/print/{kind}/pages']['get']['parameters']['query']>

export interface Printable {
  drawing: Drawing
  classes: { id: number; name: string; students: number }[]
  level: Level
  levels: LevelLine[]
  isPersonal: boolean
}

/** Begin after what the starter sheet has: such steps are left out. */
export const AFTER_STARTER = 0
/** Size of the type of step sheets as the age of the class asks. */
export const AS_USUAL = 0
/** In larger type than this the words decide how many steps have room on a page, points. */
const COUNTED_TO = 11
/** The longer side of the printers' papers, mm. */
const LONGEST_MM = 297

export function usePrintOrder(id: string, data: Ref<Printable | null | undefined>, classId: number) {
  const kind = ref<Kind>('starter')
  const perPage = useLocalStorage('print-steps-a-page', 4)
  const begin = ref(1)
  const type = useLocalStorage('print-type', AS_USUAL)
  const handout = useLocalStorage<'' | 'a4' | 'letter'>('print-handout-paper', '')
  const isTiled = useLocalStorage('print-tiled', false)
  const level = ref<Level | ''>('')
  const onlyRequired = ref(false)
  const copies = ref(1)
  const students = useLocalStorage('print-lesson-students', 24)
  const whose = ref(classId)
  /** Steps of each student's own sheet, once all are drawn: until then their number is not known. */
  const ownSteps = ref<number[]>([])
  watch(whose, () => {
    ownSteps.value = []
    begin.value = Math.min(begin.value, 1)
  })

  const isLesson = computed(() => kind.value === 'lesson')
  const isPieces = computed(() => kind.value === 'strips' || kind.value === 'ticks')
  const hasSteps = computed(() => kind.value === 'steps' || kind.value === 'whole')
  const hasWords = computed(() => hasSteps.value || isLesson.value)
  /** Whether a sheet comes out on which somebody draws, or that is laid over one. */
  const hasSheet = computed(() => !isLesson.value && !isPieces.value && kind.value !== 'steps')
  const isOwn = computed(() => Boolean(data.value?.isPersonal && whose.value && !isLesson.value && !isPieces.value))
  const isLarge = computed(() => {
    const sheet = data.value?.drawing.sheet
    return Boolean(sheet && Math.max(sheet.width_mm, sheet.height_mm) > LONGEST_MM + 1)
  })
  const tiles = computed(() => hasSheet.value && isLarge.value && isTiled.value)
  const usualType = computed(() => {
    const read = level.value || data.value?.level
    return data.value?.levels.find((one) => one.level === read)?.type_pt ?? COUNTED_TO
  })
  /** The paper for what is read and not drawn on. */
  const readOn = computed(() => handout.value || (data.value?.drawing.sheet.units === 'in' ? 'letter' : 'a4'))

  const setUp = computed(() => data.value?.drawing.steps.filter((step) => step.phase === 'setup').length ?? 0)
  const hasExtra = computed(() => data.value?.drawing.steps.some((step) => step.extra) ?? false)
  const skipped = computed(() =>
    kind.value === 'whole' || begin.value === AFTER_STARTER ? setUp.value : begin.value - 1,
  )
  /** How many pages come out; 0 where that is not known beforehand. */
  const pages = computed(() => {
    if (isLesson.value || isPieces.value || tiles.value) return 0
    const chosen = data.value?.classes.find((c) => c.id === whose.value)
    if (!hasSteps.value) return chosen ? chosen.students : copies.value
    if ((type.value || usualType.value) > COUNTED_TO || onlyRequired.value) return 0
    const steps = isOwn.value ? ownSteps.value : [data.value?.drawing.steps.length ?? 0]
    const more = kind.value === 'whole' ? 2 : 0
    return steps.reduce((sum, count) => sum + Math.ceil((count - skipped.value) / perPage.value) + more, 0)
  })

  function asked(student = 0): Asked {
    const query: Asked = {}
    if (hasSteps.value) {
      query.per_page = perPage.value
      query.type_pt = type.value || usualType.value
      if (kind.value === 'whole' || begin.value === AFTER_STARTER) query.without_starter = true
      else if (begin.value > 1) query.first = begin.value
      if (onlyRequired.value && hasExtra.value) query.only_required = true
    }
    if (hasWords.value && level.value) query.level = level.value
    if (hasWords.value || isPieces.value || tiles.value) query.paper = readOn.value
    if (tiles.value) query.tiled = true
    if (!isPieces.value) {
      if (whose.value && (!hasSteps.value || isOwn.value)) query.class_id = whose.value
      else if (!hasSteps.value) query.copies = isLesson.value ? students.value : copies.value
    }
    if (student) query.student_id = student
    return query
  }

  function addressFor(student = 0): string {
    const query = new URLSearchParams(Object.entries(asked(student)).map(([name, value]) => [name, String(value)]))
    return `/api/exercises/${id}/print/${kind.value}.pdf?${query}`
  }

  /** How many pages the application counts, where that is not known beforehand; 0 until it has. */
  const counted = ref(0)
  watch(
    () => (data.value && !pages.value && !isOwn.value ? addressFor() : ''),
    async (address) => {
      counted.value = 0
      if (!address) return
      const params = { path: { exercise_id: Number(id), kind: kind.value }, query: asked() }
      // What cannot be printed says so when it is opened: nothing is lost by not knowing how much it would be.
      const answer = await ask(api.GET('/api/exercises/{exercise_id}/print/{kind}/pages', { params })).catch(() => null)
      if (address === addressFor()) counted.value = answer?.pages ?? 0
    },
    { immediate: true },
  )

  return {
    kind, perPage, begin, type, handout, isTiled, level, onlyRequired, copies, students, whose, ownSteps,
    isLesson, isPieces, hasSteps, hasWords, hasSheet, isOwn, isLarge, tiles, usualType, readOn, setUp, hasExtra, pages,
    counted, addressFor,
  } // prettier-ignore
}

export type PrintOrder = ReturnType<typeof usePrintOrder>
