import {
  describeHpglProblem,
  headAt,
  hpglInTurns,
  isInCutter,
  readHpgl,
  totalsOf,
  USUAL_PACE,
  wayOfHead,
  type CutterLoad,
  type CutterRefusal,
  type CutterState,
  type HeadNews,
  type HpglResult,
  type Leg,
  type LoadState,
  type SentLoad,
  type Stroke,
} from '@mivet/core/cutter';

/** What is asked of a load in or before the cutter. */
export type Act =
  | { readonly do: 'load'; readonly filmOnBoard: boolean }
  | { readonly do: 'start'; readonly pass: number }
  | { readonly do: 'stop' }
  | { readonly do: 'came off clean' }
  | { readonly do: 'cut again'; readonly pass: number }
  | { readonly do: 'take out' };

/** How an act went: done, or what the load is doing instead. */
export type Answer = { readonly ok: true } | { readonly ok: false; readonly why: string };

/** Everything that outlives the server. */
export interface CutterMemory {
  /** null when it could not be read: what was sent is found again by itself. */
  readonly state: CutterState | null;
  /** What was sent, by load; kept as long as the load may still be cut. */
  readonly sent: { readonly [id: string]: readonly string[] };
  /** What of it could not be read, in words. */
  readonly lost?: readonly string[];
  /** Loads that were found without a list. */
  readonly found?: readonly CutterLoad[];
}

/** What the machine is told and tells. */
export interface MachineWorld {
  /** Keeps everything; done before listeners are notified, so that what they were told survives a crash. */
  readonly keep: (memory: CutterMemory) => void;
  readonly tell: (news: { readonly state: CutterState } | { readonly head: HeadNews }) => void;
  /** ISO. */
  readonly now: () => string;
}

const FRESH: CutterState = {
  turn: 0,
  machine: { widthMm: 330, longestMm: 7500 },
  bladeMm: 0,
  bladeLastsMm: 400_000,
  faster: 1,
  loads: [],
};

/** Loads that are over and still listed. */
const MOST_OVER = 30;
/** Loads that may wait. */
const MOST_WAITING = 50;
/** mm by which cuts may pass an edge by rounding to plotter units. */
const ROUNDING_MM = 0.05;

/** A cutter that behaves like one, without a blade: a queue, one load in it at a time, a head that takes its time. */
export class CutterMachine {
  #state: CutterState;
  readonly #sent = new Map<string, readonly string[]>();
  /** Loads that are being read. */
  readonly #coming = new Set<string>();
  readonly #ways = new Map<string, { strokes: readonly Stroke[]; legs: readonly Leg[] }>();
  readonly #world: MachineWorld;

  constructor(world: MachineWorld, memory: CutterMemory | null, faster: number) {
    this.#world = world;
    const known = memory?.state ?? { ...FRESH, faster, loads: memory?.found ?? [] };
    for (const [id, hpgl] of Object.entries(memory?.sent ?? {})) this.#sent.set(id, hpgl);
    // Whatever was being cut when the power went has stopped where it was.
    const loads = known.loads.map((load) =>
      load.state === 'cutting' ? { ...load, state: 'stopped' as const, why: stoppedAt(load, 'switched-off') } : load,
    );
    this.#state = {
      ...known,
      turn: known.turn + 1,
      faster: memory?.state ? known.faster : faster,
      loads,
      lost: [...(known.lost ?? []), ...(memory?.lost ?? [])],
    };
  }

  /** What was lost has been read. */
  lostRead(): void {
    this.#state = { ...this.#state, lost: [] };
    this.#put(this.#state.loads);
  }

  get state(): CutterState {
    return this.#state;
  }

  /** Strokes of a load, mm; null when it is not known any more. */
  strokes(id: string): readonly Stroke[] | null {
    return this.#wayOf(id)?.strokes ?? null;
  }

  /** Takes a load into the queue. The same one sent again changes nothing. Long ones are read in turns with all else. */
  async send(load: SentLoad): Promise<Answer> {
    if (this.#knows(load.id)) return { ok: true };
    if (this.#state.loads.filter(({ state }) => state === 'waiting').length + this.#coming.size >= MOST_WAITING)
      return { ok: false, why: `${MOST_WAITING} loads wait already. Cut or take out some first.` };
    this.#coming.add(load.id);
    try {
      const read: HpglResult[] = [];
      for (const text of load.hpgl) read.push(await inTurns(hpglInTurns(text)));
      this.#take(load, read);
    } finally {
      this.#coming.delete(load.id);
    }
    return { ok: true };
  }

  #knows(id: string): boolean {
    return this.#coming.has(id) || this.#state.loads.some((one) => one.id === id);
  }

  #take({ hpgl, ...rest }: SentLoad, read: readonly HpglResult[]): void {
    const now = this.#world.now();
    const failed = read.find((one) => !one.ok);
    const strokes = read.flatMap((one) => (one.ok ? one.strokes : []));
    const why: CutterRefusal | null =
      failed && !failed.ok
        ? { code: 'unreadable', words: describeHpglProblem(failed.problem) }
        : this.#tooLarge(rest, read);
    const legs = wayOfHead(strokes, USUAL_PACE);
    const { cutMm, seconds } = totalsOf(legs);
    const taken: CutterLoad = {
      ...rest,
      state: why ? 'refused' : 'waiting',
      why,
      pass: 1,
      doneS: 0,
      totalS: seconds,
      doneMm: 0,
      totalMm: cutMm,
      sentAt: now,
      changedAt: now,
    };
    this.#sent.set(taken.id, hpgl);
    this.#ways.set(taken.id, { strokes, legs });
    this.#put([...this.#state.loads, taken]);
  }

  /** Does what is asked of a load, if it is in a state for it; nothing is done twice. */
  act(id: string, act: Act): Answer {
    const load = this.#state.loads.find((one) => one.id === id);
    if (!load) return { ok: false, why: 'The cutter does not know this load any more.' };
    const instead = (): Answer => ({ ok: false, why: INSTEAD[load.state] });
    switch (act.do) {
      case 'load':
        if (load.state !== 'waiting' && !(load.state === 'refused' && isLoadable(load.why))) return instead();
        if (this.#state.loads.some(isInCutter)) return { ok: false, why: 'Another load lies in the cutter. Take it out first.' };
        return this.#change(load, act.filmOnBoard ? { state: 'loaded', why: null } : { state: 'refused', why: { code: 'empty-board' } }); // prettier-ignore
      case 'start': {
        if ((load.state !== 'loaded' && load.state !== 'stopped') || load.pass !== act.pass) return instead();
        const { bladeMm, bladeLastsMm } = this.#state;
        if (bladeMm >= bladeLastsMm)
          return this.#change(load, { why: { code: 'worn-blade', metres: bladeMm / 1000, most: bladeLastsMm / 1000 } });
        return this.#change(load, { state: 'cutting', why: null });
      }
      case 'stop':
        if (load.state !== 'cutting') return instead();
        return this.#change(load, { state: 'stopped', why: stoppedAt(load, 'stopped') });
      case 'came off clean':
        if (load.state !== 'corner test') return instead();
        return this.#change(load, { state: 'done', why: null });
      case 'cut again':
        if (load.state !== 'corner test' || load.pass !== act.pass) return instead();
        return this.#change(load, { state: 'loaded', why: null, pass: load.pass + 1, doneS: 0, doneMm: 0 });
      case 'take out':
        if (load.state === 'cutting' || load.state === 'done' || load.state === 'taken out') return instead();
        return this.#change(load, { state: 'taken out', why: null });
    }
  }

  newBlade(): void {
    const loads = this.#state.loads.map((l) => (l.why?.code === 'worn-blade' ? { ...l, why: null } : l));
    this.#state = { ...this.#state, bladeMm: 0 };
    this.#put(loads);
  }

  /** How many times faster than a real one it works. */
  workFaster(times: number): void {
    this.#state = { ...this.#state, faster: times };
    this.#put(this.#state.loads);
  }

  /** Lets time go by. */
  pass(seconds: number): void {
    const load = this.#state.loads.find(({ state }) => state === 'cutting');
    const way = load && this.#wayOf(load.id);
    if (!load || !way) return;
    const doneS = Math.min(load.totalS, load.doneS + seconds * this.#state.faster);
    const head = headAt(way.legs, doneS);
    const over = doneS >= load.totalS;
    const next: CutterLoad = { ...load, doneS, doneMm: over ? load.totalMm : head.cutMm, state: over ? 'corner test' : 'cutting' }; // prettier-ignore
    this.#state = { ...this.#state, bladeMm: this.#state.bladeMm + next.doneMm - load.doneMm };
    const loads = this.#state.loads.map((one) => (one.id === load.id ? next : one));
    if (over) this.#put(loads);
    else {
      this.#state = { ...this.#state, loads };
      this.#world.keep(this.#memory());
      this.#world.tell({ head: { id: load.id, x: head.x, y: head.y, down: head.down, doneS, doneMm: head.cutMm } });
    }
  }

  #tooLarge({ board, strips }: Omit<SentLoad, 'hpgl'>, sent: readonly HpglResult[]): CutterRefusal | null {
    const { widthMm, longestMm } = this.#state.machine;
    if (board.widthMm > widthMm) return { code: 'too-wide', width: board.widthMm, most: widthMm };
    const most = Math.min(board.lengthMm, longestMm);
    for (const [i, read] of sent.entries()) {
      const strip = strips[i];
      if (!read.ok || !strip) continue;
      const ends = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
      for (const { points } of read.strokes)
        for (let k = 0; k < points.length; k += 2) {
          ends.left = Math.min(ends.left, points[k]!);
          ends.right = Math.max(ends.right, points[k]!);
          ends.low = Math.min(ends.low, points[k + 1]!);
          ends.high = Math.max(ends.high, points[k + 1]!);
        }
      if (ends.right > most + ROUNDING_MM) return { code: 'longer-than-load', reach: ends.right, most };
      const past = Math.max(
        strip.from - ends.left,
        ends.right - strip.to,
        strip.low - ends.low,
        ends.high - strip.high,
      );
      if (past > ROUNDING_MM)
        return { code: 'wider-than-film', strip: strip.name, reach: past, film: strip.high - strip.low };
    }
    return null;
  }

  #wayOf(id: string): { strokes: readonly Stroke[]; legs: readonly Leg[] } | null {
    const known = this.#ways.get(id);
    const sent = this.#sent.get(id);
    if (known || !sent) return known ?? null;
    const strokes = sent.flatMap((text) => {
      const read = readHpgl(text);
      return read.ok ? read.strokes : [];
    });
    const way = { strokes, legs: wayOfHead(strokes, USUAL_PACE) };
    this.#ways.set(id, way);
    return way;
  }

  #change(load: CutterLoad, to: Partial<CutterLoad>): Answer {
    const next = { ...load, ...to, changedAt: this.#world.now() };
    this.#put(this.#state.loads.map((one) => (one.id === load.id ? next : one)));
    return { ok: true };
  }

  /** Everything in its order, what is long over forgotten; kept, then told. */
  #put(loads: readonly CutterLoad[]): void {
    const rank = (load: CutterLoad): number => (isInCutter(load) ? 0 : load.state === 'waiting' ? 1 : 2);
    const [ahead, over] = [loads.filter((l) => rank(l) < 2), loads.filter((l) => rank(l) === 2)];
    ahead.sort((a, b) => rank(a) - rank(b) || a.sentAt.localeCompare(b.sentAt));
    over.sort((a, b) => b.changedAt.localeCompare(a.changedAt));
    const kept = [...ahead, ...over.slice(0, MOST_OVER)];
    const ids = new Set(kept.map(({ id }) => id));
    // What will not be cut any more needs no pen movements.
    const live = new Set(kept.filter(mayBeCut).map(({ id }) => id));
    for (const id of this.#sent.keys()) if (!live.has(id)) this.#sent.delete(id);
    for (const id of this.#ways.keys()) if (!ids.has(id)) this.#ways.delete(id);
    this.#state = { ...this.#state, turn: this.#state.turn + 1, loads: kept };
    this.#world.keep(this.#memory());
    this.#world.tell({ state: this.#state });
  }

  #memory(): CutterMemory {
    return { state: this.#state, sent: Object.fromEntries(this.#sent) };
  }
}

const stoppedAt = ({ doneS, totalS }: CutterLoad, code: 'stopped' | 'switched-off'): CutterRefusal => ({
  code,
  share: totalS > 0 ? doneS / totalS : 0,
});

/** Whether putting it in once more may go better. */
const isLoadable = (why: CutterRefusal | null): boolean => why?.code === 'empty-board';

/** Whether its pen movements may still be wanted. */
const mayBeCut = ({ state, why }: CutterLoad): boolean =>
  state !== 'done' && state !== 'taken out' && (state !== 'refused' || isLoadable(why));

/** Runs something to its end, and lets all else have its turn between its steps. */
async function inTurns<T>(steps: Generator<void, T>): Promise<T> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    await new Promise((go) => setImmediate(go));
  }
}

/** What a load is doing when something else was asked of it. */
const INSTEAD: Readonly<Record<LoadState, string>> = {
  waiting: 'It waits outside the cutter. Load it first.',
  loaded: 'It lies in the cutter and is not being cut yet.',
  cutting: 'It is being cut. Stop it first.',
  stopped: 'It has stopped half-way. Let it go on, or take it out.',
  'corner test': 'It is cut and waits for the corner test.',
  done: 'It was cut and taken out already.',
  refused: 'It was refused. Send it again once that is put right.',
  'taken out': 'It was taken out already. Send it again.',
};
