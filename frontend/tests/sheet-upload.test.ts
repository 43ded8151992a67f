import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'

import SheetUpload from '@/views/check/SheetUpload.vue'

import { application, askedOf, Refusal } from './application'

const PILE = 'POST /api/piles/6/sheets'

let view: VueWrapper
afterEach(() => {
  view.unmount()
  vi.unstubAllGlobals()
})

const photos = (...names: string[]): File[] => names.map((name) => new File(['a photo'], name, { type: 'image/jpeg' }))
const open = (): void => void (view = mount(SheetUpload, { props: { pileId: 6 } }))

async function drop(files: File[]): Promise<void> {
  await view.find('label').trigger('drop', { dataTransfer: { files } })
}

describe('putting files on a pile', () => {
  it('sends each file by itself and says after each that the pile has grown', async () => {
    const asked = application({ [PILE]: { id: 1 } })
    open()
    await drop(photos('one.jpg', 'two.jpg', 'three.jpg'))
    await flushPromises()
    await vi.waitFor(() => expect(view.emitted('uploaded')).toHaveLength(3))
    expect(askedOf(asked, PILE)).toHaveLength(3)
    expect(view.text()).toContain('Add photos or scans')
    expect(view.findAll('[role=alert]')).toHaveLength(0)
  })

  it('goes on after a file that is refused, and names that', async () => {
    let count = 0
    application({ [PILE]: () => ((count += 1) === 2 ? new Refusal(422, 'This is no picture.') : { id: count }) })
    open()
    await drop(photos('one.jpg', 'letter.txt', 'three.jpg'))
    await vi.waitFor(() => expect(count).toBe(3))
    await flushPromises()
    await vi.waitFor(() => expect(view.findAll('[role=alert]')).toHaveLength(1))
    expect(view.find('[role=alert]').text()).toContain('letter.txt: This is no picture.')
  })

  it('says how far it is, takes no others meanwhile, and can be stopped', async () => {
    let answer = (): void => undefined
    let count = 0
    vi.stubGlobal('fetch', async () => {
      count += 1
      await new Promise<void>((done) => (answer = done))
      return new Response('{"id": 1}', { headers: { 'content-type': 'application/json' } })
    })
    open()
    await drop(photos('one.jpg', 'two.jpg', 'three.jpg'))
    await vi.waitFor(() => expect(count).toBe(1))
    expect(view.text()).toContain('0 of 3 put on the pile')
    expect(view.find('input').attributes('disabled')).toBeDefined()
    answer()
    await vi.waitFor(() => expect(view.text()).toContain('1 of 3 put on the pile'))
    await vi.waitFor(() => expect(count).toBe(2))
    await view.find('button').trigger('click')
    answer()
    await vi.waitFor(() => expect(view.text()).toContain('Add photos or scans'))
    expect(count, 'the third one is not sent').toBe(2)
    expect(view.find('input').attributes('disabled')).toBeUndefined()
  })

  it('does nothing where nothing is dropped', async () => {
    const asked = application({ [PILE]: { id: 1 } })
    open()
    await view.find('label').trigger('drop', { dataTransfer: { files: [] } })
    await flushPromises()
    expect(asked).toEqual([])
    expect(view.emitted('uploaded')).toBeUndefined()
  })
})
