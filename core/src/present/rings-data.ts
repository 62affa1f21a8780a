import type { Ring } from '../polygon/polygon.ts';

/** Rings as SVG path data, y down, to a hundredth of a millimetre: for pictures, never for cutting. */
export const ringsData = (rings: readonly Ring[]): string =>
  rings
    .map((ring) => {
      let data = '';
      for (let i = 0; i < ring.length; i += 2)
        data += `${i === 0 ? 'M' : 'L'}${ring[i]!.toFixed(2)} ${(-ring[i + 1]!).toFixed(2)}`;
      return `${data}Z`;
    })
    .join('');
