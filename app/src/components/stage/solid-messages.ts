import type { TapePlace } from '@mivet/core';
import type { Spot } from '../../stores/view.ts';
import type { BlankArt } from './blank-art.ts';
import type { BlankShape } from './solid-shape.ts';

/** What the page tells the drawing of the solid; the last word of each kind counts. */
export type SolidRequest =
  | {
      readonly tells: 'open';
      readonly canvas: HTMLCanvasElement | OffscreenCanvas;
      readonly shape: BlankShape;
      readonly facing: number;
      readonly tape: TapePlace | null;
      /** px of the page, and of the screen for each. */
      readonly width: number;
      readonly height: number;
      readonly sharp: number;
    }
  | { readonly tells: 'size'; readonly width: number; readonly height: number; readonly sharp: number }
  | { readonly tells: 'shape'; readonly shape: BlankShape; readonly tape: TapePlace | null }
  | { readonly tells: 'tape'; readonly tape: TapePlace | null }
  | { readonly tells: 'facing'; readonly azimuth: number }
  /** Grabbed and turned: tilted by so many rad, and drawn roughly until it rests. */
  | { readonly tells: 'held'; readonly tiltBy: number }
  /** What is on its side; none while nothing is worked out. Answered with `painted`; roughly while something on it is moving. */
  | { readonly tells: 'art'; readonly art: BlankArt | null; readonly colour: string; readonly moving: boolean }
  /** The spot that is marked; where it shows is told whenever that changes. */
  | { readonly tells: 'mark'; readonly spot: Spot | null }
  /** What lies under a point of the canvas. */
  | { readonly tells: 'pick'; readonly id: number; readonly x: number; readonly y: number }
  | { readonly tells: 'close' };

/** What the drawing of the solid tells the page. */
export type SolidReply =
  /** This browser draws nothing in three dimensions. */
  | { readonly tells: 'refused' }
  | { readonly tells: 'painted' }
  | { readonly tells: 'marked'; readonly at: { readonly x: number; readonly y: number } | null }
  | { readonly tells: 'picked'; readonly id: number; readonly spot: Spot | null };

/** A message to or from one of several drawings, which come one after another. */
export type OfStage<M> = { readonly stage: number; readonly message: M };
