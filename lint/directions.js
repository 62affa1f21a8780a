// Which folder may import which. Folders stand in the order of the work: a folder may import only folders that stand above
// it, so that no circle of folders can be written down here.

/** Rooms of the core, each with those that it may import. */
const CORE = [
  ['numeric', []],
  ['plane', ['numeric']],
  ['polygon', ['numeric', 'plane']],
  ['raster', ['numeric', 'plane', 'polygon']],
  ['surface', ['numeric', 'plane']],
  ['model', []],
  ['material', ['model']],
  ['solid', ['numeric', 'plane', 'surface', 'model']],
  ['measure', ['numeric', 'plane', 'polygon', 'raster', 'surface', 'model', 'material', 'solid']],
  ['artwork', ['numeric', 'plane', 'polygon', 'raster', 'model', 'material']],
  ['flat', ['numeric', 'plane', 'surface', 'model', 'material', 'solid', 'measure']],
  ['layout', ['numeric', 'plane', 'polygon', 'surface', 'model', 'material', 'measure', 'artwork', 'flat']],
  ['layers', ['numeric', 'plane', 'polygon', 'model', 'layout']],
  ['seam', ['numeric', 'plane', 'polygon', 'surface', 'model', 'measure', 'flat', 'layout']],
  [
    'pieces',
    [
      ...['numeric', 'plane', 'polygon', 'surface', 'model', 'material', 'measure'],
      ...['artwork', 'flat', 'layout', 'layers', 'seam'],
    ],
  ],
  [
    'film',
    [
      ...[
        'numeric',
        'plane',
        'polygon',
        'surface',
        'model',
        'material',
        'solid',
        'measure',
        'artwork',
        'flat',
        'seam',
        'pieces',
      ],
    ],
  ],
  ['stack', ['numeric', 'plane', 'polygon', 'raster', 'surface', 'model', 'layout', 'layers', 'pieces']],
  ['nest', ['numeric', 'plane', 'polygon', 'raster']],
  ['load', ['numeric', 'plane', 'polygon', 'model', 'material', 'layers', 'pieces', 'stack', 'nest']],
  ['cut', ['numeric', 'plane', 'polygon', 'model', 'layers', 'pieces', 'load']],
  ['document', ['numeric', 'plane', 'model', 'material', 'measure', 'artwork', 'layout', 'layers', 'seam']],
  [
    'proof',
    [
      ...['numeric', 'plane', 'polygon', 'surface', 'model', 'material', 'measure', 'artwork', 'flat', 'layout'],
      ...['layers', 'seam', 'pieces', 'film', 'stack', 'load', 'document'],
    ],
  ],
  [
    'bench',
    [
      ...['numeric', 'plane', 'surface', 'model', 'material', 'measure', 'layers', 'seam', 'pieces', 'load', 'cut'],
      ...['film', 'document', 'proof'],
    ],
  ],
  ['schedule', ['numeric', 'model', 'material', 'measure', 'load', 'bench']],
  ['log', ['numeric', 'model', 'material', 'measure', 'proof', 'bench']],
  [
    'practice',
    [
      ...[
        'numeric',
        'plane',
        'polygon',
        'surface',
        'model',
        'material',
        'measure',
        'artwork',
        'seam',
        'film',
        'document',
      ],
      ...['proof', 'bench'],
    ],
  ],
  [
    'present',
    [
      ...['numeric', 'plane', 'polygon', 'surface', 'model', 'solid', 'measure', 'artwork', 'flat', 'layout', 'seam'],
      ...['layers', 'pieces', 'film', 'stack', 'load', 'cut', 'proof', 'bench', 'schedule', 'log', 'pipeline.ts'],
    ],
  ],
  [
    'io',
    [
      ...['numeric', 'plane', 'polygon', 'surface', 'model', 'material', 'measure', 'artwork', 'flat', 'layout'],
      ...['layers', 'seam', 'pieces', 'stack', 'load', 'cut', 'document', 'proof', 'bench', 'schedule', 'log'],
      ...['present', 'pipeline.ts'],
    ],
  ],
];

/** Files of the core beside its rooms. */
const CORE_TOPS = ['index', 'pipeline', 'papers', 'tables', 'backups', 'drawings', 'fonts', 'cutter'];

const APP = [
  ['data', []],
  ['workers', ['data']],
  ['stores', ['data', 'workers']],
  ['composables', ['data', 'workers', 'stores']],
  ['demo', ['data', 'stores', 'composables']],
  // What is loaded only when it is asked for, is asked for by the workers.
  ['components', ['data', 'workers', 'stores', 'composables', 'demo'], ['@mivet/core/*']],
  ['views', ['data', 'workers', 'stores', 'composables', 'demo', 'components']],
  ['router', ['composables', 'views']],
];

const CLI = [
  ['input', []],
  ['commands', ['input']],
];

const SERVER = [
  ['cutter', []],
  ['routes', ['cutter']],
];

/**
 * Rules for the folders of one part of the project.
 *
 * @param root of the part
 * @param rooms each folder with those that it may import, and what else it may not
 * @param foreign what none of them may import
 * @param tops files beside the folders, without their endings
 */
function rulesFor(root, rooms, foreign, tops = []) {
  const names = rooms.map(([name]) => name);
  return rooms.map(([name, may, own = []], at) => {
    for (const other of may)
      if (!names.slice(0, at).includes(other) && !other.endsWith('.ts'))
        throw new Error(`lint/directions.js: ${root}/${name} may not import ${other}, which stands below it`);
    const folders = names.filter((other) => other !== name && !may.includes(other)).map((other) => `**/${other}/**`);
    const message = `${root}/${name} may import only: ${['itself', ...may].join(', ')}.`;
    // Files beside the folders put them together: a folder reaches up to one of them only where that is listed.
    const above = tops.filter((file) => !may.includes(`${file}.ts`)).join('|');
    return {
      files: [`${root}/${name}/**/*.{ts,vue}`],
      ignores: ['**/*.test.ts', '**/*.bench.ts'],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              { group: [...folders, ...foreign, ...own], message },
              ...(above === '' ? [] : [{ regex: `^(\\.\\./)+(${above})\\.ts$`, message }]),
            ],
          },
        ],
      },
    };
  });
}

export const directions = [
  ...rulesFor('core/src', CORE, ['@mivet/*', 'node:*', 'vue'], CORE_TOPS),
  ...rulesFor('app/src', APP, ['**/core/src/**', '**/server/**', '**/cli/**', 'node:*']),
  ...rulesFor('cli/src', CLI, ['**/core/src/**', '**/app/**', '**/server/**']),
  ...rulesFor('server/src', SERVER, ['**/core/src/**', '**/app/**', '**/cli/**']),
];
