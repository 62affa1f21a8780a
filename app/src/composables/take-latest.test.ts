import { expect, it } from 'vitest';
import { takeLatest } from './take-latest.ts';

it('takes the answer to what was asked last, however late the one before comes', async () => {
  const taken: string[] = [];
  const ask = takeLatest<string>((answer) => taken.push(answer));
  const answers: ((answer: string) => void)[] = [];
  const promised = (): Promise<string> => new Promise((answer) => answers.push(answer));
  const [first, second] = [ask(promised()), ask(promised())];
  answers[1]!('second');
  await second;
  answers[0]!('first');
  await first;
  const third = ask(promised());
  await ask(null);
  answers[2]!('third');
  await third;
  expect(taken).toEqual(['second']);
});
