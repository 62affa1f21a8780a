import type { Finding, Judge } from './finding.ts';

/** A taper whose wider arc is the base: easily wrapped upside down. */
export const judgeRightWayUp: Judge = ({ wrap }) => {
  const { girthRim, girthBase } = wrap.template.cone;
  if (girthBase <= girthRim + 0.5) return [];
  const finding: Finding = {
    id: 'right-way-up',
    code: 'right-way-up',
    case: 'wide-base',
    severity: 'look',
    place: null,
    itemIds: [],
    numbers: { rim: girthRim, base: girthBase },
    names: {},
    fixes: [],
  };
  return [finding];
};
