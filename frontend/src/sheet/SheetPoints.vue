<script setup lang="ts">
/** Vanishing and distance points: told apart by shape first; and marks made in a step. */
import { computed } from 'vue'

import { useSheet } from './context'

const props = defineProps<{ marks?: string[]; only?: string[]; size?: number }>()
const { picture, at, mmPerPx } = useSheet()
const r = computed(() => (props.size ?? 6) * mmPerPx.value)
const points = computed(() =>
  Object.entries(picture.value.vanishing_points)
    .filter(([name]) => props.only === undefined || props.only.includes(name))
    .map(([name, place]) => ({ name, at: at(place), kind: name.includes('distance') ? 'distance' : 'centre' })),
)
const fresh = computed(() =>
  (props.marks ?? []).flatMap((name) => {
    const place = picture.value.points[name]
    return place ? [{ name, at: at(place) }] : []
  }),
)
</script>

<template>
  <g class="points">
    <template v-for="point in points" :key="point.name">
      <g v-if="point.kind === 'centre'" class="centre">
        <circle :cx="point.at[0]" :cy="point.at[1]" :r="r" />
        <path
          :d="`M${point.at[0] - r * 1.6} ${point.at[1]}h${r * 3.2}M${point.at[0]} ${point.at[1] - r * 1.6}v${r * 3.2}`"
        />
      </g>
      <path v-else class="distance" :d="`M${point.at[0] - r} ${point.at[1] + r * 0.9}h${2 * r}l${-r} ${-1.8 * r}z`" />
    </template>
    <circle v-for="mark in fresh" :key="mark.name" class="mark" :cx="mark.at[0]" :cy="mark.at[1]" :r="r * 0.75" />
  </g>
</template>

<style scoped>
.centre circle,
.centre path {
  fill: none;
  stroke: var(--point);
  stroke-width: 1.8px;
  vector-effect: non-scaling-stroke;
}

.distance {
  fill: var(--paper);
  stroke: var(--aid);
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
}

.mark {
  fill: var(--accent);
  stroke: var(--paper);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
</style>
