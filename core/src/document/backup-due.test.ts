import { parseISO } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { backupDue } from './backup-due.ts';

const at = (day: number): string => `2026-05-${String(day).padStart(2, '0')}T09:00:00.000Z`;
const now = (day: number): number => parseISO(at(day)).getTime();
const never = { writtenAt: null, notNowAt: null };
const made = (created: number, changed = created) => ({ createdAt: at(created), changedAt: at(changed) });

describe('when a backup is due', () => {
  it('is two weeks after the first project that no backup has', () => {
    expect(backupDue([made(1), made(10)], never, now(14))).toBe(0);
    expect(backupDue([made(1), made(10)], never, now(15))).toBe(2);
    expect(backupDue([], never, now(30))).toBe(0);
  });

  it('is two weeks after the last backup, while something was changed since', () => {
    const last = { writtenAt: at(5), notNowAt: null };
    expect(backupDue([made(1), made(2, 6)], last, now(18))).toBe(0);
    expect(backupDue([made(1), made(2, 6)], last, now(19))).toBe(1);
    expect(backupDue([made(1), made(2)], last, now(30))).toBe(0);
  });

  it('is put off for a week', () => {
    const last = { writtenAt: null, notNowAt: at(16) };
    expect(backupDue([made(1)], last, now(22))).toBe(0);
    expect(backupDue([made(1)], last, now(23))).toBe(1);
  });

  it('is not put off by a clock that once was ahead', () => {
    expect(backupDue([made(1)], { writtenAt: at(29), notNowAt: at(28) }, now(20))).toBe(1);
    expect(backupDue([made(25)], never, now(20))).toBe(0);
  });
});
