/** What a cutter can take in one load. Parameters only, no makes. */
export interface Board {
  readonly id: string;
  readonly label: string;
  /** Across the feed, mm. */
  readonly widthMm: number;
  /** Along the feed, mm. */
  readonly lengthMm: number;
  /** Rim of the board that the blade must not reach, mm. */
  readonly marginMm: number;
  /** Room between strips of film so that scissors fit, mm. */
  readonly gapMm: number;
  /** Film runs through by itself, without a board to lie on: one strip a load. */
  readonly alone?: boolean | undefined;
}

/** How fast a cutter works. Parameters only, no makes. */
export interface CutterPace {
  /** mm/s with the blade down. */
  readonly cutMmS: number;
  /** mm/s with the blade up. */
  readonly travelMmS: number;
  /** mm/s². What it takes to get going and to stop. */
  readonly accelMmS2: number;
  /** s. Once up and once down. */
  readonly liftS: number;
}
