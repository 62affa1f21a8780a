import type { Wrap } from '../pieces/wrap.ts';
import type { Deepest, SectionLayer } from './depth.ts';

/** One layer of a stack: all pieces of one film that lie at one level. */
export interface LayerReport {
  readonly layer: string;
  readonly pieces: number;
  /** Things that have to find their place by themselves. */
  readonly bodies: number;
  readonly marked: boolean;
  /** Whether the rule says how it is lined up, not the person. */
  readonly byRule: boolean;
  /**
   * mm² of film that the marks of this layer cost by the plan; when it has none, what they would cost. Null for a layer
   * without marks of few things, or that meets no other: nothing depends on it, and it is computed on request.
   */
  readonly marksMm2: number | null;
  /** Whether it touches film of another layer. */
  readonly meets: boolean;
  /** Bodies of which no part lies on, or against, film below; 0 for the lowest layer. */
  readonly unsupported: number;
}

/** How the films of a job lie on each other. */
export interface StackReport {
  /** From the blank outwards. */
  readonly layers: readonly LayerReport[];
  readonly deepest: Deepest | null;
  /** A section round the side, and its height in the plane of the side, mm: through the deepest place, or where most films are met. */
  readonly section: readonly SectionLayer[];
  readonly sectionY: number;
  /** Loads that marks add. */
  readonly marksLoads: number;
}

/** Nothing lies on anything. */
export const NO_LAYERS: StackReport = { layers: [], deepest: null, section: [], sectionY: 0, marksLoads: 0 };

/** What lining layers up by marks costs; each is worked out when it is asked for. */
export interface MarksCost {
  /** Loads that the marks of the job add. */
  readonly loads: () => number;
  /** mm² of film that the marks of a layer cost by the plan; when it has none, what they would cost. null when it does not fit the board with them. */
  readonly of: (layer: string) => number | null;
}

/** For what is only judged: nothing is said of cost. */
export const NOT_COSTED: MarksCost = { loads: () => 0, of: () => null };

/** How films lie on what is made otherwise than its job stands, by its wrap. */
export type StacksOfMakes = ReadonlyMap<Wrap, StackReport>;
