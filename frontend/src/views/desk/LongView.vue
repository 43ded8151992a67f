<script setup lang="ts">
/**
 * The whole eye level to scale: the sheet, what lies beyond its edges, and all the points on it. Points over or under it
 * stand at their place along it, with an arrow and how far off they are.
 */
import { computed } from 'vue'

import type { Picture } from '@/api/types'

import { ASIDE, placed } from './railLabels'

const props = defineProps<{ picture: Picture }>()
const wide = defineModel<boolean>('wide', { default: true })
const WIDTH = 640
const HEIGHT = 46
const RIM = 56
const scene = computed(() => {
  const { width_mm: sheet } = props.picture.sheet
  const level = props.picture.eye_level_mm
  const places = props.picture.aims.map((aim) => ({ ...aim, x: aim.at[0], over: Math.sign(aim.at[1] - level) }))
  places.sort((a, b) => Number(!!a.reads) - Number(!!b.reads))
  const low = Math.min(0, ...places.map((p) => p.x))
  const high = Math.max(sheet, ...places.map((p) => p.x))
  const scale = (WIDTH - 2 * RIM) / (high - low)
  const at = (x: number): number => RIM + (x - low) * scale
  const named = places.map((p) => ({
    x: at(p.x),
    label: p.reads ? `${p.label}, ${p.reads}` : p.label,
    isOff: !!p.reads,
  }))
  const labels = placed(named, WIDTH)
  return {
    left: at(0),
    right: at(sheet),
    start: at(low),
    end: at(high),
    points: places.map((p, i) => ({
      ...named[i]!,
      ...labels[i]!,
      name: p.name,
      off: p.reads ? (p.over > 0 ? 'M-5 7 0 -2 5 7M0 -2V11' : 'M-5 2 0 11 5 2M0 11V-2') : '',
      far: p.kind === 'aid',
    })),
  }
})
</script>

<template>
  <div class="rail">
    <svg class="long" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" aria-label="The whole eye level, to scale">
      <rect
        v-if="scene.start < scene.left"
        class="strip"
        :x="scene.start - 8"
        y="12"
        :width="scene.left - scene.start + 8"
        height="18"
      />
      <rect
        v-if="scene.end > scene.right"
        class="strip"
        :x="scene.right"
        y="12"
        :width="scene.end - scene.right + 8"
        height="18"
      />
      <rect class="sheet" :x="scene.left" y="5" :width="scene.right - scene.left" height="32" />
      <line :x1="scene.start - 10" :x2="scene.end + 10" y1="21" y2="21" />
      <template v-for="p in scene.points" :key="p.name">
        <path v-if="p.off" class="off" :d="p.off" :transform="`translate(${p.x} 30)`" />
        <path v-else-if="p.far" class="far" :d="`M${p.x - 5} 25h10l-5 -9z`" />
        <circle v-else class="centre" :cx="p.x" cy="21" r="5" />
        <text
          :x="p.x + (p.side === 'left' ? -ASIDE : ASIDE)"
          :y="p.row === 'lower' ? 35 : 16"
          :text-anchor="p.side === 'left' ? 'end' : 'start'"
        >
          {{ p.label }}
        </text>
      </template>
    </svg>
    <button v-if="picture.strips.length" type="button" class="word-button" :aria-pressed="wide" @click="wide = !wide">
      {{ wide ? 'Sheet only' : 'Sheet and strips' }}
    </button>
  </div>
</template>

<style scoped>
.rail {
  flex: none;
  display: flex;
  align-items: center;
  background: var(--desk-deep);
  padding-right: 8px;
}

.long {
  height: 46px;
  flex: 1;
  min-width: 0;
}

.rail button {
  color: var(--ink);
  white-space: nowrap;
}

.sheet {
  fill: var(--paper);
  stroke: #a39a86;
}

.strip {
  fill: #efe6d3;
}

line {
  stroke: var(--ink);
}

text {
  font-size: 10px;
  fill: var(--ink-soft);
}

.centre {
  fill: none;
  stroke: var(--point);
  stroke-width: 2;
}

.off {
  fill: none;
  stroke: var(--point);
  stroke-width: 1.6;
}

.far {
  fill: var(--paper);
  stroke: var(--aid);
  stroke-width: 1.5;
}
</style>
