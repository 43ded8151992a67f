<script setup lang="ts">
/**
 * The lines of a drawing. Light and dark differ in weight and dash, lines to a point in dash and colour.
 * With a stage it shows what is on the paper after a step, without one the finished sheet with its guide lines.
 */
import { computed } from 'vue'

import type { DrawnLine } from '@/api/types'

import { useSheet } from './context'
import type { Stage } from './stage'

const props = defineProps<{ stage?: Stage; selected?: string[]; bare?: boolean; weight?: number; hide?: Set<number> }>()
const { picture, at } = useSheet()
const thickness = computed(() => props.weight ?? 1)

type Look = 'dark' | 'thin' | 'behind' | 'light' | 'guide' | 'aid' | 'level' | 'none'

function lookOf(line: DrawnLine): Look {
  if (props.hide?.has(line.id)) return 'none'
  const kind = line.name === 'eye level' ? 'level' : line.role === 'guide' ? 'guide' : aid(line) ? 'aid' : 'light'
  if (props.stage) {
    if (props.stage.dark.has(line.id)) return finished(line)
    if (!props.stage.light.has(line.id)) return 'none'
    return kind
  }
  if (!line.visible) return 'none'
  if (line.role === 'detail' && !line.thing) return 'level'
  if (line.role === 'edge' || line.role === 'detail') return finished(line)
  return props.bare || kind === 'light' || kind === 'level' ? 'none' : kind
}

/** Lines on a face, such as a division or a pattern, are thinner than the edges of the thing. */
function finished(line: DrawnLine): Look {
  if (line.behind) return 'behind'
  return line.role === 'detail' ? 'thin' : 'dark'
}

/** A line that has not changed is the same one in the next picture, and so is its path. */
const pathOfLine = new WeakMap<DrawnLine, string>()

function pathOf(line: DrawnLine): string {
  let path = pathOfLine.get(line)
  if (path === undefined) {
    path = `M${[line.from, ...line.bend, line.to].map((place) => at(place).join(' ')).join('L')}`
    pathOfLine.set(line, path)
  }
  return path
}

/** Lines to a distance or measuring point stay in sight, those that only divide a face do not. */
const aids = computed(() => new Set(picture.value.aims.filter((aim) => aim.kind === 'aid').map((aim) => aim.name)))

function aid(line: DrawnLine): boolean {
  if (line.role !== 'construction' || line.rests_on === '') return false
  return props.stage !== undefined || aids.value.has(line.rests_on)
}

/**
 * All lines of one look and one thing are one path: hundreds of elements would make a drag stutter, and a single path
 * for all things would be painted anew all over the sheet when one of them moves. Dark ones come last.
 */
const paths = computed(() => {
  const found = new Map<Look, Map<string, { look: string; pieces: string[] }>>()
  for (const line of picture.value.lines) {
    const look = lookOf(line)
    if (look === 'none') continue
    const fresh = props.stage?.fresh.has(line.id) ? ' fresh' : ''
    const chosen = props.selected?.includes(line.thing) ? ' chosen' : ''
    const key = look + fresh + chosen + '/' + line.thing
    let alike = found.get(look)
    if (!alike) found.set(look, (alike = new Map()))
    const path = alike.get(key)
    if (path) path.pieces.push(pathOf(line))
    else alike.set(key, { look: look + fresh + chosen, pieces: [pathOf(line)] })
  }
  return [...found]
    .sort(([p], [q]) => Number(p === 'dark') - Number(q === 'dark'))
    .flatMap(([, alike]) => [...alike].map(([key, { look, pieces }]) => ({ key, look, d: pieces.join('') })))
})
</script>

<template>
  <g class="lines" :style="`--weight: ${thickness}`">
    <path v-for="{ key, look, d } in paths" :key="key" :class="look" :d="d" />
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

.thin {
  stroke: var(--ink);
  stroke-width: calc(1.1px * var(--weight));
}

.behind {
  stroke: var(--pencil-behind);
  stroke-width: calc(1.1px * var(--weight));
}

.light {
  stroke: var(--pencil-light);
  stroke-width: calc(1px * var(--weight));
}

.light.fresh,
path.fresh:not(.dark, .thin, .behind, .level) {
  stroke-width: calc(1.8px * var(--weight));
}

.light.fresh {
  stroke: var(--ink);
}

.level {
  stroke: var(--pencil-level);
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
