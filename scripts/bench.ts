// npm run bench: each target of the design that has something to measure, beside its measured figure.
import { cpus } from 'node:os';
import process from 'node:process';
import { benchFuse } from '../core/src/polygon/boolean.bench.ts';
import { benchTrace } from '../core/src/artwork/trace/trace.bench.ts';
import { benchProof } from '../core/src/proof/proof.bench.ts';
import { benchTogether } from '../core/src/load/together.bench.ts';
import { benchFilm } from '../core/src/film/film.bench.ts';
import { benchSchedule } from '../core/src/schedule/schedule.bench.ts';
import { benchNest } from '../core/src/nest/nest.bench.ts';
import { benchCone } from '../core/src/surface/cone.bench.ts';
import { benchPhoto } from '../core/src/measure/photo/photo.bench.ts';
import { benchProfile } from '../core/src/surface/profile.bench.ts';
import { benchPieces } from '../core/src/pieces/pieces.bench.ts';
import type { Row } from '../core/test/measure.ts';
import { benchApp } from './bench-app.ts';

const row: Row = (work, target, measured) =>
  process.stdout.write(`${work.padEnd(66)}${target.padEnd(28)}${measured}\n`);

process.stdout.write(
  `Node ${process.versions.node}, ${cpus().length} × ${cpus()[0]?.model ?? 'unknown processor'}\n\n`,
);
row('work', 'target', 'measured here');
for (const bench of [
  benchCone,
  benchProfile,
  benchPieces,
  benchFuse,
  benchProof,
  benchPhoto,
  benchTrace,
  benchNest,
  benchTogether,
  benchSchedule,
  benchFilm,
])
  bench(row);
await benchApp(row);
