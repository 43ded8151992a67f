/** A part of a view on the page, where messages can be shown; after each test it is taken down again. */
import { enableAutoUnmount, mount, type VueWrapper } from '@vue/test-utils'
import { NMessageProvider } from 'naive-ui'
import { afterEach, vi } from 'vitest'
import { defineComponent, h } from 'vue'

enableAutoUnmount(afterEach)
afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

type Global = NonNullable<Parameters<typeof mount>[1]>['global']

/** Mount a part of a view; `props` may be a function that reads what changes while it is shown. */
export function shown(part: object, props: object | (() => object) = {}, global: Global = {}): VueWrapper {
  const given = typeof props === 'function' ? (props as () => object) : () => props
  const all = defineComponent({
    setup: () => () => h(NMessageProvider, null, { default: () => h(part as never, given()) }),
  })
  return mount(all, { attachTo: document.body, global })
}
