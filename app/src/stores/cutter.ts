import { isInCutter, type CutterLoad, type CutterState, type HeadNews, type SentLoad } from '@mivet/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';

const ADDRESS = '/api/cutter';
/** How often something is sent again when the line drops; the cutter takes the same load once. */
const MOST_TRIES = 3;

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
  let line: EventSource | null = null;
  let listening = 0;

  const inside = computed(() => state.value?.loads.find(isInCutter) ?? null);
  /** What lies in it, or would be put in next. */
  const shown = computed(() => inside.value ?? state.value?.loads.find((l) => l.state === 'waiting') ?? null);

  function listen(): void {
    if (++listening > 1) return;
    link.value = 'trying';
    line = new EventSource(`${ADDRESS}/events`);
    line.addEventListener('state', ({ data }: MessageEvent<string>) => {
      state.value = JSON.parse(data) as CutterState;
      head.value = null;
      link.value = 'live';
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
    if (listening === 0) return;
    const many = listening;
    line?.close();
    listening = 0;
    listen();
    listening = many;
  }
  function hangUp(): void {
    if (--listening > 0) return;
    clearTimeout(retry);
    line?.close();
    line = null;
    link.value = 'off';
  }

  watch(
    () => shown.value?.id,
    async (id) => {
      if (!id || strokes.value?.id === id) return;
      const response = await fetch(`${ADDRESS}/loads/${id}/strokes`).catch(() => null);
      if (response?.ok && shown.value?.id === id) strokes.value = { id, lines: (await response.json()) as number[][] };
    },
  );

  /** Asks for something; when the line drops, the same is asked again. */
  async function ask(path: string, body: unknown): Promise<boolean> {
    for (let i = 1; ; i++) {
      try {
        const response = await fetch(ADDRESS + path, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(body),
        });
        const answer = (await response.json()) as CutterState & { message?: string; state?: CutterState };
        const now = response.ok ? answer : answer.state;
        if (now) state.value = now;
        if (!response.ok) said.value = answer.message ?? 'The cutter did not answer as it should.';
        return response.ok;
      } catch {
        if (i < MOST_TRIES) {
          await new Promise((go) => setTimeout(go, 400 * i));
          continue;
        }
        said.value = 'The cutter cannot be reached. Nothing was lost: what was sent before goes on by itself.';
        return false;
      }
    }
  }
  async function tell(path: string, body: unknown): Promise<boolean> {
    if (busy.value) return false;
    busy.value = true;
    said.value = null;
    const done = await ask(path, body);
    busy.value = false;
    return done;
  }

  const isUnderWay = (load: CutterLoad): boolean => load.state === 'waiting' || isInCutter(load);

  /** Sends loads into the queue; those that are on their way already are not sent again. */
  async function send(loads: readonly Omit<SentLoad, 'id'>[]): Promise<void> {
    const known = (one: Omit<SentLoad, 'id'>): boolean =>
      (state.value?.loads ?? []).some(
        (load) => isUnderWay(load) && load.projectId === one.projectId && load.number === one.number,
      );
    const fresh = loads.filter((one) => !known(one));
    for (const one of fresh) if (!(await tell('/loads', { id: crypto.randomUUID(), ...one }))) return;
    if (fresh.length < loads.length)
      said.value =
        fresh.length === 0
          ? 'These loads are with the cutter already; they were not sent again.'
          : 'The loads that are with the cutter already were not sent again.';
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
