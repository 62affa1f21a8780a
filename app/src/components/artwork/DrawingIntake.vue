<script setup lang="ts">
import type { ArtItem, Film, OwnMotif, Provenance, Units } from '@mivet/core';
import {
  colourWord,
  FORMAT_VERSION,
  formatLength,
  formatSize,
  itemSchema,
  itemsOfDrawing,
  keepDrawing,
  ownMarks,
  ringsData,
  scaleDrawing,
  specksOf,
  TINY_PIECE_MM,
} from '@mivet/core';
import { computed, ref, useId, watch } from 'vue';
import type { IncomingDrawing } from '../../stores/incoming.ts';
import { useEdge } from '../../composables/useFilmColours.ts';
import FilmSelect from '../films/FilmSelect.vue';
import FilmSwatch from '../films/FilmSwatch.vue';
import CheckBox from '../fields/CheckBox.vue';
import ChoiceButtons from '../fields/ChoiceButtons.vue';
import LengthField from '../fields/LengthField.vue';
import SourceFields from './SourceFields.vue';

/** A drawing on its way in: what it is called, where it is from, and the film of each of its colours. */
const props = defineProps<{
  incoming: IncomingDrawing;
  films: readonly Film[];
  unit: Units;
  /** mm. What it is offered at when it is larger than the blank takes. */
  room: number;
  /** mm. What the blank takes at most: along and across. */
  most: { readonly widthMm: number; readonly heightMm: number };
  /** mm once round; null where there is no way round. */
  round: number | null;
}>();
const emit = defineEmits<{ place: [items: ArtItem[], keep: OwnMotif | null]; leave: [] }>();
const id = useId();

/** Of hairlines: what they enclose, or the lines themselves. */
const lines = ref<'along' | 'broad'>('along');
const LINES = [
  { value: 'along' as const, label: 'Along the lines', title: 'The lines are where to cut; what they enclose is film' },
  {
    value: 'broad' as const,
    label: 'The lines as film',
    title: 'Each line is a strip of film, as broad as it is drawn',
  },
];
/** mm of the unit of a drawing that does not say. */
const perUnit = ref<'1' | '10' | '25.4'>('1');
const UNITS = [
  { value: '1' as const, label: 'mm' },
  { value: '10' as const, label: 'cm' },
  { value: '25.4' as const, label: 'in' },
];
const whole = computed(() => {
  const { drawing: enclosed, asDrawn } = props.incoming;
  const taken = lines.value === 'broad' && asDrawn ? asDrawn : enclosed;
  return perUnit.value === '1' ? taken : scaleDrawing(taken, Number(perUnit.value));
});
/** Squares for lining up that came with it: Mivet places its own, where they cost least film. */
const marks = computed(() => ownMarks(whole.value));
const keepsMarks = ref(false);
const drawing = computed(() => (marks.value && !keepsMarks.value ? marks.value.without : whole.value));
/** What is sized and placed: its ink, or the page that it was drawn on. */
const by = ref<'ink' | 'sheet'>('ink');
const BY = [
  { value: 'ink' as const, label: 'The drawing', title: 'From edge to edge of what is drawn' },
  { value: 'sheet' as const, label: 'Its page', title: 'With the room round it on the page that it was drawn on' },
];
/** Whether its page is another than its ink, so that there is a choice. */
const hasPage = computed(() => {
  const { sheet, widthMm: w, heightMm: h } = drawing.value;
  return sheet !== null && (Math.abs(sheet.widthMm - w) > 0.01 || Math.abs(sheet.heightMm - h) > 0.01);
});
const frame = computed(() => {
  const { sheet } = drawing.value;
  return hasPage.value && by.value === 'sheet' && sheet ? sheet : { ...drawing.value, x: 0, y: 0 };
});
const name = ref(props.incoming.name);
const said = ref<Provenance>({ source: '', rights: 'unsure' });
const keeps = ref(false);
/** Film of each colour; one that comes on several levels of the drawing is one colour. What is left off has none. */
const chosen = ref<Record<string, string | null>>({});
const choose = (films: readonly (string | null)[]): void => {
  const first = films.find((film) => film !== null) ?? null;
  const others = (props.incoming.asDrawn?.colours ?? []).map(({ colour }) => [colour, first]);
  const own = props.incoming.drawing.colours.map(({ colour }, i) => [colour, films[i] ?? null]);
  chosen.value = Object.fromEntries([...others, ...own]) as Record<string, string | null>;
};
watch(() => props.incoming.matches, choose, { immediate: true });
/** As it was drawn, unless that is more than the blank takes. */
const tooLarge = computed(
  () => frame.value.widthMm > props.most.widthMm + 0.01 || frame.value.heightMm > props.most.heightMm + 0.01,
);
const offered = (): number => Math.max(1, tooLarge.value ? Math.min(frame.value.widthMm, props.room) : frame.value.widthMm); // prettier-ignore
const typed = ref(offered());
/** Once round: as long as the way round, and as high as that makes it. */
const size = ref<'own' | 'round'>('own');
const SIZES = [
  { value: 'own' as const, label: 'This wide' },
  { value: 'round' as const, label: 'Once round', title: 'As long as the way round: its ends meet at the seam' },
];
const widthMm = computed(() => (size.value === 'round' && props.round !== null ? props.round : typed.value));
watch(frame, () => (typed.value = offered()));
/** Specks at the size that it will have. They are left off, not thrown away: they come back when it is made larger. */
const specks = computed(() => specksOf(drawing.value, (TINY_PIECE_MM * frame.value.widthMm) / widthMm.value));
const requested = ref<boolean | null>(null);
const leavesSpecks = computed({
  get: () => requested.value ?? !specks.value.pattern,
  set: (leaves: boolean) => (requested.value = leaves),
});
/** Each colour on a film of its own as far as there are enough, or each on the nearest, so that like colours merge. */
const way = ref<'own' | 'nearest'>('own');
const WAYS = [
  {
    value: 'own' as const,
    label: 'A film each',
    title: 'Each colour on a film of its own, as far as there are enough',
  },
  {
    value: 'nearest' as const,
    label: 'Nearest film',
    title: 'Each colour on the film nearest to it; like colours merge',
  },
];
async function matchAll(next: 'own' | 'nearest'): Promise<void> {
  const { filmIdsFor } = await import('@mivet/core/drawings');
  const colours = props.incoming.drawing.colours.map(({ colour }) => colour);
  way.value = next;
  choose(filmIdsFor(colours, props.films, next === 'own'));
}
const SHOWN = 24;
const tooMuch = ref(false);

const pictures = computed(() => drawing.value.colours.map(({ colour, rings }) => ({ colour, data: ringsData(rings) })));
/** Colours with their share of the drawing. */
const shares = computed(() => {
  const { colours } = drawing.value;
  const wholeMm2 = colours.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  return [...new Set(colours.map(({ colour }) => colour))].map((colour) => ({
    colour,
    share: colours.reduce((sum, c) => sum + (c.colour === colour ? c.areaMm2 : 0), 0) / wholeMm2,
  }));
});
const edge = useEdge('slip');
const edgeOf = (film: string | null): string | undefined =>
  film === null ? undefined : (edge.value(filmColour(film)) ?? undefined);
const filmColour = (film: string | null): string => props.films.find((f) => f.id === film)?.colour ?? 'none';
const view = computed(() => {
  const { widthMm: w, heightMm: h, x, y } = frame.value;
  return `${x - w / 2} ${-y - h / 2} ${w} ${h}`;
});
const taken = computed(() => Object.values(chosen.value).filter((film) => film !== null).length);

function place(): void {
  const about = {
    name: name.value.trim().slice(0, 120) || 'Drawing',
    source: said.value.source.trim().slice(0, 200),
    rights: said.value.rights,
  };
  const drawn = keepDrawing(drawing.value);
  const films = drawn.colours.map(({ colour }) => chosen.value[colour] ?? null);
  const specksMm = leavesSpecks.value && specks.value.count > 0 ? TINY_PIECE_MM : 0;
  const round = size.value === 'round' && props.round !== null;
  const items = itemsOfDrawing(drawn, films, about, widthMm.value, () => crypto.randomUUID()).map((item): ArtItem => ({
    ...item,
    ...(hasPage.value ? { by: by.value } : {}),
    ...(round ? { running: 'round', repeat: { mode: 'joined', count: 1 } } : {}),
    acts: { ...item.acts, specksMm },
  }));
  const motif: OwnMotif = {
    format: 'mivet-motif',
    version: FORMAT_VERSION,
    id: crypto.randomUUID(),
    ...about,
    ...drawn,
    keptAt: new Date().toISOString(),
  };
  // What could not be read back is not placed at all.
  tooMuch.value = items.some((item) => !itemSchema.safeParse(item).success);
  if (items.length > 0 && !tooMuch.value) emit('place', items, keeps.value ? motif : null);
}
</script>

<template>
  <section aria-labelledby="intake">
    <h2 id="intake">Import a drawing</h2>
    <svg :viewBox="view" class="preview" role="img" :aria-label="`${name} in the films chosen`">
      <path
        v-for="(p, i) in pictures"
        :key="i"
        :d="p.data"
        :fill="filmColour(chosen[p.colour] ?? null)"
        :stroke="edgeOf(chosen[p.colour] ?? null)"
        vector-effect="non-scaling-stroke"
        fill-rule="evenodd"
      />
    </svg>
    <div class="row-line">
      <label :for="`${id}-n`">Name</label>
      <BFormInput :id="`${id}-n`" v-model="name" size="sm" class="w-50" maxlength="120" />
    </div>
    <div v-if="incoming.asDrawn" class="row-line">
      <span>Cut</span>
      <ChoiceButtons :value="lines" :options="LINES" label="What of the lines is cut" @choose="lines = $event" />
    </div>
    <div v-if="!drawing.unitSaid" class="row-line">
      <span>Its unit, which the file does not say</span>
      <ChoiceButtons :value="perUnit" :options="UNITS" label="Unit of the drawing" @choose="perUnit = $event" />
    </div>
    <BFormCheckbox v-if="marks" v-model="keepsMarks" :value="false" :unchecked-value="true" class="my-2">
      Use Mivet’s own squares for lining up
      <span class="quiet"
        >in place of {{ marks.places === 1 ? 'the one that came' : `the ${marks.places} that came` }} with it</span
      >
    </BFormCheckbox>
    <div v-if="hasPage" class="row-line">
      <span>Sized by</span>
      <ChoiceButtons :value="by" :options="BY" label="What is sized and placed" @choose="by = $event" />
    </div>
    <div v-if="round !== null" class="row-line">
      <span>Size</span>
      <ChoiceButtons :value="size" :options="SIZES" label="Size of the drawing" @choose="size = $event" />
    </div>
    <LengthField
      v-if="size === 'own' || round === null"
      label="Width"
      :mm="typed"
      :unit="unit"
      :least="1"
      :most="2000"
      @change="typed = $event"
    />
    <div v-else class="row-line">
      <span>Width</span><span class="dims">{{ formatLength(widthMm, unit) }}</span>
    </div>
    <div class="row-line">
      <span>Height</span
      ><span class="dims"
        >{{ size === 'round' && round !== null ? 'about ' : ''
        }}{{ formatLength((widthMm * frame.heightMm) / frame.widthMm, unit) }}</span
      >
    </div>
    <p v-if="size === 'own'" class="quiet small mb-1">
      Drawn {{ formatSize(frame.widthMm, frame.heightMm, unit)
      }}{{ tooLarge ? ', which is more than the blank takes' : '' }}.
      <BButton
        v-if="Math.abs(typed - frame.widthMm) > 0.05"
        variant="link"
        size="sm"
        class="p-0 align-baseline"
        @click="typed = frame.widthMm"
        >As drawn</BButton
      >
    </p>
    <h3 class="mt-3 mb-1">Its colours on your films</h3>
    <div v-if="shares.length > 1" class="row-line">
      <span>Match to my films</span>
      <ChoiceButtons :value="way" :options="WAYS" label="How colours are matched" @choose="matchAll" />
    </div>
    <div v-for="c in shares.slice(0, SHOWN)" :key="c.colour" class="row-line">
      <span class="colour"
        ><FilmSwatch :colour="c.colour" />{{ colourWord(c.colour)
        }}<span class="quiet small">{{ Math.round(100 * c.share) }}&nbsp;%</span></span
      >
      <FilmSelect
        :films="films"
        :value="chosen[c.colour] ?? null"
        :label="`Film for ${colourWord(c.colour)} ${c.colour}`"
        none="leave it off"
        @choose="chosen[c.colour] = $event"
      />
    </div>
    <p v-if="shares.length > SHOWN" class="quiet small mt-1">
      {{ shares.length - SHOWN }} smaller colours are matched as well. A drawing with fewer colours cuts better.
    </p>
    <BFormCheckbox v-if="specks.count > 0" v-model="leavesSpecks" class="mt-2">
      Leave off {{ specks.count === 1 ? 'one speck' : `${specks.count} specks` }}
      <span class="quiet"
        >under {{ formatLength(TINY_PIECE_MM, unit)
        }}{{ specks.pattern ? '; they look like a pattern' : '; back again if you make it larger' }}</span
      >
    </BFormCheckbox>
    <div v-if="drawing.leftOut.length > 0" class="note-bar look">
      <p class="fw-bold">Changed on import</p>
      <p v-for="l in drawing.leftOut.slice(0, 8)" :key="l.what">{{ l.count > 1 ? `${l.count} × ` : '' }}{{ l.what }}</p>
    </div>
    <SourceFields :said="said" what="drawing" @change="said = $event" />
    <CheckBox class="mt-2" :checked="keeps" @change="keeps = $event">Add to my motifs</CheckBox>
    <div v-if="tooMuch" class="note-bar fails" role="alert">
      <p>The drawing is too detailed, or too large, to be kept with a project. Simplify it where it was drawn.</p>
      <p>Nothing was changed.</p>
    </div>
    <div class="d-flex flex-wrap gap-2 mt-3">
      <BButton variant="primary" :disabled="taken === 0" @click="place">Place it</BButton>
      <BButton variant="outline-primary" @click="emit('leave')">Cancel</BButton>
    </div>
  </section>
</template>

<style scoped>
.preview {
  width: 100%;
  max-height: 190px;
  background: var(--sheet);
  border: 1px solid var(--hairline);
  border-radius: 3px;
  padding: 0.5rem;
  margin: 0.4rem 0;
}
.colour {
  display: flex;
  align-items: center;
  gap: 0.5rem;
}
</style>
