import goblet from './samples/goblet.jpg?url';
import pot from './samples/pot.jpg?url';

/** A rendered photograph to try the reading of outlines on, with what a person would know of the thing. */
export interface SamplePhoto {
  readonly name: string;
  readonly url: string;
  /** mm. Girth at its widest, and the distance that it was taken from. */
  readonly widestGirth: number;
  readonly cameraMm: number;
}

/** Made by scripts/sample-photos.ts, where their true shapes are. */
export const SAMPLE_PHOTOS: readonly SamplePhoto[] = [
  { name: 'the goblet', url: goblet, widestGirth: 267.0, cameraMm: 700 },
  { name: 'the pot', url: pot, widestGirth: 414.7, cameraMm: 900 },
];
