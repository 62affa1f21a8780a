import { readFileSync } from 'node:fs';

type Raw = { [key: string]: unknown };

/** The made-up tumbler as it is published beside the format. */
const example = JSON.parse(readFileSync('docs/format/example-tumbler.json', 'utf8')) as Raw & {
  blank: Raw;
  items: Raw[];
  stack: Raw;
};

const reading = (mm: number): Raw => ({ how: 'tape', takes: [{ typed: `${mm} mm`, mm }], thicknessMm: 0 });

/** A rectangle of film. */
export interface Plate {
  readonly film: string;
  readonly width: number;
  readonly height: number;
  /** mm below the middle of the side. */
  readonly down: number;
}

/**
 * A project of rectangles on a can 240 mm round and 150 mm high, as a file: what is cut of it can be worked out by hand.
 */
export function canOfPlates(
  name: string,
  plates: readonly Plate[],
): { name: string; mimeType: string; buffer: Buffer } {
  const project: Raw = {
    ...example,
    id: `e2e-${name.toLowerCase().replace(/\W+/g, '-')}`,
    name,
    blank: {
      ...example.blank,
      kind: 'straight',
      readings: { girthRim: reading(240), side: reading(150) },
      fitCheck: null,
      rimClearanceMm: 0,
      baseClearanceMm: 0,
    },
    items: plates.map(({ film, width, height, down }, i) => ({
      ...example.items[0]!,
      motif: undefined,
      type: 'art',
      id: `plate-${i}`,
      film,
      running: 'level',
      repeat: { mode: 'once', count: 1 },
      placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: down, turnDeg: 0 },
      name: `Plate ${i + 1}`,
      setId: `plate-${i}`,
      colour: '#000000',
      pathData: `M${-width / 2} ${-height / 2}H${width / 2}V${height / 2}H${-width / 2}Z`,
      drawn: { widthMm: width, heightMm: height },
      widthMm: width,
      heightMm: null,
      source: 'own',
      rights: 'own',
    })),
    seam: { ...(example['seam'] as Raw), lapMm: 0 },
    stack: { ...example.stack, marks: {} },
    laid: [],
  };
  return { name: `${name}.json`, mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(project)) };
}
