<script setup lang="ts">
import { SURFACES, type ShelfBlank, type SurfaceKind } from '@mivet/core';
import { computed, ref, useId, watch } from 'vue';
import { smallPhoto } from '../../data/photo.ts';

/** What a blank on the shelf is called, looks like and costs; its sizes are changed where they are measured. */
const props = defineProps<{ entry: ShelfBlank | null }>();
const emit = defineEmits<{
  close: [];
  keep: [entry: ShelfBlank];
  copy: [entry: ShelfBlank];
  colour: [entry: ShelfBlank];
  file: [entry: ShelfBlank];
  remove: [entry: ShelfBlank];
}>();
const id = useId();
const draft = ref({ name: '', surface: 'glass' as SurfaceKind, colour: '#FFFFFF', price: '', inStock: '', notes: '' });
const photo = ref<string | null>(null);
const problem = ref<string | null>(null);
const sure = ref(false);

watch(
  () => props.entry,
  (entry) => {
    problem.value = null;
    sure.value = false;
    if (!entry) return;
    const { name, surface, colour, notes } = entry.blank;
    draft.value = {
      name,
      surface,
      colour,
      notes,
      price: entry.price === null ? '' : entry.price.toFixed(2),
      inStock: entry.inStock === null ? '' : String(entry.inStock),
    };
    photo.value = entry.photo;
  },
  { immediate: true },
);
const price = computed((): number | null | undefined => {
  const typed = draft.value.price.trim().replace(',', '.');
  if (!typed) return null;
  const value = Number(typed);
  return value >= 0 && value < 1e6 ? value : undefined;
});

async function takePhoto(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  try {
    photo.value = await smallPhoto(file);
    problem.value = null;
  } catch (why) {
    problem.value = why instanceof Error ? why.message : 'That picture could not be read.';
  }
}
/** The entry as it stands on the form; null, with the problem said, when it cannot be kept. */
function drafted(): ShelfBlank | null {
  const { entry } = props;
  const name = draft.value.name.trim().slice(0, 200);
  problem.value = !name
    ? 'A blank needs a name, so that you find it again.'
    : price.value === undefined
      ? `“${draft.value.price.slice(0, 24)}” is not a price: a number, for instance 6.50.`
      : null;
  const many = draft.value.inStock.trim();
  if (!problem.value && many && !/^\d{1,6}$/.test(many))
    problem.value = `“${many.slice(0, 24)}” is no number of blanks: 0, 1, 2 and so on.`;
  if (!entry || problem.value || price.value === undefined) return null;
  const inStock = many ? Number(many) : null;
  const { surface, colour } = draft.value;
  const blank = { ...entry.blank, name, surface, colour, notes: draft.value.notes.slice(0, 5000) };
  return { ...entry, blank, price: price.value, inStock, photo: photo.value, changedAt: new Date().toISOString() };
}
function act(what: 'keep' | 'copy' | 'colour' | 'file'): void {
  const entry = drafted();
  if (!entry) return;
  if (what === 'keep') emit('keep', entry);
  else if (what === 'copy') emit('copy', entry);
  else if (what === 'colour') emit('colour', entry);
  else emit('file', entry);
}
</script>

<template>
  <BModal :model-value="entry !== null" title="On the shelf" centered @hidden="emit('close')">
    <form v-if="entry" :id="`${id}-form`" @submit.prevent="act('keep')">
      <div class="row-line">
        <label :for="`${id}-n`">Name</label>
        <BFormInput :id="`${id}-n`" v-model="draft.name" size="sm" class="wide" maxlength="200" />
      </div>
      <div class="row-line">
        <label :for="`${id}-s`">Surface</label>
        <BFormSelect :id="`${id}-s`" v-model="draft.surface" size="sm" class="w-auto">
          <BFormSelectOption v-for="s in SURFACES" :key="s" :value="s">{{ s }}</BFormSelectOption>
        </BFormSelect>
      </div>
      <div class="row-line">
        <label :for="`${id}-c`">Colour</label>
        <BFormInput :id="`${id}-c`" v-model="draft.colour" type="color" />
      </div>
      <div class="row-line">
        <label :for="`${id}-p`">Cost each</label>
        <BFormInput
          :id="`${id}-p`"
          v-model="draft.price"
          size="sm"
          class="dims number-field"
          inputmode="decimal"
          autocomplete="off"
          placeholder="6.50"
        />
      </div>
      <div class="row-line">
        <label :for="`${id}-i`">In stock</label>
        <BFormInput
          :id="`${id}-i`"
          v-model="draft.inStock"
          size="sm"
          class="dims number-field"
          inputmode="numeric"
          autocomplete="off"
          placeholder="not counted"
        />
      </div>
      <div class="row-line">
        <span>Photograph</span>
        <span class="d-flex align-items-center gap-2">
          <img v-if="photo" :src="photo" alt="The blank as photographed" class="photo" />
          <BButton v-if="photo" variant="link" size="sm" @click="photo = null">Remove</BButton>
          <label class="btn btn-outline-primary btn-sm">
            {{ photo ? 'Another' : 'Choose' }}
            <input
              :id="`${id}-f`"
              type="file"
              accept="image/*"
              class="visually-hidden"
              :aria-label="photo ? 'Another photograph' : 'Photograph'"
              @change="takePhoto"
            />
          </label>
        </span>
      </div>
      <div class="notes">
        <label :for="`${id}-o`">Notes</label>
        <BFormTextarea :id="`${id}-o`" v-model="draft.notes" rows="3" maxlength="5000" />
      </div>
      <p v-if="problem" class="brick" role="alert">{{ problem }}</p>
      <div class="acts">
        <BButton variant="link" size="sm" @click="act('colour')">Other colour</BButton>
        <BButton variant="link" size="sm" @click="act('copy')">Make a copy</BButton>
        <BButton variant="link" size="sm" @click="act('file')">Save to a file</BButton>
        <BButton v-if="!sure" variant="link" size="sm" @click="sure = true">Delete</BButton>
        <BButton v-else variant="link" size="sm" class="brick" @click="emit('remove', entry)">
          Delete from the shelf
        </BButton>
      </div>
    </form>
    <template #footer>
      <BButton variant="outline-primary" @click="emit('close')">Cancel</BButton>
      <BButton variant="primary" type="submit" :form="`${id}-form`">Save</BButton>
    </template>
  </BModal>
</template>

<style scoped>
.wide {
  width: 60%;
}
.photo {
  width: 46px;
  height: 46px;
  object-fit: cover;
  border-radius: 2px;
}
.notes {
  padding: 0.6rem 0;
}
.notes label {
  margin-bottom: 0.3rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 0.9rem;
}
.acts .btn {
  padding-inline: 0;
}
.brick {
  color: var(--brick);
}
</style>
