import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick, ref } from 'vue';
import { watchGone } from './gone.ts';

beforeEach(() => localStorage.clear());

describe('projects that are gone', () => {
  it('are told where some were kept the last time and there are none, until there are again or it was seen', async () => {
    const first = ref<number | null>(null);
    const before = watchGone(() => first.value);
    first.value = 3;
    await nextTick();
    expect(before.value).toBe(0);

    const now = ref<number | null>(null);
    const gone = watchGone(() => now.value);
    expect(gone.value).toBe(0);
    now.value = 0;
    await nextTick();
    expect(gone.value).toBe(3);
    // Nobody has seen it yet: the next visit tells it again.
    const next = watchGone(() => 0);
    expect(next.value).toBe(3);
    next.value = 0;
    expect(watchGone(() => 0).value).toBe(0);
    now.value = 1;
    await nextTick();
    expect(gone.value).toBe(0);
  });

  it('are not those that somebody deleted, nor those of a browser that keeps nothing', async () => {
    const count = ref<number | null>(2);
    watchGone(() => count.value);
    count.value = 0;
    await nextTick();
    expect(watchGone(() => 0).value).toBe(0);
    count.value = 2;
    await nextTick();
    expect(watchGone(() => null).value).toBe(0);
    expect(watchGone(() => 0).value).toBe(2);
  });
});
