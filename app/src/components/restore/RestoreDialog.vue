<script setup lang="ts">
import {
  BACKUP_KINDS,
  mayBeBoth,
  recordKey,
  takeOf,
  WHOLE_BACKUP,
  type BackupKind,
  type RecordStanding,
  type RestoreChoice,
  type Take,
} from '@mivet/core';
import { isValid, parseISO } from 'date-fns';
import { computed, ref, useId, watch } from 'vue';
import { whenWords } from '../../composables/time-words.ts';
import { useRestoring } from '../../stores/restoring.ts';
import FoldOut from '../fields/FoldOut.vue';
import { useGrowingList } from '../../composables/useGrowingList.ts';

/** What of a backup comes back: kinds at once, records one by one, and which is taken where both differ. */
const KINDS: { readonly [K in BackupKind]: { readonly many: string; readonly one: string } } = {
  projects: { many: 'Projects, with their kept copies and photographs', one: 'Project' },
  shelf: { many: 'Blanks', one: 'Blank' },
  fonts: { many: 'Fonts', one: 'Font' },
  motifs: { many: 'Motifs', one: 'Motif' },
  stock: { many: 'Stock', one: 'Stock' },
  entries: { many: 'Logbook', one: 'Logbook' },
};
const CLASHES: readonly { readonly value: RestoreChoice['clashes']; readonly text: string }[] = [
  { value: 'newer', text: 'the one changed last' },
  { value: 'backup', text: 'the one in the backup' },
  { value: 'here', text: 'the one here' },
  { value: 'both', text: 'both, of projects and blanks' },
];

const restoring = useRestoring();
const id = useId();
const asked = computed(() => restoring.asked);
const standings = computed(() => asked.value?.standings ?? []);
const kinds = ref(new Set<BackupKind>());
const settings = ref(true);
const clashes = ref<RestoreChoice['clashes']>('newer');
const single = ref(new Map<string, Take>());
const oneByOne = ref(false);
watch(
  asked,
  () => {
    kinds.value = new Set(WHOLE_BACKUP.kinds);
    settings.value = true;
    clashes.value = 'newer';
    single.value = new Map();
    oneByOne.value = standings.value.some(({ standing }) => standing === 'differs');
  },
  { immediate: true },
);
const choice = computed<RestoreChoice>(() => ({
  kinds: kinds.value,
  settings: settings.value,
  clashes: clashes.value,
  single: single.value,
}));
const rows = computed(() =>
  BACKUP_KINDS.flatMap((kind) => {
    const all = standings.value.filter((record) => record.kind === kind);
    if (all.length === 0) return [];
    const of = (standing: RecordStanding['standing']): number => all.filter((r) => r.standing === standing).length;
    const parts = [
      ...(of('new') > 0 ? [`${of('new')} new`] : []),
      ...(of('same') > 0 ? [`${of('same')} the same as here`] : []),
      ...(of('differs') > 0 ? [`${of('differs')} ${of('differs') === 1 ? 'differs' : 'differ'}`] : []),
    ];
    return [{ kind, count: all.length, words: parts.join(', ') }];
  }),
);
/** Those there is something to be decided about. */
const decided = computed(() =>
  standings.value
    .filter(({ kind, standing }) => kinds.value.has(kind) && standing !== 'same')
    .sort((a, b) => Number(b.standing === 'differs') - Number(a.standing === 'differs')),
);
const end = ref<HTMLElement | null>(null);
const { part, left, grow } = useGrowingList(() => decided.value, end, 40);
const differing = computed(() => decided.value.filter(({ standing }) => standing === 'differs').length);
const comesBack = computed(() => standings.value.filter((record) => takeOf(record, choice.value) !== 'leave').length); // prettier-ignore
const replaced = computed(() => standings.value.filter((record) => record.kind === 'projects' && record.standing === 'differs' && takeOf(record, choice.value) === 'take').length); // prettier-ignore
const summary = computed(() => {
  const back = comesBack.value === 0 ? 'Nothing new comes back' : comesBack.value === 1 ? '1 comes back' : `${comesBack.value} come back`; // prettier-ignore
  if (replaced.value === 0) return `${back}. Nothing that is here is deleted.`;
  return `${back}. ${replaced.value === 1 ? 'A project is replaced; what it was stays' : `${replaced.value} projects are replaced; what they were stays`} as a kept copy.`;
});

const when = (iso: string | null): string => {
  if (iso === null) return 'not here';
  const at = parseISO(iso);
  return isValid(at) ? whenWords(at.getTime(), Date.now()) : 'no date';
};
function tick(kind: BackupKind, on: boolean): void {
  kinds.value = new Set(on ? [...kinds.value, kind] : [...kinds.value].filter((one) => one !== kind));
}
const optionsFor = (record: RecordStanding): { value: Take; text: string }[] =>
  record.standing === 'new'
    ? [
        { value: 'backup', text: 'Restore' },
        { value: 'none', text: 'Leave out' },
      ]
    : [
        { value: 'newer', text: 'The one changed last' },
        { value: 'backup', text: 'The one in the backup' },
        { value: 'here', text: 'The one here' },
        ...(mayBeBoth(record.kind) ? [{ value: 'both' as const, text: 'Both' }] : []),
      ];
function takeNow(record: RecordStanding): Take {
  const wanted = single.value.get(recordKey(record)) ?? (record.standing === 'new' ? 'backup' : clashes.value);
  return wanted === 'both' && !mayBeBoth(record.kind) ? 'newer' : wanted;
}
const decide = (record: RecordStanding, take: Take): void =>
  void (single.value = new Map([...single.value, [recordKey(record), take]]));
/** A choice for all of them goes for those too that were decided before. */
function decideAll(take: RestoreChoice['clashes']): void {
  clashes.value = take;
  const differ = new Set(standings.value.filter((r) => r.standing === 'differs').map(recordKey));
  single.value = new Map([...single.value].filter(([key]) => !differ.has(key)));
}
</script>

<template>
  <BModal :model-value="asked !== null" title="Restore a backup" size="lg" scrollable lazy @hide="asked?.answer(null)">
    <template v-if="asked">
      <p class="quiet">
        {{ asked.fileName }}, written <span class="dims">{{ when(asked.backup.writtenAt) }}</span>
      </p>
      <fieldset class="kinds">
        <legend class="visually-hidden">What is restored</legend>
        <div v-for="row in rows" :key="row.kind" class="kind">
          <BFormCheckbox :model-value="kinds.has(row.kind)" @update:model-value="tick(row.kind, $event === true)">{{
            KINDS[row.kind].many
          }}</BFormCheckbox>
          <span class="quiet small">{{ row.words }}</span>
        </div>
        <div class="kind">
          <BFormCheckbox v-model="settings">How you work</BFormCheckbox>
          <span class="quiet small">units, limits, hours and habits</span>
        </div>
      </fieldset>
      <div v-if="differing > 0" class="clash">
        <label :for="`${id}-c`">Where both differ, keep</label>
        <BFormSelect
          :id="`${id}-c`"
          size="sm"
          class="w-auto"
          :model-value="clashes"
          :options="[...CLASHES]"
          @update:model-value="decideAll($event as RestoreChoice['clashes'])"
        />
      </div>
      <FoldOut v-if="decided.length > 0" v-model:open="oneByOne" title="One by one">
        <BTableSimple small class="mb-0">
          <BThead>
            <BTr><BTh>Name</BTh><BTh>Changed here</BTh><BTh>In the backup</BTh><BTh>Keep</BTh></BTr>
          </BThead>
          <BTbody>
            <BTr v-for="record in part" :key="recordKey(record)">
              <BTd>
                {{ record.name || 'No name' }}
                <span class="quiet small d-block">{{ KINDS[record.kind].one }}</span>
              </BTd>
              <BTd data-label="Changed here" class="dims small">{{ when(record.changedHere) }}</BTd>
              <BTd data-label="In the backup" class="dims small">{{ when(record.changedThere) }}</BTd>
              <BTd>
                <BFormSelect
                  size="sm"
                  :aria-label="`${record.name || 'No name'}: keep`"
                  :model-value="takeNow(record)"
                  :options="optionsFor(record)"
                  @update:model-value="decide(record, $event as Take)"
                />
              </BTd>
            </BTr>
          </BTbody>
        </BTableSimple>
        <div ref="end">
          <BButton v-if="left > 0" variant="link" size="sm" @click="grow">{{ left }} more</BButton>
        </div>
      </FoldOut>
    </template>
    <template #footer>
      <span class="quiet small me-auto" aria-live="polite">{{ summary }}</span>
      <BButton variant="outline-primary" @click="asked?.answer(null)">Cancel</BButton>
      <BButton
        variant="primary"
        :disabled="comesBack === 0 && !settings && kinds.size === 0"
        @click="asked?.answer(choice)"
        >Restore</BButton
      >
    </template>
  </BModal>
</template>

<style scoped>
.kinds {
  border-top: 1px solid var(--hairline);
  margin-bottom: 1rem;
}
.kind {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 0 1rem;
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--hairline);
}
.clash {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  margin-bottom: 1rem;
}
@media (max-width: 575px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    padding: 0.4rem 0;
    border-bottom: 1px solid var(--hairline);
  }
  td {
    border: 0;
    padding: 0.1rem 0;
  }
  td[data-label]::before {
    content: attr(data-label) ': ';
    font-family: var(--bs-body-font-family);
    font-weight: normal;
    color: var(--ink-2);
  }
}
</style>
