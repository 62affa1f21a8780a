import { leftText, type RunningWait, waitsOf } from '@mivet/core';
import { useEventListener, useIntervalFn, useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { useLibrary } from './library.ts';
import { useProject } from './project.ts';
import { useTold } from './told.ts';

/** ms after its end during which a wait that nobody saw end is still told. */
const TOLD_FOR_MS = 12 * 3_600_000;
/** Ends that are remembered as told. */
const REMEMBERED = 200;

/** A row of the tray: one wait, or several alike of one project. */
export interface TrayRow extends RunningWait {
  readonly count: number;
  readonly over: boolean;
  readonly left: string;
}

/** All waits of all projects, by the clock on the wall: told once when they end, wherever one is in the app. */
export const useWaits = defineStore('waits', () => {
  const library = useLibrary();
  const project = useProject();
  const told = useTold();
  const now = ref(Date.now());
  /** Ends that were told, so that neither another tab nor a reload tells them again. */
  const rung = useLocalStorage<readonly string[]>('mivet-rung', [], { shallow: true });

  const all = computed(() => {
    const doc = project.doc;
    const others = library.projects.filter(({ id }) => id !== doc?.id);
    return waitsOf(doc ? [doc, ...others] : others);
  });
  const keyOf = (wait: RunningWait): string => `${wait.projectId} ${wait.stepId} ${wait.until}`;
  /** What runs, and what has ended and is not done yet. */
  const rows = computed(() => {
    const groups = new Map<string, RunningWait[]>();
    for (const wait of all.value) {
      if (now.value - wait.until > TOLD_FOR_MS) continue;
      const key = wait.thing ? `${wait.projectId} ${wait.says}` : keyOf(wait);
      groups.set(key, [...(groups.get(key) ?? []), wait]);
    }
    return [...groups.values()].map((waits): TrayRow => {
      const last = waits.at(-1)!;
      return { ...last, thing: waits.length === 1 ? last.thing : null, count: waits.length, over: last.until <= now.value, left: leftText(last.until, now.value) }; // prettier-ignore
    });
  });

  let sound: AudioContext | null = null;
  /** Has a sound ready: browsers want the page touched first, and it holds the page up, so only where something runs. */
  function readySound(): void {
    if (all.value.length === 0 || typeof AudioContext === 'undefined') return;
    sound ??= new AudioContext();
    if (sound.state === 'suspended') void sound.resume().catch(() => undefined);
  }
  useEventListener(['pointerdown', 'keydown'], readySound, { passive: true });
  function ring(): void {
    if (navigator.userActivation?.hasBeenActive) readySound();
    if (!sound) return;
    for (const [i, hertz] of [660, 880, 660].entries()) {
      const [tone, gain] = [sound.createOscillator(), sound.createGain()];
      tone.frequency.value = hertz;
      gain.gain.value = 0.15;
      tone.connect(gain).connect(sound.destination);
      tone.start(sound.currentTime + 0.3 * i);
      tone.stop(sound.currentTime + 0.3 * i + 0.2);
    }
  }
  function tellEnded(): void {
    now.value = Date.now();
    const ended = all.value.filter((wait) => wait.until <= now.value && now.value - wait.until < TOLD_FOR_MS && !rung.value.includes(keyOf(wait))); // prettier-ignore
    if (ended.length === 0) return;
    rung.value = [...rung.value, ...ended.map(keyOf)].slice(-REMEMBERED);
    ring();
    for (const { project: name, says, thing } of ended.slice(0, 3)) {
      const words = `${name}${thing ? `, ${thing}` : ''}: ${says.toLowerCase()} is over.`.replace(': look at it is over', ', time to look'); // prettier-ignore
      told.tell(words);
      if (typeof Notification !== 'undefined' && Notification.permission === 'granted') new Notification('Mivet', { body: words, tag: words }); // prettier-ignore
    }
  }
  useIntervalFn(tellEnded, 1000, { immediateCallback: true });
  // A page that slept looks at once when it wakes.
  useEventListener(document, 'visibilitychange', tellEnded);

  return { all, rows };
});
