// The arrows of the house: app → features → ui, workers, core; app → server → core. Within the core, later
// steps of the work import earlier ones, never back.
const outside = (name, from, to, why) => ({
  name,
  severity: 'error',
  comment: why,
  from: { path: from },
  to: { path: to },
});

/** The core in the order of the work; a folder may import itself and whatever stands before it. */
const coreOrder = [
  'measure',
  'linear',
  'solid',
  'wood',
  'climate',
  'restraint',
  'decision',
  'stock',
  'milling',
  'joint',
  'piece',
  'document',
  'room',
  'start',
  'season',
  'drawing',
  'layout',
  'glueup',
  'plan',
  'check',
  'format',
  'job',
];

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'The core runs the same in a browser, a worker, on the server and in a test.',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        path: '^(react|react-dom|next|pg|zustand|comlink|recharts)$|node_modules/(react|react-dom|next|pg|zustand|comlink|recharts)/',
      },
    },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    outside(
      'core-stands-alone',
      '^src/core/',
      '^src/(app|contract|features|ui|server|workers)/',
      'The core knows nobody.',
    ),
    outside(
      'contract-below-all',
      '^src/contract/',
      '^src/(app|features|ui|server|workers)/',
      'What goes over HTTP knows only the core.',
    ),
    outside('ui-below-features', '^src/ui/', '^src/(app|features|server|workers)/', 'Shared parts know only the core.'),
    outside(
      'workers-below-features',
      '^src/workers/',
      '^src/(app|features|ui|server)/',
      'Workers carry core functions.',
    ),
    outside(
      'features-not-server',
      '^src/features/',
      '^src/(app|server)/',
      'The browser speaks to the server over HTTP.',
    ),
    outside(
      'server-not-interface',
      '^src/server/',
      '^src/(app|features|ui|workers)/',
      'The server stands on the core.',
    ),
    ...coreOrder.map((folder, i) => ({
      name: `core-order-${folder}`,
      severity: 'error',
      comment: `core/${folder} may stand on: ${coreOrder.slice(0, i).join(', ') || 'nothing'}`,
      from: { path: `^src/core/${folder}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^src/core/(${[...coreOrder.slice(i + 1), 'index\\.ts'].join('|')})` },
    })),
    {
      name: 'published-through-the-door',
      severity: 'error',
      comment: 'Published checks use the public names only.',
      from: { path: '^tests/published/' },
      to: { path: '^src/core/(?!index\\.ts)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
