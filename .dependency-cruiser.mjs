/**
 * The folders of the core in the order in which data flows: a folder imports from itself and
 * from those before it, not even a type from those after it. A new folder gets its line here
 * and in src/core/README.md.
 */
const CORE = [
  'problems',
  'units',
  'geometry',
  'measures',
  'instruments',
  'photo',
  'props',
  'studio',
  'person',
  'rules',
  'body',
  'poses',
  'cautions',
  'leastSquares',
  'skeleton',
  'conditions',
  'solver',
  'planning',
  'setup',
  'whatIf',
  'poseErrors',
  'felt',
  'recipe',
  'sequence',
  'sessions',
  'classes',
  'cues',
  'progress',
  'drawing',
  'paper',
  'poseCheck',
  'merge',
  'formats',
  'backup',
  'extract',
];

/** What each folder of src may import besides itself. */
const SOURCE = {
  core: [],
  data: ['core'],
  workers: ['core'],
  server: ['core'],
  islands: ['core', 'data', 'workers'],
  layouts: ['islands', 'styles'],
  pages: ['core', 'islands', 'layouts', 'server', 'styles'],
};

const anyOf = (names) => `(${names.join('|')})/`;

export default {
  forbidden: [
    {
      name: 'no-circle',
      comment: 'Two files that need each other, or each other’s types, are one file or three.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-folder-without-a-place',
      comment: 'Every folder of the core has its place in the order.',
      severity: 'error',
      from: { path: `^src/core/(?!${anyOf(CORE)})` },
      to: {},
    },
    ...CORE.slice(0, -1).map((folder, i) => ({
      name: `core-${folder}-looks-ahead`,
      severity: 'error',
      from: { path: `^src/core/${folder}/` },
      to: { path: `^src/core/${anyOf(CORE.slice(i + 1))}` },
    })),
    ...Object.entries(SOURCE).map(([folder, allowed]) => ({
      name: `${folder}-imports-only-${['itself', ...allowed].join('-')}`,
      severity: 'error',
      from: { path: `^src/${folder}/` },
      to: { path: '^src/', pathNot: `^src/${anyOf([folder, ...allowed])}` },
    })),
  ],
  options: {
    includeOnly: '^src',
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
  },
};
