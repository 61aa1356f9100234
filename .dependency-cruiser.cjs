/** Dependencies point one way: web, server, cli -> contract, print -> core; and inside core from high to low. */
const core = (folder) => `^packages/core/src/${folder}/`
/** Lowest first: a folder may import only from those before it. */
const LEVELS = ['base', 'language', 'prose', 'units', 'geometry', 'materials', 'guide', 'bring-in', 'draw', 'notation', 'sampler', 'classes', 'stores', 'stitches', 'assign', 'work', 'hold', 'layout', 'measure', 'exercise', 'extent', 'refit', 'propose', 'behind', 'marking', 'cutting', 'steps', 'drawing', 'photo', 'stand-in-camera', 'sheets', 'order', 'plan', 'calendar', 'practice', 'recall', 'kit', 'together', 'pages', 'book', 'teacher-book', 'cards', 'slip', 'next-rows', 'mend', 'words']

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    {
      name: 'no-cycles-of-types',
      comment: 'The inverse of an operation may be any other: their closed union is a circle by nature.',
      severity: 'error',
      from: { pathNot: '/operations/' },
      to: { circular: true },
    },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' }, to: { path: '^(packages/(contract|print)|apps)/' } },
    { name: 'core-has-no-machine', severity: 'error', from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    { name: 'core-libraries', comment: 'A new library in core is a decision: name it here and in docs/decisions.md.', severity: 'error', from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' }, to: { path: 'node_modules', pathNot: 'node_modules/(svgpath|saxes|clipper2-ts|poisson-disk-sampling|fit-curve|temporal-polyfill|temporal-utils|ml-matrix)' } },
    { name: 'contract-on-core', severity: 'error', from: { path: '^packages/contract/src' }, to: { path: '^(packages/print|apps)/' } },
    { name: 'print-on-core', severity: 'error', from: { path: '^packages/print/src' }, to: { path: '^(packages/contract|apps)/' } },
    { name: 'apps-apart', severity: 'error', from: { path: '^apps/([^/]+)/' }, to: { path: '^apps/', pathNot: '^apps/$1/' } },
    { name: 'page-without-printing', severity: 'error', from: { path: '^apps/web/' }, to: { path: '^packages/print/' } },
    {
      name: 'one-public-face',
      comment: 'Other folders of core are reached through their index.',
      severity: 'error',
      from: { path: '^packages/core/src/([^/]+)/' },
      to: { path: '^packages/core/src/([^/]+)/', pathNot: ['^packages/core/src/$1/', '/index\\.ts$'] },
    },
    ...LEVELS.map((folder, index) => ({
      name: `core-level-${folder}`,
      severity: 'error',
      from: { path: core(folder), pathNot: '\\.test\\.ts$' },
      to: { path: LEVELS.slice(index + 1).map(core).join('|') || '^$', dependencyTypesNot: ['type-only'] },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'], extensions: ['.ts', '.tsx', '.js', '.json'] },
  },
}
