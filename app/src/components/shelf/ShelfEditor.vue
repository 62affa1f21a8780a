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
      price: entry.price === null ? '' : String(entry.price),
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
        <input :id="`${id}-n`" v-model="draft.name" class="form-control form-control-sm wide" maxlength="200" />
      </div>
      <div class="row-line">
        <label :for="`${id}-s`">Surface</label>
        <select :id="`${id}-s`" v-model="draft.surface" class="form-select form-select-sm w-auto">
          <option v-for="s in SURFACES" :key="s" :value="s">{{ s }}</option>
        </select>
      </div>
      <div class="row-line">
        <label :for="`${id}-c`">Colour</label>
        <input :id="`${id}-c`" v-model="draft.colour" type="color" class="form-control form-control-color" />
      </div>
      <div class="row-line">
        <label :for="`${id}-p`">Cost each</label>
        <input
          :id="`${id}-p`"
          v-model="draft.price"
          class="form-control form-control-sm dims number-field"
          inputmode="decimal"
          autocomplete="off"
          placeholder="6.50"
        />
      </div>
      <div class="row-line">
        <label :for="`${id}-i`">In stock</label>
        <input
          :id="`${id}-i`"
          v-model="draft.inStock"
          class="form-control form-control-sm dims number-field"
          inputmode="numeric"
          autocomplete="off"
          placeholder="not counted"
        />
      </div>
      <div class="row-line">
        <span>Photograph</span>
        <span class="d-flex align-items-center gap-2">
          <img v-if="photo" :src="photo" alt="The blank as photographed" class="photo" />
          <button v-if="photo" type="button" class="btn btn-link btn-sm" @click="photo = null">Remove</button>
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
        <textarea :id="`${id}-o`" v-model="draft.notes" class="form-control" rows="3" maxlength="5000" />
      </div>
      <p v-if="problem" class="brick" role="alert">{{ problem }}</p>
      <div class="acts">
        <button type="button" class="btn btn-link btn-sm" @click="act('colour')">Other colour</button>
        <button type="button" class="btn btn-link btn-sm" @click="act('copy')">Make a copy</button>
        <button type="button" class="btn btn-link btn-sm" @click="act('file')">Save to a file</button>
        <button v-if="!sure" type="button" class="btn btn-link btn-sm" @click="sure = true">Delete</button>
        <button v-else type="button" class="btn btn-link btn-sm brick" @click="emit('remove', entry)">
          Delete from the shelf
        </button>
      </div>
    </form>
    <template #footer>
      <button type="button" class="btn btn-outline-primary" @click="emit('close')">Cancel</button>
      <button type="submit" :form="`${id}-form`" class="btn btn-primary">Keep</button>
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
