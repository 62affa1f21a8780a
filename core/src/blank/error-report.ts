import type { Blank, ReadingName } from './blank.ts';
import { READINGS_ASKED } from './blank.ts';
import type { BlankSize } from './size.ts';
import { SEEN_SIGMA_MM } from './fit-check.ts';
import { summariseReading } from './reading.ts';

/** What the reading errors do to the wrap, all 1 σ in mm. */
export interface ErrorReport {
  /** Gap (or overlap) at the seam, rim end. */
  readonly gapRim: number;
  /** Gap (or overlap) at the seam, base end. */
  readonly gapBase: number;
  /** How far the template's rim edge ends up above or below the band's rim line in front. */
  readonly driftFront: number;
  /** How far the rim edge climbs or sinks more at the back than in front. */
  readonly driftBack: number;
  /** The reading that contributes most to the seam; taking it again helps first. */
  readonly weakest: ReadingName;
  /** Of a profile: the height whose girth is the weakest, from 1; null when all are read alike. */
  readonly weakestStation: number | null;
}

/**
 * Turns reading errors into a predicted seam gap and rim drift. After a paper fit check the gaps are as sure as the eye
 * that read them on the paper, whatever the tape did.
 *
 * @param blank readings with their goes
 * @param size the blank's sizes worked out from them
 * @returns four 1 σ figures in mm and the weakest reading
 * @source partial derivatives on the cone: at the rim the template meets the girth 2π(r₁ − k·e_s), so
 *   gap₁ = e₁ − 2πk·e_s and gap₂ = e₂; the rim stands off by e_s in front and by (πC₁/4)·δk more at the back, where
 *   k = (C₁ − C₂)/2πs. From an upright height h: ∂s/∂h = h/s, ∂s/∂C₁ = −∂s/∂C₂ = k/2π. Root-sum-square.
 */
export function reportErrors(blank: Blank, size: BlankSize): ErrorReport {
  if (size.shape.form === 'profile') return reportProfile(blank, size);
  if (size.shape.form !== 'cone') return reportFace(blank);
  const sigma = (name: ReadingName): number => summariseReading(blank.readings[name])?.sigma ?? 0;
  const k = size.taper;
  const s = size.side;
  const straight = blank.kind === 'straight';
  const lengthName = size.sideFrom;
  const names: ReadingName[] = straight ? ['girthRim', lengthName] : ['girthRim', 'girthBase', lengthName];
  const perLength = size.sideFrom === 'side' ? 1 : size.upright / s;
  const parts = names.map((name) => {
    // Effect of one millimetre of error in this reading on e₁, e₂ and the side.
    const e1 = name === 'girthRim' ? 1 : 0;
    const e2 = name === 'girthBase' || (straight && name === 'girthRim') ? 1 : 0;
    const es = name === lengthName ? perLength : size.sideFrom === 'upright' ? (k / (2 * Math.PI)) * (e1 - e2) : 0;
    const dk = (e1 - e2) / (2 * Math.PI * s) - (k * es) / s;
    const weight = sigma(name);
    return {
      name,
      gapRim: weight * (e1 - 2 * Math.PI * k * es),
      gapBase: weight * e2,
      driftFront: weight * es,
      driftBack: weight * ((Math.PI * size.rim.surface) / 4) * dk,
    };
  });
  const total = (key: 'gapRim' | 'gapBase' | 'driftFront' | 'driftBack'): number =>
    Math.sqrt(parts.reduce((sum, part) => sum + part[key] ** 2, 0));
  const seen = size.fit === 'applied' ? SEEN_SIGMA_MM : null;
  const weakest = parts.reduce((a, b) =>
    a.gapRim ** 2 + a.gapBase ** 2 >= b.gapRim ** 2 + b.gapBase ** 2 ? a : b,
  ).name;
  return {
    gapRim: seen ?? total('gapRim'),
    gapBase: seen ?? total('gapBase'),
    driftFront: seen ?? total('driftFront'),
    driftBack: total('driftBack'),
    weakest,
    weakestStation: null,
  };
}

/**
 * Ends of the band as sure as the girths that were read there, the side as sure as the two heights it lies between. Between
 * the ends, girths weigh in the strain, not in the seam's ends.
 */
function reportProfile(blank: Blank, size: BlankSize): ErrorReport {
  const read = blank.stations.filter(({ girth }) => girth.takes.length > 0);
  const sigmas = read.map(({ girth }) => summariseReading(girth)!.sigma);
  const downs = [read[0], read.at(-1)].map((station) => summariseReading(station?.down)?.sigma ?? 0);
  const seen = size.fit === 'applied' ? SEEN_SIGMA_MM : null;
  const uneven = Math.max(...sigmas) - Math.min(...sigmas) > 1e-6;
  return {
    gapRim: seen ?? sigmas[0]!,
    gapBase: seen ?? sigmas.at(-1)!,
    driftFront: seen ?? Math.hypot(downs[0]!, downs[1]!),
    driftBack: 0,
    weakest: sigmas[0]! >= sigmas.at(-1)! ? 'girthRim' : 'girthBase',
    weakestStation: uneven ? 1 + blank.stations.indexOf(read[sigmas.indexOf(Math.max(...sigmas))]!) : null,
  };
}

/** A face has no seam: what may miss is its edge, by half of what the reading across may. */
function reportFace(blank: Blank): ErrorReport {
  const names = READINGS_ASKED[blank.kind];
  const sigmas = names.map((name) => summariseReading(blank.readings[name])?.sigma ?? 0);
  const most = Math.max(...sigmas);
  const weakest = names[sigmas.indexOf(most)]!;
  return { gapRim: most / 2, gapBase: most / 2, driftFront: most / 2, driftBack: 0, weakest, weakestStation: null };
}
