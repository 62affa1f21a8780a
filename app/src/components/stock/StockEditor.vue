<script setup lang="ts">
import {
  MM_PER_FOOT,
  FILM_FINISHES,
  TACKS,
  thicknessOf,
  type Film,
  type Offcut,
  type StockCutter,
  type StockFilm,
  type StockTape,
  type StockThing,
  type Units,
} from '@mivet/core';
import { computed, ref, shallowRef, useId, watch } from 'vue';
import CheckBox from '../fields/CheckBox.vue';
import ChoiceRow from '../fields/ChoiceRow.vue';
import LengthField from '../fields/LengthField.vue';
import NumberRow from '../fields/NumberRow.vue';
import SelectRow from '../fields/SelectRow.vue';
import TextRow from '../fields/TextRow.vue';

/** One thing of the stock, to be put in, changed or taken off. */
const props = defineProps<{
  thing: StockThing | null;
  /** Films that have a name already. */
  films: readonly Film[];
  unit: Units;
  isNew: boolean;
  cutters: readonly StockCutter[];
}>();
const emit = defineEmits<{ close: []; keep: [thing: StockThing]; remove: [id: string] }>();
const id = useId();
/** What a blade's way is told in. */
const far = computed(() => (props.unit === 'mm' ? { mm: 1000, unit: 'm' } : { mm: MM_PER_FOOT, unit: 'ft' }));
const draft = shallowRef<StockThing | null>(null);
const sure = ref(false);
const problem = ref<string | null>(null);
watch(
  () => props.thing,
  (thing) => {
    draft.value = thing;
    sure.value = false;
    problem.value = null;
  },
  { immediate: true },
);
const film = computed(() => (draft.value?.kind === 'film' ? draft.value : null));
const offcut = computed(() => (draft.value?.kind === 'offcut' ? draft.value : null));
const tape = computed(() => (draft.value?.kind === 'tape' ? draft.value : null));
const cutter = computed(() => (draft.value?.kind === 'cutter' ? draft.value : null));
const withFilm = computed(() => film.value ?? offcut.value);
type Some = Partial<StockFilm> & Partial<Offcut> & Partial<StockTape> & Partial<StockCutter>;
const set = (what: Omit<Some, 'kind'>): void => {
  draft.value = { ...draft.value!, ...what } as StockThing;
};
const setBoard = (what: Partial<StockCutter['board']>): void => set({ board: { ...cutter.value!.board, ...what } });
/** A film by its name: one that is known, or a new one. */
function setName(name: string): void {
  const known = props.films.find((f) => f.name.toLowerCase() === name.trim().toLowerCase());
  set({ film: known ?? { ...withFilm.value!.film, id: crypto.randomUUID(), name: name.trim() } });
}
const setFilm = (what: Partial<Film>): void => set({ film: { ...withFilm.value!.film, ...what } });
/** How a cutter is set for the film, in the person's own words. */
const setFor = (cutterId: string): string => film.value?.settings.find((s) => s.cutter === cutterId)?.words ?? '';
function setSettings(cutterId: string, words: string): void {
  const rest = (film.value?.settings ?? []).filter((s) => s.cutter !== cutterId);
  set({ settings: words.trim() ? [...rest, { cutter: cutterId, words: words.trim() }] : rest });
}
const TITLES = { film: 'Film', offcut: 'Offcut', tape: 'Transfer tape', cutter: 'Cutter', booking: '' } as const;
const FINISHES = FILM_FINISHES.map((value) => ({ value, label: value }));
const TACK_LIST = TACKS.map((value) => ({ value, label: value }));
const FORMS = [
  { value: 'roll', label: 'Roll' },
  { value: 'sheet', label: 'Sheets' },
] as const;
const money = (typed: string): number | null | undefined => {
  const value = Number(typed.trim().replace(',', '.'));
  return typed.trim() === '' ? null : value >= 0 && value < 1e6 ? value : undefined;
};
function setPrice(typed: string): void {
  const value = money(typed);
  problem.value = value === undefined ? `“${typed.slice(0, 24)}” is not a price: a number, for instance 6.50.` : null;
  if (value !== undefined) set(offcut.value ? { worth: value } : { price: value });
}
function keep(): void {
  const thing = draft.value;
  if (!thing) return;
  const name = withFilm.value?.film.name ?? tape.value?.name ?? cutter.value?.board.label ?? '';
  if (!name.trim()) problem.value = 'It needs a name, so that you find it again.';
  if (problem.value === null || name.trim()) {
    if (!name.trim()) return;
    emit('keep', thing);
  }
}
</script>

<template>
  <BModal :model-value="thing !== null" :title="thing ? TITLES[thing.kind] : ''" centered @hidden="emit('close')">
    <form v-if="draft" :id="`${id}-form`" @submit.prevent="keep">
      <template v-if="withFilm">
        <TextRow label="Name" :value="withFilm.film.name" :list="`${id}-names`" @change="setName" />
        <datalist :id="`${id}-names`"><option v-for="f in films" :key="f.id" :value="f.name" /></datalist>
        <TextRow label="Colour" type="color" :value="withFilm.film.colour" @change="setFilm({ colour: $event })" />
        <SelectRow
          label="Finish"
          :value="withFilm.film.finish"
          :options="FINISHES"
          @change="setFilm({ finish: $event, thicknessMm: thicknessOf($event) })"
        />
      </template>
      <template v-if="film">
        <ChoiceRow
          says="Comes as"
          :value="film.form"
          :options="FORMS"
          label="Sheets or a roll"
          @choose="set({ form: $event })"
        />
        <LengthField
          label="Width"
          :mm="film.widthMm"
          :unit="unit"
          :least="10"
          :most="3000"
          @change="set({ widthMm: $event })"
        />
        <template v-if="film.form === 'roll'">
          <LengthField
            label="Left on the roll"
            :mm="film.lengthMm"
            :unit="unit"
            :most="200000"
            @change="
              set({
                lengthMm: $event,
                count: $event > 0 ? 1 : 0,
                boughtLengthMm: Math.max(film!.boughtLengthMm, $event),
              })
            "
          />
          <LengthField
            label="Length when bought"
            :mm="film.boughtLengthMm"
            :unit="unit"
            :least="1"
            :most="200000"
            @change="set({ boughtLengthMm: $event })"
          />
        </template>
        <template v-else>
          <LengthField
            label="Length"
            :mm="film.lengthMm"
            :unit="unit"
            :least="10"
            :most="3000"
            @change="set({ lengthMm: $event, boughtLengthMm: $event })"
          />
          <NumberRow label="Sheets left" :value="film.count" whole :most="100000" @change="set({ count: $event })" />
        </template>
        <TextRow
          :label="film.form === 'roll' ? 'Cost of the roll' : 'Cost of a sheet'"
          :value="film.price === null ? '' : film.price.toFixed(2)"
          @change="setPrice"
        />
        <LengthField
          v-if="film.form === 'roll'"
          label="Warn when under"
          :mm="film.lowAt ?? 0"
          :unit="unit"
          :most="100000"
          hint="0: no warning"
          @change="set({ lowAt: $event > 0 ? $event : null })"
        />
        <NumberRow
          v-else
          label="Warn when under, sheets"
          :value="film.lowAt ?? 0"
          whole
          :most="10000"
          @change="set({ lowAt: $event > 0 ? $event : null })"
        />
      </template>
      <template v-if="offcut">
        <LengthField
          label="Length"
          :mm="offcut.lengthMm"
          :unit="unit"
          :least="5"
          :most="5000"
          @change="set({ lengthMm: $event, outline: null })"
        />
        <LengthField
          label="Width"
          :mm="offcut.widthMm"
          :unit="unit"
          :least="5"
          :most="3000"
          @change="set({ widthMm: $event, outline: null })"
        />
        <p v-if="offcut.outline" class="quiet small mb-0">
          Kept by its true outline; with a length and width typed in it becomes a rectangle.
        </p>
      </template>
      <template v-if="withFilm">
        <TextRow
          label="Bought on"
          type="date"
          :value="withFilm.boughtOn ?? ''"
          @change="set({ boughtOn: $event || null })"
        />
        <CheckBox class="mt-2" :checked="withFilm.directional" @change="set({ directional: $event })"
          >It has a direction, so it is not turned a quarter</CheckBox
        >
        <CheckBox v-if="film" :checked="film.coverSheet" @change="set({ coverSheet: $event })"
          >A clear sheet lies over it that comes off before cutting</CheckBox
        >
      </template>
      <template v-if="tape">
        <TextRow label="Name" :value="tape.name" @change="set({ name: $event.trim() })" />
        <SelectRow label="Tack" :value="tape.tack" :options="TACK_LIST" @change="set({ tack: $event })" />
        <LengthField
          label="Width"
          :mm="tape.widthMm"
          :unit="unit"
          :least="5"
          :most="3000"
          @change="set({ widthMm: $event })"
        />
        <LengthField
          label="Left on the roll"
          :mm="tape.lengthMm"
          :unit="unit"
          :most="500000"
          @change="set({ lengthMm: $event, boughtLengthMm: Math.max(tape!.boughtLengthMm, $event) })"
        />
        <LengthField
          label="Length when bought"
          :mm="tape.boughtLengthMm"
          :unit="unit"
          :least="1"
          :most="500000"
          @change="set({ boughtLengthMm: $event })"
        />
        <TextRow
          label="Cost of the roll"
          :value="tape.price === null ? '' : tape.price.toFixed(2)"
          @change="setPrice"
        />
        <NumberRow
          label="A piece is used, times"
          :value="tape.uses"
          whole
          :least="1"
          :most="100"
          @change="set({ uses: $event })"
        />
        <LengthField
          label="Warn when under"
          :mm="tape.lowAt ?? 0"
          :unit="unit"
          :most="100000"
          hint="0: no warning"
          @change="set({ lowAt: $event > 0 ? $event : null })"
        />
      </template>
      <template v-if="cutter">
        <TextRow label="Name" :value="cutter.board.label" @change="setBoard({ label: $event.trim() })" />
        <CheckBox :checked="cutter.onBoard" @change="set({ onBoard: $event })">It cuts on a carrier board</CheckBox>
        <LengthField
          label="Takes, across"
          :mm="cutter.board.widthMm"
          :unit="unit"
          :least="20"
          :most="5000"
          @change="setBoard({ widthMm: $event })"
        />
        <LengthField
          label="Takes, along"
          :mm="cutter.board.lengthMm"
          :unit="unit"
          :least="20"
          :most="100000"
          @change="setBoard({ lengthMm: $event })"
        />
        <LengthField
          label="Margin of the board"
          :mm="cutter.board.marginMm"
          :unit="unit"
          :most="100"
          hint="The blade never gets there"
          @change="setBoard({ marginMm: $event })"
        />
        <LengthField
          label="Gap between parts"
          :mm="cutter.board.gapMm"
          :unit="unit"
          :most="100"
          @change="setBoard({ gapMm: $event })"
        />
        <NumberRow
          :label="unit === 'mm' ? 'Speed, mm a second' : 'Speed, inches a second'"
          :value="unit === 'mm' ? cutter.pace.cutMmS : Math.round((cutter.pace.cutMmS / 25.4) * 100) / 100"
          :least="unit === 'mm' ? 1 : 0.04"
          :most="unit === 'mm' ? 5000 : 196"
          @change="set({ pace: { ...cutter!.pace, cutMmS: unit === 'mm' ? $event : 25.4 * $event } })"
        />
        <NumberRow
          :label="`Blade use, ${far.unit}`"
          :value="Math.round(cutter.bladeMm / far.mm)"
          :most="1000000"
          @change="set({ bladeMm: far.mm * $event })"
        />
        <NumberRow
          :label="`Blade life, ${far.unit}`"
          :value="Math.round(cutter.bladeLastsMm / far.mm)"
          :least="1"
          :most="1000000"
          @change="set({ bladeLastsMm: far.mm * $event })"
        />
      </template>
      <TextRow
        v-for="c in film ? cutters : []"
        :key="c.id"
        :label="`Settings on ${c.board.label}`"
        :value="setFor(c.id)"
        @change="setSettings(c.id, $event)"
      />
      <TextRow
        v-if="draft.kind !== 'booking'"
        label="Notes"
        :value="draft.notes"
        :most="5000"
        @change="set({ notes: $event })"
      />
      <p v-if="problem" class="brick" role="alert">{{ problem }}</p>
      <div v-if="!isNew" class="mt-2">
        <BButton v-if="!sure" variant="link" size="sm" class="px-0" @click="sure = true">Delete</BButton>
        <BButton v-else variant="link" size="sm" class="px-0 brick" @click="emit('remove', draft.id)">
          Delete for good
        </BButton>
      </div>
    </form>
    <template #footer>
      <BButton variant="outline-primary" @click="emit('close')">Cancel</BButton>
      <BButton variant="primary" type="submit" :form="`${id}-form`">{{ isNew ? 'Add' : 'Save' }}</BButton>
    </template>
  </BModal>
</template>

<style scoped>
.brick {
  color: var(--brick);
}
</style>
