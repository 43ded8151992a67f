<script setup lang="ts">
import { NDropdown } from 'naive-ui'
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import { useSession } from '@/stores/session'

import KeyList from './KeyList.vue'

const session = useSession()
const route = useRoute()
const router = useRouter()
const views = ['today', 'desk', 'show', 'print', 'check', 'register']
const here = computed(() => route.path.split('/')[1])
const exercise = computed(() => (['desk', 'show', 'print'].includes(here.value ?? '') ? route.params.id : undefined))
const keys = ref(false)
const choices = [
  { label: 'Keys', key: 'keys' },
  { label: 'Account and teachers', key: 'account' },
  { label: 'Sign out', key: 'out' },
]

useEventListener('keydown', (event) => {
  const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
  if (event.key === '?' && !typing && !event.ctrlKey && !event.metaKey) keys.value = true
})

function target(view: string): string {
  return exercise.value && ['desk', 'show', 'print'].includes(view) ? `/${view}/${exercise.value}` : `/${view}`
}

async function choose(key: string): Promise<void> {
  if (key === 'keys') return void (keys.value = true)
  if (key === 'account') return void router.push('/account')
  await session.signOut()
  await router.push('/sign-in')
}
</script>

<template>
  <header class="bar">
    <RouterLink to="/today" class="name">Orthopsis</RouterLink>
    <nav aria-label="Views">
      <RouterLink
        v-for="view in views"
        :key="view"
        :to="target(view)"
        :class="{ here: here === view }"
        :aria-current="here === view ? 'page' : undefined"
      >
        {{ view[0]!.toUpperCase() + view.slice(1) }}
      </RouterLink>
    </nav>
    <div id="bar-side" class="side" />
    <NDropdown :options="choices" trigger="click" @select="choose">
      <button class="who" type="button">{{ session.who?.name ?? 'Account' }}</button>
    </NDropdown>
    <KeyList v-model:show="keys" />
  </header>
</template>

<style scoped>
.bar {
  --focus: var(--accent-on-dark);

  display: flex;
  align-items: stretch;
  gap: 18px;
  height: 50px;
  flex: none;
  padding: 0 18px;
  background: var(--graphite);
  color: var(--on-graphite);
}

.name {
  align-self: center;
  font-size: 18px;
  font-weight: 700;
  color: var(--on-graphite);
  text-decoration: none;
}

nav {
  display: flex;
}

nav a {
  display: flex;
  align-items: center;
  padding: 3px 13px 0;
  color: var(--on-graphite-soft);
  text-decoration: none;
  border-bottom: 3px solid transparent;
}

nav a:hover {
  color: #fff;
}

nav a.here {
  color: #fff;
  border-bottom-color: var(--accent-on-dark);
}

.side {
  flex: 1;
  min-width: 0;
  display: flex;
  align-items: center;
  justify-content: flex-end;
  gap: 10px;
  color: var(--on-graphite-soft);
  font-size: 14px;
  white-space: nowrap;
}

.who {
  align-self: center;
  background: none;
  border: 1px solid #59606a;
  border-radius: 5px;
  padding: 4px 12px;
  color: var(--on-graphite);
  cursor: pointer;
  white-space: nowrap;
}

@media (max-width: 1100px) {
  .bar {
    gap: 8px;
    padding: 0 10px;
  }

  nav a {
    padding: 3px 8px 0;
  }
}

@media (max-width: 860px) {
  .bar {
    flex-wrap: wrap;
    height: auto;
    min-height: 50px;
  }

  nav {
    min-height: 44px;
  }

  .side {
    flex-basis: 100%;
    order: 1;
    justify-content: flex-start;
  }
}
</style>
