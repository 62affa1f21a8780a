import { defineStore } from 'pinia';
import { ref } from 'vue';

/** ms that a word about what was done stays; what went wrong stays until it is closed. */
const STAYS = 8000;
/** Words that stand at once; older ones go. */
const MOST = 4;

/** Something that is told once, at the edge of the page. */
interface Told {
  readonly id: number;
  readonly words: string;
  /** ms, or as long as nobody closes it. */
  readonly stays: number | true;
}

/** What was done and what came of it, where it has no place of its own on the page. */
export const useTold = defineStore('told', () => {
  const all = ref<readonly Told[]>([]);
  let last = 0;
  /** Tells something; `wrong` stays until it is closed. */
  function tell(words: string, wrong = false): void {
    all.value = [...all.value.slice(1 - MOST), { id: ++last, words, stays: wrong ? true : STAYS }];
  }
  const forget = (id: number): void => void (all.value = all.value.filter((one) => one.id !== id));
  return { all, tell, forget };
});
