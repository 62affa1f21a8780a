<script setup lang="ts">
import FoldOut from '../fields/FoldOut.vue';
import HeldInput from '../fields/HeldInput.vue';
import { costOf, pricePerMm2, type Cost, type CostRates } from '@mivet/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { takeLatest } from '../../composables/take-latest.ts';
import { useTape } from '../../composables/useTape.ts';
import { useLibrary } from '../../stores/library.ts';
import { usePlan } from '../../stores/plan.ts';
import { useViewModel } from '../../stores/view-model.ts';
import { useProject } from '../../stores/project.ts';
import { useSettings, type OwnRates } from '../../stores/settings.ts';
import { useStock } from '../../stores/stock.ts';
import { askCore } from '../../workers/core-client.ts';
import type { CoreJobs } from '../../workers/protocol.ts';
import NumberRow from '../fields/NumberRow.vue';

/** What the job costs and what to ask for it; and how that changes when more are made. */
const project = useProject();
const viewModel = useViewModel();
const plan = usePlan();
const library = useLibrary();
const settings = useSettings();
/** The area that a price of film is told for: a hundred square centimetres, or ten square inches. */
const per = computed(() =>
  settings.unit === 'mm' ? { share: 1, words: '100 cm²' } : { share: 0.64516, words: '10 in²' },
);
const stock = useStock();
const open = ref(false);
/** How many times everything is cut; what is on a list counts as many as it says. */
const times = ref(1);
const made = shallowRef<CoreJobs['batch']['output']>([]);
const OTHERS = [1, 2, 5, 10];

const listed = computed(() => (project.doc?.names?.rows ?? []).reduce((sum, row) => sum + row.count, 0) || 1);
const blankPrice = computed(() => library.shelf.find((b) => b.blank.id === project.doc?.shelfBlankId)?.price ?? null);
const { tape } = useTape();
const rates = computed<CostRates>(() => {
  const own = settings.rates;
  const usual = own.film100cm2 / 10_000;
  return {
    hour: own.hour,
    consumables: own.consumables,
    blank: blankPrice.value ?? 0,
    minutes: own.minutes,
    minutesOnce: own.minutesOnce,
    tapePerMm2: (tape.value && pricePerMm2(tape.value)) ?? usual,
    tapeUses: tape.value?.uses ?? 1,
    margin: own.marginPercent / 100,
    filmPerMm2: usual,
  };
});
const count = computed(() => [...new Set([times.value, ...OTHERS])].sort((a, b) => a - b));
const ask = takeLatest<CoreJobs['batch']['output']>((answer) => (made.value = answer));
watch(
  [open, () => viewModel.good?.sheet, times],
  () => {
    if (!open.value || !viewModel.good || !project.doc) return void ask(null);
    const supply = stock.supplyFor(project.doc);
    const input = {
      project: project.doc,
      limits: settings.limits,
      learnt: settings.learnt,
      supply,
      times: count.value,
    };
    void ask(askCore('batch', input).catch(() => []));
  },
  { immediate: true },
);
const costs = computed(() =>
  made.value.map((one) => ({
    times: one.times,
    pieces: one.times * listed.value,
    cost: costOf(one.times * listed.value, one.films, one.tapeMm2, rates.value),
  })),
);
const now = computed<{ pieces: number; cost: Cost } | null>(
  () => costs.value.find((c) => c.times === times.value) ?? null,
);
const unpriced = computed(() =>
  (now.value?.cost.unpriced ?? []).map((id) => project.doc!.films.find((f) => f.id === id)?.name ?? id),
);
const money = (value: number): string => value.toFixed(2);
const set = (what: Partial<OwnRates>): void => {
  settings.rates = { ...settings.rates, ...what };
};
</script>

<template>
  <FoldOut v-model:open="open" title="What it costs" class="cost">
    <template v-if="now">
      <div class="row-line">
        <span>{{ listed > 1 ? 'The whole list' : 'Made' }}</span>
        <span class="dims"
          ><HeldInput
            size="sm"
            class="few dims"
            inputmode="numeric"
            aria-label="How many times it is made"
            :value="times"
            @change="
              times = Math.min(60, Math.max(1, Math.round(Number(($event.target as HTMLInputElement).value)) || 1))
            "
          />
          {{ times === 1 ? 'time' : 'times' }}</span
        >
      </div>
      <div class="row-line">
        <span>Film</span><span class="dims">{{ money(now.cost.film) }}</span>
      </div>
      <div class="row-line">
        <span
          >Tape<span v-if="tape && tape.uses > 1" class="quiet">, used {{ tape.uses }} times</span></span
        >
        <span class="dims">{{ money(now.cost.tape) }}</span>
      </div>
      <div class="row-line">
        <span>{{ now.pieces === 1 ? 'Blank' : `${now.pieces} blanks` }}</span>
        <span class="dims">{{ blankPrice === null ? 'not noted' : money(now.cost.blanks) }}</span>
      </div>
      <div class="row-line">
        <span>Consumables</span><span class="dims">{{ money(now.cost.consumables) }}</span>
      </div>
      <div class="row-line">
        <span>Work</span><span class="dims">{{ money(now.cost.work) }}</span>
      </div>
      <div class="row-line total">
        <span>Cost</span><span class="dims">{{ money(now.cost.total) }}</span>
      </div>
      <div class="row-line total">
        <span
          >Price<span class="quiet"> with {{ settings.rates.marginPercent }} % markup</span></span
        >
        <span class="dims">{{ money(now.cost.price) }}</span>
      </div>
      <p v-if="now.pieces > 1" class="quiet small mb-1">
        {{ money(now.cost.each.cost) }} each, price {{ money(now.cost.each.price) }}.
      </p>
      <p v-if="unpriced.length > 0" class="quiet small mb-1">
        No price is noted for {{ unpriced.join(', ') }}: priced at
        {{ money(settings.rates.film100cm2 * per.share) }} for {{ per.words }}.
      </p>
      <BTableSimple class="many">
        <caption class="quiet">
          If you made more
        </caption>
        <BThead>
          <BTr>
            <BTh scope="col">{{ listed > 1 ? 'Lists made' : 'Made' }}</BTh>
            <BTh scope="col">Film each</BTh>
            <BTh scope="col">Cost each</BTh>
            <BTh scope="col">Price each</BTh>
          </BTr>
        </BThead>
        <BTbody class="dims">
          <BTr v-for="c in costs" :key="c.times" :class="{ here: c.times === times }">
            <BTd>{{ c.times }}</BTd>
            <BTd>{{ money(c.cost.film / c.pieces) }}</BTd>
            <BTd>{{ money(c.cost.each.cost) }}</BTd>
            <BTd>{{ money(c.cost.each.price) }}</BTd>
          </BTr>
        </BTbody>
      </BTableSimple>
      <p class="quiet small mb-1">Rates:</p>
      <NumberRow
        label="An hour of work"
        money
        :value="settings.rates.hour"
        :most="1000"
        @change="set({ hour: $event })"
      />
      <NumberRow
        label="Minutes for each"
        :value="settings.rates.minutes"
        :most="5000"
        @change="set({ minutes: $event })"
      />
      <NumberRow
        label="Minutes once"
        :value="settings.rates.minutesOnce"
        :most="5000"
        @change="set({ minutesOnce: $event })"
      />
      <NumberRow
        label="Consumables, each"
        money
        :value="settings.rates.consumables"
        :most="1000"
        @change="set({ consumables: $event })"
      />
      <NumberRow
        label="Markup, %"
        :value="settings.rates.marginPercent"
        :most="1000"
        @change="set({ marginPercent: $event })"
      />
      <NumberRow
        :label="`Film without a price, ${per.words}`"
        money
        :value="Math.round(settings.rates.film100cm2 * per.share * 10000) / 10000"
        :most="1000"
        @change="set({ film100cm2: $event / per.share })"
      />
      <p v-if="blankPrice === null" class="quiet small mb-0">
        The price of a blank is noted <RouterLink :to="{ name: 'shelf' }">on the shelf</RouterLink>.
      </p>
    </template>
    <p v-else-if="plan.watching" class="quiet">Shown once the plan is done.</p>
    <p v-else class="quiet" role="status">Calculating…</p>
  </FoldOut>
</template>

<style scoped>
.few {
  display: inline-block;
  width: 3.6rem;
}
.total {
  font-weight: 600;
}
.many {
  width: 100%;
  margin: 0.6rem 0;
  font-size: 0.9rem;
}
.many caption {
  caption-side: top;
  padding: 0;
}
.many th {
  font-weight: 500;
  color: var(--ink-2);
}
.many th,
.many td {
  text-align: right;
  padding: 0.15rem 0;
}
.many th:first-child,
.many td:first-child {
  text-align: left;
}
.many .here {
  font-weight: 600;
}
</style>
