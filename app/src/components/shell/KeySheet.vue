<script setup lang="ts">
import { useView } from '../../stores/view.ts';

const view = useView();
const keys = [
  ['1 – 7', 'Go to a stop'],
  ['B', 'Turn the blank so that the selection faces you'],
  ['[  ]', 'Turn the blank 15°'],
  ['S', 'Seam on or off'],
  ['G', 'One-glance zone on or off'],
  ['H', 'Rim, base and handle zones on or off'],
  ['Arrows', 'Nudge 1 mm · with Shift 10 · with Alt 0.1'],
  ['D', 'Select the next copy round the blank'],
  ['Delete', 'Delete the selection'],
  ['Esc', 'Clear the selection'],
  ['Space', 'At the bench: done, next'],
  ['←  →', 'At the bench: back and ahead without a tick'],
  ['W', 'At the bench: went wrong'],
  ['Ctrl Z', 'Undo · with Shift redo'],
  ['?', 'This list'],
];
</script>

<template>
  <BModal v-model="view.showKeys" title="Keys" no-footer centered>
    <dl>
      <template v-for="[key, what] in keys" :key="key">
        <dt class="dims">{{ key }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="mt-3 mb-0">
      What words mean: <RouterLink :to="{ name: 'glossary' }" @click="view.showKeys = false">Glossary</RouterLink>
    </p>
  </BModal>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 6rem 1fr;
  gap: 0.35rem 1rem;
  margin: 0;
}
dd {
  margin: 0;
}
</style>
