import type { DrawnSolid } from '../solid/drawn.ts';
import { rowAt } from '../solid/drawn.ts';
import { spotOnSection } from '../surface/section.ts';

/** A solid seen level from the front, as paths in mm, y down; small, for cards and bench pictures. */
export interface Front {
  /** Outline, SVG path data; so are the others, empty where there is none. */
  readonly body: string;
  /** What it hangs by, or is tied with, behind the body. */
  readonly topper: string;
  readonly hole: string;
  /** The rim, seen a little from above. */
  readonly rim: { readonly y: number; readonly rx: number; readonly ry: number } | null;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** Where a spot of the template is drawn; what is behind the edge is held at the edge. */
  at(azimuth: number, slant: number): readonly [number, number];
  /** A handle beside the body, on the right or left, as a line for a broad stroke. */
  readonly handle: ((way: 1 | -1) => string) | null;
}

/** How flat a rim looks. */
const FLAT = 0.16;
/** mm of air round a drawing. */
const AIR = 6;

/** A solid from the front. */
export const frontOf = (solid: DrawnSolid): Front => FRONTS[solid.body](solid);

const FRONTS: Readonly<Record<DrawnSolid['body'], (solid: DrawnSolid) => Front>> = {
  turned: ({ rows, side, above, below, section }) => {
    // Seen from its front, what is not round is as wide as it is there, and its rim as deep.
    const [wide, deep] = section ? [Math.max(...section.xs), section.zs[0]!] : [1, 1];
    const at = (slant: number): { r: number; y: number } => {
      const [, r, height] = rowAt(rows, slant);
      return { r, y: -height };
    };
    const [top, foot] = [at(-above), at(side + below)];
    const line = (sign: 1 | -1, list: typeof rows): string =>
      list.map(([, r, h]) => `${(sign * r * wide).toFixed(2)} ${(-h).toFixed(2)}`).join('L');
    const widest = wide * Math.max(...rows.map(([, r]) => r));
    const arc = (r: number): string => `${(r * wide).toFixed(2)} ${(r * deep * FLAT).toFixed(2)}`;
    return {
      body: `M${line(-1, rows)}A${arc(foot.r)} 0 0 0 ${foot.r * wide} ${foot.y}L${line(1, [...rows].reverse())}A${arc(top.r)} 0 0 0 ${-top.r * wide} ${top.y}Z`,
      topper: '',
      hole: '',
      rim: { y: top.y, rx: top.r * wide, ry: top.r * deep * FLAT },
      box: {
        x: -widest - AIR,
        y: top.y - top.r * deep * FLAT - 5,
        width: 2 * (widest + AIR),
        height: foot.y - top.y + (top.r + foot.r) * deep * FLAT + 2 * AIR,
      },
      at: (azimuth, slant) => {
        const seen = Math.max(-Math.PI / 2, Math.min(Math.PI / 2, azimuth));
        const { r, y } = at(slant);
        const { x, z } = spotOnSection(section, seen);
        return [r * x, y + r * FLAT * z];
      },
      handle: (way) => {
        const down = (share: number): number => at(-above + (side + above + below) * share).y;
        // It stands at the back; from the front it is drawn where it does not hide.
        const x = way * (at(side / 2).r - 2);
        return `M${x} ${down(0.22)}C${x + way * 40} ${down(0.14)} ${x + way * 36} ${down(0.84)} ${x} ${down(0.82)}`;
      },
    };
  },
  patched: ({ ball: { radius: a, halfLength: c, latitude }, topper, width, side }) => {
    const [cap, neck] = topper === 'cap' ? [a * 0.3, 0] : [0, a * 0.16];
    return {
      body: `M${-a} 0A${a} ${c} 0 0 1 ${a} 0A${a} ${c} 0 0 1 ${-a} 0Z`,
      topper: cap
        ? `M${-a * 0.18} ${-c * 0.98}V${-c - cap * 0.7}H${a * 0.18}V${-c * 0.98}`
        : `M${-a * 0.05} ${c}L${-a * 0.1} ${c + neck}H${a * 0.1}L${a * 0.05} ${c}`,
      hole: '',
      rim: null,
      box: { x: -a - AIR, y: -c - cap - AIR, width: 2 * (a + AIR), height: 2 * (c + AIR) + cap + neck },
      at: (azimuth, slant) => [(azimuth * width) / (2 * Math.PI), slant - side / 2 - c * Math.sin(latitude)],
      handle: null,
    };
  },
  slab: ({ width, side, round, hole: [across, up] }) => {
    const w = width / 2;
    const circle = (r: number, y: number): string =>
      `M${-r} ${y}A${r} ${r} 0 0 1 ${r} ${y}A${r} ${r} 0 0 1 ${-r} ${y}Z`;
    return {
      body: round ? circle(w, side / 2) : `M${-w} 0H${w}V${side}H${-w}Z`,
      topper: '',
      hole: across > 0 ? circle(across / 2, side / 2 - up) : '',
      rim: null,
      box: { x: -w - AIR, y: -AIR, width: width + 2 * AIR, height: side + 2 * AIR },
      at: (azimuth, slant) => [(azimuth * width) / (2 * Math.PI), slant],
      handle: null,
    };
  },
};
