import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';
import { laySingly } from './lay-singly.ts';
import { count } from '../told.ts';

/** One band over a side that curves both ways, where film all over it would be pulled or pushed past what it gives. */
export const judgeBandStrain: Judge = ({ job, wrap }) => {
  const { flattening, cone, closed } = wrap.template;
  const { way, worst, options, cutDown } = flattening;
  const band = options.find((option) => option.way === 'band');
  if (!closed || !worst || !band) return [];
  // Figures that are laid one by one are no band: each is judged by what it asks of its own film.
  if (wrap.pieces.length > 0 && wrap.pieces.every(({ byItself }) => byItself)) return [];
  const findings: Finding[] = [];
  const at = Math.min(Math.max(worst.at, 0), cone.side);
  const base = { itemIds: [], names: { end: at < cone.side / 2 ? 'upper' : 'lower' } };
  if (band.load > 1 && way === 'band')
    findings.push({
      ...base,
      id: 'stretch:band',
      code: 'stretch',
      case: worst.strain > 0 ? 'pulled' : 'pushed',
      severity: 'look',
      place: { azimuths: [-0.6, 0.6], slants: [Math.max(0, at - 6), Math.min(cone.side, at + 6)] },
      numbers: { strain: Math.abs(worst.strain) * 100, limit: (100 * Math.abs(worst.strain)) / band.load, at },
      fixes: [
        ...laySingly(job.items, new Set(job.items.map(({ id }) => id)), true),
        ...(cutDown
          ? [{ do: 'keep-band', keep: cutDown.keep, end: cutDown.end, leftOffMm: cutDown.leftOff } as const]
          : []),
      ],
    });
  const divided =
    wrap.frames.length > 1 ? wrap.pieces.filter((p) => p.cutAcross || (way === 'gores' && p.cutAt !== null)) : [];
  if (way !== 'band' && divided.length > 0)
    findings.push({
      ...base,
      id: 'stretch:divided',
      code: 'stretch',
      case: 'divided',
      severity: 'look',
      place: null,
      numbers: { parts: flattening.parts, count: divided.length },
      names: { parts: way },
      fixes: [{ do: 'one-band' }],
    });
  else if (way !== 'band' && wrap.frames.length === 1 && wrap.pieces.length > 0)
    findings.push({
      ...base,
      id: 'stretch:parts',
      code: 'stretch',
      case: 'parts',
      severity: 'look',
      place: null,
      numbers: { parts: flattening.parts },
      names: { parts: way },
      fixes: [{ do: 'one-band' }],
    });
  return findings;
};

/** In words. */
export const sayStretch: Sayings = {
  'stretch/pulled': ({ mm, percent }) => [
    `The band pulls film by ${percent('strain')}, ${mm('at')} below the rim edge`,
    `Film takes ${percent('limit')} of pull. Small pieces do not mind; a solid wrap does.`,
  ],
  'stretch/pushed': ({ mm, percent }) => [
    `The band pushes film together by ${percent('strain')}, ${mm('at')} below the rim edge`,
    `Film takes ${percent('limit')} of that before it tents. Small pieces do not mind; a solid wrap does.`,
  ],
  'stretch/parts': ({ names, whole }) => [
    `Artwork lies on one patch, the template is in ${names['parts']}`,
    `The ${whole('parts')} ${names['parts']} are printed bare. Cut artwork through them by hand, or lay it on one patch.`,
  ],
  'stretch/divided': ({ finding, names, whole }) => [
    `${count(finding.numbers['count'], 'piece is', 'pieces are')} cut where the ${names['parts']} meet`,
    `The side is laid in ${whole('parts')} ${names['parts']}; each joint shows in the film. Fewer, or one band, cut less.`,
  ],
};
