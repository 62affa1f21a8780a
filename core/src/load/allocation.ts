/** Where the film of one strip comes from. */
export interface Allocation {
  readonly film: string;
  readonly load: number;
  /** Which strip of the load, from 0. */
  readonly strip: number;
  readonly from:
    | { readonly kind: 'roll' | 'sheet' | 'offcut'; readonly id: string }
    /** The rest of what is taken for an earlier strip. */
    | { readonly kind: 'rest'; readonly id: string | null }
    | { readonly kind: 'unknown' };
  /** mm to cut off: along the roll, or of the sheet; and across. */
  readonly lengthMm: number;
  readonly widthMm: number;
}
