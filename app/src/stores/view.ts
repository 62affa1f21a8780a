import type { Asked, Gap, Place, SnapBox, TrialOutcome } from '@mivet/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';

/** A spot on the side that the pointer is over. */
export interface Spot {
  readonly azimuth: number;
  readonly slant: number;
}

/** Lines that hold a dragged item, how far it is from the front, and from what is about it, in words. */
export interface DragGuides {
  readonly lines: readonly { readonly axis: 'round' | 'down'; readonly at: number; readonly text: string }[];
  readonly box: SnapBox;
  readonly round: string;
  readonly gaps: readonly (Pick<Gap, 'way' | 'ends'> & { readonly text: string })[];
  /** What is free about it, itself included. */
  readonly room: string;
}

/** What is tried out on Proof, as both pictures show it. */
export interface ShownTrial {
  /** Where a spot of the template comes to lie on the cup that is tried; null when only the film is. */
  readonly layAt: TrialOutcome['layAt'] | null;
  /** The outline that would have fitted, SVG path data on the flat; empty when only the film is tried. */
  readonly ghost: string;
  /** Pieces that would no longer lie flat. */
  readonly stiff: ReadonlySet<string>;
}

/** What is dragged, and how far it is from where it was taken up; until the picture has it where it was dropped. */
export interface Dragged {
  readonly itemIds: ReadonlySet<string>;
  /** rad round, mm down the side. */
  readonly azimuth: number;
  readonly slant: number;
}

/** Selection and view, shared by both pictures of the blank. */
export const useView = defineStore('view', () => {
  const selectedId = ref<string | null>(null);
  /** What is selected besides: it moves along and is deleted along. */
  const also = shallowRef<ReadonlySet<string>>(new Set());
  const selection = computed<ReadonlySet<string>>(
    () => new Set(selectedId.value === null ? [] : [selectedId.value, ...also.value]),
  );
  /** Which copy of the selected item is looked at by itself, where it is scattered. */
  const copyIndex = ref<number | null>(null);
  // Another one by itself.
  watch(
    selectedId,
    () => {
      also.value = new Set();
      copyIndex.value = null;
    },
    { flush: 'sync' },
  );

  /** Selects one; with `adding`, besides what is selected, or no longer. */
  function select(id: string | null, adding = false): void {
    if (!adding || id === null || selectedId.value === null) {
      selectedId.value = id;
      return;
    }
    const rest = new Set(also.value);
    if (id === selectedId.value) {
      // The next one takes its place.
      const [next, ...others] = rest;
      selectedId.value = next ?? null;
      also.value = new Set(others);
    } else {
      if (!rest.delete(id)) rest.add(id);
      also.value = rest;
    }
  }
  const spot = shallowRef<Spot | null>(null);
  /** Azimuth that faces the viewer, rad. */
  const facing = ref(0);
  const showSeam = ref(true);
  const showGlance = ref(false);
  const showZones = ref(true);
  /** Strain over the side, where it curves both ways. */
  const showStrain = ref(true);
  /** Slits in the transfer tape, where it would tent. */
  const showSlits = ref(true);
  /** The reading that is being asked for: the tape lies there. */
  const asked = shallowRef<Asked | null>(null);
  /** Place of the opened finding, highlighted in both views. */
  const highlighted = shallowRef<Place | null>(null);
  /** What holds the item that is being dragged, and where it is. */
  const guides = shallowRef<DragGuides | null>(null);
  const dragged = shallowRef<Dragged | null>(null);
  /** The same as far as the document has it: it follows the hand at a distance. */
  const draggedInDoc = shallowRef<Dragged | null>(null);
  /** The picture has what was dragged where it was dropped. */
  function letGo(): void {
    dragged.value = draggedInDoc.value = null;
  }
  /** What is tried out, while it is. */
  const trial = shallowRef<ShownTrial | null>(null);
  const showKeys = ref(false);
  /** Help at the place where one is. */
  const showHelp = ref(false);
  /** Where the tour of the demo stands; null while there is none. */
  const tourAt = ref<number | null>(null);
  /** What is large at Cut: the loads, how the films lie on each other, or what the cutter does. */
  const cutShows = ref<'loads' | 'stack' | 'cutter'>('loads');
  /** The names of the job, all at once, in place of the two views. */
  const showNames = ref(false);
  return {
    guides,
    dragged,
    draggedInDoc,
    letGo,
    trial,
    selectedId,
    also,
    copyIndex,
    selection,
    select,
    spot,
    facing,
    showSeam,
    showGlance,
    showZones,
    showStrain,
    showSlits,
    asked,
    highlighted,
    showKeys,
    showHelp,
    tourAt,
    showNames,
    cutShows,
  };
});
