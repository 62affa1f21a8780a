import type { FilmFinish } from '../model/film.ts';
import type { SurfaceKind } from '../model/blank.ts';

/** How much film may be pulled and pushed together, as fractions. */
export interface FilmGiveOf {
  readonly stretch: number;
  readonly squeeze: number;
}

/** What film of one finish is like. */
export interface FilmNumbers {
  readonly thicknessMm: number;
  /** Laid cold. */
  readonly give: FilmGiveOf;
  /** Stretch of film that is laid warm, where it is known; null where it gives what it gives cold. */
  readonly warmStretch: number | null;
  /** mm. Finest stroke that holds. */
  readonly finestStrokeMm: number;
}

/** How a surface is made ready for film. */
export interface SurfaceCare {
  /** Whether it is wiped with alcohol: paint, plastic and rubber do not bear it, clay soaks it up. */
  readonly alcohol: boolean;
  /** Minutes that it takes to dry before film goes on. */
  readonly dryMinutes: number;
  /** How far the surface itself gives way to film on it, as a fraction: rubber does, hard things do not. */
  readonly give: number;
}

/** Everything that is known of film, tape and surfaces: passed to every function that uses it, so that it can be learnt. */
export interface Materials {
  readonly films: Readonly<Record<FilmFinish, FilmNumbers>>;
  /** What transfer tape takes, pulled and pushed together, as a fraction. */
  readonly tapeGive: number;
  readonly surfaces: Readonly<Record<SurfaceKind, SurfaceCare>>;
  /** Minutes: until film may be handled hard, until it may be washed, and until stripper is first looked at. */
  readonly waits: {
    readonly handle: number;
    readonly wash: number;
    readonly strip: number;
    /** Until stripper is first looked at, by the colour of the coat, where that was learnt. */
    readonly stripOf: { readonly [colour: string]: number };
  };
  readonly pace: Pace;
}

/** Minutes that hands take. */
export interface Pace {
  /** Of weeding: to begin a film, for each piece or counter, and for each metre that was cut. */
  readonly weedOnce: number;
  readonly weedPiece: number;
  readonly weedMetre: number;
  /** Of laying a wrap; a face takes a third of it. */
  readonly layEach: number;
  /** Of cutting: to begin a job, and for each metre. */
  readonly cutOnce: number;
  readonly cutMetre: number;
}

const film = (thicknessMm: number, stretch: number, squeeze: number, finestStrokeMm: number): FilmNumbers => ({
  thicknessMm,
  give: { stretch, squeeze },
  warmStretch: null,
  finestStrokeMm,
});

const WIPED: SurfaceCare = { alcohol: true, dryMinutes: 3, give: 0 };
const WASHED: SurfaceCare = { alcohol: false, dryMinutes: 10, give: 0 };

/** What is taken until something better is known; labels of the material in hand come first. */
export const STARTING_MATERIALS: Materials = {
  films: {
    'gloss permanent': film(0.07, 0.015, 0.005, 1),
    'matte removable': film(0.08, 0.015, 0.005, 1),
    metallised: film(0.06, 0.007, 0.003, 1.5),
    glitter: film(0.18, 0.007, 0.003, 2),
    'cast conformable': { ...film(0.05, 0.02, 0.01, 0.8), warmStretch: 0.05 },
    glow: film(0.12, 0.01, 0.003, 1.5),
    'mask film': film(0.08, 0.02, 0.005, 1),
  },
  tapeGive: 0.02,
  surfaces: {
    glass: WIPED,
    'glazed ceramic': WIPED,
    'bare steel': WIPED,
    'powder-coated steel': WIPED,
    painted: WASHED,
    plastic: WASHED,
    latex: { ...WASHED, give: 0.04 },
    // Clay that was brushed off dries for a day.
    'raw terracotta': { alcohol: false, dryMinutes: 24 * 60, give: 0 },
  },
  waits: { handle: 24 * 60, wash: 48 * 60, strip: 60, stripOf: {} },
  pace: { weedOnce: 0.5, weedPiece: 0.25, weedMetre: 2 / 3, layEach: 6, cutOnce: 3, cutMetre: 0.5 },
};

/** What a film gives, cold or warm. */
export function filmGive({ films }: Materials, finish: FilmFinish, warm: boolean): FilmGiveOf {
  const { give, warmStretch } = films[finish];
  return warm ? { ...give, stretch: warmStretch ?? give.stretch } : give;
}
