/**
 * Takes the answer to what was asked last; what was asked before that and answers late is dropped.
 *
 * @param take told the answer
 * @returns asks; null where there is nothing to ask any more
 */
export function takeLatest<T>(take: (answer: T) => void): (answer: Promise<T> | null) => Promise<void> {
  let asked = 0;
  return async (answer) => {
    const mine = ++asked;
    if (answer === null) return;
    const value = await answer;
    if (mine === asked) take(value);
  };
}
