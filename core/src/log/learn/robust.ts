/** 0.9 quantile of the standard normal distribution: between minus and plus so much lie eight of ten. */
const Z80 = 1.2816;
/** Residuals past so many spreads count less and less (Huber). */
const HUBER = 1.345;
const ROUNDS = 30;
/** Share by which a value still moves when it is there. */
const MOVES = 1e-10;
/** Efficiency of the median of distances from the middle, of normal values. */
const MEDIAN_WORTH = 0.37;

/** A value with a range that holds the true one eight times of ten. */
export interface Range {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What is known before there is any entry: a value, its spread, and the spread of single entries with its weight. */
export interface Prior {
  readonly mean: number;
  /** Spread of the value itself. */
  readonly sd: number;
  /** Spread of one entry round it, and for how many entries that counts. */
  readonly noise: number;
  readonly noiseN: number;
}

/**
 * 0.9 quantile of Student's distribution.
 *
 * @param dof degrees of freedom, above 0
 * @source Cornish–Fisher expansion to the second order in 1/dof
 */
export const t80 = (dof: number): number => {
  const z = Z80;
  return z + (z ** 3 + z) / (4 * dof) + (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * dof ** 2);
};

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};
const huber = (residual: number, spread: number): number =>
  Math.min(1, (HUBER * spread) / Math.max(1e-12, Math.abs(residual)));

/** Spread of residuals, wild ones left aside, leaning on what was thought before. */
function spreadOf(residuals: readonly number[], { noise, noiseN }: Pick<Prior, 'noise' | 'noiseN'>): number {
  if (residuals.length === 0) return noise;
  // The median of the distances from the middle is 0.6745 of a normal spread.
  const middle = median(residuals.map(Math.abs)) / 0.6745;
  const own = Math.max(middle, noise / 20);
  const n = residuals.length;
  return Math.sqrt((n * own * own + noiseN * noise * noise) / (n + noiseN));
}

/**
 * Where values lie, leaning on a prior: with few of them near it, with many at their own middle; wild ones count little.
 *
 * @returns the middle with its range, and the spread of single values
 * @source P. J. Huber, "Robust estimation of a location parameter", 1964; normal prior, reweighted least squares
 */
export function robustMean(values: readonly number[], prior: Prior): Range & { readonly spread: number } {
  const precision = 1 / prior.sd ** 2;
  let value = values.length > 2 ? median(values) : prior.mean;
  let [spread, weights] = [prior.noise, values.map(() => 1)];
  for (let round = 0; round < ROUNDS; round++) {
    const middle = value;
    spread = spreadOf(values.map((one) => one - middle), prior); // prettier-ignore
    weights = values.map((one) => huber(one - middle, spread));
    const sum = weights.reduce((all, weight) => all + weight, 0) / spread ** 2;
    const total = weights.reduce((all, weight, i) => all + weight * values[i]!, 0) / spread ** 2;
    value = (total + precision * prior.mean) / (sum + precision);
    if (Math.abs(value - middle) <= MOVES * (Math.abs(middle) + prior.sd)) break;
  }
  const n = weights.reduce((all, weight) => all + weight, 0);
  const sd = Math.sqrt(1 / (n / spread ** 2 + precision));
  const reach = t80(n + prior.noiseN) * sd;
  return { value, low: value - reach, high: value + reach, spread };
}

/**
 * How far single values lie from 0, leaning on a prior spread; wild ones count little.
 *
 * @source scaled inverse chi-square; its quantiles by E. B. Wilson and M. M. Hilferty, "The distribution of chi-square", 1931
 */
export function robustSpread(values: readonly number[], prior: Pick<Prior, 'noise' | 'noiseN'>): Range {
  const value = spreadOf(values, prior);
  // A spread from the median of distances stands on about a third of what the same values tell by their squares.
  const dof = MEDIAN_WORTH * values.length + prior.noiseN;
  const chi = (z: number): number => (1 - 2 / (9 * dof) + z * Math.sqrt(2 / (9 * dof))) ** 3;
  return { value, low: value / Math.sqrt(chi(Z80)), high: value / Math.sqrt(Math.max(0.02, chi(-Z80))) };
}

/** Where the next single value will lie eight times of ten. */
export function nextRange(of: ReturnType<typeof robustMean>, n: number, { noiseN }: Pick<Prior, 'noiseN'>): Range {
  const own = (of.high - of.low) / 2 / t80(n + noiseN);
  const reach = t80(n + noiseN) * Math.hypot(of.spread, own);
  return { value: of.value, low: of.value - reach, high: of.value + reach };
}

/**
 * Straight-line fit y = Σ βⱼ xⱼ that leans on starting values: robust ridge regression. Rows are scaled to what the starting
 * values expect of them, since what takes long is off by more.
 *
 * @param start starting values of β, above zero
 * @param leaning spread of each β as a share of its starting value
 * @param prior noise as a share of what is expected, and for how many rows it counts
 * @source A. E. Hoerl and R. W. Kennard, "Ridge regression", 1970, towards given values; Huber weights
 */
export function robustRidge(
  rows: readonly { readonly x: readonly number[]; readonly y: number }[],
  start: readonly number[],
  leaning: number,
  prior: Pick<Prior, 'noise' | 'noiseN'>,
): Range[] {
  const scaled = rows.flatMap(({ x, y }) => {
    const expected = x.reduce((sum, value, j) => sum + value * start[j]!, 0);
    // In shares of the starting values, so that all are 1 before anything is learnt.
    return expected > 0 ? [{ x: x.map((value, j) => (value * start[j]!) / expected), y: y / expected }] : [];
  });
  const k = start.length;
  const ridge = 1 / leaning ** 2;
  let beta: number[] = start.map(() => 1);
  let [spread, covariance] = [prior.noise, start.map((_, i) => start.map((__, j) => (i === j ? leaning ** 2 : 0)))];
  let n = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const residuals = scaled.map(({ x, y }) => y - x.reduce((sum, value, j) => sum + value * beta[j]!, 0));
    spread = spreadOf(residuals, prior);
    const weights = residuals.map((residual) => huber(residual, spread));
    n = weights.reduce((sum, weight) => sum + weight, 0);
    const matrix = start.map((_, i) => start.map((__, j) => (i === j ? ridge : 0)));
    const right = start.map(() => ridge);
    scaled.forEach(({ x, y }, r) => {
      const weight = weights[r]! / spread ** 2;
      for (let i = 0; i < k; i++) {
        right[i]! += weight * x[i]! * y;
        for (let j = 0; j < k; j++) matrix[i]![j]! += weight * x[i]! * x[j]!;
      }
    });
    covariance = inverse(matrix);
    const before = beta;
    beta = covariance.map((row) => row.reduce((sum, value, j) => sum + value * right[j]!, 0));
    if (beta.every((value, j) => Math.abs(value - before[j]!) <= MOVES)) break;
  }
  const t = t80(n + prior.noiseN);
  return beta.map((value, j) => {
    const reach = t * Math.sqrt(covariance[j]![j]!);
    return { value: value * start[j]!, low: Math.max(0, value - reach) * start[j]!, high: (value + reach) * start[j]! };
  });
}

/** Inverse of a small symmetric matrix with a ridge, by Gauss and Jordan. */
function inverse(matrix: readonly (readonly number[])[]): number[][] {
  const k = matrix.length;
  const rows = matrix.map((row, i) => [...row, ...matrix.map((_, j) => (i === j ? 1 : 0))]);
  for (let i = 0; i < k; i++) {
    const by = rows[i]![i]!;
    rows[i] = rows[i]!.map((value) => value / by);
    for (let r = 0; r < k; r++)
      if (r !== i) {
        const times = rows[r]![i]!;
        rows[r] = rows[r]!.map((value, c) => value - times * rows[i]![c]!);
      }
  }
  return rows.map((row) => row.slice(k));
}

/**
 * How often something happens, leaning on a starting rate.
 *
 * @param n entries that the starting rate counts for
 * @source E. B. Wilson, "Probable inference", 1927, with the starting rate as entries already seen
 */
export function rateOf(times: number, of: number, start: number, n: number): Range {
  const all = of + n;
  const p = (times + start * n) / all;
  const z = Z80;
  const middle = (p + z ** 2 / (2 * all)) / (1 + z ** 2 / all);
  const reach = (z * Math.sqrt((p * (1 - p)) / all + z ** 2 / (4 * all ** 2))) / (1 + z ** 2 / all);
  return { value: p, low: Math.max(0, middle - reach), high: Math.min(1, middle + reach) };
}

/**
 * Where going well turns into going wrong: the place that the fewest entries contradict, leaning on a starting value.
 *
 * @param seen how far each went, and whether that went well
 * @param start where it is thought to turn, which counts for as much as `n` entries
 * @returns between the last that went well and the first that went wrong there
 */
export function turningPoint(
  seen: readonly { readonly at: number; readonly well: boolean }[],
  start: number,
  n: number,
): Range {
  const places = [...new Set([start, ...seen.map(({ at }) => at)])].sort((a, b) => a - b);
  const gaps = places.flatMap((place, i) => {
    const next = places[i + 1];
    return next === undefined ? [] : [{ low: place, high: next }];
  });
  const against = (at: number): number =>
    seen.filter((one) => (one.well ? one.at > at : one.at < at)).length + n * Math.min(1, Math.abs(at - start) / Math.max(start, 1e-9)); // prettier-ignore
  const tried = [
    { low: start, high: start, at: start },
    ...gaps.map(({ low, high }) => ({ low, high, at: (low + high) / 2 })),
  ];
  const least = Math.min(...tried.map(({ at }) => against(at)));
  const best = tried.filter(({ at }) => against(at) <= least + 1e-9);
  const value = best[0]!.at;
  const well = seen.filter((one) => one.well && one.at <= value).map(({ at }) => at);
  const wrong = seen.filter((one) => !one.well && one.at >= value).map(({ at }) => at);
  return { value, low: well.length > 0 ? Math.max(...well) : Math.min(start, value), high: wrong.length > 0 ? Math.min(...wrong) : Math.max(start, value) }; // prettier-ignore
}
