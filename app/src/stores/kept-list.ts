import { shallowRef, type ShallowRef } from 'vue';

/** A list of records that the database keeps, and what may be done with it. */
export interface KeptList<T> {
  readonly all: ShallowRef<readonly T[]>;
  /** Puts records in, in the place of those with the same id. */
  put(ones: readonly T[]): void;
  drop(id: string): void;
  /** Takes over what the database just said to hold: reads that began before are older than this. */
  set(ones: readonly T[]): void;
  /** Keeps records in the list, whatever a read brings, until what it returns is called: they are shown before they are written. */
  hold(ids: readonly string[]): () => void;
  /**
   * Takes over what is read, but for what was put or dropped while it was read: that is newer.
   *
   * @returns what was read
   * @throws what the read throws; the list stays as it is
   */
  readIn<R extends { readonly kept: readonly T[] }>(read: () => Promise<R>): Promise<R>;
}

/**
 * An empty list.
 *
 * @param order puts the list in order; what was put in last comes first otherwise
 */
export function keptList<T>(
  idOf: (one: T) => string,
  order: (all: readonly T[]) => readonly T[] = (all) => all,
): KeptList<T> {
  const all: ShallowRef<readonly T[]> = shallowRef([]);
  /** Ids that were put or dropped during each read that is under way. */
  const readings = new Set<Set<string>>();
  const held = new Map<string, number>();
  let begun = 0;
  let settled = 0;

  function change(ids: readonly string[], ones: readonly T[]): void {
    for (const reading of readings) for (const id of ids) reading.add(id);
    const gone = new Set(ids);
    all.value = order([...ones, ...all.value.filter((one) => !gone.has(idOf(one)))]);
  }

  return {
    all,
    put: (ones) => change(ones.map(idOf), ones),
    drop: (id) => change([id], []),
    set(ones) {
      settled = begun + 1;
      begun = settled;
      all.value = order(ones);
    },
    hold(ids) {
      for (const reading of readings) for (const id of ids) reading.add(id);
      for (const id of ids) held.set(id, (held.get(id) ?? 0) + 1);
      return () => {
        for (const id of ids) {
          const left = held.get(id)! - 1;
          if (left > 0) held.set(id, left);
          else held.delete(id);
        }
      };
    },
    async readIn(read) {
      const nth = (begun += 1);
      const touched = new Set(held.keys());
      readings.add(touched);
      try {
        const got = await read();
        if (nth > settled) {
          settled = nth;
          const mine = all.value.filter((one) => touched.has(idOf(one)));
          all.value = order([...mine, ...got.kept.filter((one) => !touched.has(idOf(one)))]);
        }
        return got;
      } finally {
        readings.delete(touched);
      }
    },
  };
}
