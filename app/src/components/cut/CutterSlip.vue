<script setup lang="ts">
import { describeRefusal, formatFar, formatRange, isInCutter, type CutterLoad } from '@mivet/core';
import { computed, ref } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { useCutter } from '../../stores/cutter.ts';
import CheckBox from '../fields/CheckBox.vue';
import ChoiceRow from '../fields/ChoiceRow.vue';
import { STATE_WORDS, timeWords } from './cutter-words.ts';

/** What is done at the cutter, one thing at a time. */
const cutter = useCutter();
const settings = useSettings();
const emit = defineEmits<{ loads: [] }>();
const filmOn = ref(false);
const load = computed(() => cutter.shown);
const waiting = computed(() => (cutter.state?.loads ?? []).filter((l) => l.state === 'waiting' && l !== load.value));
const over = computed(() =>
  (cutter.state?.loads ?? []).filter((l) => !isInCutter(l) && l.state !== 'waiting').slice(0, 8),
);
const faster = computed(() => {
  const known = FASTER.find((f) => Number(f.value) === cutter.state?.faster);
  return known?.value ?? '1';
});
const FASTER = [
  { value: '1', label: '1 ×', title: 'Real speed' },
  { value: '10', label: '10 ×' },
  { value: '60', label: '60 ×' },
];
const blade = computed(() => {
  const { bladeMm: told = 0, bladeLastsMm = 1 } = cutter.state ?? {};
  // While it cuts, the head tells how far it is.
  const { head } = cutter;
  const more = head && head.id === load.value?.id ? Math.max(0, head.doneMm - load.value.doneMm) : 0;
  const bladeMm = told + more;
  const unit = useSettings().unit;
  return {
    metres: bladeMm / 1000,
    words: `${formatFar(bladeMm, unit, 1).split(' ')[0]} of ${formatFar(bladeLastsMm, unit)}`,
  };
});
async function put(one: CutterLoad): Promise<void> {
  if (await cutter.act(one, { do: 'load', filmOnBoard: filmOn.value })) filmOn.value = false;
}
</script>

<template>
  <div>
    <h2>At the cutter</h2>
    <p v-if="cutter.link === 'lost'" class="note-bar look" role="status">
      No connection to the cutter at the moment. It carries on by itself; this page reconnects as soon as it can.
    </p>
    <p v-else-if="cutter.link === 'trying'" class="quiet">Connecting to the cutter…</p>
    <div v-if="cutter.outbox.length > 0" class="note-bar look" role="status">
      <p>
        {{ cutter.outbox.length === 1 ? 'One load waits' : `${cutter.outbox.length} loads wait` }} here to be sent: the
        cutter cannot be reached. {{ cutter.outbox.length === 1 ? 'It goes' : 'They go' }} as soon as it can,
        {{
          cutter.onlyHere.length === 0
            ? 'also after this page was closed and opened again.'
            : 'as long as this page stays open: this browser has no room to keep more, the disk may be full.'
        }}
      </p>
      <div v-for="{ load: one } in cutter.outbox" :key="one.id" class="row-line">
        <span>{{ one.title }}, load {{ one.number }}</span>
        <BButton
          variant="link"
          size="sm"
          class="text-nowrap"
          :aria-label="`Do not send ${one.title}, load ${one.number}`"
          @click="cutter.takeBack(one.id)"
          >Do not send</BButton
        >
      </div>
    </div>
    <div v-if="cutter.state?.lost?.length" class="note-bar look" role="alert">
      <p v-for="(words, i) in cutter.state.lost" :key="i">{{ words }}</p>
      <BButton size="sm" variant="outline-primary" class="mt-2" :disabled="cutter.busy" @click="cutter.lostRead()"
        >OK</BButton
      >
    </div>
    <p class="quiet">A simulated cutter: it takes, refuses and cuts as a real one would, without a blade.</p>

    <template v-if="load">
      <h3>{{ load.title }}, load {{ load.number }}</h3>
      <p>
        <strong>{{ STATE_WORDS[load.state] }}</strong>, {{ timeWords(load.totalS) }} in all
      </p>
      <div v-if="load.why && load.state !== 'waiting'" class="note-bar look">
        <p>{{ describeRefusal(load.why, settings.unit) }}</p>
        <BButton
          v-if="load.why.code === 'worn-blade'"
          variant="primary"
          size="sm"
          class="mt-2"
          :disabled="cutter.busy"
          @click="cutter.newBlade()"
        >
          New blade fitted
        </BButton>
      </div>
      <template v-if="load.state === 'waiting'">
        <p class="quiet mb-1">Lay on the board, from the load corner:</p>
        <div v-for="(s, i) in load.strips" :key="i" class="row-line">
          <span>{{ s.name }}</span>
          <span class="dims">{{ formatRange(s.from, s.to, settings.unit) }}</span>
        </div>
        <CheckBox class="mt-2" :checked="filmOn" @change="filmOn = $event">The film is on the board</CheckBox>
        <BButton variant="primary" class="mt-2" :disabled="cutter.busy" @click="put(load)">Load it</BButton>
      </template>
      <div v-else class="d-flex flex-wrap gap-2 mt-2">
        <BButton
          v-if="load.state === 'loaded' || load.state === 'stopped'"
          variant="primary"
          :disabled="cutter.busy"
          @click="cutter.act(load, { do: 'start', pass: load.pass })"
        >
          {{ load.state === 'stopped' ? 'Go on' : load.pass > 1 ? 'Cut once more' : 'Cut' }}
        </BButton>
        <BButton
          v-if="load.state === 'cutting'"
          variant="stop"
          :disabled="cutter.busy"
          @click="cutter.act(load, { do: 'stop' })"
        >
          Stop
        </BButton>
        <template v-if="load.state === 'corner test'">
          <p class="w-100 mb-1">
            Leave the board in. Lift one corner of the waste with a pick: does the film come away clean, and the liner
            stay whole?
          </p>
          <BButton variant="primary" :disabled="cutter.busy" @click="cutter.act(load, { do: 'came off clean' })">
            It comes clean
          </BButton>
          <BButton
            variant="outline-primary"
            :disabled="cutter.busy"
            @click="cutter.act(load, { do: 'cut again', pass: load.pass })"
          >
            Cut it once more
          </BButton>
        </template>
        <BButton
          v-if="load.state !== 'cutting'"
          variant="link"
          :disabled="cutter.busy"
          @click="cutter.act(load, { do: 'take out' })"
        >
          Take it out
        </BButton>
      </div>
    </template>
    <template v-else>
      <p v-if="cutter.state">
        {{ cutter.link === 'live' ? 'The cutter is empty.' : 'The cutter was empty when it was last heard.' }}
      </p>
      <BButton variant="outline-primary" @click="emit('loads')">See the loads</BButton>
    </template>
    <p v-if="cutter.said" class="mt-2" role="status">{{ cutter.said }}</p>

    <template v-if="waiting.length > 0">
      <h3 class="mt-4">Waiting</h3>
      <div v-for="l in waiting" :key="l.id" class="row-line">
        <span>{{ l.title }}, load {{ l.number }}</span>
        <BButton variant="link" size="sm" @click="cutter.act(l, { do: 'take out' })">Remove</BButton>
      </div>
    </template>
    <template v-if="over.length > 0">
      <h3 class="mt-4">Earlier</h3>
      <div v-for="l in over" :key="l.id" class="over">
        <div class="row-line">
          <span>{{ l.title }}, load {{ l.number }}</span>
          <span :class="{ brick: l.state === 'refused' }">{{ STATE_WORDS[l.state] }}</span>
        </div>
        <template v-if="l.state === 'refused' && l.why">
          <p class="small mb-1">{{ describeRefusal(l.why, settings.unit) }}</p>
          <template v-if="l.why.code === 'empty-board'">
            <CheckBox :checked="filmOn" @change="filmOn = $event">The film is on the board</CheckBox>
            <BButton variant="link" size="sm" :disabled="cutter.busy" @click="put(l)"> Load it again </BButton>
          </template>
          <BButton variant="link" size="sm" :disabled="cutter.busy" @click="cutter.act(l, { do: 'take out' })">
            Put it away
          </BButton>
        </template>
      </div>
    </template>
    <template v-if="cutter.state">
      <h3 class="mt-4">Blade</h3>
      <div class="row-line">
        <span>Blade use</span><span class="dims">{{ blade.words }}</span>
      </div>
      <BButton
        v-if="blade.metres > 0"
        variant="link"
        size="sm"
        :disabled="cutter.busy || load?.state === 'cutting'"
        @click="cutter.newBlade()"
      >
        New blade fitted
      </BButton>
      <ChoiceRow
        says="Speed"
        :value="faster"
        :options="FASTER"
        label="How fast the simulated cutter works"
        @choose="cutter.workFaster(Number($event))"
      />
    </template>
    <p class="quiet small mt-3">Blades cut skin as well as film: fingers off the board while the head moves.</p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 1rem;
  margin-bottom: 0.3rem;
}
.over {
  border-bottom: 0;
}
.brick {
  color: var(--brick);
}
</style>
