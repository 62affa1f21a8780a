<script setup lang="ts">
import HeldInput from '../fields/HeldInput.vue';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import SaveWords from './SaveWords.vue';

const route = useRoute();
const project = useProject();
const settings = useSettings();
const view = useView();
const inside = computed(() => route.name === 'project' && project.doc !== null);
const places = [
  { name: 'projects', label: 'Projects' },
  { name: 'shelf', label: 'Shelf' },
  { name: 'stock', label: 'Stock' },
  { name: 'my-way', label: 'My way' },
];
const undoLabel = computed(() => project.past.at(-1)?.label ?? 'Nothing to undo');
const redoLabel = computed(() => project.future.at(-1)?.label ?? 'Nothing to redo');

function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, 200);
  if (name) project.edit('Rename', (p) => ({ ...p, name }), 'rename');
  else (event.target as HTMLInputElement).value = project.doc?.name ?? '';
}
</script>

<template>
  <header class="top">
    <RouterLink to="/" class="mark" aria-label="Mivet, all projects">
      <img src="/icon.svg" alt="" width="30" height="30" />
      <span class="word">Mivet</span>
    </RouterLink>
    <nav aria-label="Places">
      <template v-if="inside">
        <RouterLink to="/">Projects</RouterLink>
        <span class="slash" aria-hidden="true">/</span>
        <HeldInput
          class="name"
          :value="project.doc!.name"
          aria-label="Name of the project"
          maxlength="200"
          @change="rename"
          @keydown.enter="($event.target as HTMLInputElement).blur()"
        />
      </template>
      <template v-else>
        <RouterLink
          v-for="p in places"
          :key="p.name"
          :to="{ name: p.name }"
          active-class="here"
          exact-active-class="here"
          >{{ p.label }}</RouterLink
        >
      </template>
    </nav>
    <div class="tools">
      <template v-if="inside">
        <BButton variant="bare" class="plain" :disabled="!project.canUndo" :title="undoLabel" @click="project.undo()">
          Undo
        </BButton>
        <BButton variant="bare" class="plain" :disabled="!project.canRedo" :title="redoLabel" @click="project.redo()">
          Redo
        </BButton>
      </template>
      <div class="choice" role="group" aria-label="Units">
        <BButton variant="bare" :aria-pressed="settings.measured === 'mm'" @click="settings.measured = 'mm'"
          >mm</BButton
        >
        <BButton variant="bare" :aria-pressed="settings.measured === 'in'" @click="settings.measured = 'in'"
          >inch</BButton
        >
      </div>
      <SaveWords v-if="inside" />
      <BButton variant="bare" class="plain help" @click="view.showHelp = true">Help</BButton>
      <BButton variant="bare" class="plain keys" title="Press ? for keys" @click="view.showKeys = true">Keys ?</BButton>
    </div>
  </header>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  gap: 1.25rem;
  height: 44px;
  padding: 0 1.25rem;
  flex: none;
}
.mark {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  color: var(--ink);
  text-decoration: none;
}
.word {
  font-weight: 700;
  font-size: 1.2rem;
}
nav {
  display: flex;
  align-items: center;
  gap: 1.1rem;
  min-width: 0;
  flex: 1;
}
nav a {
  color: var(--ink-2);
  text-decoration: none;
  padding: 0.3rem 0;
  white-space: nowrap;
}
nav a:hover {
  color: var(--ink);
}
nav a.here {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -2px 0 var(--teal);
}
.slash {
  color: var(--ink-2);
  margin: 0 -0.6rem;
}
.name {
  border: 0;
  background: transparent;
  color: var(--ink);
  font-weight: 700;
  min-width: 0;
  flex: 0 1 22rem;
  padding: 0.2rem 0.3rem;
  border-radius: 3px;
  text-overflow: ellipsis;
}
.name:hover {
  background: var(--paper-deep);
}
.tools {
  display: flex;
  align-items: center;
  gap: 1.25rem;
  flex: none;
}
.plain {
  border: 0;
  background: none;
  color: var(--ink-2);
  padding: 0.2rem;
  white-space: nowrap;
}
.plain:hover:not(:disabled) {
  color: var(--ink);
}
.plain:disabled {
  opacity: 0.55;
}
@media (max-width: 860px) {
  .keys,
  .word {
    display: none;
  }
  .top {
    gap: 0.75rem;
    padding: 0 0.75rem;
  }
  .tools {
    gap: 0.75rem;
  }
}
@media (max-width: 560px) {
  .tools .choice,
  .tools .plain,
  .slash,
  nav a:first-child:not(.here):has(~ .name) {
    display: none;
  }
}
</style>
