<script setup lang="ts">
import { formatLength, itemSchema, itemsOfDrawing, type ArtItem, type Film } from '@mivet/core';
import { computed, ref, useId } from 'vue';
import type { IncomingDrawing } from '../../stores/incoming.ts';
import { ringsData } from '../../workers/rings-data.ts';
import LengthField from '../fields/LengthField.vue';

/** A drawing on its way in: what it is called, where it is from, and the film of each of its colours. */
const props = defineProps<{
  incoming: IncomingDrawing;
  films: readonly Film[];
  unit: 'mm' | 'in';
  /** mm. Widest that it is offered at first. */
  room: number;
}>();
const emit = defineEmits<{ place: [items: ArtItem[]]; leave: [] }>();
const id = useId();

const drawing = computed(() => props.incoming.drawing);
const name = ref(props.incoming.name);
const source = ref('');
const rights = ref<ArtItem['rights']>('unsure');
const chosen = ref<(string | null)[]>([...props.incoming.matches]);
const widthMm = ref(Math.max(1, Math.min(drawing.value.widthMm, props.room)));
const SHOWN = 24;
const tooMuch = ref(false);

const pictures = computed(() =>
  drawing.value.colours.map(({ colour, rings, areaMm2 }) => ({
    colour,
    areaMm2,
    data: ringsData(rings),
  })),
);
const filmColour = (film: string | null): string => props.films.find((f) => f.id === film)?.colour ?? 'none';
const view = computed(() => {
  const { widthMm: w, heightMm: h } = drawing.value;
  return `${-w / 2} ${-h / 2} ${w} ${h}`;
});
const taken = computed(() => chosen.value.filter((film) => film !== null).length);

function place(): void {
  const items = itemsOfDrawing(
    drawing.value,
    chosen.value,
    {
      name: name.value.trim().slice(0, 120) || 'Drawing',
      source: source.value.trim().slice(0, 200),
      rights: rights.value,
    },
    widthMm.value,
    () => crypto.randomUUID(),
  );
  // What could not be read back is not placed at all.
  tooMuch.value = items.some((item) => !itemSchema.safeParse(item).success);
  if (items.length > 0 && !tooMuch.value) emit('place', items);
}
</script>

<template>
  <section aria-labelledby="intake">
    <h2 id="intake">A drawing comes in</h2>
    <svg :viewBox="view" class="preview" role="img" :aria-label="`${name} in the films chosen`">
      <path v-for="(p, i) in pictures" :key="i" :d="p.data" :fill="filmColour(chosen[i] ?? null)" fill-rule="evenodd" />
    </svg>
    <div class="row-line">
      <label :for="`${id}-n`">Called</label>
      <input :id="`${id}-n`" v-model="name" class="form-control form-control-sm w-50" maxlength="120" />
    </div>
    <LengthField label="Wide" :mm="widthMm" :unit="unit" :least="1" :most="2000" @change="widthMm = $event" />
    <div class="row-line">
      <span>High</span
      ><span class="dims">{{ formatLength((widthMm * drawing.heightMm) / drawing.widthMm, unit) }}</span>
    </div>
    <h3 class="mt-3 mb-1">Its colours on your films</h3>
    <div v-for="(p, i) in pictures.slice(0, SHOWN)" :key="p.colour" class="row-line">
      <label :for="`${id}-f${i}`" class="colour"
        ><span class="chip" :style="{ background: p.colour }" />{{ p.colour
        }}<span class="quiet small"
          >{{ Math.round((100 * p.areaMm2) / pictures.reduce((sum, q) => sum + q.areaMm2, 0)) }}&nbsp;%</span
        ></label
      >
      <select :id="`${id}-f${i}`" v-model="chosen[i]" class="form-select form-select-sm w-auto">
        <option :value="null">leave it off</option>
        <option v-for="f in films" :key="f.id" :value="f.id">{{ f.name }}</option>
      </select>
    </div>
    <p v-if="pictures.length > SHOWN" class="quiet small mt-1">
      {{ pictures.length - SHOWN }} smaller colours are matched as well. A drawing with fewer colours cuts better.
    </p>
    <div v-if="drawing.leftOut.length > 0" class="note-bar look">
      <p class="fw-bold">Not taken</p>
      <p v-for="l in drawing.leftOut.slice(0, 8)" :key="l.what">{{ l.count > 1 ? `${l.count} × ` : '' }}{{ l.what }}</p>
    </div>
    <h3 class="mt-3 mb-1">Where it is from</h3>
    <input
      v-model="source"
      class="form-control form-control-sm"
      maxlength="200"
      placeholder="Who drew it, or where you got it"
      aria-label="Where it is from"
    />
    <div class="row-line">
      <label :for="`${id}-r`">May you use it?</label>
      <select :id="`${id}-r`" v-model="rights" class="form-select form-select-sm w-auto">
        <option value="own">I drew it</option>
        <option value="allowed">Yes, I may</option>
        <option value="unsure">I am not sure yet</option>
      </select>
    </div>
    <p v-if="rights === 'unsure'" class="quiet small">
      Only cut what you may use; ask whoever drew it. It is kept with the drawing.
    </p>
    <div v-if="tooMuch" class="note-bar fails" role="alert">
      <p>The drawing is too detailed, or too large, to be kept with a project. Simplify it where it was drawn.</p>
      <p>Nothing was changed.</p>
    </div>
    <div class="d-flex flex-wrap gap-2 mt-3">
      <button type="button" class="btn btn-primary" :disabled="taken === 0" @click="place">Place it</button>
      <button type="button" class="btn btn-outline-primary" @click="emit('leave')">Leave it</button>
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
.chip {
  width: 1rem;
  height: 1rem;
  border: 1px solid var(--hairline);
}
</style>
