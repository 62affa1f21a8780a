import type { Materials } from '../material/materials.ts';
import type { LoadPlan } from '../load/load.ts';
import type { FilmUsage } from '../load/usage.ts';
import type { ReadingDoubt } from '../measure/doubts.ts';
import type { Command } from '../model/command.ts';
import type { Job } from '../model/job.ts';
import type { Looked } from '../model/looked.ts';
import type { Supply } from '../model/stock.ts';
import type { Make } from '../pieces/batch.ts';
import type { Wrap } from '../pieces/wrap.ts';
import type { StackReport, StacksOfMakes } from '../stack/report.ts';
import type { Limits } from './limits.ts';

/** How bad it is: it will fail, it wants a look, or it is fine. */
export type Severity = 'fails' | 'look' | 'fine';

/** Severities in order, the gravest first. */
export const RANK: Readonly<Record<Severity, number>> = { fails: 0, look: 1, fine: 2 };

/** What can be found. */
export type FindingCode =
  | 'reading-implausible'
  | 'reading-spread'
  | 'reading-weak'
  | 'fit-unchecked'
  | 'seam-gap'
  | 'seam-cut'
  | 'seam-neighbours'
  | 'rim-zone'
  | 'base-zone'
  | 'handle-zone'
  | 'glance'
  | 'unfused'
  | 'letters-missing'
  | 'font-missing'
  | 'names-overflow'
  | 'right-way-up'
  | 'load-fit'
  | 'face-edge'
  | 'cap-zone'
  | 'wrinkle'
  | 'stretch'
  | 'tape-wrinkle'
  | 'balloon-keeps'
  | 'island'
  | 'bridge-thin'
  | 'mask-margin'
  | 'mask-web'
  | 'mask-opening'
  | 'film-unsuited'
  | 'cover-sheet'
  | 'hazard'
  | 'fine-stroke'
  | 'tiny-piece'
  | 'loose-dot'
  | 'stray-film'
  | 'hands'
  | 'stack-thick'
  | 'stack-unsupported'
  | 'registration-missing'
  | 'registration-costly'
  | 'film-short'
  | 'film-old'
  | 'stack-hidden'
  | 'stack-overlap'
  | 'stack-levels'
  | 'script-apart';

/** A part of the side: azimuth range in rad (may pass ±π), slant range in mm. */
export interface Place {
  readonly azimuths: readonly [number, number];
  readonly slants: readonly [number, number];
}

/** One judgement, with its place, its numbers and what to do. Words come from the catalogue. */
export interface Finding {
  /** Stable for one code on one subject, so that an acceptance can be kept. */
  readonly id: string;
  readonly code: FindingCode;
  /** Which sentence of the catalogue applies. */
  readonly case: string;
  readonly severity: Severity;
  readonly place: Place | null;
  readonly itemIds: readonly string[];
  /** mm unless the catalogue says otherwise. */
  readonly numbers: { readonly [name: string]: number };
  readonly names: { readonly [name: string]: string };
  readonly fixes: readonly Command[];
  /** Where it is put right by hand, when that is not where the film is drawn. */
  readonly goTo?: 'measure' | 'flat' | 'cut';
}

/** What a finding is judged from. */
export interface ProofContext {
  readonly job: Job;
  readonly wrap: Wrap;
  readonly doubts: readonly ReadingDoubt[];
  readonly plan: LoadPlan;
  /** Where its film comes from, and what lies on the shelf. */
  readonly usage: FilmUsage;
  readonly supply: Supply;
  readonly stack: StackReport;
  /** Of what is made otherwise than the job stands, by its wrap. */
  readonly stacks?: StacksOfMakes;
  /** Everything on the list that the job is made for; empty without a list. */
  readonly makes: readonly Make[];
  readonly limits: Limits;
  /** What laying its film by computation showed. */
  readonly looked?: readonly Looked[] | undefined;
  readonly materials: Materials;
}

/** A pure judgement of one kind. */
export type Judge = (context: ProofContext) => Finding[];

/** Numbers rounded as they are shown, so that an acceptance lapses only when a person would see a change. */
export function signatureOf(finding: Finding): string {
  const numbers = Object.entries(finding.numbers).map(([name, value]) => `${name}=${value.toFixed(1)}`);
  return [finding.case, finding.severity, ...numbers].join(' ');
}
