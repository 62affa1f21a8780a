import type { DrawnSheet } from './drawing.ts';

/** Which spot of the way round an item is centred on; `faces` is both the drinker's and the room's. */
export type Facing = 'front' | 'drinker' | 'room' | 'faces' | 'angle';

/** How an item lies on the side: closing round, level with letters keeping their size, or unbent. */
export type Running = 'round' | 'level' | 'rigid';

/** Where an item sits; stated in words and millimetres, never in page coordinates. */
export interface Placement {
  readonly facing: Facing;
  /** Degrees round from the front, right positive; used when facing is `angle`. */
  readonly angleDeg: number;
  /** What `mm` is measured from: the band's rim edge to the item's top, its base edge to the item's bottom, or middle to middle. */
  readonly from: 'rim' | 'middle' | 'base';
  readonly mm: number;
  /** Turned on the surface, degrees counter-clockwise. */
  readonly turnDeg: number;
}

/** How often an item comes round the blank. */
export interface RepeatRound {
  /** `scattered`: spread evenly over the side. `spaced`: copies at even spacing. `joined`: tiles stretched to the exact pitch so that they meet. */
  readonly mode: 'once' | 'spaced' | 'joined' | 'scattered';
  readonly count: number;
  /** `spaced`: every other copy is mirrored. */
  readonly alternate?: boolean | undefined;
  /** `scattered`: how. */
  readonly scatter?: Scatter | undefined;
}

/** How copies of an item are scattered. What holds for the whole arrangement stands with the item that leads it. */
export interface Scatter {
  readonly seed: number;
  readonly gapMm: number;
  /** Films of the copies, besides the item's own. */
  readonly films: readonly string[];
  /** The item that it is scattered together with, and that leads. */
  readonly with?: string | null | undefined;
  /** Arranged by what things look like; left out, by boxes round them, as it was done before format 11. */
  readonly even?: boolean | undefined;
  /** As many as find room, in the shares of the counts. */
  readonly fill?: boolean | undefined;
  /** Degrees by which copies are turned, from and to; left out, none is. */
  readonly turnsDeg?: readonly [number, number] | undefined;
  /** Times the item's own size, from and to; left out, all are of its size. */
  readonly sizes?: readonly [number, number] | undefined;
  /** What is done at the edges of the band; left out, things keep clear of them. */
  readonly edge?: ScatterEdge | undefined;
  /** Copies that stay where they are, of all items of the arrangement. */
  readonly kept?: readonly KeptSpot[] | undefined;
}

/** Things keep clear of the edge, are cut at it, or are left off there and cut beside the wrap, to be laid by hand. */
export type ScatterEdge = 'clear' | 'cut' | 'spare';

/** One copy of a scatter that has its place. */
export interface KeptSpot {
  /** The item that it is a copy of; for a drawing of several colours, the first. */
  readonly itemId: string;
  /** Degrees round from the front, and mm from the rim edge of the band down to its middle. */
  readonly angleDeg: number;
  readonly downMm: number;
  readonly turnDeg: number;
  readonly size: number;
  /** null takes what the arrangement gives it. */
  readonly film: string | null;
  /** Whether it stays where it is when the rest is shuffled. */
  readonly pinned: boolean;
}

/** Even slits from the edge of film towards its middle, so that it follows a blank that curves both ways. */
export interface SlitIn {
  readonly count: number;
  /** Share of the way from its farthest edge to its middle. */
  readonly deep: number;
  /** Degrees counter-clockwise from its right, as it stands on the blank unturned, to the first of them. */
  readonly fromDeg: number;
}

interface ItemBase {
  readonly id: string;
  readonly film: string;
  readonly placement: Placement;
  readonly running: Running;
  readonly repeat: RepeatRound;
  /** Overlapping outlines of the item become one. */
  readonly fuse: boolean;
  /** Items of one film with the same group name are fused with each other as well. */
  readonly keepTogether: string | null;
  readonly mirrored: boolean;
  /** How many more of it are cut beside the wrap, for what gets lost. */
  readonly spares: number;
  /** Each copy is cut and laid by itself; left out, it goes on with the whole. */
  readonly byItself?: boolean | undefined;
  /** Slits from the edge of each of its broad pieces; left out, none. */
  readonly slitIn?: SlitIn | undefined;
  /** What is done to its outlines after it was drawn. */
  readonly acts: OutlineActs;
}

/** A circle that words are set round. */
export interface RingSetting {
  /** mm across the circle that the letters stand on. */
  readonly acrossMm: number;
  /** Which way the tops of the letters point: away from the middle, or towards it. */
  readonly tops: 'out' | 'in';
  /** How often the words come round. */
  readonly times: number;
  /** Motif between the words, or none. */
  readonly between: MotifId | null;
}

/** How large words are: by their capitals, by their width, or as large as a box takes, so wide and so high. */
export type TextSize =
  | { readonly by: 'cap' | 'width'; readonly mm: number }
  | { readonly by: 'box'; readonly mm: number; readonly highMm: number };

/** One letter that is set otherwise than the rest. */
export interface SetLetter {
  /** Its place in the words, line breaks counted. */
  readonly at: number;
  /** Degrees counter-clockwise, about its own middle. */
  readonly turnDeg: number;
  /** Upwards, as a share of a capital: it keeps it at any size. */
  readonly raise: number;
  /** Times the size of the others, from the line that they stand on. */
  readonly size: number;
}

/** A line or more of live text. */
export interface TextItem extends ItemBase {
  readonly type: 'text';
  readonly text: string;
  readonly font: FontId;
  readonly size: TextSize;
  /** Extra room between letters, mm; negative closes them. Grows with the letters: see `gapsAtMm`. */
  readonly letterGapMm: number;
  /** Height of a capital, mm, for which the gaps are meant; they keep their share of it. null: the same at any height. */
  readonly gapsAtMm: number | null;
  /** How several lines lie to each other. */
  readonly align: 'left' | 'middle' | 'right';
  /** From baseline to baseline, in heights of a capital. */
  readonly linePitch: number;
  /** Extra room after single letters, mm, by the letter's place in the words, line breaks counted; negative closes. */
  readonly pairGaps: readonly { readonly after: number; readonly mm: number }[];
  /** Single letters set otherwise, by their place in the words as above; left out, none is. */
  readonly letters?: readonly SetLetter[] | undefined;
  /** Set round a circle; null for lines. */
  readonly ring: RingSetting | null;
}

/** A motif of the library. */
export interface MotifItem extends ItemBase {
  readonly type: 'motif';
  readonly motif: MotifId;
  readonly widthMm: number;
  /** null keeps the motif's own shape. */
  readonly heightMm: number | null;
}

/** Where something comes from that someone else may have made. */
export interface Provenance {
  /** As the person said. */
  readonly source: string;
  /** Whether the person may use it. */
  readonly rights: 'own' | 'allowed' | 'unsure';
}

/** One colour of a drawing that was brought in. The colours of one drawing are items of their own, kept in step. */
export interface ArtItem extends ItemBase, Provenance {
  readonly type: 'art';
  /** What the drawing is called. */
  readonly name: string;
  /** The same for all colours of one drawing. */
  readonly setId: string;
  /** CSS colour that it was drawn in. */
  readonly colour: string;
  /** SVG path data of clean film, mm as drawn, from the middle of the whole drawing. */
  readonly pathData: string;
  /** Size of the whole drawing, as drawn. */
  readonly drawn: { readonly widthMm: number; readonly heightMm: number };
  /** The page that it was drawn on; left out where there was none. */
  readonly sheet?: DrawnSheet | undefined;
  /** What is placed and sized: its ink, or the page that it was drawn on with all the room round the ink. */
  readonly by?: 'ink' | 'sheet' | undefined;
  /** Width on the blank of what is placed: of the whole drawing, or of its page. */
  readonly widthMm: number;
  /** null keeps the drawing's own shape. */
  readonly heightMm: number | null;
}

/** Anything that is cut from film and sits on the blank. */
export type ArtworkItem = TextItem | MotifItem | ArtItem;

/** What is done to an item's outlines after it was drawn; words stay words, and each can be taken back. */
export interface OutlineActs {
  /** mm by which its outlines are moved outwards; negative thins. */
  readonly thickenMm: number;
  readonly fillHoles: boolean;
  /** Parts that are left out: a spot in each, as shares of the item's width and height from its middle. */
  readonly dropped: readonly (readonly [number, number])[];
  /** Items whose outlines are cut away from this one. */
  readonly cutAway: readonly string[];
  /** Item inside whose outlines this one is kept; null for none. */
  readonly onlyInside: string | null;
  /** Whether it only shapes others and is not cut itself. */
  readonly shapesOnly: boolean;
  /** mm. Width of the bridges by which islands hang together with what is round them; 0 leaves them loose. */
  readonly bridgeMm: number;
  /** Parts of a drawing that are less than this across on the blank, both ways, are left off; 0 leaves off none. */
  readonly specksMm: number;
  /** Whether its edge is slit where the side curves both ways, so that its film follows; left out, it is not. */
  readonly slits?: boolean | undefined;
}

/** Id of a font: a shipped one, or one that the person brought. */
export type FontId = string;

/** Id of a shipped motif. */
export type MotifId =
  | 'wave'
  | 'oar'
  | 'buoy'
  | 'heron'
  | 'boat'
  | 'sail'
  | 'anchor'
  | 'wheel'
  | 'fish'
  | 'drop'
  | 'pennant'
  | 'medal'
  | 'crest'
  | 'laurel'
  | 'garland'
  | 'leaf'
  | 'flower'
  | 'sun'
  | 'moon'
  | 'star'
  | 'heart'
  | 'crown'
  | 'bell'
  | 'rope'
  | 'chevrons'
  | 'plate';
