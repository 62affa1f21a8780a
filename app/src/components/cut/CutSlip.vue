<script setup lang="ts">
import TermWord from '../terms/TermWord.vue';
import FoldOut from '../fields/FoldOut.vue';
import type { StripViewModel, Allocation } from '@mivet/core';
import { formatArea, formatFar, formatShort, formatSize } from '@mivet/core';
import { computed, ref } from 'vue';
import { useBoards } from '../../composables/useBoards.ts';
import { useFiles } from '../../composables/useFiles.ts';
import { useCutter } from '../../stores/cutter.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { usePlan } from '../../stores/plan.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useStock } from '../../stores/stock.ts';
import { useView } from '../../stores/view.ts';
import { askCore } from '../../workers/core-client.ts';
import CheckBox from '../fields/CheckBox.vue';
import HowMany from './HowMany.vue';
import BookingRow from './BookingRow.vue';
import CloserRow from './CloserRow.vue';
import CostFields from './CostFields.vue';
import CutExtras from './CutExtras.vue';
import CutterSlip from './CutterSlip.vue';
import StackSlip from './StackSlip.vue';
import { timeWords } from './cutter-words.ts';
import SelectRow from '../fields/SelectRow.vue';

const viewModel = useViewModel();
const plan = usePlan();
const project = useProject();
const settings = useSettings();
const stock = useStock();
const files = useFiles();
const view = useView();
const cutter = useCutter();
const sendProblem = ref<string | null>(null);

const sheet = computed(() => plan.sheet);
const strips = computed(() => plan.strips);
const totals = computed(() => ({
  pieces: (sheet.value?.needs ?? []).reduce((sum, n) => sum + n.pieces, 0),
  area: (sheet.value?.needs ?? []).reduce((sum, n) => sum + n.areaMm2, 0) / 100,
  taken: (sheet.value?.usage.films ?? []).reduce((sum, f) => sum + f.areaMm2, 0) / 100,
  metres: strips.value.reduce((sum, s) => sum + s.cutMm, 0) / 1000,
  seconds: strips.value.reduce((sum, s) => sum + s.seconds, 0),
}));
const loads = computed(() => sheet.value?.plan.loads.length ?? 0);
const boards = useBoards();
const title = computed(() => {
  if (viewModel.awaited) return 'Planning the loads…';
  if (viewModel.instead) return 'No loads';
  return loads.value === 0 ? 'No load yet' : loads.value === 1 ? 'One load' : `${loads.value} loads`;
});
const filmName = (filmId: string): string => project.doc!.films.find((f) => f.id === filmId)?.name ?? filmId;
const noMark = computed(() => [...new Set(strips.value.filter((s) => s.noMark).map((s) => filmName(s.film)))]);
const fails = computed(() => viewModel.open.filter((f) => f.finding.severity === 'fails').length);
const covered = computed(
  () =>
    sheet.value?.needs.filter(
      ({ film }) =>
        film.finish === 'metallised' || stock.supply.films.some((l) => l.film.id === film.id && l.coverSheet),
    ) ?? [],
);
const born = computed(() => sheet.value?.usage.born ?? []);
const hasOffcuts = computed(() =>
  stock.things.some((t) => t.kind === 'offcut' && sheet.value?.needs.some(({ film }) => film.id === t.film.id)),
);

/** How the chosen cutter is set for these films, as it was noted. */
const howSet = computed(() => {
  const own = stock.supply.cutters.find(({ board }) => board.id === project.doc!.boardId);
  return (sheet.value?.needs ?? []).flatMap(({ film }) => {
    const lot = stock.supply.films.find((l) => l.film.id === film.id && l.settings.some((s) => s.cutter === own?.id));
    const words = lot?.settings.find((s) => s.cutter === own?.id)?.words;
    return words ? [{ film: film.name, words }] : [];
  });
});

const area = (cm2: number): string => formatArea(100 * cm2, settings.unit);
const length = (m: number): string => formatFar(1000 * m, settings.unit, 1);
const mm = (v: number): string => formatShort(v, settings.unit);
const size = (a: number, b: number): string => formatSize(a, b, settings.unit);
const stripSize = (s: StripViewModel): string => size(s.to - s.from, s.across);
const onlyPart = (s: StripViewModel): string => (s.parts.length === 1 ? s.parts[0]!.part : '');
const partWords = (s: StripViewModel): string =>
  s.parts.length > 1 ? `${s.parts.length} parts` : onlyPart(s).replace(/-/g, ' ');
/** Where the film of a strip comes from, in words. */
function fromWords(s: StripViewModel): string {
  const own = strips.value.filter((one) => one.load === s.load);
  const allocated = sheet.value?.usage.strips.find((t: Allocation) => t.load === s.load && t.strip === own.indexOf(s));
  switch (allocated?.from.kind) {
    case 'roll':
      return `cut ${mm(allocated.lengthMm)} off the roll`;
    case 'sheet':
      return 'from a sheet';
    case 'offcut':
      return 'from an offcut';
    case 'rest':
      return 'from the rest of it';
    default:
      return '';
  }
}
function setBoard(boardId: string): void {
  settings.boardId = boardId;
  project.edit('Change the board', (p) => ({ ...p, boardId }));
}
/** Sends all loads as they would be written, and goes along to the cutter. */
async function send(): Promise<void> {
  sendProblem.value = null;
  try {
    const doc = await viewModel.changesMade();
    const options = { ...settings.cutting, mirrored: files.mirrored.value };
    const supply = stock.supplyFor(doc);
    const made = await askCore('send', {
      project: doc,
      limits: settings.limits,
      learnt: settings.learnt,
      supply,
      options,
    });
    if (project.doc?.id === doc.id) view.cutShows = 'cutter';
    await cutter.send(made);
  } catch (problem) {
    sendProblem.value = `Nothing was sent: ${problem instanceof Error ? problem.message : String(problem)}`;
  }
}
</script>

<template>
  <CutterSlip v-if="view.cutShows === 'cutter'" @loads="view.cutShows = 'loads'" />
  <StackSlip v-else-if="view.cutShows === 'stack'" />
  <div v-else>
    <h2>{{ title }}</h2>
    <p v-if="!viewModel.awaited && !viewModel.instead" class="quiet">
      {{ totals.pieces }} {{ totals.pieces === 1 ? 'piece' : 'pieces' }}, {{ sheet?.needs.length ?? 0 }}
      {{ sheet?.needs.length === 1 ? 'film' : 'films' }}, {{ length(totals.metres) }} of cutting
    </p>
    <HowMany />
    <SelectRow label="Cutter takes" wide :value="project.doc!.boardId" :options="boards" @change="setBoard" />
    <div v-for="s in strips" :key="`${s.load} ${s.film} ${s.lot}`" class="row-line strip">
      <span
        >{{ filmName(s.film) }}<span v-if="partWords(s)" class="quiet">, {{ partWords(s) }}</span>
        <span v-if="fromWords(s)" class="quiet small d-block">{{ fromWords(s) }}</span></span
      >
      <span class="dims">{{ stripSize(s) }}</span>
    </div>
    <template v-if="sheet && totals.pieces > 0">
      <div class="row-line">
        <span>Film used</span><span class="dims">{{ area(totals.taken) }}</span>
      </div>
      <div class="row-line">
        <span>Film on the blank</span><span class="dims">{{ area(totals.area) }}</span>
      </div>
      <div class="row-line">
        <span><TermWord term="weed" shown="Weeded away" /></span
        ><span class="dims">{{ ((1 - sheet.use) * 100).toFixed(0) }} %</span>
      </div>
      <div v-if="born.length > 0" class="row-line">
        <span>Offcuts to keep</span
        ><span class="dims">{{
          born.length === 1 ? size(born[0]!.lengthMm, born[0]!.widthMm) : `${born.length} offcuts`
        }}</span>
      </div>
      <div class="row-line">
        <span>Cutting time</span><span class="dims">about {{ timeWords(totals.seconds) }}</span>
      </div>
      <CheckBox v-if="hasOffcuts" class="mt-2" :checked="settings.useOffcuts" @change="settings.useOffcuts = $event"
        >Offcuts first</CheckBox
      >
    </template>
    <CloserRow />
    <div v-for="large in sheet?.plan.tooLarge ?? []" :key="`${large.film} ${large.longMm}`" class="note-bar fails">
      <p class="fw-bold">{{ filmName(large.film) }} does not fit</p>
      <p>
        It takes {{ formatSize(large.longMm, large.shortMm, settings.unit) }} in one; the board is
        {{ formatSize(sheet!.plan.board.lengthMm, sheet!.plan.board.widthMm, settings.unit) }} and keeps
        {{ formatShort(sheet!.plan.board.marginMm, settings.unit) }} free all round. It is left out of the files; choose
        a larger board.
      </p>
    </div>
    <div v-if="fails > 0" class="note-bar fails">
      <p class="fw-bold">{{ fails === 1 ? 'One thing will fail' : `${fails} things will fail` }}</p>
      <p>
        <RouterLink :to="{ name: 'project', params: { id: project.doc!.id, stop: 'proof' } }"
          >Look at the proof</RouterLink
        >
        before you cut.
      </p>
    </div>
    <div v-for="n in covered" :key="n.film.id" class="note-bar look">
      <p class="fw-bold">Peel the cover sheet off {{ n.film.name }}</p>
      <p>Metallised film often has a clear sheet on top. It comes off before cutting.</p>
    </div>
    <div v-if="totals.pieces > 0" class="note-bar">
      <p class="fw-bold">Before the whole load</p>
      <p v-for="s in howSet" :key="s.film" class="mb-1">{{ s.film }}: {{ s.words }}.</p>
      <p>Cut one small test. Lift a corner of it: if it does not come clean, add pressure, not speed.</p>
    </div>
    <CutExtras v-if="strips.length > 0" v-model:mirrored="files.mirrored.value" :no-mark="noMark" />
    <div class="d-flex flex-wrap gap-2 mt-3">
      <BButton
        variant="primary"
        :disabled="files.busy.value || plan.watching || strips.length === 0"
        @click="files.save('cut')"
      >
        Write cut files
      </BButton>
      <BButton
        v-if="cutter.link === 'live' || cutter.known"
        variant="outline-primary"
        :disabled="cutter.busy || plan.watching || strips.length === 0"
        @click="send"
      >
        Send to the cutter
      </BButton>
      <BButton
        variant="outline-primary"
        :disabled="files.busy.value || plan.watching || strips.length === 0"
        @click="files.save('all')"
      >
        Whole job as ZIP
      </BButton>
    </div>
    <p v-if="strips.length > 0" class="mt-2 mb-0">
      <RouterLink :to="{ name: 'together', query: { projects: project.doc!.id } }"
        >Cut it with other projects</RouterLink
      >
    </p>
    <p v-if="sendProblem" class="mt-2" role="status">{{ sendProblem }}</p>
    <p v-if="files.said.value" class="mt-2" role="status">{{ files.said.value }}</p>
    <FoldOut v-if="strips.length > 1" title="One film at a time" class="mt-2">
      <BButton
        v-for="s in strips"
        :key="`${s.load} ${s.film} ${s.lot}`"
        variant="link"
        class="d-block"
        @click="files.save('cut', s.file)"
      >
        {{ filmName(s.film) }}{{ partWords(s) && `, ${partWords(s)}` }}, load {{ s.load }}
      </BButton>
    </FoldOut>
    <template v-if="strips.length > 0">
      <CostFields class="mt-2" />
      <BookingRow />
    </template>
  </div>
</template>
