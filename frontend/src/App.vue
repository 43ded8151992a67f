<script setup lang="ts">
import { NConfigProvider, NDialogProvider, NGlobalStyle, NMessageProvider } from 'naive-ui'

import TopBar from './shell/TopBar.vue'
import { themeOverrides } from './theme/theme'
</script>

<template>
  <NConfigProvider :theme-overrides="themeOverrides" inline-theme-disabled class="fill">
    <NGlobalStyle />
    <NMessageProvider placement="bottom" :duration="5000">
      <NDialogProvider>
        <div class="shell fill">
          <TopBar v-if="!$route.meta.bare" />
          <main :class="$route.meta.tight ? 'tight' : 'loose'"><RouterView /></main>
        </div>
      </NDialogProvider>
    </NMessageProvider>
  </NConfigProvider>
</template>

<style scoped>
.fill {
  height: 100%;
}

.shell {
  display: flex;
  flex-direction: column;
}

main {
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
