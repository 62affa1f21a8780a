<script setup lang="ts">
import { useAnyProject } from '../../stores/any-project.ts';
import { useDraft } from '../../composables/useDraft.ts';
import { textOf } from '../../data/file-text.ts';
import {
  BOX_FACES,
  faceOfBox,
  formatLength,
  MOST_NAMES,
  otherFace,
  plainRow,
  type Blank,
  type BoxFace,
  type NameList,
  type NameRow,
} from '@mivet/core';
import { computed, ref, useId } from 'vue';
import { useViewModel } from '../../stores/view-model.ts';
import { useLibrary } from '../../stores/library.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import LengthField from '../fields/LengthField.vue';
import CheckBox from '../fields/CheckBox.vue';
import NameLine from './NameLine.vue';
import RowColumns from './RowColumns.vue';

/** The names that a job is made for: pasted or loaded, fitted to one place, exceptions set by hand. */
const props = defineProps<{ list: NameList }>();
const emit = defineEmits<{ done: [] }>();
const project = useProject();
const changeAny = useAnyProject();
const viewModel = useViewModel();
const settings = useSettings();
const id = useId();
const pasted = useDraft(() => `names ${project.doc?.id ?? ''}`);
const said = ref<string | null>(null);
const handled = computed(() => project.doc!.blank.handleWidthMm > 0);
const fitted = computed(() => new Map((viewModel.good?.names ?? []).map((n) => [n.rowId, n])));
const total = computed(() => props.list.rows.reduce((sum, row) => sum + row.count, 0));
const bad = computed(
  () => (viewModel.good?.names ?? []).filter((n) => n.overMm > 0 || n.missing.length > 0 || !n.made).length,
);

/** Whether every name is fitted as it stands now; nothing is said of them before. */
const allFitted = computed(() => viewModel.current && props.list.rows.every((row) => fitted.value.has(row.id)));
const largestCap = computed(() => Math.max(...[...fitted.value.values()].map((n) => n.capMm), 0));
const inRing = computed(() =>
  project.doc!.items.some((item) => item.id === props.list.itemId && item.type === 'text' && item.ring !== null),
);
/** Words are fitted, or the things of the list are alike but for hand and blank. */
const worded = computed(() => props.list.itemId !== null);
const library = useLibrary();
const onOthers = ref(props.list.rows.some((row) => row.blankId !== null));
/** The job's own blank, those that it knows already, and the rest of the shelf. */
const blanks = computed((): Pick<Blank, 'id' | 'name'>[] => {
  if (!onOthers.value) return [];
  const { blank, otherBlanks, shelfBlankId } = project.doc!;
  const faces = facesOf(blank).filter((face) => !otherBlanks.some(({ id }) => id === face.id));
  const known = new Set([blank.id, shelfBlankId, ...otherBlanks.map((b) => b.id)]);
  const shelf = library.shelf.map((entry) => entry.blank).filter((b) => !known.has(b.id));
  return [blank, ...otherBlanks, ...faces, ...shelf];
});
/** The other faces of a box. */
const facesOf = (blank: Blank): Blank[] =>
  blank.kind !== 'box'
    ? []
    : (Object.keys(BOX_FACES) as BoxFace[]).filter((face) => face !== faceOfBox(blank)).map((face) => otherFace(blank, face)); // prettier-ignore
/** Makes a row on another blank, of which the project keeps its own copy from then on. */
function setBlank(rowId: string, blankId: string): void {
  project.edit('Make it on another blank', (p) => {
    if (!p.names) return p;
    const own = blankId === p.blank.id;
    const rows = p.names.rows.map((row) => (row.id === rowId ? { ...row, blankId: own ? null : blankId } : row));
    const used = new Set(rows.map((row) => row.blankId));
    const shelf = library.shelf.map((entry) => entry.blank);
    const fromShelf = [...facesOf(p.blank), ...shelf].filter((b) => b.id === blankId);
    const all = [...p.otherBlanks, ...fromShelf.filter((b) => !p.otherBlanks.some((o) => o.id === b.id))];
    return { ...p, names: { ...p.names, rows }, otherBlanks: all.filter((b) => used.has(b.id)) };
  });
}

function change(label: string, part: Partial<NameList>, kind = ''): void {
  project.edit(label, (p) => (p.names ? { ...p, names: { ...p.names, ...part } } : p), kind);
}
function changeRow(rowId: string, part: Partial<NameRow>): void {
  change('Change a name', { rows: props.list.rows.map((row) => (row.id === rowId ? { ...row, ...part } : row)) });
}
/** Takes names into the list that was open when they were given. */
async function take(text: string | Promise<string>): Promise<void> {
  const { id, names: list } = project.doc!;
  const { readNames } = await import('@mivet/core/tables');
  const { names, leftOut } = readNames(await text);
  const room = MOST_NAMES - (list?.rows.length ?? 0);
  const rows = names.slice(0, room).map((name) => ({ ...plainRow(crypto.randomUUID(), name.name), ...name }));
  const withRows = (now: NameList): NameList => ({ ...now, rows: [...now.rows, ...rows].slice(0, MOST_NAMES) });
  if (rows.length > 0) await changeAny(id, 'Add names', (p) => ({ ...p, names: p.names && withRows(p.names) }));
  const out = [
    ...leftOut.slice(0, 3).map(({ line, why }) => `Line ${line}: ${why}.`),
    ...(leftOut.length > 3 ? [`${leftOut.length - 3} more lines were left out.`] : []),
    ...(names.length > room ? [`A list takes ${MOST_NAMES} names; ${names.length - room} were left out.`] : []),
  ];
  said.value = [rows.length === 1 ? 'One name added.' : `${rows.length} names added.`, ...out].join(' ');
}
function another(): void {
  const called = `${project.doc!.blank.name} ${props.list.rows.length + 1}`;
  change('Add one', { rows: [...props.list.rows, plainRow(crypto.randomUUID(), called)] });
}
async function add(): Promise<void> {
  const text = pasted.value;
  pasted.value = '';
  await take(text).catch((problem: unknown) => {
    pasted.value = text;
    throw problem;
  });
}
async function load(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (file) await take(textOf(file));
}
function drop(): void {
  project.edit('Delete the list of names', (p) => ({ ...p, names: null, otherBlanks: [], rowDrawings: [] }));
  emit('done');
}
</script>

<template>
  <div>
    <div class="d-flex align-items-start justify-content-between gap-2">
      <h2>{{ worded ? 'Names' : 'How many of it' }}</h2>
      <BButton variant="link" @click="emit('done')">Done</BButton>
    </div>
    <p class="quiet">
      <template v-if="worded">
        {{ list.rows.length === 1 ? 'One name' : `${list.rows.length} names` }}, {{ total }} to make. Each takes the
        place of the words, and is fitted to it.
      </template>
      <template v-else>{{ total }} to make: each row is one, or as many as it says.</template>
    </p>
    <form v-if="worded" @submit.prevent="add">
      <label class="quiet" :for="`${id}-p`">One per line; a count and a hand may follow</label>
      <BFormTextarea
        :id="`${id}-p`"
        v-model="pasted"
        class="mt-1"
        rows="4"
        :placeholder="handled ? 'Rowan\nIda, 2\nFern, left' : 'Rowan\nIda, 2'"
      />
      <div class="d-flex gap-2 mt-2">
        <BButton variant="primary" type="submit" :disabled="!pasted.trim()">Add names</BButton>
        <label class="btn btn-outline-primary mb-0">
          From a table (CSV)
          <input type="file" accept=".csv,.txt,text/csv,text/plain" class="visually-hidden" @change="load" />
        </label>
      </div>
    </form>
    <p v-if="said" class="quiet small mt-2 mb-0" role="status">{{ said }}</p>
    <template v-if="worded">
      <h3 class="mt-4 mb-1">Their place</h3>
      <p v-if="inRing" class="quiet small mb-1">On a ring each takes what room is left between the words.</p>
      <LengthField
        v-else
        label="Widest name"
        :mm="list.widthMm"
        :unit="settings.unit"
        :least="5"
        :most="2000"
        @change="change('Change the place of names', { widthMm: $event })"
      />
      <LengthField
        v-if="list.heightMm !== undefined && !inRing"
        label="Highest name"
        :mm="list.heightMm"
        :unit="settings.unit"
        :least="2"
        :most="2000"
        @change="change('Change the place of names', { heightMm: $event })"
      />
      <LengthField
        label="Smallest capitals"
        :mm="list.leastCapMm"
        :unit="settings.unit"
        :least="2"
        :most="400"
        @change="change('Change the place of names', { leastCapMm: $event })"
      />
      <LengthField
        label="Tighten letters by at most"
        :mm="list.closeMm"
        :unit="settings.unit"
        :most="20"
        @change="change('Change the place of names', { closeMm: $event })"
      />
      <CheckBox
        class="mt-2"
        :checked="list.sameSize === true"
        @change="change('Set names in one size', { sameSize: $event })"
      >
        All in one size
      </CheckBox>
    </template>
    <RowColumns />
    <template v-if="list.rows.length > 0">
      <p v-if="!allFitted" class="quiet" role="status">Fitting them…</p>
      <div v-else-if="worded || bad > 0" class="note-bar" :class="bad > 0 ? 'fails' : 'fine'">
        <p v-if="bad > 0">
          {{ bad === 1 ? 'One does' : `${bad} do` }} not fit, or cannot be made as it stands: each says why below.
        </p>
        <p v-else>All fit. The largest capitals are {{ formatLength(largestCap, settings.unit) }} high.</p>
      </div>
      <ul class="lines">
        <NameLine
          v-for="row in list.rows"
          :key="row.id"
          :row="row"
          :fitted="fitted.get(row.id) ?? null"
          :handled="handled"
          :hand="project.doc!.hand"
          :unit="settings.unit"
          :blanks="blanks"
          @blank="setBlank(row.id, $event)"
          @change="changeRow(row.id, $event)"
          @remove="change('Delete a name', { rows: list.rows.filter((r) => r.id !== row.id) })"
        />
      </ul>
      <div class="d-flex flex-wrap gap-2 mt-2">
        <BButton v-if="!worded && list.rows.length < MOST_NAMES" variant="outline-primary" size="sm" @click="another">
          Add one
        </BButton>
        <BButton
          v-if="(library.shelf.length > 0 || project.doc!.blank.kind === 'box') && !onOthers"
          variant="outline-primary"
          size="sm"
          @click="onOthers = true"
        >
          Some on another blank
        </BButton>
      </div>
    </template>
    <BButton variant="link" class="text-brick mt-3 p-0" @click="drop">
      {{ worded ? 'Make it for one name only' : 'Make only one' }}
    </BButton>
  </div>
</template>

<style scoped>
.lines {
  list-style: none;
  padding: 0;
  margin: 0.6rem 0 0;
}
.text-brick {
  color: var(--brick);
}
</style>
