import { mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref, type Ref } from 'vue'

import { USUAL } from '@/views/show/looks'
import { useSteered, useSteering, type ShowState } from '@/views/show/steering'

const open: VueWrapper[] = []
afterEach(() => {
  for (const window of open.splice(0)) window.unmount()
})

function windowWith<T>(setup: () => T): T {
  let made: T
  open.push(
    mount(
      defineComponent({
        setup() {
          made = setup()
          return () => h('div')
        },
      }),
    ),
  )
  return made!
}

const beginning = (): Ref<ShowState> =>
  ref({ number: 3, begun: 1, seeThrough: false, covered: false, looks: { ...USUAL } })

describe('the class’s window of a show', () => {
  it('is told at once what the teacher’s window shows, and every change of it', async () => {
    const state = beginning()
    windowWith(() => useSteering('7', state, () => undefined))
    const wall = windowWith(() => useSteered('7'))
    await vi.waitFor(() => expect(wall.state.value?.number).toBe(3))
    state.value.number = 4
    state.value.covered = true
    await vi.waitFor(() => expect(wall.state.value).toMatchObject({ number: 4, covered: true }))
  })

  it('says that it is there, and that it goes', async () => {
    const desk = windowWith(() => useSteering('7', beginning(), () => undefined))
    expect(desk.watched.value).toBe(false)
    windowWith(() => useSteered('7'))
    await vi.waitFor(() => expect(desk.watched.value).toBe(true))
    window.dispatchEvent(new Event('pagehide'))
    await vi.waitFor(() => expect(desk.watched.value).toBe(false))
  })

  it('hands keys that are pressed in it to the teacher’s window', async () => {
    const pressed: string[] = []
    windowWith(() => useSteering('7', beginning(), (key) => pressed.push(key)))
    const wall = windowWith(() => useSteered('7'))
    wall.press('ArrowRight')
    await vi.waitFor(() => expect(pressed).toEqual(['ArrowRight']))
  })

  it('hears nothing of the show of another exercise', async () => {
    const state = beginning()
    windowWith(() => useSteering('7', state, () => undefined))
    const other = windowWith(() => useSteered('8'))
    const wall = windowWith(() => useSteered('7'))
    await vi.waitFor(() => expect(wall.state.value).not.toBeNull())
    expect(other.state.value).toBeNull()
  })
})
