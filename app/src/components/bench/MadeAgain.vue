<script setup lang="ts">
import { onlyThing } from '@mivet/core';
import { computed } from 'vue';
import { useAnyProject } from '../../stores/any-project.ts';
import { useFiles } from '../../composables/useFiles.ts';
import { useBench } from '../../stores/bench.ts';
import { useProject } from '../../stores/project.ts';
import { useViewModel } from '../../stores/view-model.ts';

/** Things that went wrong and are made again: cut by themselves, at the size they had. */
const bench = useBench();
const project = useProject();
const viewModel = useViewModel();
const files = useFiles();
const change = useAnyProject();
const open = computed(() => bench.run.spoilt.map((one, i) => ({ ...one, i })).filter(({ made }) => !made));
async function cut(thingId: string, index: number): Promise<void> {
  const row = bench.things.find(({ id }) => id === thingId)?.row ?? null;
  const capMm = viewModel.good?.names.find(({ rowId, worded }) => rowId === row && worded)?.capMm ?? null;
  const doc = project.doc!;
  await files.saveOf(onlyThing(doc, row, capMm), `again-${bench.thingName(thingId)}`);
  if (files.failed.value) return;
  await change(doc.id, 'Cut one again', (p) => ({
    ...p,
    bench: { ...p.bench, spoilt: p.bench.spoilt.map((one, i) => (i === index ? { ...one, made: true } : one)) },
  }));
}
</script>

<template>
  <section v-if="open.length > 0" aria-label="Made again">
    <div v-for="one in open" :key="one.i" class="row-line">
      <span
        >{{ bench.thingName(one.thing) }}: <span class="quiet">{{ one.why.toLowerCase() }}</span></span
      >
      <BButton variant="outline-primary" size="sm" :disabled="files.busy.value" @click="cut(one.thing, one.i)"
        >Cut this one again</BButton
      >
    </div>
    <p v-if="files.said.value" class="quiet" role="status">{{ files.said.value }}</p>
  </section>
</template>
