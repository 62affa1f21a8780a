<script setup lang="ts">
import type { BenchNote } from '@mivet/core';
import { ref } from 'vue';
import { clockWords } from '../../composables/clock-words.ts';
import { useDraft } from '../../composables/useDraft.ts';
import { useKeptPhotoUrls } from '../../composables/useKeptPhotos.ts';

/** Notes of a step with their photographs, and a place for the next one. */
const props = defineProps<{
  notes: readonly BenchNote[];
  add: (text: string, file: File | null) => Promise<void>;
  /** What they are notes of. */
  of: string;
}>();
const emit = defineEmits<{ forget: [id: string] }>();
const text = useDraft(() => `note ${props.of}`);
const open = ref(text.value !== '');
const file = ref<File | null>(null);
const problem = ref<string | null>(null);
const busy = ref(false);
const urls = useKeptPhotoUrls(() => props.notes.map(({ photo }) => photo));

function choose(event: Event): void {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null;
}
function close(): void {
  text.value = '';
  file.value = null;
  open.value = false;
}
async function keep(): Promise<void> {
  busy.value = true;
  problem.value = null;
  try {
    await props.add(text.value.trim(), file.value);
    close();
  } catch (why) {
    problem.value = why instanceof Error ? why.message : String(why);
  }
  busy.value = false;
}
</script>

<template>
  <section class="notes" aria-label="Notes">
    <div v-for="note in notes" :key="note.id" class="note">
      <img v-if="note.photo && urls[note.photo]" :src="urls[note.photo]" :alt="note.text || 'Photograph'" />
      <p>
        <span class="dims">{{ clockWords(note.at) }}</span> {{ note.text }}
        <BButton variant="link" size="sm" class="p-0" @click="emit('forget', note.id)">Delete</BButton>
      </p>
    </div>
    <BButton v-if="!open" variant="link" class="p-0 add" @click="open = true">Note or photograph</BButton>
    <form v-else @submit.prevent="keep">
      <BFormTextarea
        v-model="text"
        rows="2"
        maxlength="2000"
        aria-label="Note"
        placeholder="What is worth knowing next time"
      />
      <label class="btn btn-outline-primary">
        {{ file ? file.name : 'Photograph' }}
        <input type="file" accept="image/*" capture="environment" class="visually-hidden" @change="choose" />
      </label>
      <BButton type="submit" variant="primary" :disabled="busy || (text.trim() === '' && !file)">Keep</BButton>
      <BButton variant="link" @click="close">Cancel</BButton>
      <p v-if="problem" role="alert">{{ problem }}</p>
    </form>
  </section>
</template>

<style scoped>
.notes {
  margin: 1rem 0;
}
.note {
  display: flex;
  gap: 0.75rem;
  align-items: flex-start;
}
img {
  width: 96px;
  border: 1px solid var(--hairline);
}
.add {
  min-height: 44px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
form textarea {
  flex-basis: 100%;
}
</style>
