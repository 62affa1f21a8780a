import type { Finding, Judge } from '../finding.ts';
import type { Sayings } from '../told.ts';

/** A taper whose wider arc is the base: easily wrapped upside down. Of figures that are laid one by one each is seen to stand. */
export const judgeRightWayUp: Judge = ({ wrap }) => {
  const { girthRim, girthBase } = wrap.template.cone;
  if (girthBase <= girthRim + 0.5 || (wrap.pieces.length > 0 && wrap.pieces.every((p) => p.byItself))) return [];
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

/** In words. */
export const sayRightWayUp: Sayings = {
  'right-way-up/wide-base': ({ mm }) => [
    'The longer arc goes to the base',
    `Rim ${mm('rim')}, base ${mm('base')}. It is easily wrapped upside down: “rim this way” is printed on the template.`,
  ],
};
