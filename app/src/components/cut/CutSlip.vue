<script setup lang="ts">
import { BOARDS, formatLength } from '@mivet/core';
import { computed, ref, useId } from 'vue';
import type { StripPicture } from '../../workers/protocol.ts';
import { useFiles } from '../../composables/useFiles.ts';
import { usePicture } from '../../stores/picture.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useCutter } from '../../stores/cutter.ts';
import { useView } from '../../stores/view.ts';
import { askCore } from '../../workers/core-client.ts';
import CutExtras from './CutExtras.vue';
import CutterSlip from './CutterSlip.vue';
import { timeWords } from './cutter-words.ts';

const picture = usePicture();
const project = useProject();
const settings = useSettings();
const files = useFiles();
const view = useView();
const cutter = useCutter();
const sendProblem = ref<string | null>(null);
const id = useId();
const sheet = computed(() => picture.good?.sheet ?? null);
const totals = computed(() => {
  const needs = sheet.value?.needs ?? [];
  return {
    pieces: needs.reduce((sum, n) => sum + n.pieces, 0),
    metres: strips.value.reduce((sum, s) => sum + s.cutMm, 0) / 1000,
    seconds: strips.value.reduce((sum, s) => sum + s.seconds, 0),
    area: needs.reduce((sum, n) => sum + n.areaMm2, 0) / 100,
  };
});
const loads = computed(() => sheet.value?.plan.loads.length ?? 0);
const strips = computed(() => picture.good?.strips ?? []);
const filmName = (filmId: string): string => project.doc!.films.find((f) => f.id === filmId)?.name ?? filmId;
const noMark = computed(() => [
  ...new Set((picture.good?.strips ?? []).filter((s) => s.noMark).map((s) => filmName(s.film))),
]);
const fails = computed(() => picture.open.filter((f) => f.finding.severity === 'fails').length);
const covered = computed(() => sheet.value?.needs.filter((n) => n.film.finish === 'metallised') ?? []);
const area = (cm2: number): string =>
  settings.unit === 'mm' ? `${cm2.toFixed(0)} cm²` : `${(cm2 / 6.4516).toFixed(1)} in²`;
const length = (m: number): string => (settings.unit === 'mm' ? `${m.toFixed(1)} m` : `${(m / 0.3048).toFixed(1)} ft`);
const stripSize = (s: StripPicture): string => {
  const mm = (v: number): string => formatLength(v, settings.unit).replace(/\.0 mm$/, ' mm');
  return `${mm(s.to - s.from).replace(/ (mm|in)$/, '')} × ${mm(s.across)}`;
};
const onlyPart = (s: StripPicture): string => (s.parts.length === 1 ? s.parts[0]! : '');
const partWords = (s: StripPicture): string =>
  s.parts.length > 1 ? `${s.parts.length} parts` : onlyPart(s).replace(/-/g, ' ');
/** Sends all loads as they would be written, and goes along to the cutter. */
async function send(): Promise<void> {
  sendProblem.value = null;
  try {
    const wish = { ...settings.cutting, mirrored: files.mirrored.value };
    const made = await askCore('send', { project: project.doc!, limits: settings.limits, wish });
    view.cutShows = 'cutter';
    await cutter.send(made);
  } catch (problem) {
    sendProblem.value = `Nothing was sent: ${problem instanceof Error ? problem.message : String(problem)}`;
  }
}
function setBoard(event: Event): void {
  const boardId = (event.target as HTMLSelectElement).value;
  settings.boardId = boardId;
  project.edit('Change the board', (p) => ({ ...p, boardId }));
}
</script>

<template>
  <CutterSlip v-if="view.cutShows === 'cutter'" @loads="view.cutShows = 'loads'" />
  <div v-else>
    <h2>{{ loads === 0 ? 'No load yet' : loads === 1 ? 'One load' : `${loads} loads` }}</h2>
    <p class="quiet">
      {{ totals.pieces }} {{ totals.pieces === 1 ? 'piece' : 'pieces' }}, {{ sheet?.needs.length ?? 0 }}
      {{ sheet?.needs.length === 1 ? 'film' : 'films' }}, {{ length(totals.metres) }} of cutting
    </p>
    <div class="row-line">
      <label :for="`${id}-b`">Cutter takes</label>
      <select :id="`${id}-b`" class="form-select form-select-sm board" :value="project.doc!.boardId" @change="setBoard">
        <option v-for="b in BOARDS" :key="b.id" :value="b.id">{{ b.label }}</option>
      </select>
    </div>
    <div v-for="s in strips" :key="`${s.load} ${s.film}`" class="row-line">
      <span
        >{{ filmName(s.film) }}<span v-if="partWords(s)" class="quiet">, {{ partWords(s) }}</span></span
      >
      <span class="dims">{{ stripSize(s) }}</span>
    </div>
    <template v-if="sheet && totals.pieces > 0">
      <div class="row-line">
        <span>Film that stays</span><span class="dims">{{ area(totals.area) }}</span>
      </div>
      <div class="row-line">
        <span>Weeded away</span><span class="dims">{{ ((1 - sheet.use) * 100).toFixed(0) }} %</span>
      </div>
      <div class="row-line">
        <span>Cutting time</span><span class="dims">about {{ timeWords(totals.seconds) }}</span>
      </div>
    </template>
    <div v-for="large in sheet?.plan.tooLarge ?? []" :key="`${large.film} ${large.longMm}`" class="note-bar fails">
      <p class="fw-bold">{{ filmName(large.film) }} does not fit</p>
      <p>
        It takes {{ formatLength(large.longMm, settings.unit) }} × {{ formatLength(large.shortMm, settings.unit) }} in
        one. It is left out of the files; choose a longer board.
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
      <p>Cut one small test. Lift a corner of it: if it does not come clean, add pressure, not speed.</p>
    </div>
    <CutExtras v-if="strips.length > 0" v-model:mirrored="files.mirrored.value" :no-mark="noMark" />
    <div class="d-flex flex-wrap gap-2 mt-3">
      <button
        type="button"
        class="btn btn-primary"
        :disabled="files.busy.value || strips.length === 0"
        @click="files.save('cut')"
      >
        Write cut files
      </button>
      <button
        type="button"
        class="btn btn-outline-primary"
        :disabled="files.busy.value || strips.length === 0"
        @click="files.save('all')"
      >
        Whole job as ZIP
      </button>
      <button
        v-if="cutter.link === 'live'"
        type="button"
        class="btn btn-outline-primary"
        :disabled="cutter.busy || strips.length === 0"
        @click="send"
      >
        Send to the cutter
      </button>
    </div>
    <p v-if="sendProblem" class="mt-2" role="status">{{ sendProblem }}</p>
    <p v-if="files.said.value" class="mt-2" role="status">{{ files.said.value }}</p>
    <details v-if="strips.length > 1" class="mt-2">
      <summary>One film at a time</summary>
      <button
        v-for="s in strips"
        :key="`${s.load} ${s.film}`"
        type="button"
        class="btn btn-link d-block"
        @click="files.save('cut', `cut-${s.load}-${s.film}${onlyPart(s) && `-${onlyPart(s)}`}`)"
      >
        {{ filmName(s.film) }}{{ partWords(s) && `, ${partWords(s)}` }}, load {{ s.load }}
      </button>
    </details>
  </div>
</template>

<style scoped>
.board {
  width: 10.6rem;
  flex: none;
}
summary {
  color: var(--teal);
  font-weight: 600;
}
</style>
