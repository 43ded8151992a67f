import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { NCheckbox, NInput, NRadioGroup } from 'naive-ui'
import { afterEach, describe, expect, it } from 'vitest'
import { defineComponent, h, ref } from 'vue'

import { USUAL, type Looks } from '@/views/show/looks'
import ShowLooks from '@/views/show/ShowLooks.vue'

const looks = ref<Looks>({ ...USUAL })
let view: VueWrapper
afterEach(() => {
  view.unmount()
  document.body.innerHTML = ''
})

async function open(begin: Partial<Looks> = {}, more: { inches?: boolean; problem?: string } = {}): Promise<void> {
  looks.value = { ...USUAL, ...begin }
  const all = defineComponent({
    setup: () => () =>
      h(ShowLooks, {
        looks: looks.value,
        'onUpdate:looks': (value: Looks) => (looks.value = value),
        inches: false,
        problem: '',
        ...more,
      }),
  })
  view = mount(all, { attachTo: document.body })
  await view.find('button.looks').trigger('click')
  await flushPromises()
}

const box = (says: string) => view.findAllComponents(NCheckbox).find((one) => one.text().includes(says))!

async function typeBoard(text: string): Promise<void> {
  const field = view.findComponent(NInput)
  field.vm.$emit('update:value', text)
  await flushPromises()
  field.vm.$emit('blur')
  await flushPromises()
}

describe('how the class display looks', () => {
  it('switches one thing and leaves the others', async () => {
    await open({ ghost: true })
    expect(box('What comes next').props('checked')).toBe(true)
    box('Dark room').vm.$emit('update:checked', true)
    await flushPromises()
    expect(looks.value).toEqual({ ...USUAL, ghost: true, darkRoom: true })
  })

  it('is closed by Escape, and what Escape does beside it waits for the next one', async () => {
    let left = 0
    const leave = () => (left += 1)
    window.addEventListener('keydown', leave)
    await open()
    expect(view.findAllComponents(NCheckbox)).not.toHaveLength(0)
    const press = () => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
    press()
    await flushPromises()
    expect(left).toBe(0)
    press()
    expect(left).toBe(1)
    window.removeEventListener('keydown', leave)
  })

  it('names the keys only while keys do something', async () => {
    await open()
    expect(box('Dark room').text()).toContain('D')
    box('Letters on the keyboard').vm.$emit('update:checked', false)
    await flushPromises()
    expect(view.findAll('kbd')).toHaveLength(0)
  })

  it('draws slower or quicker', async () => {
    await open()
    view.findComponent(NRadioGroup).vm.$emit('update:value', 2)
    await flushPromises()
    expect(looks.value.slower).toBe(2)
  })

  it.each([
    [false, '180', 1800],
    [false, '120,5', 1205],
    [true, '70', 1778],
  ])('takes the width of a board (inches: %s) as %s', async (inches, text, mm) => {
    await open({}, { inches })
    await typeBoard(text)
    expect(looks.value.boardMm).toBeCloseTo(mm, 6)
    expect(view.findComponent(NInput).props('value')).toBe(text.replace(',', '.'))
  })

  it.each(['', 'wide', '-40', '0'])('goes back to the sheet’s own measures for “%s”', async (text) => {
    await open({ boardMm: 1500 })
    expect(view.findComponent(NInput).props('value')).toBe('150')
    await typeBoard(text)
    expect(looks.value.boardMm).toBe(0)
  })

  it('says what is the matter with a board', async () => {
    await open({ boardMm: 90 }, { problem: 'The board must be at least 30 cm wide.' })
    expect(document.querySelector('[role=alert]')?.textContent).toBe('The board must be at least 30 cm wide.')
  })
})
