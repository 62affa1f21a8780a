<script setup lang="ts">
import { computed, ref } from 'vue';
import { useLibrary } from '../../stores/library.ts';
import { useTogether } from '../../stores/together.ts';
import CheckBox from '../fields/CheckBox.vue';

/** Which projects are cut together: the chosen ones first, then the others as they are listed. */
const emit = defineEmits<{ choose: [id: string, on: boolean] }>();
const library = useLibrary();
const together = useTogether();
const search = ref('');
const SHOWN = 12;
const all = ref(false);

/** In the order of the list, so that nothing jumps away under the pointer. */
const found = computed(() => {
  const wanted = search.value.trim().toLowerCase();
  return library.projects.filter((p) => `${p.name} ${p.blank.name}`.toLowerCase().includes(wanted));
});
const shown = computed(() =>
  all.value || search.value ? found.value : found.value.filter((p, i) => i < SHOWN || together.chosen.includes(p.id)),
);
const leftOut = (id: string): string | undefined => together.output?.leftOut.find((one) => one.projectId === id)?.why;
const failing = (id: string): number => together.output?.failing.find((one) => one.projectId === id)?.count ?? 0;
const isChosen = (id: string): boolean => together.chosen.includes(id);
</script>

<template>
  <section aria-label="Projects" class="mb-3">
    <BFormInput
      v-if="library.projects.length > SHOWN"
      v-model="search"
      type="search"
      size="sm"
      class="mb-2"
      placeholder="Find a project"
      aria-label="Find a project"
    />
    <p v-if="library.loaded && library.projects.length === 0" class="quiet">
      No projects yet. <RouterLink :to="{ name: 'projects' }">Start one</RouterLink>, place some artwork, and come back.
    </p>
    <p v-else-if="found.length === 0" class="quiet">No project matches.</p>
    <div v-for="p in shown" :key="p.id" class="one">
      <CheckBox :checked="isChosen(p.id)" @change="emit('choose', p.id, $event)"
        >{{ p.name }} <span class="quiet small">{{ p.blank.name }}</span></CheckBox
      >
      <p v-if="isChosen(p.id) && leftOut(p.id)" class="small note" role="status">
        Left out: {{ leftOut(p.id) }}
        <RouterLink :to="{ name: 'project', params: { id: p.id, stop: 'measure' } }">Open it</RouterLink>
      </p>
      <p v-else-if="isChosen(p.id) && failing(p.id) > 0" class="small note" role="status">
        {{ failing(p.id) === 1 ? 'One thing will fail' : `${failing(p.id)} things will fail` }}:
        <RouterLink :to="{ name: 'project', params: { id: p.id, stop: 'proof' } }">look at its proof</RouterLink>
      </p>
    </div>
    <BButton v-if="!search && !all && found.length > shown.length" variant="link" size="sm" @click="all = true">
      All {{ found.length }} projects
    </BButton>
  </section>
</template>

<style scoped>
.one {
  padding: 0.3rem 0;
}
.note {
  margin: 0 0 0.2rem 1.6rem;
  color: var(--brick);
}
</style>
