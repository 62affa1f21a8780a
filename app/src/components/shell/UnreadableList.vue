<script setup lang="ts">
import type { Unreadable } from '@mivet/core';
import { ref } from 'vue';
import { fileNameOf, saveFile } from '../../data/save-file.ts';

/** Records that cannot be read: named, kept as they are, each offered as a file. */
defineProps<{ records: readonly Unreadable[] }>();
const emit = defineEmits<{ remove: [record: Unreadable] }>();
const asked = ref<Unreadable | null>(null);

const KIND: Readonly<Record<Unreadable['store'], string>> = {
  projects: 'project',
  shelf: 'blank',
  fonts: 'font',
  motifs: 'motif',
  stock: 'in stock',
  entries: 'entry of the logbook',
  copies: 'kept copy',
};
const save = ({ name, raw }: Unreadable): void => saveFile(`${fileNameOf(name)}.json`, JSON.stringify(raw, null, 2));
function remove(record: Unreadable): void {
  if (asked.value === record) emit('remove', record);
  asked.value = asked.value === record ? null : record;
}
</script>

<template>
  <section v-if="records.length > 0" class="note-bar look" aria-label="What cannot be read">
    <p class="fw-bold">
      {{ records.length === 1 ? 'One record' : `${records.length} records` }} cannot be read by this version. Nothing
      was deleted; a backup carries {{ records.length === 1 ? 'it' : 'them' }} along.
    </p>
    <BListGroup flush>
      <BListGroupItem v-for="(record, i) in records" :key="i" class="record">
        <div>
          <span class="fw-bold">{{ record.name }}</span>
          <span class="quiet small">, {{ KIND[record.store] }}</span>
          <p class="quiet small mb-0">{{ record.why }}</p>
        </div>
        <span class="d-flex gap-2">
          <BButton size="sm" variant="outline-primary" @click="save(record)">Save to a file</BButton>
          <BButton size="sm" variant="link" @click="remove(record)" @blur="asked = null">{{
            asked === record ? 'Yes, delete it' : 'Delete'
          }}</BButton>
        </span>
      </BListGroupItem>
    </BListGroup>
  </section>
</template>

<style scoped>
.record {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem 1.5rem;
  padding: 0.6rem 0;
  background: transparent;
}
</style>
