// Relaxes film of some shapes on a ball by finite elements, and keeps what each needs in core/test/lab/relaxed.json.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { SHAPES_RELAXED } from '../core/test/lab/relaxed-shapes.ts';
import { relaxOnBall } from '../core/test/relaxation.ts';
import { ringContains, ringsOf } from '../core/src/polygon/polygon.ts';

/** mm: the ball, and the side of an element. */
const [RADIUS, ELEMENT] = [100, 0.4];
/** Shares of the film that are strained by more: the very corners of a shape are no measure of it. */
const PASSED = { squeeze: 0.01, range: 0.025 } as const;

const kept: { [name: string]: { radius: number; squeeze: number; range: number } } = {};
for (const { name, polygon } of SHAPES_RELAXED) {
  const shape = polygon();
  const reach = Math.ceil(Math.max(...shape.outer.map(Math.abs))) + 1;
  const inside = (x: number, y: number): boolean =>
    ringsOf(shape).filter((ring) => ringContains(ring, x, y)).length % 2 === 1;
  const { cells } = relaxOnBall(2 * reach, 2 * reach, ELEMENT, RADIUS, inside);
  const most = cells.map((cell) => cell.most).sort((a, b) => b - a);
  const least = cells.map((cell) => cell.least).sort((a, b) => a - b);
  const past = (share: number): number => Math.floor(share * cells.length);
  // What is pushed together most, and what is stretched and pushed together where either is most.
  kept[name] = {
    radius: RADIUS,
    squeeze: Number((-least[past(PASSED.squeeze)]!).toPrecision(5)),
    range: Number((most[past(PASSED.range)]! - least[past(PASSED.range)]!).toPrecision(5)),
  };
  process.stdout.write(
    `${name}: ${(100 * kept[name].squeeze).toFixed(3)} % and ${(100 * kept[name].range).toFixed(3)} %\n`,
  );
}
writeFileSync(
  fileURLToPath(new URL('../core/test/lab/relaxed.json', import.meta.url)),
  `${JSON.stringify(kept, null, 2)}\n`,
);
