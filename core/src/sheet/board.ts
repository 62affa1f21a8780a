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

const board = (id: string, label: string, widthMm: number, lengthMm: number): Board => ({
  id,
  label,
  widthMm,
  lengthMm,
  marginMm: 3,
  gapMm: 6,
});

/** Starting list, smallest first. */
export const BOARDS: readonly Board[] = [
  board('small', 'Small board 110 × 305', 110, 305),
  board('square', 'Board 290 × 295', 290, 295),
  board('long', 'Long board 290 × 600', 290, 600),
  { ...board('backed', 'Backed film 330 × 3600, no board', 330, 3600), alone: true },
];

/** The board with this id, a person's own first, or the usual one. */
export function boardById(id: string, own: readonly Board[] = []): Board {
  return own.find((b) => b.id === id) ?? BOARDS.find((b) => b.id === id) ?? BOARDS[1]!;
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

/** A careful pace for small work; starting values. */
export const USUAL_PACE: CutterPace = { cutMmS: 60, travelMmS: 200, accelMmS2: 800, liftS: 0.2 };
