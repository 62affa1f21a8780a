/** What was seen on the wrapped fit paper, mm. */
export interface FitSeen {
  /** How far the ends stand apart at the rim (+) or lie over each other (−). Beside a handle: how far they stop short of it, both together. */
  readonly gapRimMm: number;
  /** The same at the base. */
  readonly gapBaseMm: number;
  /** How far the paper's rim edge stands above (+) or below (−) the band's rim line in front, its base edge being right. */
  readonly standMm: number;
}

/** Sizes of a band on the blank's own surface, mm. */
export interface BandSizes {
  readonly girthRim: number;
  readonly girthBase: number;
  readonly side: number;
}

/** A dated paper fit check and what it makes of the sizes. */
export interface FitCheck {
  /** ISO. */
  readonly on: string;
  readonly seen: FitSeen;
  /** Sizes that the readings alone gave. */
  readonly before: BandSizes;
  /** Sizes that explain what was seen. */
  readonly after: BandSizes;
  /** 1 σ of `after`, from how well a person reads a gap. */
  readonly sigma: BandSizes;
}
