import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'

import { isControl, useKeptFocus } from '@/shell/keepFocus'

const isThere = ref(true)
const Page = {
  setup: () => (useKeptFocus(), { isThere }),
  template: `<main id="main" tabindex="-1"><section class="part"><button v-if="isThere" class="gone">Do</button>
    <button class="stays">Other</button></section></main>`,
}

async function settled(): Promise<void> {
  await nextTick()
  await new Promise((done) => setTimeout(done, 200))
}

afterEach(() => (isThere.value = true))

describe('the focus', () => {
  it('goes to what a thing stood in when that thing goes away', async () => {
    const page = mount(Page, { attachTo: document.body })
    page.find<HTMLElement>('.gone').element.focus()
    isThere.value = false
    await settled()
    expect(document.activeElement?.className).toBe('part')
    page.unmount()
  })

  it('is left where it is when something else goes away', async () => {
    const page = mount(Page, { attachTo: document.body })
    page.find<HTMLElement>('.stays').element.focus()
    isThere.value = false
    await settled()
    expect(document.activeElement?.className).toBe('stays')
    page.unmount()
  })

  it('is not taken from somebody who has put it nowhere', async () => {
    const page = mount(Page, { attachTo: document.body })
    isThere.value = false
    await settled()
    expect(document.activeElement).toBe(document.body)
    page.unmount()
  })
})

it('leaves keys to links, buttons and fields', () => {
  document.body.innerHTML = '<a href="#"><b id="in">x</b></a><p id="out">y</p>'
  expect(isControl(document.getElementById('in'))).toBe(true)
  expect(isControl(document.getElementById('out'))).toBe(false)
  expect(isControl(null)).toBe(false)
})
