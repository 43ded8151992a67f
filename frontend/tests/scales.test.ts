import { describe, expect, it } from 'vitest'

import type { Scale } from '@/api/types'
import { placedTexts } from '@/sheet/scales'

const at = (place: [number, number]): [number, number] => [place[0], 100 - place[1]]
const scale = (side: Scale['side'], out: number, aside = 0): Scale => ({
  side,
  marks: [{ at: [50, 40], text: '25', out, aside }],
})

describe('texts of a scale', () => {
  it('stand at the side that is asked for, so many times their size away', () => {
    const [left] = placedTexts(scale('left', 2), at, 1, 10)
    expect([left!.to, left!.x, left!.anchor]).toEqual([[30, 60], 28, 'end'])
    const [right] = placedTexts(scale('right', 2), at, 1, 10)
    expect([right!.to, right!.x, right!.anchor]).toEqual([[70, 60], 72, 'start'])
    const [below] = placedTexts(scale('below', 3), at, 1, 10)
    expect([below!.to, below!.y - 0.75 * below!.size, below!.anchor]).toEqual([[50, 90], 92, 'middle'])
    const [above] = placedTexts(scale('above', 3), at, 1, 10)
    expect([above!.to, above!.y, above!.anchor]).toEqual([[50, 30], 28, 'middle'])
  })

  it('stand aside where there is no room: to the right, or up', () => {
    expect(placedTexts(scale('below', 1, 2), at, 1, 10)[0]!.to).toEqual([70, 70])
    expect(placedTexts(scale('left', 1, 2), at, 1, 10)[0]!.to).toEqual([40, 40])
  })

  it('grow with the picture', () => {
    const [small, large] = [0.5, 2].map((mmPerPx) => placedTexts(scale('below', 1), at, mmPerPx, 10)[0]!)
    expect([small!.size, large!.size]).toEqual([5, 20])
    expect(large!.to[1] - 60).toBe(4 * (small!.to[1] - 60))
  })
})
