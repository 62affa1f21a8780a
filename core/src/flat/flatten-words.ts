import { solidOf } from '../measure/kinds/kinds.ts';
import { formatLength, type Units } from '../measure/length.ts';
import type { BlankSize } from '../measure/size.ts';
import { EPSILON } from '../numeric/tolerances.ts';
import type { Flattening, FlattenOption, FlattenWay } from '../solid/flattening.ts';
import type { Template } from './template.ts';

/** Why a side is laid flat as it is, a line each. */
export interface FlattenWords {
  readonly title: string;
  /** Why this way. */
  readonly why: string;
  /** What a simpler template would have done; null when there is none simpler. */
  readonly instead: string | null;
}

/** A strain as people read it: per cent with one place, never a bare sign. */
export function strainText(strain: number): string {
  const percent = Math.abs(strain) * 100;
  return `${percent < 0.05 ? '0' : percent < 10 ? percent.toFixed(1) : percent.toFixed(0)}\u00A0%`;
}

/** The most that film is pulled and pushed, where, and what it takes of each; the worse against its own limit first. */
export function describeStrains({ map, give }: Pick<Flattening, 'map' | 'give'>): string {
  const samples = map?.samples ?? [];
  const last = samples.at(-1)?.at ?? 0;
  const where = (at: number): string => {
    const ends = map?.by === 'slant' ? ['at the rim', 'half-way down', 'at the base'] : ['in its middle', 'on the way out', 'at its edge']; // prettier-ignore
    return ends[at < 0.2 * last ? 0 : at > 0.8 * last ? 2 : 1]!;
  };
  const most = samples.reduce((a, b) => (b.strain > a.strain ? b : a), { at: 0, strain: 0 });
  const least = samples.reduce((a, b) => (b.strain < a.strain ? b : a), { at: 0, strain: 0 });
  const pulled = { load: most.strain / give.stretch, text: `pulls ${strainText(most.strain)} ${where(most.at)} (film takes ${strainText(give.stretch)})` }; // prettier-ignore
  const pushed = { load: -least.strain / give.squeeze, text: `pushes it together by ${strainText(least.strain)} ${where(least.at)} (film takes ${strainText(give.squeeze)})` }; // prettier-ignore
  const both = [pulled, pushed].filter(({ load }) => load > 0.02).sort((a, b) => b.load - a.load);
  return both.length === 0 ? 'strains next to nothing' : both.map(({ text }) => text).join(' and ');
}

/** What each way is called on a button. */
export function describeWay({ way, parts }: Pick<FlattenOption, 'way' | 'parts'>): string {
  const names: Record<FlattenWay, string> = {
    exact: 'As it is',
    band: 'One band',
    bands: `${parts} bands`,
    gores: `${parts} gores`,
    patch: 'A round patch',
  };
  return names[way];
}

/**
 * Why a blank's side is laid flat this way, and what a rectangle or a straight-sided template would have done.
 *
 * @param size corrected sizes
 * @param template with its flattening
 */
export function describeFlattening(size: BlankSize, template: Template, unit: Units): FlattenWords {
  const mm = (v: number): string => formatLength(v, unit);
  const { flattening, shortcuts } = template;
  const { face, curved } = solidOf(size);
  if (face?.patch) return ballWords(flattening, size, mm);
  if (face?.round)
    return { title: 'A round', why: 'A lid is flat already: the template is the lid itself.', instead: null };
  if (face) return { title: 'A plain rectangle', why: 'A flat side is its own template.', instead: null };
  if (!curved) {
    if (Math.abs(size.taper) < EPSILON)
      return {
        title: 'A plain rectangle',
        why: 'A straight side unrolls to a rectangle, exactly.',
        instead: null,
      };
    return {
      title: 'A true arc',
      why: 'A tapered side unrolls to part of a ring, exactly.',
      instead: `A straight-sided template would miss the rim by ${mm(shortcuts.trapezoidRim)}, and its seam would stand open by ${mm(shortcuts.trapezoidSeam)}.`,
    };
  }
  return profileWords(flattening, template, mm);
}

function ballWords(flattening: Flattening, size: BlankSize, mm: (v: number) => string): FlattenWords {
  const instead = `A rectangle round the widest girth has all of its ${mm(size.rim.surface)} too much at the poles.`;
  if (flattening.way === 'gores')
    return {
      title: `${flattening.parts} gores`,
      why: `Strips from pole to pole, each narrow enough that its edges give by ${strainText(flattening.strain)} only.`,
      instead,
    };
  return {
    title: 'A round patch',
    why: `A ball unrolls nowhere. Near one spot it is nearly flat: ${mm(flattening.patchMm)} across, film gives ${strainText(flattening.strain)} between its middle and its edge.`,
    instead,
  };
}

function profileWords(flattening: Flattening, template: Template, mm: (v: number) => string): FlattenWords {
  const { shortcuts } = template;
  const { map, way, parts, strain, rectangleExcess, options } = flattening;
  const bowed =
    shortcuts.trapezoidRim > 0.5
      ? `A straight-sided template would miss the rim by ${mm(shortcuts.trapezoidRim)}; a rectangle has ${mm(rectangleExcess)} too much where it is narrowest.`
      : `A rectangle as long as the widest girth has ${mm(rectangleExcess)} too much where it is narrowest: that much has to wrinkle.`;
  if (!map)
    return {
      title: 'A true arc',
      why: 'This side runs straight down: it unrolls exactly.',
      instead: rectangleExcess > 0.5 ? bowed : null,
    };
  const band = options.find((option) => option.way === 'band')!;
  if (way === 'bands')
    return {
      title: `${parts} bands`,
      why: `Each follows its own part of the curve: where it asks most of the film it strains ${strainText(strain)}, one band ${strainText(band.strain)}.`,
      instead: bowed,
    };
  if (way === 'gores')
    return {
      title: `${parts} gores`,
      why: `Strips down the side: their edges give by ${strainText(strain)}, where one band would strain ${strainText(band.strain)}.`,
      instead: bowed,
    };
  return {
    title: 'The best one band',
    why: `The side curves both ways, so no band fits everywhere. Of all bands this one asks least of the film: it ${describeStrains(flattening)}.`,
    instead: bowed,
  };
}
