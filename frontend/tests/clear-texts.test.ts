import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { effectScope, ref, type EffectScope } from 'vue'

import type { Drawing } from '@/api/types'
import { useClearTexts } from '@/stores/clearTexts'
import { useExercise } from '@/stores/exercise'

import { application, askedOf, Refusal } from './application'

const SHOWN = 'POST /api/desk/draw-shown'
const drawn = (title: string) => ({ steps: [{ title }] }) as unknown as Drawing

let scope: EffectScope
beforeEach(() => {
  setActivePinia(createPinia())
  scope = effectScope()
})
afterEach(() => scope.stop())

function begin(...given: Parameters<typeof useClearTexts>) {
  const exercise = useExercise()
  exercise.drawing = drawn('plain')
  return { exercise, clear: scope.run(() => useClearTexts(...given))! }
}
const title = (clear: ReturnType<typeof useClearTexts>) => clear.drawing.value?.steps[0]?.title

describe('texts of steps where they are clear', () => {
  it('are asked for only where a step is looked at', async () => {
    const asked = application({ [SHOWN]: { drawing: drawn('clear') } })
    const isLooked = ref(false)
    const { clear } = begin(() => isLooked.value)
    await flushPromises()
    expect(askedOf(asked, SHOWN)).toHaveLength(0)
    isLooked.value = true
    await flushPromises()
    expect(title(clear)).toBe('clear')
  })

  it('are those of the drawing that is there now', async () => {
    const asked = application({ [SHOWN]: { drawing: drawn('clear') } })
    const { exercise, clear } = begin()
    await flushPromises()
    exercise.drawing = drawn('moved')
    expect(title(clear), 'until the answer is there').toBe('moved')
    await flushPromises()
    expect(title(clear)).toBe('clear')
    expect(askedOf(asked, SHOWN)).toHaveLength(2)
  })

  it('are never those of an answer that comes too late', async () => {
    const late: ((answer: unknown) => void)[] = []
    application({ [SHOWN]: (body: Record<string, unknown>) => ({ drawing: drawn(`for ${body.board_mm}`) }) })
    const usual = globalThis.fetch
    globalThis.fetch = (async (...what: Parameters<typeof fetch>) => {
      const answer = await usual(...what)
      if (!late.length) await new Promise((done) => late.push(done))
      return answer
    }) as typeof fetch
    const boardMm = ref(0)
    const { clear } = begin(() => true, boardMm)
    await flushPromises()
    boardMm.value = 2400
    await flushPromises()
    expect(title(clear)).toBe('for 2400')
    late[0]!(null)
    await flushPromises()
    expect(title(clear)).toBe('for 2400')
  })

  it('have room for larger ones on a small screen, and it is asked once for about one size', async () => {
    const asked = application({
      [SHOWN]: (body: Record<string, unknown>) => ({ drawing: drawn(`for ${body.times}`) }),
    })
    const { clear } = begin()
    clear.fit(35.999999999)
    await flushPromises()
    for (const wide of [31.4, 36, 32.9, 30.1]) {
      clear.fit(wide)
      await flushPromises()
      expect(title(clear)).toBe(wide === 36 ? 'for 36' : 'for 30')
    }
    expect(askedOf(asked, SHOWN).map((body) => body.times)).toEqual([36, 30])
    clear.fit(3)
    await flushPromises()
    expect(askedOf(asked, SHOWN).at(-1)!.times, 'no picture is that small').toBe(12)
  })

  it('are what they were where the application does not answer', async () => {
    application({ [SHOWN]: new Refusal(422, 'No such board.') })
    const { clear } = begin(() => true, ref(1))
    await flushPromises()
    expect(title(clear)).toBe('plain')
    expect(clear.problem.value).toContain('No such board.')
  })
})
