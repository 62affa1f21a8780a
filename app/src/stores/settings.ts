import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import {
  limitsWith,
  USUAL_HOURS,
  type Accepted,
  type CutOptions,
  type KeptBox,
  type OwnHabits,
  type OwnLimits,
  type OwnSettings,
  type Practised,
  type Units,
  type WorkHours,
} from '@mivet/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';

/** In which format cut files are written, and what is cut besides the pieces. */
export interface Cutting extends CutOptions {
  readonly format: 'svg' | 'dxf' | 'hpgl';
  readonly bladeOffsetMm: number;
  /** Whether there is a file for each film of a load as well. */
  readonly singles: boolean;
}

/** Rates that jobs are priced by: the user's own currency, minutes, and a markup in per cent. */
export interface OwnRates {
  readonly hour: number;
  readonly minutes: number;
  readonly minutesOnce: number;
  readonly consumables: number;
  readonly marginPercent: number;
  /** For film and tape of which no price is noted: for 100 cm². */
  readonly film100cm2: number;
}
const USUAL_RATES: OwnRates = { hour: 15, minutes: 12, minutesOnce: 20, consumables: 0.3, marginPercent: 40, film100cm2: 0.2 }; // prettier-ignore

/** What a person works with, on this device: units, paper, light. */
export const useSettings = defineStore('settings', () => {
  const measured = useLocalStorage<'mm' | 'in'>('mivet-unit', 'mm');
  /** How inches are written. */
  const inches = useLocalStorage<'fractions' | 'decimals'>('mivet-inches', 'fractions');
  const unit = computed<Units>(() =>
    measured.value === 'mm' ? 'mm' : inches.value === 'decimals' ? 'in-decimal' : 'in',
  );
  const paper = useLocalStorage<'a4' | 'letter'>('mivet-paper', 'a4');
  const theme = useLocalStorage<'light' | 'dim' | 'system'>('mivet-theme', 'light');
  /** Whether a newcomer is led through the first job by its slips. */
  const guiding = useLocalStorage<boolean>('mivet-guiding', true);
  /** How the films of the stock are shown. */
  const stockShows = useLocalStorage<'cards' | 'table'>('mivet-stock', 'cards');
  const boardId = useLocalStorage<string>('mivet-board', 'square');
  const split = useLocalStorage<number>('mivet-split', 0.42);
  /** Limits of the findings that the person changed; replaced whole. */
  const limits = useLocalStorage<OwnLimits>('mivet-limits', {}, { shallow: true });
  /** What the person does otherwise than everybody begins; replaced whole. */
  const habits = useLocalStorage<OwnHabits>('mivet-habits', {}, { shallow: true });
  /** When hands are free; replaced whole. */
  const hours = useLocalStorage<WorkHours>('mivet-hours', USUAL_HOURS, { shallow: true });
  /** What was learnt from the logbook and accepted; replaced whole. */
  const learnt = useLocalStorage<{ readonly [key: string]: Accepted }>('mivet-learnt', {}, { shallow: true });
  /** How exercises went, the latest last; replaced whole. */
  const practised = useLocalStorage<Practised>('mivet-practised', {}, { shallow: true });
  /** How cut files are written; replaced whole. */
  const cutting = useLocalStorage<Cutting>(
    'mivet-cutting',
    { format: 'svg', overcutMm: 0, weedingMm: 0, testMark: false, bladeOffsetMm: 0, singles: false },
    { shallow: true, mergeDefaults: true },
  );
  /** Whether plans are made from offcuts first. */
  const useOffcuts = useLocalStorage<boolean>('mivet-offcuts', true);
  /** The roll of transfer tape that jobs are lifted with; none yet chosen, or `none` off the shelf. */
  const tapeId = useLocalStorage<string>('mivet-tape', '');
  const boxes = useLocalStorage<readonly KeptBox[]>('mivet-boxes', []);
  /** Rates that a job is priced by; replaced as a whole. */
  const rates = useLocalStorage<OwnRates>('mivet-rates', USUAL_RATES, { shallow: true, mergeDefaults: true });
  /** How many entries of the logbook the minutes of hands stand on; 0 while none were accepted. */
  const ownPace = computed(() =>
    Math.max(0, ...Object.entries(learnt.value).flatMap(([key, { n }]) => (key.startsWith('pace:') ? [n] : []))),
  );
  const judgedBy = computed(() => limitsWith(limits.value));
  const dark = usePreferredDark();
  const dim = computed(() => theme.value === 'dim' || (theme.value === 'system' && dark.value));
  /** All of it but how wide the views are, as a backup keeps it; setting it takes what is there. */
  const own = computed<OwnSettings>({
    get: () => ({
      unit: measured.value,
      inches: inches.value,
      paper: paper.value,
      theme: theme.value,
      boardId: boardId.value,
      useOffcuts: useOffcuts.value,
      tapeId: tapeId.value,
      // Plain, so that they can be posted.
      boxes: boxes.value.map((one) => ({ ...one })),
      rates: { ...rates.value },
      cutting: cutting.value,
      habits: { ...habits.value },
      hours: hours.value,
      learnt: learnt.value,
      practised: practised.value,
    }),
    set: (given) => {
      measured.value = given.unit ?? measured.value;
      inches.value = given.inches ?? inches.value;
      paper.value = given.paper ?? paper.value;
      theme.value = given.theme ?? theme.value;
      boardId.value = given.boardId ?? boardId.value;
      useOffcuts.value = given.useOffcuts ?? useOffcuts.value;
      tapeId.value = given.tapeId ?? tapeId.value;
      boxes.value = given.boxes ?? boxes.value;
      rates.value = { ...rates.value, ...given.rates };
      cutting.value = { ...cutting.value, ...given.cutting };
      habits.value = { ...habits.value, ...given.habits };
      hours.value = given.hours ?? hours.value;
      learnt.value = { ...learnt.value, ...given.learnt };
      practised.value = given.practised ?? practised.value;
    },
  });
  return {
    own,
    guiding,
    stockShows,
    unit,
    measured,
    inches,
    paper,
    theme,
    boardId,
    split,
    limits,
    habits,
    hours,
    learnt,
    practised,
    ownPace,
    useOffcuts,
    tapeId,
    boxes,
    rates,
    judgedBy,
    cutting,
    dim,
  };
});
