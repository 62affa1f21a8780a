import type { MotifItem } from '../artwork/item.ts';
import type { ReadingName } from '../blank/blank.ts';
import type { Limits } from './limits.ts';
import type { LoadPlan } from '../sheet/load.ts';
import type { Supply } from '../sheet/stock.ts';
import type { Takings } from '../sheet/take.ts';
import type { StackReport } from '../stack/report.ts';
import type { Make } from '../wrap/batch.ts';
import type { Wrap } from '../wrap/derive.ts';
import type { Job } from '../wrap/job.ts';
import type { ReadingDoubt } from '../blank/plausibility.ts';

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
  | 'wrinkle'
  | 'stretch'
  | 'tape-wrinkle'
  | 'balloon-keeps'
  | 'island'
  | 'bridge-thin'
  | 'mask-margin'
  | 'mask-web'
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

/** A change to the project that a finding offers as its fix. */
export type Command =
  | { readonly do: 'move-item'; readonly itemId: string; readonly downMm: number }
  | { readonly do: 'turn-item'; readonly itemId: string; readonly byDeg: number }
  | {
      readonly do: 'scale-item';
      readonly itemId: string;
      readonly factor: number;
      /** mm below the middle of the band to bring the item's middle to; left out, it stays where it is counted from. */
      readonly toMiddleMm?: number;
      /** Whether it has to be just so: a wrap that closes. */
      readonly exact?: boolean;
    }
  | { readonly do: 'lap-seam'; readonly mm: number }
  | { readonly do: 'fuse-items'; readonly itemIds: readonly string[] }
  | { readonly do: 'replace-reading'; readonly reading: ReadingName; readonly mm: number }
  | { readonly do: 'choose-board'; readonly boardId: string }
  | {
      readonly do: 'keep-band';
      /** mm along the whole side. */
      readonly keep: readonly [number, number];
      readonly end: 'rim' | 'base';
      readonly leftOffMm: number;
    }
  | { readonly do: 'one-band' }
  | { readonly do: 'name-box'; readonly widthMm: number; readonly leastCapMm: number }
  | { readonly do: 'wander-seam' }
  | { readonly do: 'split-panels'; readonly panels: number }
  | { readonly do: 'arrange-anew'; readonly itemId: string }
  | { readonly do: 'thicken-item'; readonly itemId: string; readonly mm: number }
  | { readonly do: 'change-film'; readonly itemIds: readonly string[]; readonly film: string; readonly name: string }
  | { readonly do: 'read-forwards'; readonly itemId: string }
  | { readonly do: 'set-hand'; readonly rowId: string; readonly hand: 'right' | 'left'; readonly name: string }
  | { readonly do: 'bridge-islands'; readonly itemId: string; readonly mm: number }
  | ({ readonly do: 'refit-mask'; readonly itemId: string; readonly heightMm: number } & Pick<
      MotifItem,
      'widthMm' | 'placement' | 'repeat'
    >)
  | { readonly do: 'both-faces'; readonly itemId: string; readonly factor: number }
  | { readonly do: 'drop-specks'; readonly itemId: string; readonly underMm: number }
  | { readonly do: 'mark-layers'; readonly films: readonly string[]; readonly how: 'marks' | 'by hand' }
  | { readonly do: 'build-stack'; readonly build: 'inlay' }
  /** Films in an order of one's own; empty: as they are drawn. */
  | { readonly do: 'order-films'; readonly films: readonly string[] }
  | { readonly do: 'bring-up'; readonly itemId: string }
  | {
      readonly do: 'close-gaps';
      readonly itemId: string;
      /** Height of its capitals for which the gaps are meant, mm. */
      readonly capMm: number;
      readonly gaps: readonly { readonly after: number; readonly mm: number }[];
    }
  | { readonly do: 'lay-warm' }
  | { readonly do: 'lay-cold' }
  | { readonly do: 'set-font'; readonly itemId: string; readonly font: string };

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
  readonly takings: Takings;
  readonly supply: Supply;
  readonly stack: StackReport;
  /** Everything on the list that the job is made for; empty without a list. */
  readonly makes: readonly Make[];
  readonly limits: Limits;
}

/** A pure judgement of one kind. */
export type Judge = (context: ProofContext) => Finding[];

/** Short name of an item for a sentence: its words, or the motif; with its film where there are several of that motif. */
export function itemName(context: Pick<ProofContext, 'job'>, itemId: string): string {
  const item = context.job.items.find((i) => i.id === itemId);
  if (!item) return 'an item';
  if (item.type === 'text') return `“${item.text.replace(/\s+/g, ' ').trim() || 'empty text'}”`;
  if (item.type === 'art') {
    const film = context.job.films.find((f) => f.id === item.film)?.name;
    return `“${item.name}”${film ? ` in ${film}` : ''}`;
  }
  const alike = context.job.items.filter((i) => i.type === 'motif' && i.motif === item.motif);
  const film = context.job.films.find((f) => f.id === item.film)?.name;
  return alike.length > 1 && film ? `the ${item.motif} in ${film}` : `the ${item.motif}`;
}

/** Numbers rounded as they are shown, so that an acceptance lapses only when a person would see a change. */
export function signatureOf(finding: Finding): string {
  const numbers = Object.entries(finding.numbers).map(([name, value]) => `${name}=${value.toFixed(1)}`);
  return [finding.case, finding.severity, ...numbers].join(' ');
}
