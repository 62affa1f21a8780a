import type { Place, ReadingName } from '@mivet/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';

/** A spot on the side that the pointer is over. */
export interface Spot {
  readonly azimuth: number;
  readonly slant: number;
}

/** Selection and view, shared by both pictures of the blank. */
export const useView = defineStore('view', () => {
  const selectedId = ref<string | null>(null);
  const spot = shallowRef<Spot | null>(null);
  /** Azimuth that faces the viewer, rad. */
  const facing = ref(0);
  const showSeam = ref(true);
  const showGlance = ref(false);
  const showZones = ref(true);
  /** The reading that is being asked for: the tape lies there. */
  const asked = ref<ReadingName | null>(null);
  /** Place of the opened finding, ringed in both views. */
  const ringed = shallowRef<Place | null>(null);
  const showKeys = ref(false);
  return { selectedId, spot, facing, showSeam, showGlance, showZones, asked, ringed, showKeys };
});
