/** How a picture is turned into outlines. */
export interface TraceOptions {
  /** `dark` and `light`: by lightness; `ground`: what cannot be reached from the border over its colour; `colours`: several. */
  readonly mode: 'dark' | 'light' | 'ground' | 'colours';
  /** Lightness 0 … 255 that parts dark from light; null finds it. */
  readonly threshold: number | null;
  /** How far from the ground's colour still counts as ground, 0 … 442. */
  readonly tolerance: number;
  /** How many colours at most, 1 … 12, without the ground; null takes as many as the picture has. */
  readonly colours: number | null;
  /** Whether what looks like the border is left out, of several colours. */
  readonly dropGround: boolean;
  /** px over which edges are evened out. */
  readonly smooth: number;
  /** mm². Areas and holes smaller than this are left out. */
  readonly speckMm2: number;
  /** mm across that the whole picture stands for. */
  readonly widthMm: number;
}

/** Where a person starts from. */
export const FIRST_TRACE: TraceOptions = {
  mode: 'dark',
  threshold: null,
  tolerance: 60,
  colours: null,
  dropGround: true,
  smooth: 0.8,
  speckMm2: 0.5,
  widthMm: 80,
};
