<script setup lang="ts">
import { NButton, NForm, NFormItem, NInput, NPopconfirm } from 'naive-ui'
import { reactive } from 'vue'

import { api, ask } from '@/api/client'
import { useLoad } from '@/shell/useLoad'
import { useSay } from '@/shell/useSay'
import { useSession } from '@/stores/session'

const session = useSession()
const { trying, good } = useSay()
const password = reactive({ old: '', new: '' })
const fresh = reactive({ login: '', name: '', password: '' })
const { data: teachers, reload } = useLoad(async () => (session.who?.is_first ? ask(api.GET('/api/teachers')) : []))

async function change(): Promise<void> {
  if (!(await trying(() => ask(api.POST('/api/password', { body: password }))))) return
  good('The password is changed; other browsers are signed out.')
  Object.assign(password, { old: '', new: '' })
}

async function add(): Promise<void> {
  if (!(await trying(() => ask(api.POST('/api/teachers', { body: fresh }))))) return
  good(`${fresh.name} can sign in now.`)
  Object.assign(fresh, { login: '', name: '', password: '' })
  await reload()
}

async function remove(id: number): Promise<void> {
  await trying(() => ask(api.DELETE('/api/teachers/{teacher_id}', { params: { path: { teacher_id: id } } })))
  await reload()
}
</script>

<template>
  <div class="page two">
    <section>
      <h2>Change the password</h2>
      <NForm @submit.prevent="change">
        <NFormItem label="Present password"
          ><NInput
            v-model:value="password.old"
            type="password"
            placeholder=""
            :input-props="{ 'aria-label': 'Present password', autocomplete: 'current-password' }"
        /></NFormItem>
        <NFormItem label="New password"
          ><NInput
            v-model:value="password.new"
            type="password"
            placeholder="At least 8 characters"
            :input-props="{ 'aria-label': 'New password', autocomplete: 'new-password' }"
        /></NFormItem>
        <NButton attr-type="submit" type="primary" :disabled="!password.old || password.new.length < 8"
          >Change it</NButton
        >
      </NForm>
    </section>
    <section v-if="session.who?.is_first">
      <h2>Teachers</h2>
      <ul>
        <li v-for="t in teachers" :key="t.id">
          <span
            >{{ t.name }} <span class="quiet">{{ t.login }}{{ t.is_demo ? ' (demonstration)' : '' }}</span></span
          >
          <NPopconfirm v-if="!t.is_first" positive-text="Remove" negative-text="Leave" @positive-click="remove(t.id)">
            <template #trigger><button type="button" class="word-button">Remove</button></template>
            Remove {{ t.name }} with all classes, exercises and sheets?
          </NPopconfirm>
        </li>
      </ul>
      <h3>Add a teacher</h3>
      <NForm @submit.prevent="add">
        <NFormItem label="Name"
          ><NInput v-model:value="fresh.name" placeholder="" :input-props="{ 'aria-label': 'Name of the new teacher' }"
        /></NFormItem>
        <NFormItem label="Sign-in name"
          ><NInput
            v-model:value="fresh.login"
            placeholder=""
            :input-props="{ 'aria-label': 'Sign-in name of the new teacher', autocomplete: 'off' }"
        /></NFormItem>
        <NFormItem label="First password"
          ><NInput
            v-model:value="fresh.password"
            type="password"
            placeholder="At least 8 characters"
            :input-props="{ 'aria-label': 'Password of the new teacher', autocomplete: 'new-password' }"
        /></NFormItem>
        <NButton attr-type="submit" :disabled="!fresh.login || !fresh.name || fresh.password.length < 8">Add</NButton>
      </NForm>
    </section>
    <section v-else>
      <h2>Teachers</h2>
      <p v-if="session.who?.is_demo">
        This is the demonstration. Sign out and open an account of your own: the first one may add further teachers.
      </p>
      <p v-else>Further teachers are added by the first teacher.</p>
    </section>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 16px;
  align-items: start;
}

section {
  background: var(--panel);
  border-radius: 8px;
  padding: 18px 22px;
}

h2 {
  margin-bottom: 12px;
}

ul {
  list-style: none;
  padding: 0;
}

li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
</style>
