<script setup lang="ts">
import ChoiceButtons from '../fields/ChoiceButtons.vue';
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
/** Apart from the rest, so that nothing else that changes draws the header anew. */
const name = computed(() => project.doc?.name ?? '');
const inside = computed(() => route.name === 'project' && project.doc !== null);
const places = [
  { name: 'today', label: 'Today' },
  { name: 'projects', label: 'Projects' },
  { name: 'shelf', label: 'Shelf' },
  { name: 'stock', label: 'Stock' },
  { name: 'calendar', label: 'Calendar' },
  { name: 'logbook', label: 'Logbook' },
  { name: 'practice', label: 'Practice' },
  { name: 'my-way', label: 'My way' },
];
const UNITS = [
  { value: 'mm', label: 'mm' },
  { value: 'in', label: 'inch' },
] as const;
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
    <RouterLink to="/" class="mark" aria-label="Mivet, home">
      <img src="/icon.svg" alt="" width="30" height="30" />
      <span class="word">Mivet</span>
    </RouterLink>
    <component :is="inside ? 'div' : 'nav'" class="places" :aria-label="inside ? undefined : 'Places'">
      <BBreadcrumb v-if="inside" class="crumbs">
        <BBreadcrumbItem to="/projects" class="up">Projects</BBreadcrumbItem>
        <BBreadcrumbItem active>
          <HeldInput
            class="name"
            :value="name"
            aria-label="Name of the project"
            maxlength="200"
            @change="rename"
            @keydown.enter="($event.target as HTMLInputElement).blur()"
          />
        </BBreadcrumbItem>
      </BBreadcrumb>
      <BNav v-else class="all">
        <BNavItem v-for="p in places" :key="p.name" :to="{ name: p.name }" active-class="here">{{ p.label }}</BNavItem>
      </BNav>
    </component>
    <div class="tools">
      <template v-if="inside">
        <BButton
          v-b-tooltip.bottom="undoLabel"
          variant="bare"
          class="plain"
          :disabled="!project.canUndo"
          @click="project.undo()"
        >
          Undo
        </BButton>
        <BButton
          v-b-tooltip.bottom="redoLabel"
          variant="bare"
          class="plain"
          :disabled="!project.canRedo"
          @click="project.redo()"
        >
          Redo
        </BButton>
      </template>
      <ChoiceButtons
        class="units"
        :value="settings.measured"
        :options="UNITS"
        label="Units"
        @choose="settings.measured = $event"
      />
      <SaveWords v-if="inside" />
      <BButton variant="bare" class="plain help" @click="view.showHelp = true">Help</BButton>
      <BButton v-b-tooltip.bottom="'Press ? for keys'" variant="bare" class="plain keys" @click="view.showKeys = true"
        >Keys ?</BButton
      >
      <BDropdown variant="bare" class="menu" toggle-class="plain" no-caret placement="bottom-end">
        <template #button-content><IBiThreeDots role="img" aria-label="Menu" /></template>
        <template v-if="inside">
          <BDropdownItem :disabled="!project.canUndo" @click="project.undo()">
            {{ project.canUndo ? `Undo: ${undoLabel}` : undoLabel }}
          </BDropdownItem>
          <BDropdownItem :disabled="!project.canRedo" @click="project.redo()">
            {{ project.canRedo ? `Redo: ${redoLabel}` : redoLabel }}
          </BDropdownItem>
          <BDropdownDivider />
        </template>
        <BDropdownItem v-for="p in places" :key="p.name" :to="{ name: p.name }">{{ p.label }}</BDropdownItem>
        <BDropdownDivider />
        <BDropdownItem :active="settings.measured === 'mm'" @click="settings.measured = 'mm'">
          Work in mm
        </BDropdownItem>
        <BDropdownItem :active="settings.measured === 'in'" @click="settings.measured = 'in'">
          Work in inches
        </BDropdownItem>
        <BDropdownDivider />
        <BDropdownItem @click="view.showHelp = true">Help</BDropdownItem>
      </BDropdown>
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
.places {
  display: flex;
  align-items: center;
  gap: 1.1rem;
  min-width: 0;
  flex: 1;
}
.crumbs {
  flex: 1;
  min-width: 0;
}
.all {
  gap: 1.1rem;
  flex-wrap: nowrap;
}
.all :deep(a) {
  color: var(--ink-2);
  padding: 0.3rem 0;
  white-space: nowrap;
}
.all :deep(a:hover) {
  color: var(--ink);
}
.all :deep(a.here) {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -2px 0 var(--teal);
}
.crumbs :deep(a) {
  color: var(--ink-2);
  text-decoration: none;
}
.crumbs :deep(a:hover) {
  color: var(--ink);
}
.crumbs :deep(.breadcrumb) {
  flex-wrap: nowrap;
  align-items: center;
  margin: 0;
}
.crumbs :deep(.breadcrumb-item.active) {
  display: flex;
  align-items: center;
  flex: 0 1 24rem;
  min-width: 0;
}
.menu {
  display: none;
}
.name {
  border: 0;
  background: transparent;
  color: var(--ink);
  font-weight: 700;
  min-width: 0;
  width: 100%;
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
@media print {
  .top {
    display: none;
  }
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
  .units,
  .tools > .plain,
  .crumbs :deep(.up) {
    display: none;
  }
  .crumbs :deep(.breadcrumb-item.active)::before {
    display: none;
  }
  .places {
    overflow-x: auto;
    scrollbar-width: none;
  }
  .menu {
    display: block;
  }
  .menu :deep(.plain) {
    min-width: 44px;
    min-height: 44px;
    font-size: 1.3rem;
  }
}
</style>
