const core = (names) => `^src/core/(${names})/`

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^src/core/' }, to: { path: '^src/', pathNot: '^src/core/' } },
    {
      name: 'core-packages',
      severity: 'error',
      comment:
        'pure computation only: schemas (zod), polygon clipping (clipper2-ts), triangles (earcut), and the text of SVG (saxes, svgpath) and DXF (dxf-parser)',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'npm-no-pkg', 'npm-unknown', 'core'],
        pathNot: 'node_modules/(zod|clipper2-ts|earcut|saxes|svgpath|dxf-parser)/',
      },
    },
    {
      name: 'core-level-1',
      severity: 'error',
      from: { path: core('units|sources') },
      to: { path: '^src/core/', pathNot: core('units|sources') },
    },
    {
      name: 'core-level-2',
      severity: 'error',
      from: { path: core('geometry|numerics|working') },
      to: { path: '^src/core/', pathNot: core('units|sources|geometry|numerics|working') },
    },
    ...[
      [
        'core-level-3',
        'metals|tables|sizes|toolwall|lookup',
        'entries|glossary|forming|drawing|operations|instruments|forms|assembly|rules|kits|joints|layout|route|advice|piece|logbook|ask|commands',
      ],
      [
        'core-level-4',
        'entries|forming|drawing|operations|instruments|picture|drawn',
        'forms|assembly|rules|kits|joints|layout|lengths|route|advice|piece|logbook|ask|commands',
      ],
      ['core-level-5', 'forms', 'assembly|rules|kits|joints|layout|lengths|route|advice|piece|costing|logbook|ask|commands'],
      ['core-level-6', 'assembly|rules|kits|joints|layout|lengths|route|advice', 'piece|costing|logbook|ask|commands'],
      ['core-level-7', 'piece|costing|logbook|ask', 'commands'],
    ].map(([name, own, above]) => ({ name, severity: 'error', from: { path: core(own) }, to: { path: core(above) } })),
    {
      name: 'clipper-adapter',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/core/geometry/clip\\.ts$' },
      to: { path: 'node_modules/clipper2-ts/' },
    },
    {
      name: 'sqlite-in-db-only',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/server/(db/|services/backups\\.ts)' },
      to: { path: 'better-sqlite3' },
    },
    {
      name: 'ui-to-server-by-actions-only',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/server/', pathNot: '^src/server/actions/', dependencyTypesNot: ['type-only'] },
    },
    { name: 'workers-know-core-only', severity: 'error', from: { path: '^src/workers/' }, to: { path: '^src/(server|app|ui)/' } },
    { name: 'server-below-ui', severity: 'error', from: { path: '^src/server/' }, to: { path: '^src/(ui|app|workers)/' } },
    { name: 'nobody-imports-app', severity: 'error', from: { path: '^src/(core|server|ui|workers|cli)/' }, to: { path: '^src/app/' } },
    { name: 'cli-knows-core-only', severity: 'error', from: { path: '^src/cli/' }, to: { path: '^src/(server|app|ui|workers)/' } },
    { name: 'files-know-core-only', severity: 'error', from: { path: '^src/files/' }, to: { path: '^src/(server|app|ui|workers|cli)/' } },
    {
      name: 'families-stand-alone',
      severity: 'error',
      from: { path: '^src/core/forms/([^/]+)/([^/]+)/' },
      to: { path: '^src/core/forms/[^/]+/[^/]+/', pathNot: '^src/core/forms/($1/$2|common)/' },
    },
    {
      name: 'front-door',
      severity: 'error',
      from: { path: '^src/(server|app|ui|workers|cli|files)/' },
      to: { path: '^src/core/[^/]+/.+', pathNot: '^src/core/[^/]+/index\\.ts$' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.test\\.ts$' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'node', 'default', 'types'] },
  },
}
