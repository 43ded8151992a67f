<script setup lang="ts">
import { NAlert, NButton, NForm, NFormItem, NInput } from 'naive-ui'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import { api, ask, ProblemError } from '@/api/client'
import type { Who } from '@/api/types'
import { useLoad } from '@/shell/useLoad'
import { useSession } from '@/stores/session'

const session = useSession()
const route = useRoute()
const router = useRouter()
const { data: door } = useLoad(() => ask(api.GET('/api/door')))
const login = ref('')
const password = ref('')
const name = ref('')
const isNew = ref(false)
const failure = ref('')
const busy = ref(false)
const then = computed(() => {
  const wanted = String(route.query.then ?? '/today')
  return wanted.startsWith('/') && !wanted.startsWith('//') ? wanted : '/today'
})

async function enter(call: () => Promise<Who>): Promise<void> {
  busy.value = true
  try {
    session.who = await call()
    await router.replace(then.value)
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    failure.value = error.message
  } finally {
    busy.value = false
  }
}

function signIn(): Promise<void> {
  const body = { login: login.value, password: password.value }
  if (isNew.value)
    return enter(() => ask(api.POST('/api/sign-in/first', { body: { ...body, name: name.value || login.value } })))
  return enter(() => ask(api.POST('/api/sign-in', { body })))
}

const asDemo = (): Promise<void> => enter(() => ask(api.POST('/api/sign-in/demo')))
</script>

<template>
  <div class="door">
    <section class="card">
      <svg viewBox="0 0 340 120" class="sign" aria-hidden="true">
        <path d="M10 42H330" class="level" />
        <path d="M40 104V70H108V104ZM108 70 170 42 40 70M108 104 170 42" class="guide" />
        <path d="M40 104V70H108V104ZM40 70 88 59H139L108 70M139 59V76L108 104" class="dark" />
        <circle cx="170" cy="42" r="5" class="point" />
      </svg>
      <h1>Orthopsis</h1>
      <p class="quiet">The perspective desk for art lessons: plan, show, print, check, keep.</p>
      <NAlert v-if="failure" type="error" :show-icon="false" class="gap">{{ failure }}</NAlert>
      <template v-if="door?.demo && !isNew">
        <NButton type="primary" block size="large" :loading="busy" @click="asDemo"
          >Look around as the demo teacher</NButton
        >
        <p class="quiet small">A made-up harbour school with classes, exercises and sheets. No password needed.</p>
      </template>
      <NForm class="gap" @submit.prevent="signIn">
        <NFormItem v-if="isNew" label="Your name" :show-feedback="false">
          <NInput
            v-model:value="name"
            placeholder="As it is shown"
            :input-props="{ autocomplete: 'name', 'aria-label': 'Your name' }"
          />
        </NFormItem>
        <NFormItem label="Sign-in name" :show-feedback="false">
          <NInput
            v-model:value="login"
            placeholder=""
            :input-props="{ autocomplete: 'username', name: 'login', 'aria-label': 'Sign-in name' }"
          />
        </NFormItem>
        <NFormItem label="Password" :show-feedback="false">
          <NInput
            v-model:value="password"
            type="password"
            :placeholder="isNew ? 'At least 8 characters' : ''"
            :input-props="{
              autocomplete: isNew ? 'new-password' : 'current-password',
              name: 'password',
              'aria-label': 'Password',
            }"
          />
        </NFormItem>
        <NButton
          attr-type="submit"
          block
          :type="door?.demo && !isNew ? 'default' : 'primary'"
          :disabled="!login || !password"
        >
          {{ isNew ? 'Open the first account' : 'Sign in' }}
        </NButton>
      </NForm>
      <button v-if="door?.first" type="button" class="word-button" @click="isNew = !isNew">
        {{ isNew ? 'Back to signing in' : 'Open an account of your own' }}
      </button>
    </section>
  </div>
</template>

<style scoped>
.door {
  min-height: 100%;
  display: grid;
  place-items: center;
  padding: 20px;
}

.card {
  width: min(420px, 100%);
  background: var(--panel);
  border-radius: 8px;
  padding: 26px 30px;
  box-shadow: 1px 2px 8px rgb(60 50 30 / 25%);
}

.sign {
  width: 100%;
  margin-bottom: 4px;
}

.sign path {
  fill: none;
}

.level {
  stroke: var(--ink);
}

.guide {
  stroke: var(--point);
  stroke-dasharray: 7 4;
}

.dark {
  stroke: var(--ink);
  stroke-width: 2.4;
  stroke-linejoin: round;
}

.point {
  fill: var(--panel);
  stroke: var(--point);
  stroke-width: 2;
}

.gap {
  display: grid;
  gap: 10px;
  margin: 14px 0 8px;
}

.small {
  font-size: 14px;
  margin: 6px 0 0;
}

p {
  margin: 4px 0 14px;
}
</style>
