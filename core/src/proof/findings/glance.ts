import { wholeTurns } from '../../numeric/angle.ts';
import { isMask } from '../../artwork/mask.ts';
import type { PlacedItem } from '../../layout/place.ts';
import type { Blank } from '../../model/blank.ts';
import { outlineOfBlank, viewOfSection } from '../../surface/section.ts';
import { eyeDistance, halfAngleSeen } from '../../surface/foreshortening.ts';
import { itemName } from '../finding-names.ts';
import type { Finding, Judge } from '../finding.ts';
import type { Limits } from '../limits.ts';
import type { Sayings } from '../told.ts';
import { sentence } from '../told.ts';

/** How much of a glance a fix fills: moved a little further down a taper, the words still fit it. */
const SPARE = 0.98;

/**
 * Half-angle round the blank that is seen in one glance.
 *
 * @param radius of the blank, mm
 * @param limits from where it is seen, and how narrow the edge may look against the middle
 * @returns azimuth in rad
 */
export function glanceHalfAngle(radius: number, limits: Pick<Limits, 'glanceDistance' | 'glanceEdge'>): number {
  return halfAngleSeen(radius, eyeDistance(radius, limits.glanceDistance), limits.glanceEdge / 100);
}

/**
 * The same on any blank, in front of some spot: of what is not round, as far as the nearer of its two edges.
 *
 * @param blank for its section
 * @param azimuth of the spot that one looks at
 */
export function glanceHalfAngleOn(
  blank: Pick<Blank, 'kind' | 'section'>,
  radius: number,
  azimuth: number,
  limits: Pick<Limits, 'glanceDistance' | 'glanceEdge'>,
): number {
  const outline = outlineOfBlank(blank, 2 * Math.PI * radius);
  if (!outline) return glanceHalfAngle(radius, limits);
  const view = viewOfSection(outline, radius, azimuth, eyeDistance(radius, limits.glanceDistance));
  const [left, right] = view.within(limits.glanceEdge / 100);
  return Math.min(azimuth - left, right - azimuth);
}

/** Share of the way round from which a thing is a wrap: it is turned to be looked at. */
const WRAP_SHARE = 0.6;

/**
 * Words and single motifs wider than what one sees without turning the blank. What is kept together is read as one, and
 * of a mask what it opens is seen.
 */
export const judgeGlance: Judge = (context) => {
  const { wrap, job, limits } = context;
  if (!wrap.template.closed) return [];
  const opened = new Set(job.items.filter(isMask).flatMap(({ acts }) => acts.cutAway));
  const isRead = ({ item, slants }: PlacedItem): boolean =>
    item.repeat.mode === 'once' && !isMask(item) && (slants !== null || opened.has(item.id));
  const groups = new Map<string, PlacedItem[]>();
  for (const placed of wrap.placed.filter(isRead)) {
    const { item } = placed;
    // All colours of a drawing are one picture.
    const key = item.keepTogether ?? (item.type === 'art' ? item.setId : item.id);
    groups.set(key, [...(groups.get(key) ?? []), placed]);
  }
  return [...groups.values()].flatMap((group): Finding[] => {
    const [first] = group as [PlacedItem];
    const radius = wrap.surface.radiusAt(first.slant);
    const near = (azimuth: number): number => azimuth - wholeTurns(azimuth - first.azimuth);
    const left = Math.min(...group.map((p) => near(p.azimuth) + p.box.minX / radius));
    const right = Math.max(...group.map((p) => near(p.azimuth) + p.box.maxX / radius));
    const width = (right - left) * radius;
    const half = glanceHalfAngleOn(job.blank, radius, (left + right) / 2, limits);
    const seen = 2 * radius * half;
    if (width <= seen + 0.05 || right - left >= WRAP_SHARE * 2 * Math.PI) return [];
    const middle = (left + right) / 2;
    const itemIds = group.map(({ item }) => item.id);
    const factor = (seen / width) * SPARE;
    return [
      {
        id: `glance:${first.item.id}`,
        code: 'glance',
        case: group.length > 1 ? 'wide-group' : 'wide',
        severity: 'look',
        place: {
          azimuths: [middle - half, middle + half],
          slants: [
            Math.min(...group.map((p) => p.slants?.[0] ?? p.slant + p.box.minY)),
            Math.max(...group.map((p) => p.slants?.[1] ?? p.slant + p.box.maxY)),
          ],
        },
        itemIds,
        numbers: { width, seen, distance: limits.glanceDistance },
        names: { item: itemName(context, first.item.id), rest: String(group.length - 1) },
        // Parts of a group are sized by hand: shrunk one by one they would no longer fit each other.
        fixes:
          new Set(group.map(({ item }) => (item.type === 'art' ? item.setId : item.id))).size > 1
            ? []
            : [
                { do: 'scale-item', itemId: first.item.id, factor },
                // Opposite a handle there is one face on either side of it.
                { do: 'both-faces', itemId: first.item.id, factor },
              ],
      },
    ];
  });
};

/** In words. */
export const sayGlance: Sayings = {
  glance: ({ finding, names, mm }) => [
    `${sentence(names['item'])}${finding.case === 'wide' ? ' is' : ' and what is kept together with it are'} wider than one glance`,
    `${finding.case === 'wide' ? 'It is' : 'Together they are'} ${mm('width')} wide; from ${mm('distance')} away one sees ${mm('seen')} here without turning the blank.${finding.fixes.length === 0 ? ' Make them smaller together, or take them apart.' : ''}`,
  ],
};
