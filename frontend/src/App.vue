<script setup lang="ts">
import { NConfigProvider, NDialogProvider, NGlobalStyle, NMessageProvider } from 'naive-ui'

import { useKeeper } from './keeping/keeper'
import { useKeptFocus } from './shell/keepFocus'
import TopBar from './shell/TopBar.vue'
import { themeOverrides } from './theme/theme'

void useKeeper().resume()
useKeptFocus()

function skip(to: string): void {
  document.getElementById(to)?.focus()
}
</script>

<template>
  <NConfigProvider :theme-overrides="themeOverrides" inline-theme-disabled class="fill">
    <NGlobalStyle />
    <NMessageProvider placement="bottom" :duration="5000">
      <NDialogProvider>
        <div class="shell fill">
          <nav class="skips" aria-label="Ways past the bar">
            <a href="#main" @click.prevent="skip('main')">To what is on this page</a>
            <a v-if="$route.name === 'exercise'" href="#sheet" @click.prevent="skip('sheet')">To the sheet</a>
            <a v-if="$route.name === 'exercise'" href="#margin" @click.prevent="skip('margin')">To the advice</a>
            <a v-if="$route.name === 'exercise'" href="#steps" @click.prevent="skip('steps')">To the steps</a>
          </nav>
          <TopBar v-if="!$route.meta.bare" />
          <main id="main" tabindex="-1" :class="$route.meta.tight ? 'tight' : 'loose'"><RouterView /></main>
        </div>
      </NDialogProvider>
    </NMessageProvider>
  </NConfigProvider>
</template>

<style>
/* What only takes the focus over from what has gone is no place to press: it shows no ring. */
[tabindex='-1']:focus {
  outline: none;
}
</style>

<style scoped>
.fill {
  height: 100%;
}

.shell {
  display: flex;
  flex-direction: column;
}

main {
  outline: none;
  flex: 1;
  min-height: 0;
}

.loose {
  overflow: auto;
}

.tight {
  overflow: hidden;
}
</style>
