<script setup lang="ts">
/** How often each finding came up, pile by pile: what to teach again. */
import { computed } from 'vue'

import type { ClassRecord } from '@/api/types'

const props = defineProps<{ record: ClassRecord }>()
const most = computed(() => Math.max(1, ...props.record.findings.flatMap((f) => f.counts)))
</script>

<template>
  <section class="bars" aria-label="Findings over time">
    <h2>What came up, pile by pile</h2>
    <table>
      <thead>
        <tr>
          <th />
          <th v-for="(pile, i) in record.piles" :key="i">{{ pile }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="f in record.findings" :key="f.code">
          <th scope="row">{{ f.title }}</th>
          <td v-for="(n, i) in f.counts" :key="i">
            <span class="bar" :style="{ width: `${(n / most) * 120}px` }" /> {{ n }} {{ n === 1 ? 'sheet' : 'sheets' }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.bars {
  background: var(--panel);
  border-radius: 8px;
  padding: 12px 16px;
  margin-bottom: 14px;
}

table {
  border-collapse: collapse;
  margin-top: 4px;
}

th {
  text-align: left;
  font-weight: 400;
  padding: 3px 24px 3px 0;
}

thead th {
  font-weight: 700;
}

td {
  padding: 3px 24px 3px 0;
  white-space: nowrap;
}

.bar {
  display: inline-block;
  height: 13px;
  margin-right: 8px;
  vertical-align: middle;
  background: repeating-linear-gradient(115deg, var(--accent) 0 3px, #c9805f 3px 6px);
}
</style>
