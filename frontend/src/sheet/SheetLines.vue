<script setup lang="ts">
/**
 * The lines of a drawing. Light and dark differ in weight and dash, lines to a point in dash and colour.
 * With a stage it shows what is on the paper after a step, without one the finished sheet with its guide lines.
 */
import { computed } from 'vue'

import type { DrawnLine } from '@/api/types'

import { useSheet } from './context'
import type { Stage } from './stage'

const props = defineProps<{ stage?: Stage; selected?: string; bare?: boolean; weight?: number; hide?: Set<number> }>()
const { picture, at } = useSheet()
const thickness = computed(() => props.weight ?? 1)

type Look = 'dark' | 'behind' | 'light' | 'guide' | 'aid' | 'level' | 'none'

function lookOf(line: DrawnLine): Look {
  if (props.hide?.has(line.id)) return 'none'
  const kind = line.name === 'eye level' ? 'level' : line.role === 'guide' ? 'guide' : aid(line) ? 'aid' : 'light'
  if (props.stage) {
    if (props.stage.dark.has(line.id)) return line.behind ? 'behind' : 'dark'
    if (!props.stage.light.has(line.id)) return 'none'
    return kind
  }
  if (!line.visible) return 'none'
  if (line.role === 'edge') return line.behind ? 'behind' : 'dark'
  if (line.role === 'detail') return 'level'
  return props.bare || kind === 'light' || kind === 'level' ? 'none' : kind
}

function pathOf(line: DrawnLine): string {
  return `M${[line.from, ...line.bend, line.to].map((place) => at(place).join(' ')).join('L')}`
}

function aid(line: DrawnLine): boolean {
  return line.role === 'construction' && line.rests_on !== ''
}

const drawn = computed(() =>
  picture.value.lines
    .map((line) => ({ line, look: lookOf(line), d: pathOf(line) }))
    .filter((item) => item.look !== 'none')
    .sort((p, q) => Number(p.look === 'dark') - Number(q.look === 'dark')),
)
</script>

<template>
  <g class="lines" :style="{ '--weight': thickness }">
    <path
      v-for="{ line, look, d } in drawn"
      :key="line.id"
      :class="[look, { fresh: stage?.fresh.has(line.id), chosen: selected !== undefined && line.thing === selected }]"
      :d="d"
    />
  </g>
</template>

<style scoped>
path {
  fill: none;
  vector-effect: non-scaling-stroke;
  stroke-linecap: round;
}

.dark {
  stroke: var(--ink);
  stroke-width: calc(2.2px * var(--weight));
}

.behind {
  stroke: #55585e;
  stroke-width: calc(1.1px * var(--weight));
}

.light {
  stroke: #85817a;
  stroke-width: calc(1px * var(--weight));
}

.light.fresh,
path.fresh:not(.dark, .behind, .level) {
  stroke-width: calc(1.8px * var(--weight));
}

.light.fresh {
  stroke: var(--ink);
}

.level {
  stroke: #4a4d52;
  stroke-width: calc(1.3px * var(--weight));
}

.guide {
  stroke: var(--point);
  stroke-width: calc(1px * var(--weight));
  stroke-dasharray: calc(9px * var(--weight)) calc(4px * var(--weight));
  opacity: 0.75;
}

.guide.chosen {
  stroke-width: calc(1.4px * var(--weight));
  opacity: 1;
}

.aid {
  stroke: var(--aid);
  stroke-width: calc(1px * var(--weight));
  stroke-dasharray: calc(2px * var(--weight)) calc(4px * var(--weight));
}
</style>
