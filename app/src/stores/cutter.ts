import { isInCutter, type CutterLoad, type CutterState, type HeadNews, type SentLoad } from '@mivet/core';
import { useDocumentVisibility, useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { dropSend, inTurn, keepSend, readSends, type WaitingSend } from '../data/outbox.ts';

const ADDRESS = '/api/cutter';
/** How often something is sent again when the line drops; the cutter takes the same load once. */
const MOST_TRIES = 3;
/** ms after which what waits to be sent is tried again. */
const AGAIN_MS = 10_000;

/** The cutter as it tells it itself: never what this page believes, always what was last heard. */
export const useCutter = defineStore('cutter', () => {
  const state = shallowRef<CutterState | null>(null);
  const head = shallowRef<HeadNews | null>(null);
  /** Whether it is heard: not asked for, being reached, heard, or no more. */
  const link = ref<'off' | 'trying' | 'live' | 'lost'>('off');
  /** What it answered last, where that was not simply done. */
  const said = ref<string | null>(null);
  const busy = ref(false);
  /** Outlines of the load that is shown, x and y in mm. */
  const strokes = shallowRef<{ readonly id: string; readonly lines: readonly (readonly number[])[] } | null>(null);
  /** Loads that wait until the cutter can be reached, the oldest first; through a reload too. */
  const outbox = shallowRef<readonly WaitingSend[]>([]);
  /** Those of them that this browser could not keep: they wait for as long as the page is open. */
  const onlyHere = shallowRef<readonly WaitingSend[]>([]);
  /** Whether a cutter was ever heard from this browser: one that was is only away. */
  const known = useLocalStorage('mivet-cutter-known', false);
  const visibility = useDocumentVisibility();
  let line: EventSource | null = null;
  let listening = 0;

  const inside = computed(() => state.value?.loads.find(isInCutter) ?? null);
  /** What lies in it, or would be put in next. */
  const shown = computed(() => inside.value ?? state.value?.loads.find((l) => l.state === 'waiting') ?? null);

  function listen(): void {
    if (++listening > 1 || visibility.value === 'hidden') return;
    call();
  }
  function call(): void {
    link.value = 'trying';
    line = new EventSource(`${ADDRESS}/events`);
    line.addEventListener('state', ({ data }: MessageEvent<string>) => {
      state.value = JSON.parse(data) as CutterState;
      head.value = null;
      link.value = 'live';
      known.value = true;
      void sendWaiting();
    });
    line.addEventListener('head', ({ data }: MessageEvent<string>) => (head.value = JSON.parse(data) as HeadNews));
    // The browser tries again by itself as long as the other side is only away for a while.
    line.onerror = () => {
      link.value = 'lost';
      if (line?.readyState === EventSource.CLOSED) retry = setTimeout(again, 2000);
    };
  }
  let retry: ReturnType<typeof setTimeout> | undefined;
  function again(): void {
    if (listening === 0 || visibility.value === 'hidden') return;
    line?.close();
    call();
  }
  function hangUp(): void {
    if (--listening === 0) rest();
  }
  function rest(): void {
    clearTimeout(retry);
    line?.close();
    line = null;
    link.value = 'off';
  }
  // A browser has six lines to one address: tabs that nobody looks at leave them to the others.
  watch(visibility, (now) => (now === 'hidden' ? rest() : again()));

  watch(
    () => shown.value?.id,
    async (id) => {
      if (!id || strokes.value?.id === id) return;
      const response = await fetch(`${ADDRESS}/loads/${id}/strokes`).catch(() => null);
      if (response?.ok && shown.value?.id === id) strokes.value = { id, lines: (await response.json()) as number[][] };
    },
  );

  // What is heard comes in order; an answer may come after news of what was done since. On a line that is down, the
  // answer is the later one whatever it counts: the cutter may have begun anew.
  const isLater = (now: CutterState): boolean =>
    link.value !== 'live' || state.value === null || now.turn > state.value.turn;

  type Answer = 'done' | 'refused' | 'unreachable';
  /** Asks for something; when the line drops, the same is asked again. */
  async function ask(path: string, body: unknown, tries = MOST_TRIES): Promise<Answer> {
    for (let i = 1; ; i++) {
      try {
        const response = await fetch(ADDRESS + path, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(body),
        });
        // Something between here and the cutter answered for it: it was not heard.
        if (response.status >= 502 && response.status <= 504) throw new Error('away');
        const answer = (await response.json()) as CutterState & { message?: string; state?: CutterState };
        const now = response.ok ? answer : answer.state;
        if (now && isLater(now)) state.value = now;
        if (!response.ok) said.value = answer.message ?? 'The cutter did not answer as it should.';
        return response.ok ? 'done' : 'refused';
      } catch {
        if (i < tries) {
          await new Promise((go) => setTimeout(go, 400 * i));
          continue;
        }
        said.value = 'The cutter cannot be reached. Nothing was lost: what was sent before goes on by itself.';
        return 'unreachable';
      }
    }
  }
  async function tell(path: string, body: unknown): Promise<boolean> {
    if (busy.value) return false;
    busy.value = true;
    said.value = null;
    const answer = await ask(path, body);
    busy.value = false;
    return answer === 'done';
  }

  const isUnderWay = (load: CutterLoad): boolean => load.state === 'waiting' || isInCutter(load);

  /** Sends loads into the queue; those that are on their way already are not sent again. */
  async function send(loads: readonly Omit<SentLoad, 'id'>[]): Promise<void> {
    const isWith = (one: Omit<SentLoad, 'id'>): boolean =>
      [...(state.value?.loads ?? []).filter(isUnderWay), ...outbox.value.map(({ load }) => load)].some(
        (load) => load.projectId === one.projectId && load.number === one.number,
      );
    const fresh = loads.filter((one) => !isWith(one));
    if (busy.value) return;
    busy.value = true;
    said.value = null;
    let away = outbox.value.length > 0 && link.value !== 'live';
    for (const one of fresh) {
      const load: SentLoad = { id: crypto.randomUUID(), ...one };
      const answer = away ? 'unreachable' : await ask('/loads', load);
      if (answer === 'refused') break;
      if (answer === 'unreachable') await wait(load);
      away ||= answer === 'unreachable';
    }
    busy.value = false;
    if (away) {
      // How many wait is shown; that they do is no failure.
      said.value = null;
      again();
      sendLater();
    } else if (fresh.length < loads.length && said.value === null)
      said.value =
        fresh.length === 0
          ? 'These loads are with the cutter already; they were not sent again.'
          : 'The loads that are with the cutter already were not sent again.';
  }
  /** Keeps a load until it can be sent; where nothing can be kept, for as long as the page is open. */
  async function wait(load: SentLoad): Promise<void> {
    // Another tab may have put some in as well.
    const before = [...(await readSends().catch(() => [])), ...outbox.value];
    const send = { turn: Math.max(0, ...before.map(({ turn }) => turn)) + 1, load };
    await keepSend(send).catch(() => (onlyHere.value = [...onlyHere.value, send]));
    outbox.value = [...outbox.value, send];
  }
  /** Ids of what was sent or taken back: what is read a moment later may still have it, and it is not to be cut. */
  const gone = new Set<string>();
  async function takeBack(id: string): Promise<void> {
    gone.add(id);
    const others = (some: readonly WaitingSend[]): WaitingSend[] => some.filter(({ load }) => load.id !== id);
    outbox.value = others(outbox.value);
    onlyHere.value = others(onlyHere.value);
    await dropSend(id).catch(() => undefined);
  }

  let sending = false;
  /** Sends what waits, in order; the cutter takes what it has already as the same load. */
  async function sendWaiting(): Promise<void> {
    if (sending) return;
    sending = true;
    // Room may have been made.
    for (const send of onlyHere.value)
      if (!gone.has(send.load.id))
        await keepSend(send).then(
          () => (onlyHere.value = onlyHere.value.filter((one) => one !== send)),
          () => undefined,
        );
    // Another tab may have sent some of it, or taken it back; what could not be kept waits here only.
    const kept = await readSends().catch(() => null);
    if (kept) outbox.value = inTurn([...kept, ...onlyHere.value].filter(({ load }) => !gone.has(load.id)));
    for (const { load } of outbox.value) {
      // Taken back while the one before it went.
      if (gone.has(load.id)) continue;
      const answer = await ask('/loads', load, 1);
      if (answer === 'unreachable') {
        said.value = null;
        break;
      }
      if (answer === 'refused') said.value = `“${load.title}”, load ${load.number}, was not taken: ${said.value ?? ''}`;
      await takeBack(load.id);
    }
    sending = false;
    if (outbox.value.length > 0) sendLater();
  }
  let later: ReturnType<typeof setTimeout> | undefined;
  function sendLater(): void {
    clearTimeout(later);
    later = setTimeout(() => void sendWaiting(), AGAIN_MS);
  }
  const act = (load: CutterLoad, what: Record<string, unknown>): Promise<boolean> => tell(`/loads/${load.id}`, what);
  const newBlade = (): Promise<boolean> => tell('/blade', {});
  const lostRead = (): Promise<boolean> => tell('/lost-read', {});
  const workFaster = (faster: number): Promise<boolean> => tell('/pace', { faster });

  return {
    state,
    head,
    link,
    said,
    busy,
    strokes,
    outbox,
    onlyHere,
    known,
    takeBack,
    sendWaiting,
    inside,
    shown,
    listen,
    hangUp,
    send,
    act,
    newBlade,
    lostRead,
    workFaster,
  };
});
