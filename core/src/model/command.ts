import type { ReadingName } from './blank.ts';
import type { MotifItem } from './item.ts';

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
  /** Films stand as often as the picture asks for. */
  | { readonly do: 'stand-twice' }
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
  /** Each copy cut and laid by itself, as a patch of its own; `several` tells whether there are more than one. */
  | { readonly do: 'lay-singly'; readonly itemIds: readonly string[]; readonly several: boolean }
  /** Even slits from its edge; `fromDeg` as of an item's `slitIn`. */
  | {
      readonly do: 'slit-item';
      readonly itemId: string;
      readonly count: number;
      readonly deep: number;
      readonly depthMm: number;
      readonly fromDeg: number;
    }
  | { readonly do: 'lay-warm' }
  | { readonly do: 'lay-cold' }
  | { readonly do: 'set-font'; readonly itemId: string; readonly font: string };
