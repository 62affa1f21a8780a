import { fromV1 } from './v1.ts';
import { fromV10 } from './v10.ts';
import { fromV11 } from './v11.ts';
import { fromV12 } from './v12.ts';
import { fromV13 } from './v13.ts';
import { fromV2 } from './v2.ts';
import { fromV3 } from './v3.ts';
import { fromV4 } from './v4.ts';
import { fromV5 } from './v5.ts';
import { fromV6 } from './v6.ts';
import { fromV7 } from './v7.ts';
import { fromV8 } from './v8.ts';
import { fromV9 } from './v9.ts';
import type { VersionStep } from './walk.ts';

/**
 * What documents of version N need to become N + 1. A step is never changed once a newer version was written: its defaults
 * are its own, and stand in it.
 */
export const STEPS: { readonly [from: number]: VersionStep } = {
  1: fromV1,
  2: fromV2,
  3: fromV3,
  4: fromV4,
  5: fromV5,
  6: fromV6,
  7: fromV7,
  8: fromV8,
  9: fromV9,
  10: fromV10,
  11: fromV11,
  12: fromV12,
  13: fromV13,
};
