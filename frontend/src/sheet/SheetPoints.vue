<script setup lang="ts">
/** Vanishing points and aids such as distance points: told apart by shape first; and marks: new ones, and old ones. */
import { computed } from 'vue'

import { useSheet } from './context'

const props = defineProps<{ marks?: string[]; takenUp?: string[]; only?: Set<string>; size?: number }>()
const { picture, at, mmPerPx } = useSheet()
const r = computed(() => (props.size ?? 6) * mmPerPx.value)
const points = computed(() =>
  picture.value.aims
    .filter((aim) => props.only === undefined || props.only.has(aim.name))
    .map((aim) => ({ name: aim.name, at: at(aim.at), kind: aim.kind })),
)
function placed(names: string[] | undefined) {
  return (names ?? []).flatMap((name) => {
    const place = picture.value.points[name]
    return place ? [{ name, at: at(place) }] : []
  })
}
const fresh = computed(() => placed(props.marks))
const old = computed(() => placed(props.takenUp))
</script>

<template>
  <g class="points">
    <template v-for="point in points" :key="point.name">
      <g v-if="point.kind === 'vanishing'" class="vanishing">
        <circle :cx="point.at[0]" :cy="point.at[1]" :r="r" />
        <path
          :d="`M${point.at[0] - r * 1.6} ${point.at[1]}h${r * 3.2}M${point.at[0]} ${point.at[1] - r * 1.6}v${r * 3.2}`"
        />
      </g>
      <path v-else class="aid" :d="`M${point.at[0] - r} ${point.at[1] + r * 0.9}h${2 * r}l${-r} ${-1.8 * r}z`" />
    </template>
    <circle v-for="mark in old" :key="`old ${mark.name}`" class="old" :cx="mark.at[0]" :cy="mark.at[1]" :r="r * 0.5" />
    <circle v-for="mark in fresh" :key="mark.name" class="mark" :cx="mark.at[0]" :cy="mark.at[1]" :r="r * 0.75" />
  </g>
</template>

<style scoped>
.vanishing circle,
.vanishing path {
  fill: none;
  stroke: var(--point);
  stroke-width: 1.8px;
  vector-effect: non-scaling-stroke;
}

.aid {
  fill: var(--paper);
  stroke: var(--aid);
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
}

.old {
  fill: var(--paper);
  stroke: var(--accent);
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
