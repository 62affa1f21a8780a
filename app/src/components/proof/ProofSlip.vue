<script setup lang="ts">
import { applyCommand, describeCommand, signatureOf, type Command, type Finding } from '@mivet/core';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { useFiles } from '../../composables/useFiles.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings } from '../../stores/settings.ts';
import { useView } from '../../stores/view.ts';
import CloserLook from '../film/CloserLook.vue';
import FindingCard from './FindingCard.vue';
import GlanceView from './GlanceView.vue';
import WhatIf from './WhatIf.vue';

const viewModel = useViewModel();
const project = useProject();
const settings = useSettings();
const view = useView();
const router = useRouter();
const files = useFiles();
const openedId = ref<string | null>(null);
/** Item whose film is seen laid. */
const laidItem = ref<string | null>(null);

const findings = computed(() => (viewModel.viewModel?.ok ? viewModel.viewModel.findings : []));
const opened = computed(() => findings.value.find((f) => f.finding.id === openedId.value)?.finding ?? null);
const verdict = computed(() => {
  const fails = viewModel.open.filter((f) => f.finding.severity === 'fails').length;
  const looks = viewModel.open.length - fails;
  if (viewModel.failure) return { title: 'Not judged', why: 'It could not be worked out, so it was not judged.' };
  if (viewModel.awaited) return { title: 'Looking at it…', why: 'Readings, seam, zones, sizes and the load.' };
  if (viewModel.viewModel?.ok && viewModel.viewModel.unjudged !== null)
    return { title: 'Not judged', why: 'It was not judged: better not to cut film from it.' };
  // What was found is of the project as it was a moment ago.
  if (viewModel.judging)
    return { title: 'Looking at it again…', why: 'What was found before stands below until then.' };
  if (!viewModel.viewModel?.ok) return { title: 'Nothing to judge yet', why: 'The readings come first.' };
  if (project.doc!.items.length === 0 && viewModel.open.length === 0)
    return { title: 'Nothing to judge yet', why: 'Place some artwork; it is judged as you go.' };
  if (fails > 0)
    return {
      title: fails === 1 ? 'One thing will fail' : `${fails} things will fail`,
      why: 'Put them right before film is cut.',
    };
  if (looks > 0)
    return {
      title: looks === 1 ? 'One thing to look at' : `${looks} things to look at`,
      why: 'Nothing here will fail; these are judgement calls.',
    };
  return {
    title: 'Ready to cut',
    why: 'Readings, seam, zones, sizes and the load were looked at; nothing is in the way.',
  };
});

/** Whether there is a verdict on artwork. */
const judged = computed(
  () => viewModel.viewModel?.ok === true && viewModel.viewModel.unjudged === null && project.doc!.items.length > 0,
);

const isRound = (): boolean => viewModel.good?.template.closed ?? true;
const LOOKED_AT: { code: Finding['code'][]; words: string; when?: () => boolean }[] = [
  { code: ['reading-implausible', 'reading-spread', 'reading-weak'], words: 'The readings agree' },
  { code: ['rim-zone'], words: 'Film clears the rim', when: isRound },
  { code: ['base-zone'], words: 'Film clears the base', when: isRound },
  { code: ['face-edge'], words: 'Film clears the edge', when: () => !isRound() },
  {
    code: ['wrinkle', 'stretch'],
    words: 'Every piece lies flat',
    when: () => viewModel.good?.template.flattening.map !== null,
  },
  { code: ['handle-zone'], words: 'Film clears the handle', when: () => project.doc!.blank.handleWidthMm > 0 },
  {
    code: ['seam-cut', 'seam-gap'],
    words: 'Nothing is cut at the seam',
    when: () => isRound() && project.doc!.blank.handleWidthMm === 0,
  },
  { code: ['glance'], words: 'Each part reads in one glance', when: isRound },
  { code: ['unfused'], words: 'No outlines overlap' },
  { code: ['fine-stroke', 'tiny-piece', 'loose-dot'], words: 'No stroke and no piece is too fine' },
  { code: ['load-fit'], words: 'Every film fits the board' },
  { code: ['film-unsuited'], words: 'Every film suits what it is for' },
  {
    code: ['stack-thick', 'stack-unsupported', 'registration-missing', 'registration-costly'],
    words: 'Films lie well on each other',
    when: () => (viewModel.good?.stack.layers.length ?? 0) > 1,
  },
  {
    code: ['film-short', 'film-old'],
    words: 'There is film for it, and it is fresh',
    when: () => viewModel.good?.sheet.usage.strips.some(({ from }) => from.kind !== 'unknown') ?? false,
  },
];
/** A seam that could miss, or film that has to give: something to try out. */
const canTry = computed(() => {
  const template = viewModel.good?.template;
  if (!template) return false;
  return template.closed ? template.flattening.parts === 1 : template.flattening.map !== null;
});
/** What was looked at and gave nothing to say. */
const quiet = computed(() => {
  if (!viewModel.viewModel?.ok || viewModel.viewModel.unjudged !== null || project.doc!.items.length === 0) return [];
  const found = new Set(findings.value.map((f) => f.finding.code));
  return LOOKED_AT.filter((l) => (l.when?.() ?? true) && !l.code.some((c) => found.has(c))).map((l) => l.words);
});

watch(opened, (finding) => {
  view.highlighted = finding?.place ?? null;
});
onBeforeUnmount(() => (view.highlighted = null));

function toggle(finding: Finding): void {
  openedId.value = openedId.value === finding.id ? null : finding.id;
  const place = opened.value?.place;
  if (place) view.facing = (place.azimuths[0] + place.azimuths[1]) / 2;
}
function go(stop: 'measure' | 'flat' | 'cut', code: Finding['code']): void {
  if (stop === 'cut') view.cutShows = code.startsWith('film-') ? 'loads' : 'stack';
  void router.push({ name: 'project', params: { id: project.doc!.id, stop } });
}
function fix(command: Command): void {
  project.edit(describeCommand(command, settings.unit), (p) => applyCommand(p, command));
}
function accept(finding: Finding, reason: string): void {
  project.edit('Accept a finding', (p) => ({
    ...p,
    accepted: [
      ...p.accepted.filter((a) => a.findingId !== finding.id),
      { findingId: finding.id, reason, signature: signatureOf(finding) },
    ],
  }));
}
function withdraw(finding: Finding): void {
  project.edit('Look at it again', (p) => ({ ...p, accepted: p.accepted.filter((a) => a.findingId !== finding.id) }));
}
</script>

<template>
  <div>
    <h2>{{ verdict.title }}</h2>
    <p class="quiet">{{ verdict.why }}</p>
    <FindingCard
      v-for="f in findings"
      :key="f.finding.id"
      :finding="f.finding"
      :accepted-for="f.acceptedFor"
      :trying="f.trying ?? false"
      :unit="settings.unit"
      :opened="f.finding.id === openedId"
      @toggle="toggle(f.finding)"
      @fix="fix"
      @go="go($event, f.finding.code)"
      @accept="accept(f.finding, $event)"
      @withdraw="withdraw(f.finding)"
      @look="laidItem = f.finding.itemIds[0] ?? null"
    />
    <CloserLook v-if="judged" v-model="laidItem" />
    <ul v-if="quiet.length > 0" class="quiet-list">
      <li v-for="words in quiet" :key="words"><IBiCheckLg aria-hidden="true" /> {{ words }}</li>
    </ul>
    <RouterLink
      v-if="judged"
      class="btn mt-2"
      :class="viewModel.open.some((f) => f.finding.severity === 'fails') ? 'btn-outline-primary' : 'btn-primary'"
      :to="{ name: 'project', params: { id: project.doc!.id, stop: 'cut' } }"
      >Go on to Cut</RouterLink
    >
    <BButton
      v-if="judged"
      variant="outline-primary"
      class="mt-2 ms-2"
      :disabled="files.busy.value"
      title="For whoever it is made for: three sides, sizes, films, names, and what you accepted"
      @click="files.print('proof-pdf')"
    >
      {{ files.busy.value ? 'Writing it…' : 'Print a proof' }}
    </BButton>
    <p v-if="files.said.value" class="quiet small mt-2 mb-0" role="status">{{ files.said.value }}</p>
    <GlanceView
      v-if="viewModel.good && project.doc!.items.length > 0"
      :project="project.doc!"
      :view-model="viewModel.good"
    />
    <WhatIf
      v-if="canTry && viewModel.good"
      :view-model="viewModel.good"
      :handle-width="project.doc!.blank.handleWidthMm"
      :lap-mm="project.doc!.seam.lapMm"
      :unit="settings.unit"
    />
  </div>
</template>

<style scoped>
.quiet-list {
  list-style: none;
  padding: 0;
  margin: 0.75rem 0 1rem;
}
.quiet-list li {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--hairline);
}
.quiet-list svg {
  color: var(--moss);
  flex: none;
}
</style>
