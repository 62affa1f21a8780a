<script setup lang="ts">
import {
  describeFit,
  describeFitProblem,
  fitCheckFrom,
  formatLength,
  KINDS_OF_BLANK,
  MOST_SEEN_MM,
  solveFitPaper,
  type BandSizes,
  type Blank,
  type BlankSize,
  type FitSeen,
  type Units,
} from '@mivet/core';
import { format, isValid, parseISO } from 'date-fns';
import { computed, ref, shallowRef } from 'vue';
import { useFiles } from '../../composables/useFiles.ts';
import SeenField from './SeenField.vue';

/** The paper fit check: print, wrap, say what is seen, and the sizes are put right. */
const props = defineProps<{ blank: Blank; size: BlankSize; unit: Units }>();
const emit = defineEmits<{ change: [fitCheck: Blank['fitCheck'], label: string] }>();
const files = useFiles();
const wrapped = ref(false);
const NOTHING: FitSeen = { gapRimMm: 0, gapBaseMm: 0, standMm: 0 };
const seen = shallowRef<FitSeen>(NOTHING);

const mm = (value: number): string => formatLength(value, props.unit);
/** The same without its unit, beside a figure that has it. */
const bare = (value: number): string => mm(value).replace(/ (mm|in)$/, '');
const straight = computed(() => KINDS_OF_BLANK[props.blank.kind].oneGirth === true);
const handle = computed(() => props.blank.handleWidthMm > 0);
const check = computed(() => props.blank.fitCheck);
const day = computed(() => {
  const at = check.value ? parseISO(check.value.on) : null;
  return at && isValid(at) ? format(at, 'd MMMM yyyy') : 'an unknown day';
});
/** Sizes by the readings alone. */
const read = computed((): BandSizes => {
  const { rim, base, side, sideFromFitCheck } = props.size;
  return {
    girthRim: rim.surface - rim.fromFitCheck,
    girthBase: base.surface - base.fromFitCheck,
    side: side - sideFromFitCheck,
  };
});
const result = computed(() => solveFitPaper(props.blank, seen.value));
const uneven = computed(() => (result.value.ok && Math.abs(result.value.unevenMm) > 1 ? result.value.unevenMm : null));
const fits = computed(() => Object.values(seen.value).every((value) => value === 0));

interface Line {
  readonly label: string;
  readonly before: number;
  readonly after: number;
  readonly sigma: number;
}
const lines = (before: BandSizes, after: BandSizes, sigma: BandSizes): Line[] =>
  (['girthRim', 'girthBase', 'side'] as const)
    .filter((key) => !(straight.value && key === 'girthBase'))
    .map((key) => ({
      label:
        key === 'side'
          ? 'Down the side'
          : straight.value
            ? 'Round'
            : key === 'girthRim'
              ? 'Round the rim'
              : 'Round the base',
      before: before[key],
      after: after[key],
      sigma: sigma[key],
    }));
const shown = computed(() => {
  if (!wrapped.value) return check.value ? lines(check.value.before, check.value.after, check.value.sigma) : [];
  return result.value.ok ? lines(read.value, result.value.after, result.value.sigma) : [];
});
const sentences = computed(() =>
  result.value.ok ? describeFit(read.value, result.value.after, straight.value, props.unit) : [],
);

const ENDS = computed(() =>
  handle.value
    ? { none: 'reach it', more: 'stop short', less: 'run over' }
    : { none: 'meet', more: 'stand apart', less: 'lap' },
);
const STAND = { none: 'on the line', more: 'above it', less: 'below it' };

function begin(): void {
  seen.value = NOTHING;
  wrapped.value = true;
}
function take(): void {
  const check = fitCheckFrom(props.blank, seen.value, new Date().toISOString());
  if (!check) return;
  emit('change', check, fits.value ? 'Keep the fit check' : 'Apply the fit check');
  wrapped.value = false;
}
</script>

<template>
  <section aria-labelledby="fit-check">
    <h3 id="fit-check" class="mt-4 mb-1">Paper fit check</h3>
    <template v-if="!wrapped">
      <div v-if="size.fit === 'applied'" class="note-bar fine">
        <p class="fw-bold">Checked on the cup, {{ day }}</p>
        <p>
          The template goes by what the paper showed. To check again, print a new one: the old paper no longer fits it.
        </p>
      </div>
      <div v-else-if="size.fit === 'stale'" class="note-bar look">
        <p class="fw-bold">The readings have changed since {{ day }}</p>
        <p>That fit check no longer counts. Wrap a new fit paper, or undo the change of readings.</p>
      </div>
      <p v-else class="quiet mb-2">
        Wrap the bare outline round the cup before you cut film. What it misses by puts the readings right.
      </p>
    </template>
    <p v-else class="quiet mb-2">
      Base edge on the base line, middle mark in front, paper snug. What do you see at the back{{
        handle ? ', where the ends come to the handle' : ''
      }}?
    </p>

    <template v-if="wrapped">
      <SeenField
        label="At the rim, the ends"
        :words="ENDS"
        :mm="seen.gapRimMm"
        :unit="unit"
        :most="MOST_SEEN_MM"
        @change="seen = { ...seen, gapRimMm: $event }"
      />
      <SeenField
        label="At the base, the ends"
        :words="ENDS"
        :mm="seen.gapBaseMm"
        :unit="unit"
        :most="MOST_SEEN_MM"
        @change="seen = { ...seen, gapBaseMm: $event }"
      />
      <SeenField
        label="In front, the rim edge is"
        :words="STAND"
        :mm="seen.standMm"
        :unit="unit"
        :most="MOST_SEEN_MM"
        @change="seen = { ...seen, standMm: $event }"
      />
      <div v-if="!result.ok" class="note-bar fails" role="alert">
        <p>{{ describeFitProblem(result.code) }}</p>
      </div>
      <div v-else-if="uneven !== null" class="note-bar look" role="status">
        <p class="fw-bold">Rim and base differ by {{ mm(Math.abs(uneven)) }}</p>
        <p>This side is not straight: measure the blank as tapered, with its base girth.</p>
      </div>
      <div v-else class="note-bar" :class="fits ? 'fine' : ''" role="status">
        <p class="fw-bold">{{ fits ? 'It fits as it is' : 'So the sizes are' }}</p>
        <p v-for="sentence in sentences" :key="sentence">{{ sentence }}</p>
      </div>
    </template>

    <div v-for="line in shown" :key="line.label" class="row-line">
      <span>{{ line.label }}</span>
      <span class="dims">
        <template v-if="mm(line.before) !== mm(line.after)">
          <span class="quiet">{{ bare(line.before) }}</span> → </template
        >{{ mm(line.after) }} <span class="quiet">±{{ bare(line.sigma) }}</span>
      </span>
    </div>

    <div class="d-flex flex-wrap gap-2 mt-3">
      <template v-if="wrapped">
        <BButton variant="primary" :disabled="!result.ok" @click="take">
          {{ fits ? 'Keep the date' : 'Take these sizes' }}
        </BButton>
        <BButton variant="outline-primary" @click="wrapped = false">Cancel</BButton>
      </template>
      <template v-else>
        <BButton variant="outline-primary" :disabled="files.busy.value" @click="files.print('fit-pdf')">
          Print the fit paper
        </BButton>
        <BButton variant="outline-primary" @click="begin">
          {{ size.fit === 'applied' ? 'A new paper is wrapped' : 'It is wrapped' }}
        </BButton>
        <BButton v-if="check" variant="link" @click="emit('change', null, 'Undo the fit check')">
          Undo the check
        </BButton>
      </template>
    </div>
    <p v-if="files.said.value" class="quiet mt-2" role="status">{{ files.said.value }}</p>
  </section>
</template>
