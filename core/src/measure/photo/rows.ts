/** One row across the axis: px along it from the picture's own middle height, and how far the edge is on both sides. */
export interface EdgeRow {
  readonly along: number;
  readonly left: number;
  readonly right: number;
}

/** First and last pixel of the thing in each row that it has any. */
export function rowSpans(mask: Uint8Array, width: number, height: number): [y: number, left: number, right: number][] {
  const spans: [number, number, number][] = [];
  for (let y = 0; y < height; y++) {
    let left = -1;
    let right = -1;
    for (let x = 0; x < width; x++)
      if (mask[y * width + x] === 1) {
        if (left < 0) left = x;
        right = x;
      }
    if (left >= 0) spans.push([y, left, right]);
  }
  return spans;
}

/** px, and share of the half width, from which on two sides disagree. */
const APART = { px: 1.6, share: 0.02 } as const;

/** Rows by which a stretch is looked at past its ends, and between which two are one. */
const ROUND_STRETCH = 6;

/** Share of the rows that may be read from one side. */
const MOST_ONE_SIDED = 0.8;

/** How much rougher a side has to be to be the disturbed one; otherwise the one further out is: things are added, not cut off. */
const ROUGHER = 1.6;

/**
 * Rows with both sides alike: where they disagree, the clean one counts twice. A handle, a spout or a shadow begins and ends
 * with a step in its own side; the other runs on smoothly. Null when hardly a row has two sides alike.
 */
export function cleanRows(rows: readonly EdgeRow[]): { rows: EdgeRow[]; oneSided: number } | null {
  const n = rows.length;
  const out = rows.map((row) => ({ ...row }));
  const differ = (i: number): boolean => {
    const { left, right } = rows[i]!;
    return Math.abs(left - right) > Math.max(APART.px, (APART.share * (left + right)) / 2);
  };
  let taken = 0;
  for (let i = 0; i < n; i++) {
    if (!differ(i)) continue;
    let end = i;
    for (let k = i; k < n && k <= end + ROUND_STRETCH; k++) if (differ(k)) end = k;
    const [from, to] = [Math.max(0, i - ROUND_STRETCH), Math.min(n - 1, end + ROUND_STRETCH)];
    const rough = (side: 'left' | 'right'): number => {
      let sum = 0;
      for (let k = from + 2; k <= to - 2; k++)
        sum += Math.abs(rows[k - 2]![side] - 2 * rows[k]![side] + rows[k + 2]![side]);
      return sum;
    };
    const [roughLeft, roughRight] = [rough('left'), rough('right')];
    const mean = (side: 'left' | 'right'): number => {
      let sum = 0;
      for (let k = i; k <= end; k++) sum += rows[k]![side];
      return sum;
    };
    const clean =
      roughLeft > ROUGHER * roughRight
        ? 'right'
        : roughRight > ROUGHER * roughLeft
          ? 'left'
          : mean('left') < mean('right')
            ? 'left'
            : 'right';
    for (let k = from; k <= to; k++) {
      const value = rows[k]![clean];
      out[k] = { along: rows[k]!.along, left: value, right: value };
    }
    taken += end - i + 1;
    i = end;
  }
  const oneSided = taken / Math.max(1, n);
  return oneSided > MOST_ONE_SIDED ? null : { rows: out, oneSided };
}

/** Rows smoothed by a local parabola over a fortieth of the height, which keeps a curve's bend and drops the noise. */
export function smoothRows(rows: readonly EdgeRow[]): EdgeRow[] {
  const half = Math.max(3, Math.round(rows.length / 80));
  const smooth = (key: 'left' | 'right'): number[] =>
    rows.map((row, i) => {
      const window = rows.slice(Math.max(0, i - half), i + half + 1);
      if (window.length < 2 * half + 1) return row[key];
      // Savitzky–Golay of second order at the middle of 2h + 1 points.
      let sum = 0;
      let weights = 0;
      for (let k = -half; k <= half; k++) {
        const weight = 3 * half * half + 3 * half - 1 - 5 * k * k;
        sum += weight * window[k + half]![key];
        weights += weight;
      }
      return sum / weights;
    });
  const [left, right] = [smooth('left'), smooth('right')];
  return rows.map(({ along }, i) => ({ along, left: left[i]!, right: right[i]! }));
}
