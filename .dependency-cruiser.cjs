/** Holds the floors of docs/architecture.md: imports only ever point down. */
const floors = ['app', 'features', 'ui', 'workers', 'storage', 'standins', 'output', 'core'];
const above = (floor) => floors.slice(0, floors.indexOf(floor)).join('|');

/** Floors that a floor may not reach even though they lie below or beside it. */
const sideways = [
  { from: 'ui', to: 'workers|storage|output' },
  // What a project's file is, is known to whoever opens one.
  { from: 'workers', to: 'storage', but: '^src/storage/(project-file|file-limits)\\.ts$' },
  { from: 'storage', to: 'output' },
  // Stand-ins are spoken to as a printer or a shop is, and know files alone.
  { from: '(features|ui|workers|storage)', to: 'standins' },
];

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    ...floors.slice(1).map((floor) => ({
      name: `${floor}-points-down`,
      severity: 'error',
      from: { path: `^src/${floor}/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: `^src/(${above(floor)})/` },
    })),
    ...sideways.map(({ from, to, but }) => ({
      name: `${from}-not-sideways`,
      severity: 'error',
      from: { path: `^src/${from}/` },
      to: { path: `^src/(${to})/`, ...(but ? { pathNot: but } : {}) },
    })),
    {
      name: 'core-runs-anywhere',
      comment: 'No React, DOM library, database or Node module in the core.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: '^node_modules/(react|react-dom|next|@mui|dexie|comlink|zustand)/|^(node:)?(fs|path|os|crypto|zlib|worker_threads|url)$',
      },
    },
    {
      name: 'output-knows-pictures-only',
      severity: 'error',
      from: { path: '^src/output/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/(project|page|supplies|proof)/' },
    },
    {
      name: 'standins-know-files-only',
      severity: 'error',
      from: { path: '^src/standins/', pathNot: '\\.test\\.ts$' },
      to: {
        path: '^src/',
        pathNot: '^src/(standins|core/(order|press|geometry|units|result))|^src/output/pdf/preflight',
      },
    },
    {
      name: 'features-stay-apart',
      comment:
        'A room may use another only through src/ui, src/storage or src/core; the cupboard opens in any room.',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: {
        path: '^src/features/([^/]+)/',
        pathNot: '^src/features/($1|shared)/|^src/features/cupboard/Cupboard.tsx$',
      },
    },
    {
      name: 'acts-know-no-screen',
      comment: 'What a person does on the table is tested without one.',
      severity: 'error',
      from: {
        path: '^src/features/table/(acts|session|tasks|stage/hand)/.*\\.ts$',
        pathNot: '\\.test\\.ts$|/use[A-Z]|/(sheets|overlays)\\.ts$',
      },
      to: { path: '^node_modules/(react|react-dom|@mui)/', reachable: true },
    },
    {
      name: 'tasks-stay-apart',
      comment: 'What two tasks of the table use lies in parts/ or acts/.',
      severity: 'error',
      from: { path: '^src/features/table/tasks/([^/]+)/' },
      to: { path: '^src/features/table/tasks/[^/]+/', pathNot: '^src/features/table/tasks/$1/' },
    },
    {
      name: 'parts-know-no-task',
      severity: 'error',
      from: { path: '^src/features/table/(parts|acts|session|keeping|stage/(hand|paint|marks))/' },
      to: {
        path: '^src/features/table/(tasks|about|workbox)/',
        pathNot: '^src/features/table/tasks/(index|command)\\.ts$',
      },
    },
    {
      name: 'not-to-tests',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$' },
      to: { path: '\\.test\\.tsx?$' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
