<script setup lang="ts">
/** Ruler, pencil, and the line that is just being drawn. */
import { computed } from 'vue'

import { useSheet } from '@/sheet/context'

import { drawnPart, type HandPicture } from './hand'

const props = defineProps<{ hand: HandPicture; dark: boolean }>()
const { at, picture } = useSheet()

const stroke = computed(() => {
  const { drawing, share } = props.hand
  if (!drawing || share <= 0) return null
  return {
    d: `M${drawnPart(drawing, share)
      .map((place) => at(place).join(' '))
      .join('L')}`,
    guide: drawing.role === 'guide',
  }
})

const ruler = computed(() => {
  const r = props.hand.ruler
  if (!r) return null
  const [x, y] = at(r.at)
  const width = picture.value.sheet.width_mm * 0.055
  const over = 24
  const ticks = Array.from({ length: Math.floor((r.length + 2 * over) / 5) }, (_, i) => {
    const long = i % 2 === 0 ? 0.3 : 0.18
    return `M${-over + 4 + i * 5} 0v${r.side * width * long}`
  }).join('')
  return {
    transform: `translate(${x} ${y}) rotate(${(-r.angle * 180) / Math.PI})`,
    x: -over,
    y: r.side > 0 ? 0 : -width,
    length: r.length + 2 * over,
    width,
    ticks,
  }
})

const pencil = computed(() => (props.hand.pencil ? at(props.hand.pencil) : null))
const size = computed(() => picture.value.sheet.width_mm / 420)
</script>

<template>
  <g class="hand">
    <g v-if="ruler" :transform="ruler.transform">
      <rect class="ruler" :x="ruler.x" :y="ruler.y" :width="ruler.length" :height="ruler.width" rx="1.5" />
      <path class="ticks" :d="ruler.ticks" />
    </g>
    <path v-if="stroke" class="stroke" :class="{ guide: stroke.guide, dark }" :d="stroke.d" />
    <g v-if="pencil" :transform="`translate(${pencil[0]} ${pencil[1]}) rotate(-28) scale(${size})`">
      <path class="tip" d="M0 0 9 -2.6 9 2.6z" />
      <path class="wood" d="M9 -2.6H52V2.6H9z" />
      <path class="lead" d="M0 0 3.2 -0.95 3.2 0.95z" />
    </g>
  </g>
</template>

<style scoped>
.ruler {
  fill: rgb(236 190 120 / 42%);
  stroke: #96703a;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}

.ticks {
  stroke: #6b4d20;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}

.stroke {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3px;
  vector-effect: non-scaling-stroke;
  stroke-linecap: round;
}

.stroke.guide {
  stroke: var(--point);
}

.stroke.dark {
  stroke-width: 5px;
}

.wood {
  fill: #c9792c;
  stroke: #4a3520;
  stroke-width: 0.4;
}

.tip {
  fill: #efdcb8;
  stroke: #4a3520;
  stroke-width: 0.4;
}

.lead {
  fill: #23262b;
}
</style>
