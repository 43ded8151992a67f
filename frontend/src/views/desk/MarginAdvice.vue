<script setup lang="ts">
/** In the margin: where the drawing will look wrong or be hard to draw, with numbers and cures. */
import { computed, ref } from 'vue'

import type { Act, Advice } from '@/api/types'
import { useExercise } from '@/stores/exercise'

import OnTrial from './OnTrial.vue'
import { useTrial } from './useTrial'

const props = defineProps<{ chosen: string }>()
const emit = defineEmits<{ choose: [about: string] }>()
const exercise = useExercise()
const trial = ref<InstanceType<typeof OnTrial>>()
const tryAct = useTrial(trial)
const whys = ref(new Set<string>())
const advice = computed(() => {
  const all = exercise.drawing?.advice ?? []
  return [...all].sort((a, b) => Number(b.about === props.chosen) - Number(a.about === props.chosen))
})
const counts = computed(() => {
  const sums = new Map<string, number>()
  for (const s of exercise.drawing?.steps ?? [])
    if (s.phase === 'guides') sums.set(s.thing, (sums.get(s.thing) ?? 0) + s.count)
  return [...sums].map(([thing, count]) => ({ thing, count }))
})
const minutes = computed(() => Math.round((exercise.drawing?.steps ?? []).reduce((sum, s) => sum + s.minutes, 0)))

/** Show what a cure would make of the drawing, beside the present one. */
async function compare(a: Advice, cure: Advice['cures'][number]): Promise<void> {
  const act: Act = cure.is_sought ? { op: 'seek', code: a.code, about: a.about } : { op: 'cure', edits: cure.edits }
  await tryAct(act, cure.text, 'As it would be')
}

const key = (a: Advice): string => `${a.code}:${a.about}`

function toggle(a: Advice): void {
  const next = new Set(whys.value)
  if (!next.delete(key(a))) next.add(key(a))
  whys.value = next
}
</script>

<template>
  <aside class="margin" aria-label="In the margin">
    <article v-for="a in advice" :key="key(a)" :class="{ chosen: a.about === chosen }" @click="emit('choose', a.about)">
      <p>{{ a.text }}</p>
      <p v-if="whys.has(key(a))" class="quiet">{{ a.why }}</p>
      <div class="doors">
        <button v-for="c in a.cures" :key="c.text" type="button" class="cure" @click.stop="compare(a, c)">
          {{ c.text }}
        </button>
        <span v-if="!a.cures.length" class="quiet">{{ a.cure }}.</span>
        <button type="button" class="word-button" :aria-expanded="whys.has(key(a))" @click.stop="toggle(a)">Why</button>
      </div>
    </article>
    <OnTrial ref="trial" />
    <article v-if="!advice.length" class="good"><p>Nothing here will look wrong or be hard to draw.</p></article>
    <article v-if="counts.length" class="counts">
      <p class="quiet">Light lines to the points</p>
      <p v-for="c in counts" :key="c.thing">
        <strong>{{ c.count }}</strong> for {{ c.thing }}
      </p>
    </article>
    <article v-if="exercise.drawing" class="counts">
      <p class="quiet">All steps</p>
      <p>
        <strong>{{ minutes }}</strong> minutes of drawing
      </p>
    </article>
  </aside>
</template>

<style scoped>
.margin {
  padding: 8px 14px 20px;
}

article {
  padding: 10px 0 8px;
  border-bottom: 1px solid var(--line);
}

article.chosen {
  box-shadow:
    -14px 0 0 var(--panel),
    -18px 0 0 var(--accent);
}

p {
  margin: 0 0 4px;
}

.doors {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}

.cure {
  background: var(--accent);
  color: #fff;
  font-weight: 700;
  font-size: 14px;
  line-height: 1.3;
  border: 0;
  border-radius: 5px;
  padding: 7px 11px;
  cursor: pointer;
  text-align: left;
}

.cure:hover {
  background: #a83c17;
}

.counts strong {
  font-size: 20px;
}
</style>
