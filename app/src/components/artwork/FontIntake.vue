<script setup lang="ts">
import { FORMAT_VERSION, type OwnFont, type Provenance } from '@mivet/core';
import { computed, ref, useId } from 'vue';
import type { IncomingFont } from '../../stores/incoming.ts';
import SourceFields from './SourceFields.vue';

/** A font of one's own on its way in: how it looks, what it lacks, and where it is from. */
const props = defineProps<{ incoming: IncomingFont }>();
const emit = defineEmits<{ keep: [font: OwnFont]; leave: [] }>();
const id = useId();
const name = ref(props.incoming.name);
const said = ref<Provenance>({ source: '', rights: 'unsure' });
const view = computed(() => {
  const { minX, minY, maxX, maxY } = props.incoming.sample.box;
  return `${minX - 1} ${-maxY - 1} ${maxX - minX + 2} ${maxY - minY + 2}`;
});
function keep(): void {
  emit('keep', {
    format: 'mivet-font',
    version: FORMAT_VERSION,
    id: `own-${crypto.randomUUID()}`,
    name: name.value.trim().slice(0, 80) || 'My font',
    source: said.value.source.trim(),
    rights: said.value.rights,
    data: props.incoming.data,
    keptAt: new Date().toISOString(),
  });
}
</script>

<template>
  <section aria-labelledby="font-intake">
    <h2 id="font-intake">Import a font</h2>
    <svg :viewBox="view" class="sample" role="img" aria-label="Heron 27, set in this font">
      <path :d="incoming.sample.data" fill="currentColor" fill-rule="nonzero" />
    </svg>
    <p class="quiet">
      {{
        incoming.sample.joined
          ? 'Its small letters touch: a word is cut in one piece.'
          : 'Each letter is a piece of its own.'
      }}
    </p>
    <div v-if="incoming.sample.lacks.length > 0" class="note-bar look">
      <p class="fw-bold">It lacks {{ incoming.sample.lacks.slice(0, 24).join(' ') }}</p>
      <p>Words with these cannot be cut in it; Proof says so when it happens.</p>
    </div>
    <div class="row-line">
      <label :for="`${id}-n`">Name</label>
      <BFormInput :id="`${id}-n`" v-model="name" size="sm" class="w-50" maxlength="80" />
    </div>
    <SourceFields :said="said" what="font" @change="said = $event" />
    <p class="quiet small mt-2">
      The font stays in this browser, goes with your backups, and with every project file that needs it.
    </p>
    <div class="d-flex flex-wrap gap-2 mt-3">
      <BButton variant="primary" @click="keep">Add the font</BButton>
      <BButton variant="outline-primary" @click="emit('leave')">Cancel</BButton>
    </div>
  </section>
</template>

<style scoped>
.sample {
  width: 100%;
  max-height: 110px;
  background: var(--sheet);
  color: var(--on-sheet);
  border: 1px solid var(--hairline);
  border-radius: 3px;
  padding: 0.75rem;
  margin: 0.4rem 0;
}
</style>
