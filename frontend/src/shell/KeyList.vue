<script setup lang="ts">
/** All the keys, screen by screen. */
import TheDialog from './TheDialog.vue'

const show = defineModel<boolean>('show', { required: true })

const KEYS: { where: string; keys: [string, string][] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['?', 'this list'],
      ['Tab, Enter, Esc', 'go on, choose, close'],
    ],
  },
  {
    where: 'Desk',
    keys: [
      ['Enter on a value', 'type it; Enter again takes it, Esc leaves it'],
      ['Arrow up, down in a value', 'one mark of the ruler more, less'],
      ['Arrows on a handle', 'move it by one mark; with Shift by ten'],
      ['Alt while dragging', 'between the marks of the ruler'],
      ['Shift while pressing a sentence', 'choose it with others; Esc ends it'],
      ['Ctrl Z, Ctrl Y', 'undo, redo'],
      ['Arrow left, right on the steps', 'the step before, the next'],
    ],
  },
  {
    where: 'Show',
    keys: [
      ['Arrow right, space, Page down', 'next: first finish the line, then go on'],
      ['Arrow left, Page up', 'back'],
      ['Arrow down, up', 'where the next part of the work begins, or this one'],
      ['Home, End', 'the first step, the last'],
      ['R', 'draw it again'],
      ['Minus, plus', 'the hand draws more slowly, more quickly'],
      ['S', 'see-through'],
      ['C', 'small work large, or the whole sheet'],
      ['G', 'what comes next, faintly'],
      ['L', 'shade over all but what is new'],
      ['D', 'dark room'],
      ['B or full stop', 'dark screen, and back'],
      ['T', 'how long the class is at this step'],
      ['F', 'full screen'],
      ['Esc', 'close'],
    ],
  },
  {
    where: 'Check',
    keys: [
      ['Arrow down, up', 'the next sheet, the one before'],
      ['N, Shift N', 'the next finding, the one before'],
      ['A, M, X on a finding', 'agree, meant so, not this line'],
      ['Enter (Ctrl Enter in a text)', 'keep the sheet and go on'],
      ['Arrows on a corner', 'move it; with Shift by more'],
    ],
  },
]
</script>

<template>
  <TheDialog v-model:show="show" title="Keys" width="720px">
    <div class="all">
      <section v-for="part in KEYS" :key="part.where">
        <h3>{{ part.where }}</h3>
        <dl>
          <template v-for="[key, does] in part.keys" :key="key">
            <dt>{{ key }}</dt>
            <dd>{{ does }}</dd>
          </template>
        </dl>
      </section>
    </div>
  </TheDialog>
</template>

<style scoped>
.all {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 6px 28px;
}

dl {
  display: grid;
  grid-template-columns: 1fr 1.2fr;
  gap: 4px 12px;
  margin: 4px 0 10px;
}

dt {
  font-weight: 700;
}

dd {
  margin: 0;
}
</style>
