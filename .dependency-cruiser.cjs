// Layers, order of the core's domains, and entry by index.ts only. Domains are listed in their order.
const DOMAINS = [
  'units',
  'bench',
  'gcode',
  'motion',
  'planner',
  'controller',
  'electrical',
  'optics',
  'calibrate',
  'burn',
  'testcard',
  'artwork',
  'scan',
  'rotary',
  'housing',
  'fasteners',
  'nesting',
  'air',
  'safety',
  'reach',
  'round',
  'work',
  'refit',
  'schedule',
  'log',
  'faults',
  'cost',
  'workshop',
  'document',
  'course',
]
const LAYERS = ['core', 'workers', 'data', 'devices', 'state', 'ui', 'screens', 'app']
// What each layer may import besides itself.
const MAY = {
  core: [],
  workers: ['core', 'data'],
  data: ['core'],
  devices: ['core'],
  state: ['core', 'workers', 'data', 'devices'],
  ui: ['core', 'state'],
  screens: ['core', 'state', 'ui'],
  app: ['core', 'data', 'state', 'ui', 'screens'],
}

const layerRules = LAYERS.map((layer) => ({
  name: `layer-${layer}`,
  severity: 'error',
  from: { path: `^src/${layer}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: `^src/(${LAYERS.filter((other) => other !== layer && !MAY[layer].includes(other)).join('|')})/` },
}))

const domainRules = DOMAINS.map((domain, i) => ({
  name: `domain-order-${domain}`,
  severity: 'error',
  from: { path: `^src/core/${domain}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^src/core/(${DOMAINS.slice(i + 1).join('|') || 'nothing-comes-after'})/` },
}))

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-runs-on-zod-alone',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/zod/' },
    },
    {
      name: 'enter-by-index',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      // What a domain works and judges is fetched on its own, so that the rest of it does not come along.
      to: {
        path: '^src/core/[^/]+/',
        pathNot: [
          '^src/core/$1/',
          '/index\\.ts$',
          '/(domain|mechanicsDomain|lightDomain|trialsDomain|beamDomain|bookDomain|windowDomain|turnedDomain)\\.ts$',
        ],
      },
    },
    {
      name: 'enter-core-by-index',
      severity: 'error',
      from: { path: '^src/(?!core/)' },
      to: { path: '^src/core/', pathNot: ['/index\\.ts$', '^src/core/zod\\.ts$'] },
    },
    {
      name: 'siblings-not-own-index',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/(?!index\\.ts)', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/$1/index\\.ts$' },
    },
    {
      name: 'workshop-is-independent',
      severity: 'error',
      from: { path: '^src/core/workshop/' },
      to: { path: '^src/core/(motion|calibrate)/' },
    },
    {
      name: 'no-screen-imports-another',
      severity: 'error',
      from: { path: '^src/screens/([^/]+)/' },
      to: { path: '^src/screens/[^/]+/', pathNot: '^src/screens/$1/' },
    },
    { name: 'server-is-alone', severity: 'error', from: { path: '^server/' }, to: { path: '^src/' } },
    ...layerRules,
    ...domainRules,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.app.json' },
    tsPreCompilationDeps: true,
    exclude: { path: '^dist/' },
  },
}
