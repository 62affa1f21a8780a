import { expect, it } from 'vitest';
import { isMoved, leaveField } from './hand.ts';

it('takes a press for a move from 4 px on, whichever way', () => {
  expect([isMoved(3.9, 0), isMoved(0, -3.9), isMoved(2.8, 2.8)]).toEqual([false, false, false]);
  expect([isMoved(4, 0), isMoved(0, -4), isMoved(-2.9, 2.9)]).toEqual([true, true, true]);
});

it('leaves a field that is typed in, and nothing else', () => {
  const [field, button] = [document.createElement('input'), document.createElement('button')];
  document.body.append(field, button);
  field.focus();
  leaveField();
  expect(document.activeElement).not.toBe(field);
  button.focus();
  leaveField();
  expect(document.activeElement).toBe(button);
  field.remove();
  button.remove();
});
