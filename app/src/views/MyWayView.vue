<script setup lang="ts">
import { BOARDS, boardWords, habitsWith, SCHOOLS, type OwnFont } from '@mivet/core';
import { computed, ref } from 'vue';
import ChoiceRow from '../components/fields/ChoiceRow.vue';
import LimitTable from '../components/fields/LimitTable.vue';
import { tellOf } from '../composables/take-in.ts';
import { whenWords } from '../composables/time-words.ts';
import { useBackup } from '../composables/useBackup.ts';
import { useStorageRoom } from '../composables/useStorageRoom.ts';
import { useLibrary } from '../stores/library.ts';
import { useTold } from '../stores/told.ts';
import { useSettings } from '../stores/settings.ts';
import UnreadableList from '../components/shell/UnreadableList.vue';
import { useStock } from '../stores/stock.ts';
import SchoolRow from '../components/fields/SchoolRow.vue';
import WorkHoursFields from '../components/fields/WorkHoursFields.vue';
import SelectRow from '../components/fields/SelectRow.vue';

const settings = useSettings();
const library = useLibrary();
const stock = useStock();
const habits = computed(() => habitsWith(settings.habits));
const forgetting = ref<string | null>(null);
const RIGHTS = { own: 'made by you', allowed: 'you may use it', unsure: 'ask whether you may use it' };
const about = ({ source, rights }: OwnFont): string =>
  [...(source ? [`from ${source}`] : []), RIGHTS[rights]].join(', ');
async function forget(font: OwnFont): Promise<void> {
  if (forgetting.value === font.id) await library.removeFont(font.id);
  forgetting.value = forgetting.value === font.id ? null : font.id;
}
const told = useTold();
const INCHES = [
  { value: 'fractions' as const, label: 'Fractions' },
  { value: 'decimals' as const, label: 'Decimals' },
];
const UNITS = [
  { value: 'mm' as const, label: 'Millimetres' },
  { value: 'in' as const, label: 'Inches' },
];
const THEMES = [
  { value: 'light' as const, label: 'Light' },
  { value: 'dim' as const, label: 'Dark' },
  { value: 'system' as const, label: 'System' },
];
const PAPERS = [
  { value: 'a4' as const, label: 'A4' },
  { value: 'letter' as const, label: 'Letter' },
];

const { writing, writtenAt, write } = useBackup();
const lastBackup = computed(() => (writtenAt.value ? whenWords(Date.parse(writtenAt.value), Date.now()) : null));
const { used, room, held, askToKeep } = useStorageRoom();
async function keepForGood(): Promise<void> {
  const granted = await askToKeep();
  told.tell(
    granted
      ? 'This browser keeps everything, however full the disk is.'
      : 'This browser made no promise; it may ask again once Mivet is used more, or installed. Keep backups.',
    !granted,
  );
}
async function bringBack(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (file) await tellOf(file);
  input.value = '';
}
async function demo(): Promise<void> {
  await import('../demo/bring-in-demo.ts').then(({ bringInDemo }) => bringInDemo());
  told.tell('The rowing club’s projects and blanks are in. Any that you already had are left as they are.');
}
</script>

<template>
  <div class="page">
    <h1>My way</h1>
    <p class="quiet">What words mean: <RouterLink :to="{ name: 'glossary' }">Glossary</RouterLink></p>
    <section>
      <h2>How you work</h2>
      <ChoiceRow
        says="Units"
        :value="settings.measured"
        :options="UNITS"
        label="Units"
        @choose="settings.measured = $event"
      />
      <ChoiceRow
        v-if="settings.measured === 'in'"
        says="Inches as"
        :value="settings.inches"
        :options="INCHES"
        label="Inches as"
        @choose="settings.inches = $event"
      />
      <ChoiceRow
        says="Theme"
        :value="settings.theme"
        :options="THEMES"
        label="Theme"
        @choose="settings.theme = $event"
      />
      <ChoiceRow
        says="Paper"
        :value="settings.paper"
        :options="PAPERS"
        label="Paper"
        @choose="settings.paper = $event"
      />
      <SelectRow
        label="Your cutter takes"
        :value="settings.boardId"
        :options="BOARDS.map((board) => ({ value: board.id, label: boardWords(board, settings.unit) }))"
        @change="settings.boardId = $event"
      />
    </section>
    <section>
      <h2>At the bench</h2>
      <p class="quiet">Where there is more than one good way, the guide follows yours at once.</p>
      <SchoolRow
        v-for="(question, key) in SCHOOLS"
        :key="key"
        :label="question.label"
        :schools="question.schools"
        :value="habits[key]"
        @choose="settings.habits = { ...settings.habits, [key]: $event }"
      />
    </section>
    <section id="hours">
      <h2>Your hours</h2>
      <p class="quiet">Work is planned within them; what dries and cures goes on by itself.</p>
      <WorkHoursFields :hours="settings.hours" @change="settings.hours = $event" />
    </section>
    <section>
      <h2>Limits</h2>
      <p class="quiet">
        Proof uses these numbers. They are starting values: change them as your own hands and films teach you. What a
        film holds is set with the film, and how far film keeps from rim, base and handle with the blank.
      </p>
      <LimitTable :limits="settings.limits" :unit="settings.unit" @change="settings.limits = $event" />
    </section>
    <section v-if="library.fonts.length > 0">
      <h2>Your own fonts</h2>
      <div v-for="font in library.fonts" :key="font.id" class="row-line">
        <span
          >{{ font.name }}<span class="quiet small">, {{ about(font) }}</span></span
        >
        <BButton variant="link" size="sm" class="p-0" @click="forget(font)" @blur="forgetting = null">
          {{ forgetting === font.id ? 'Yes, forget it' : 'Forget' }}
        </BButton>
      </div>
      <p class="quiet small mt-2">
        Words that are set in a forgotten font are shown in another, and Proof says so. Backups written before still
        have it.
      </p>
    </section>
    <section>
      <h2>Backup</h2>
      <p class="quiet">
        Projects and their kept copies, blanks, stock, fonts, motifs and how you work live in this browser only. A
        backup is one file with everything in it. Restoring one shows what is in it first, and what of it differs from
        what is here; you say what comes back.
      </p>
      <p class="quiet">
        <template v-if="used !== null">
          They take <span class="dims">{{ used }}</span><template v-if="room !== null">
            of <span class="dims">{{ room }}</span></template
          >.
        </template>
        <template v-if="held === true">The browser keeps them however full the disk is.</template>
        <template v-else-if="held === false">
          The browser may clear them when the disk is full.
          <BButton variant="link" size="sm" class="p-0 align-baseline" @click="keepForGood">Ask it to keep them</BButton
          >.
        </template>
        {{
          lastBackup
            ? `Your last backup from this device was written ${lastBackup}.`
            : 'No backup was written from this device yet.'
        }}
      </p>
      <div class="d-flex flex-wrap gap-2">
        <BButton variant="primary" :disabled="writing" @click="write">{{
          writing ? 'Writing…' : 'Write a backup'
        }}</BButton>
        <label class="btn btn-outline-primary">
          Restore a backup
          <input
            type="file"
            accept=".zip,.json,application/zip,application/json"
            class="visually-hidden"
            @change="bringBack"
          />
        </label>
        <BButton variant="outline-primary" @click="demo">Load the demo</BButton>
      </div>
      <UnreadableList
        class="mt-3"
        :records="[...library.unreadable, ...stock.unreadable]"
        @remove="library.removeUnreadable($event)"
      />
    </section>
  </div>
</template>

<style scoped>
.page {
  max-width: 720px;
  margin: 0 auto;
  padding: 1.75rem 1.5rem 3rem;
}
section {
  margin-top: 1.75rem;
}
h2 {
  margin-bottom: 0.5rem;
}
</style>
