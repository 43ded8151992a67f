<script setup lang="ts">
/** Two sheets, one under the other, to be compared: each with a caption over it. */
</script>

<template>
  <div class="both">
    <figure>
      <figcaption><slot name="upper-caption" /></figcaption>
      <slot name="upper" />
    </figure>
    <figure>
      <figcaption><slot name="lower-caption" /></figcaption>
      <slot name="lower" />
    </figure>
  </div>
</template>

<style scoped>
.both {
  display: grid;
  gap: 10px;
}

figure {
  margin: 0;
  height: 34vh;
  display: flex;
  flex-direction: column;
  background: var(--desk);
  border-radius: 5px;
  padding: 4px 8px;
}

figcaption {
  height: 31px;
  font-weight: 700;
}

figure :slotted(svg) {
  flex: 1;
  min-height: 0;
}
</style>
