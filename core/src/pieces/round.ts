/** Something with an extent round the blank; rad. */
export interface Extent {
  readonly azimuths: readonly [number, number];
}

/**
 * Extents side by side, put together where they come nearer to each other than a gap.
 *
 * @param pieces what lies round the blank
 * @param gap rad
 * @returns bunches in order round, each with its pieces and the extent of all of them; the last may reach past π
 */
export function bunchesRound<T extends Extent>(pieces: readonly T[], gap: number): (Extent & { pieces: T[] })[] {
  const sorted = [...pieces].sort((a, b) => a.azimuths[0] - b.azimuths[0]);
  const bunches: { azimuths: [number, number]; pieces: T[] }[] = [];
  for (const piece of sorted) {
    const last = bunches.at(-1);
    if (last && piece.azimuths[0] - last.azimuths[1] < gap) {
      last.pieces.push(piece);
      last.azimuths[1] = Math.max(last.azimuths[1], piece.azimuths[1]);
    } else bunches.push({ azimuths: [...piece.azimuths], pieces: [piece] });
  }
  // Round the back the last may meet the first.
  const [first, last] = [bunches[0], bunches.at(-1)];
  if (first && last && first !== last && first.azimuths[0] + 2 * Math.PI - last.azimuths[1] < gap) {
    bunches.shift();
    last.pieces.push(...first.pieces);
    last.azimuths[1] = Math.max(last.azimuths[1], first.azimuths[1] + 2 * Math.PI);
  }
  return bunches;
}

/**
 * Share of the way round that is laid in one: the longest bunch of pieces.
 *
 * @param gap rad from which on pieces are laid by themselves
 * @returns 0 without pieces … 1 all round
 */
export const shareRound = (pieces: readonly Extent[], gap: number): number =>
  bunchesRound(pieces, gap).reduce(
    (most, { azimuths }) => Math.max(most, Math.min(1, (azimuths[1] - azimuths[0]) / (2 * Math.PI))),
    0,
  );
