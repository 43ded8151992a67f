import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'

import { ProblemError, UNREACHABLE } from '@/api/client'
import KeptPicture from '@/sheet/KeptPicture.vue'
import AskFirst from '@/shell/AskFirst.vue'
import FirstHint from '@/shell/FirstHint.vue'
import NumberField from '@/shell/NumberField.vue'
import { useLoad } from '@/shell/useLoad'
import { dayWords, hourWords, localDay } from '@/views/today/days'

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
})
afterEach(() => {
  vi.useRealTimers()
  document.body.innerHTML = ''
})

describe('what a view loads', () => {
  function loading(load: () => Promise<string>): ReturnType<typeof useLoad<string>> & { leave: () => void } {
    let loaded!: ReturnType<typeof useLoad<string>>
    const view = mount(
      defineComponent({
        setup() {
          loaded = useLoad(load)
          return () => h('div')
        },
      }),
    )
    return { ...loaded, leave: () => view.unmount() }
  }

  it('is asked for again by itself while nobody answers, and no longer when it has come', async () => {
    const load = vi.fn<() => Promise<string>>().mockRejectedValue(new ProblemError(0, UNREACHABLE))
    const { data, failure } = loading(load)
    await flushPromises()
    expect(failure.value).toContain('tried again by itself')
    await vi.advanceTimersByTimeAsync(10_000)
    expect(load.mock.calls.length).toBeGreaterThan(2)
    load.mockResolvedValue('here')
    await vi.advanceTimersByTimeAsync(4000)
    expect(data.value).toBe('here')
    expect(failure.value).toBe('')
    const calls = load.mock.calls.length
    await vi.advanceTimersByTimeAsync(60_000)
    expect(load).toHaveBeenCalledTimes(calls)
  })

  it('is not asked for again when it was refused, or when the view is left', async () => {
    const refused = vi
      .fn<() => Promise<string>>()
      .mockRejectedValue(new ProblemError(404, { ...UNREACHABLE, code: 'not_found', why: 'It is not here.' }))
    const { failure } = loading(refused)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(refused).toHaveBeenCalledTimes(1)
    expect(failure.value).toContain('It is not here.')
    const gone = vi.fn<() => Promise<string>>().mockRejectedValue(new ProblemError(503, UNREACHABLE))
    const { leave } = loading(gone)
    await flushPromises()
    leave()
    await vi.advanceTimersByTimeAsync(60_000)
    expect(gone).toHaveBeenCalledTimes(1)
  })
})

describe('what cannot be taken back', () => {
  const buttons = (): HTMLButtonElement[] => [...document.querySelectorAll('button')]
  const press = async (text: string): Promise<void> => {
    buttons()
      .find((button) => button.textContent?.includes(text))!
      .click()
    await flushPromises()
    await vi.advanceTimersByTimeAsync(500)
  }

  it('asks first, with what will be gone, and does nothing when it is left', async () => {
    const props = { what: 'Delete', title: 'Delete it?', does: 'Delete for good' }
    const view = mount(AskFirst, { props, slots: { default: 'It goes with all sheets.' }, attachTo: document.body })
    await press('Delete')
    expect(document.body.textContent).toContain('It goes with all sheets.')
    expect(document.querySelector('[role=dialog]')?.getAttribute('aria-modal')).toBe('true')
    await press('Leave it')
    expect(view.emitted('sure')).toBeUndefined()
    await press('Delete')
    await press('Delete for good')
    expect(view.emitted('sure')).toHaveLength(1)
  })
})

describe('small parts', () => {
  it('takes a number only within its limits', async () => {
    const field = mount(NumberField, { props: { label: 'Copies', min: 1, max: 40, modelValue: 4 } })
    for (const [typed, taken] of [
      ['12', 12],
      ['99', 40],
      ['-3', 1],
    ] as const) {
      await field.find('input').setValue(typed)
      expect(field.emitted('update:modelValue')!.at(-1)).toEqual([taken])
    }
    const count = field.emitted('update:modelValue')!.length
    await field.find('input').setValue('')
    expect(field.emitted('update:modelValue')).toHaveLength(count)
  })

  it('shows a hint until it was read, once for all', async () => {
    const hint = mount(FirstHint, { props: { name: 'desk' }, slots: { default: 'Press a value.' } })
    expect(hint.text()).toContain('Press a value.')
    await hint.find('button').trigger('click')
    expect(hint.text()).toBe('')
    expect(
      mount(FirstHint, { props: { name: 'desk' } })
        .find('[role=note]')
        .exists(),
    ).toBe(false)
    expect(
      mount(FirstHint, { props: { name: 'pile' } })
        .find('[role=note]')
        .exists(),
    ).toBe(true)
  })

  it('says so where there is no picture, and tries the next one', async () => {
    const kept = mount(KeptPicture, { props: { source: '/a.svg', label: 'Crates' } })
    await kept.find('img').trigger('error')
    expect(kept.text()).toBe('no picture')
    await kept.setProps({ source: '/b.svg' })
    expect(kept.find('img').attributes('src')).toBe('/b.svg')
  })

  it('says days and hours as a teacher does', () => {
    const today = new Date(2026, 1, 3, 23, 50)
    expect(localDay(today)).toBe('2026-02-03')
    expect(dayWords('2026-02-03', today)).toBe('Today')
    expect(dayWords('2026-02-04', today)).toBe('Tomorrow')
    expect(dayWords('2026-02-10', today)).toContain('10 February')
    expect(hourWords('08:30:00')).toBe('08:30')
  })
})
