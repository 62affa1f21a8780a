/** What a project is handed over for. */
export type HandOverFor = 'gift' | 'market' | 'order' | 'own use';

/** When and to whom a project is handed over. */
export interface HandOver {
  /** ISO day, as the calendar on the wall shows it. */
  readonly day: string;
  /** Hours and minutes on the clock on the wall, 24 hours: 18:30. */
  readonly time: string;
  readonly whatFor: HandOverFor;
  /** The person's own number for it; empty without one. */
  readonly number: string;
  /** What the customer said. */
  readonly note: string;
  /** What is asked for it, in the person's own currency; null when not said. */
  readonly price: number | null;
}

/** What was decided about when things are done. */
export interface Planning {
  /** Ids of steps that begin at a time of the person's choosing, and when, ISO. */
  readonly pinned: { readonly [stepId: string]: string };
  /** The clear coat is left out. */
  readonly skipSeal: boolean;
  /** It is handed over before it has cured, with a note of when it will have. */
  readonly beforeCure: boolean;
  /** Minutes of weeding and taping that somebody else takes over. */
  readonly helperMinutes: number;
}

/** As everything begins: nothing was decided. */
export const NOTHING_PLANNED: Planning = { pinned: {}, skipSeal: false, beforeCure: false, helperMinutes: 0 };

/** From when to when on a day, minutes after midnight on the clock on the wall. */
export interface DayHours {
  readonly from: number;
  readonly to: number;
}

/** The hours that a person has. */
export interface WorkHours {
  /** Hours of each weekday, Sunday first; several where there is a break. */
  readonly weekdays: readonly (readonly DayHours[])[];
  /** ISO days on which nothing is done. */
  readonly daysOff: readonly string[];
  /** How many others weed and tape along, whenever that is done; left out, nobody. */
  readonly others?: number | undefined;
}
