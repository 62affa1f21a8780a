<script setup lang="ts">
import {
  runsLow,
  STARTING_FILMS,
  type Booking,
  type Film,
  type Offcut,
  type StockCutter,
  type StockFilm,
  type StockTape,
  type StockThing,
} from '@mivet/core';
import { computed, ref, shallowRef } from 'vue';
import BookedLines from '../components/stock/BookedLines.vue';
import ChoiceButtons from '../components/fields/ChoiceButtons.vue';
import FilmTable from '../components/stock/FilmTable.vue';
import FilmCard from '../components/stock/FilmCard.vue';
import OffcutBox from '../components/stock/OffcutBox.vue';
import StockEditor from '../components/stock/StockEditor.vue';
import StockLine from '../components/stock/StockLine.vue';
import { bladeWords, cutterWords, tapeWords } from '../components/stock/stock-words.ts';
import { newCutter, newOffcut, newStockFilm, newTape } from '../components/stock/new-stock.ts';
import { tellOf } from '../composables/take-in.ts';
import { saveFile } from '../data/save-file.ts';
import { useLibrary } from '../stores/library.ts';
import { useTold } from '../stores/told.ts';
import { useSettings } from '../stores/settings.ts';
import { useStock } from '../stores/stock.ts';

const stock = useStock();
const library = useLibrary();
const settings = useSettings();
const search = ref('');
const onlyLow = ref(false);
const told = useTold();
const edited = shallowRef<StockThing | null>(null);
const isNew = ref(false);
const SHOWS = [
  { value: 'cards', label: 'Cards' },
  { value: 'table', label: 'Table' },
] as const;
const today = new Date().toISOString().slice(0, 10);

const nameOf = (thing: StockThing): string =>
  thing.kind === 'film' || thing.kind === 'offcut'
    ? `${thing.film.name} ${thing.film.finish}`
    : thing.kind === 'tape'
      ? thing.name
      : thing.kind === 'cutter'
        ? thing.board.label
        : thing.title;
const shown = computed(() => {
  const words = search.value.trim().toLowerCase().split(/\s+/).filter(Boolean);
  return stock.things.filter((thing) => {
    const text = `${nameOf(thing)} ${thing.kind === 'booking' ? '' : thing.notes}`.toLowerCase();
    return words.every((word) => text.includes(word)) && (!onlyLow.value || runsLow(thing));
  });
});
const byName = (a: StockThing, b: StockThing): number =>
  nameOf(a).localeCompare(nameOf(b), undefined, { numeric: true });
const films = computed(() => shown.value.filter((t): t is StockFilm => t.kind === 'film').sort(byName));
const offcuts = computed(() =>
  shown.value
    .filter((t): t is Offcut => t.kind === 'offcut')
    .sort((a, b) => byName(a, b) || b.lengthMm * b.widthMm - a.lengthMm * a.widthMm),
);
const tapes = computed(() => shown.value.filter((t): t is StockTape => t.kind === 'tape').sort(byName));
const cutters = computed(() =>
  shown.value
    .filter((t): t is StockCutter => t.kind === 'cutter')
    .sort((a, b) => a.board.lengthMm * a.board.widthMm - b.board.lengthMm * b.board.widthMm),
);
const bookings = computed(() =>
  stock.things.filter((t): t is Booking => t.kind === 'booking').sort((a, b) => b.at.localeCompare(a.at)),
);
const low = computed(() => stock.things.filter(runsLow).length);
const knownFilms = computed<Film[]>(() => {
  const all = [
    ...stock.supply.films.map(({ film }) => film),
    ...stock.supply.offcuts.map(({ film }) => film),
    ...STARTING_FILMS,
  ];
  return [...new Map(all.map((film) => [film.id, film])).values()];
});
const counted = computed(() =>
  library.shelf
    .filter((b) => b.inStock !== null)
    .sort((a, b) => a.blank.name.localeCompare(b.blank.name, undefined, { numeric: true })),
);

function edit(thing: StockThing, fresh = false): void {
  edited.value = thing;
  isNew.value = fresh;
}
/** What was entered stays on the screen until it is kept. */
async function keep(thing: StockThing): Promise<void> {
  if (await stock.keep([thing])) edited.value = null;
}
async function remove(id: string): Promise<void> {
  if (await stock.remove(id)) edited.value = null;
}
async function undo(booking: Booking): Promise<void> {
  told.tell((await stock.unbook(booking)) ?? `“${booking.title}” is taken back; the film is on the shelf again.`);
}
async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (file) await tellOf(file);
}
async function saveTable(): Promise<void> {
  const { writeStockCsv } = await import('@mivet/core/tables');
  saveFile('mivet-stock.csv', writeStockCsv([...stock.things].sort(byName)));
  told.tell('Written: mivet-stock.csv. Cutters and what was booked are not in a table.');
}
</script>

<template>
  <div class="page">
    <header>
      <h1>Stock</h1>
      <BFormInput
        v-if="stock.things.length > 5"
        v-model="search"
        type="search"
        class="search"
        placeholder="Find film, tape, a cutter"
        aria-label="Find in the stock"
      />
      <BButton v-if="low > 0" variant="outline-primary" :aria-pressed="onlyLow" @click="onlyLow = !onlyLow">
        {{ onlyLow ? 'Show everything' : `${low} running low` }}
      </BButton>
    </header>
    <p class="quiet">
      What lies on your shelf. Loads are planned from it, offcuts first, and a job that is cut is booked off it.
    </p>
    <p v-if="stock.refused" class="note-bar look">
      This browser does not let Mivet keep the stock: it is gone when the page is closed. Save it as a table.
    </p>

    <section aria-labelledby="films">
      <div class="head">
        <h2 id="films" class="grow">Films</h2>
        <ChoiceButtons
          v-if="films.length > 1"
          :value="settings.stockShows"
          :options="SHOWS"
          label="How films are shown"
          @choose="settings.stockShows = $event"
        />
        <BButton variant="primary" size="sm" @click="edit(newStockFilm(), true)">Add film</BButton>
      </div>
      <p v-if="stock.loaded && films.length === 0 && !search && !onlyLow" class="quiet">
        Nothing is noted yet. Add the first roll or pack of sheets; until then a plan takes film to be there.
      </p>
      <FilmTable
        v-if="settings.stockShows === 'table' && films.length > 1"
        :films="films"
        :unit="settings.unit"
        :today="today"
        empty="None of these."
        @change="edit"
      />
      <div v-else class="films">
        <FilmCard v-for="f in films" :key="f.id" :film="f" :unit="settings.unit" :today="today" @change="edit(f)" />
      </div>
    </section>

    <section aria-labelledby="offcuts">
      <div class="head">
        <h2 id="offcuts">Offcuts</h2>
        <BButton variant="outline-primary" size="sm" @click="edit(newOffcut(knownFilms[0]!), true)">
          Add offcut
        </BButton>
      </div>
      <p v-if="offcuts.length === 0" class="quiet">
        {{ search || onlyLow ? 'None of these.' : 'None. What a booked job leaves over lands here.' }}
      </p>
      <OffcutBox v-else :offcuts="offcuts" :unit="settings.unit" :today="today" @change="edit" />
    </section>

    <div class="two">
      <section aria-labelledby="tapes">
        <div class="head">
          <h2 id="tapes">Tapes</h2>
          <BButton variant="outline-primary" size="sm" @click="edit(newTape(), true)">Add tape</BButton>
        </div>
        <p v-if="tapes.length === 0" class="quiet">None is noted.</p>
        <StockLine
          v-for="t in tapes"
          :key="t.id"
          :name="t.name"
          :quiet="t.uses > 1 ? `${t.tack}, used ${t.uses} times` : t.tack"
          :left="`${tapeWords(t, settings.unit)}${runsLow(t) ? ': low' : ''}`"
          :low="runsLow(t)"
          @change="edit(t)"
        />
      </section>
      <section aria-labelledby="cutters">
        <div class="head">
          <h2 id="cutters">Cutters</h2>
          <BButton variant="outline-primary" size="sm" @click="edit(newCutter(), true)"> Add cutter </BButton>
        </div>
        <p v-if="cutters.length === 0" class="quiet">None is noted; the usual boards are offered at Cut.</p>
        <StockLine
          v-for="c in cutters"
          :key="c.id"
          :name="c.board.label"
          :quiet="cutterWords(c, settings.unit)"
          :left="bladeWords(c, settings.unit)"
          :low="c.bladeMm >= c.bladeLastsMm"
          @change="edit(c)"
        />
      </section>
      <section aria-labelledby="blanks">
        <div class="head">
          <h2 id="blanks">Blanks</h2>
          <RouterLink v-if="counted.length > 0" :to="{ name: 'shelf' }" class="btn btn-link btn-sm"
            >Count them on the shelf</RouterLink
          >
        </div>
        <p v-if="counted.length === 0" class="quiet">
          Not counted yet. <RouterLink :to="{ name: 'shelf' }">On the shelf</RouterLink>, change a blank and note how
          many are in stock.
        </p>
        <div v-for="b in counted" :key="b.blank.id" class="row-line">
          <span>{{ b.blank.name }}</span>
          <span class="dims" :class="{ brick: b.inStock === 0 }">{{ b.inStock === 0 ? 'none left' : b.inStock }}</span>
        </div>
      </section>
      <section aria-labelledby="booked">
        <div class="head"><h2 id="booked">Booked</h2></div>
        <p v-if="bookings.length === 0" class="quiet">
          Nothing yet. At Cut, press <strong>Book it</strong> when a job is cut.
        </p>
        <BookedLines :bookings="bookings" @undo="undo" />
      </section>
    </div>

    <section class="files" aria-label="Files">
      <label class="btn btn-outline-primary">
        Import a table
        <input type="file" accept=".csv,.json,text/csv,application/json" class="visually-hidden" @change="bringIn" />
      </label>
      <BButton v-if="stock.things.length > 0" variant="link" @click="saveTable"> Save as a table </BButton>
    </section>
    <StockEditor
      :thing="edited"
      :films="knownFilms"
      :unit="settings.unit"
      :is-new="isNew"
      :cutters="stock.supply.cutters"
      @close="edited = null"
      @keep="keep"
      @remove="remove"
    />
  </div>
</template>

<style scoped>
.page {
  max-width: 1180px;
  margin: 0 auto;
  padding: 1.75rem 1.5rem 3rem;
}
header,
.head,
.files {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem 1rem;
}
h1 {
  flex: 1;
  margin: 0;
}
h2 {
  font-size: 1.15rem;
  margin: 0;
}
.head {
  margin: 1.6rem 0 0.8rem;
  justify-content: space-between;
}
.grow {
  flex: 1;
}
.search {
  max-width: 17rem;
}
.films {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr));
  gap: 0.9rem;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 440px), 1fr));
  gap: 0 3rem;
}
.files {
  margin-top: 1.75rem;
}
.brick {
  color: var(--brick);
}
</style>
