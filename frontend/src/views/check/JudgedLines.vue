<script setup lang="ts">
/** Verdicts over the sheet: line by line, curve by curve; for what is off where it aims and where it should go. */
import { computed } from 'vue'

import type { Finding, Place, SheetAnswer } from '@/api/types'
import { useSheet } from '@/sheet/context'

const props = defineProps<{ sheet: SheetAnswer; pointed: Finding | null }>()
const { at, picture, mmPerPx } = useSheet()
const LOOK: Record<string, string> = {
  fine: 'fine',
  slightly_off: 'slight',
  off: 'off',
  wrong_point: 'off',
  cannot_tell: 'unsure',
  unexpected: 'other',
  missing: 'missing',
}

/** Pieces of a curve were read as short lines; the curve itself is drawn in their stead. */
const curveNames = computed(() => new Set((props.sheet.checked?.curves ?? []).map((curve) => curve.name)))
const meant = computed(() => new Set(props.sheet.meant))
const lines = computed(() =>
  (props.sheet.checked?.lines ?? []).map((line, i) => ({
    i,
    look: meant.value.has(i) ? 'meant' : (LOOK[line.verdict] ?? 'other'),
    a: at(line.from),
    b: at(line.to),
    pointed: props.pointed?.lines.includes(i) ?? false,
    onCurve: curveNames.value.has(line.matched),
    aims: meant.value.has(i) ? null : aims(line.from, line.to, line.family, line.verdict),
  })),
)

const meantCurves = computed(() => new Set(props.sheet.meant_curves))
const curves = computed(() =>
  (props.sheet.checked?.curves ?? []).map((curve) => ({
    name: curve.name,
    look: meantCurves.value.has(curve.name) ? 'meant' : (LOOK[curve.verdict] ?? 'other'),
    runs: curve.runs.map((run) => run.map(at)),
    pointed: props.pointed?.curve === curve.name,
  })),
)

/** From its corner a line goes on where it aims, and should go to the point. */
function aims(from: Place, to: Place, family: string, verdict: string): { from: Place; on: Place; goal: Place } | null {
  const point = picture.value.vanishing_points[family]
  if (!point || !['off', 'wrong_point', 'slightly_off'].includes(verdict)) return null
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1
  const reach = Math.hypot(point[0] - to[0], point[1] - to[1])
  const on: Place = [to[0] + ((to[0] - from[0]) / length) * reach, to[1] + ((to[1] - from[1]) / length) * reach]
  return { from: at(from), on: at(on), goal: at(point) }
}

/** Each finding has its number at the lines, or on the curve, that it is about. */
const numbered = computed(() => {
  const seen = new Set<number>()
  return (props.sheet.checked?.findings ?? []).flatMap((finding, n) => {
    if (finding.severity === 0) return []
    const run = meantCurves.value.has(finding.curve)
      ? null
      : curves.value.find((c) => c.name === finding.curve)?.runs[0]
    const on = run?.[Math.floor(run.length / 2)]
    if (on) return [{ n: n + 1, x: on[0], y: on[1] }]
    return finding.lines.flatMap((i) => {
      const line = lines.value[i]
      if (!line || seen.has(i) || meant.value.has(i)) return []
      seen.add(i)
      return [{ n: n + 1, x: (line.a[0] + line.b[0]) / 2, y: (line.a[1] + line.b[1]) / 2 }]
    })
  })
})

const missing = computed(() => {
  const names = new Set(props.sheet.checked?.missing ?? [])
  return picture.value.lines
    .filter((line) => line.visible && line.role === 'edge' && names.has(`${line.thing}.${line.name}`))
    .map((line) => ({ id: line.id, a: at(line.from), b: at(line.to) }))
})

const estimates = computed(() =>
  Object.values(props.sheet.checked?.vanishing_points ?? {}).map((p) => ({
    at: at(p.at),
    r: Math.max(2 * p.sd_mm, 2 * mmPerPx.value),
  })),
)
const r = computed(() => 11 * mmPerPx.value)
</script>

<template>
  <g class="judged">
    <line v-for="m in missing" :key="m.id" class="missing" :x1="m.a[0]" :y1="m.a[1]" :x2="m.b[0]" :y2="m.b[1]" />
    <template v-for="line in lines.filter((l) => !l.onCurve)" :key="line.i">
      <template v-if="line.aims">
        <line
          class="should"
          :x1="line.aims.from[0]"
          :y1="line.aims.from[1]"
          :x2="line.aims.goal[0]"
          :y2="line.aims.goal[1]"
        />
        <line class="aim" :x1="line.b[0]" :y1="line.b[1]" :x2="line.aims.on[0]" :y2="line.aims.on[1]" />
      </template>
      <line
        :class="[line.look, { pointed: line.pointed }]"
        :x1="line.a[0]"
        :y1="line.a[1]"
        :x2="line.b[0]"
        :y2="line.b[1]"
      />
    </template>
    <template v-for="curve in curves" :key="curve.name">
      <polyline
        v-for="(run, i) in curve.runs"
        :key="i"
        :class="[curve.look, { pointed: curve.pointed }]"
        :points="run.join(' ')"
      />
    </template>
    <circle v-for="(e, i) in estimates" :key="i" class="estimate" :cx="e.at[0]" :cy="e.at[1]" :r="e.r"
      ><title>Where this student's lines meet</title></circle
    >
    <g v-for="mark in numbered" :key="mark.n" class="number">
      <circle :cx="mark.x" :cy="mark.y" :r="r" />
      <text :x="mark.x" :y="mark.y + r * 0.42" :font-size="r * 1.25">{{ mark.n }}</text>
    </g>
  </g>
</template>

<style scoped>
line,
polyline {
  fill: none;
  vector-effect: non-scaling-stroke;
  stroke-linecap: round;
}

.meant {
  stroke: var(--ink-soft);
  stroke-width: 3px;
  stroke-dasharray: 2 7;
}

.fine {
  stroke: var(--home);
  stroke-width: 2.5px;
  opacity: 0.85;
}

.slight {
  stroke: var(--slight);
  stroke-width: 4px;
}

.off {
  stroke: var(--off);
  stroke-width: 5px;
}

.unsure {
  stroke: #7b766c;
  stroke-width: 2.5px;
  stroke-dasharray: 2 5;
}

.other {
  stroke: #9a9488;
  stroke-width: 1.5px;
  stroke-dasharray: 1 4;
}

.aim {
  stroke: var(--off);
  stroke-width: 1.6px;
  stroke-dasharray: 9 6;
}

.should {
  stroke: var(--point);
  stroke-width: 1.6px;
  stroke-dasharray: 2 5;
}

.missing {
  stroke: #55585e;
  stroke-width: 2.5px;
  stroke-dasharray: 10 7;
}

.pointed {
  stroke-width: 8px;
  opacity: 1;
}

.estimate {
  fill: rgb(44 85 144 / 15%);
  stroke: var(--point);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}

.number circle {
  fill: var(--off);
}

.number text {
  fill: #fff;
  font-weight: 700;
  text-anchor: middle;
}
</style>
