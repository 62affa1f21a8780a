import {
  formatLength,
  formatSize,
  KINDS_OF_BLANK,
  type GoodViewModel,
  type Project,
  type StripViewModel,
  type Units,
} from '@mivet/core';
import { itemTitle } from './item-title.ts';

/** Items that are told one by one. */
const MOST_ITEMS = 30;
/** mm within which something is in front, or at the back. */
const IN_FRONT_MM = 1;

/** What the pictures of a project show, for those who hear it. */
export interface ProjectInWords {
  readonly blank: string;
  readonly flat: string;
  readonly artwork: readonly string[];
  readonly loads: readonly string[];
}

/**
 * Where something is, from the front: `in front`, `40 mm to the right of the front`; from the middle where the template does not
 * go round.
 *
 * @param azimuth rad
 * @param closed whether the template goes round
 */
export function whereWords(azimuth: number, radiusMm: number, closed: boolean, units: Units): string {
  // As near as it goes: what lies far to the right lies less far to the left.
  const turn = azimuth - 2 * Math.PI * Math.round(azimuth / (2 * Math.PI));
  const mm = turn * radiusMm;
  if (Math.abs(mm) < IN_FRONT_MM) return closed ? 'in front' : 'in the middle';
  if (closed && Math.PI * radiusMm - Math.abs(mm) < IN_FRONT_MM) return 'at the back';
  return `${formatLength(Math.abs(mm), units)} to the ${mm > 0 ? 'right' : 'left'} of the ${closed ? 'front' : 'middle'}`;
}

function blankWords({ blank }: Project, view: GoodViewModel | null, units: Units): string {
  const what = `${blank.name}: ${KINDS_OF_BLANK[blank.kind].label.toLowerCase()}, ${blank.surface}`;
  if (!view) return `${what}; not measured yet.`;
  const { rim, base, side } = view.size;
  const length = (mm: number): string => formatLength(mm, units);
  // What has no side is known by its girth.
  if (blank.kind === 'ball' || blank.kind === 'balloon') return `${what}; ${length(rim.surface)} round.`;
  if (blank.kind === 'lid') return `${what}; ${length(rim.surface)} across.`;
  if (!view.template.closed) return `${what}; ${length(rim.surface)} across and ${length(side)} from top to bottom.`;
  const girths =
    Math.abs(rim.surface - base.surface) < 0.05
      ? `${length(rim.surface)} round`
      : `${length(rim.surface)} round the rim end and ${length(base.surface)} round the base end`;
  return `${what}; ${girths}, ${length(side)} along the side.`;
}

function flatWords(view: GoodViewModel, units: Units): string {
  const { template, panels, pieces } = view;
  const edges = template.closed
    ? `${formatLength(template.rimLength, units)} along the rim edge and ${formatLength(template.baseLength, units)} along the base edge`
    : `${formatLength(template.rimLength, units)} across`;
  const made = panels.length > 1 ? `in ${panels.length} parts` : 'in one part';
  const film = pieces.length === 1 ? 'one piece of film' : `${pieces.length} pieces of film`;
  return `The template is ${edges}, ${made}, with ${film}.`;
}

/**
 * Says what the pictures of a project show.
 *
 * @param view null while it cannot be worked out
 * @param strips of its loads, as far as they are planned
 */
export function projectInWords(
  project: Project,
  view: GoodViewModel | null,
  strips: readonly StripViewModel[],
  units: Units,
): ProjectInWords {
  const film = (id: string): string => project.films.find((one) => one.id === id)?.name ?? id;
  const shown = project.items.slice(0, MOST_ITEMS);
  const artwork = view
    ? shown.flatMap((item) => {
        const placed = view.items.find(({ itemId }) => itemId === item.id);
        if (!placed) return [];
        const size = placed.cutMm ? `${formatSize(placed.cutMm.width, placed.cutMm.height, units)}, ` : '';
        const films = 'film' in item && typeof item.film === 'string' ? ` in ${film(item.film)}` : '';
        const many = placed.copies.length > 1 ? `${placed.copies.length} of them, the first ` : '';
        const where =
          'ring' in item && item.ring
            ? `in a ring, ${formatLength(item.ring.acrossMm, units)} across`
            : `${whereWords(placed.azimuth, view.meanRadius, view.template.closed, units)}, its middle ${formatLength(placed.slant, units)} below the top of the template`;
        return [`${itemTitle(item)}${films}: ${size}${many}${where}.`];
      })
    : [];
  if (project.items.length > MOST_ITEMS) artwork.push(`${project.items.length - MOST_ITEMS} more pieces of artwork.`);
  const loads = [...new Set(strips.map(({ load }) => load))].map((load) => {
    const own = strips.filter((strip) => strip.load === load);
    const parts = own.map(({ film: id, from, to, across }) => `${film(id)} ${formatSize(to - from, across, units)}`);
    return `Load ${load}: ${parts.join('; ')}.`;
  });
  return { blank: blankWords(project, view, units), flat: view ? flatWords(view, units) : '', artwork, loads };
}
