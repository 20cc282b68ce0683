/** Dependencies point one way: interface → store → core. */
const { readdirSync } = require('node:fs');

/** Rooms of the core in the order of their names: each builds on those before it, never on one behind. */
const ROOMS = readdirSync('src/core')
  .filter((name) => /^\d-/.test(name))
  .sort();
const forbid = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { path: '^(src/(words|workers|store|storage|files|instruments|ui)|server|cli|demo)' },
    },
    {
      name: 'core-uses-only-maths-schemas-and-shared-structure',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm'], pathNot: 'node_modules/(zod|ml-matrix|immer|fastest-levenshtein|clipper2-ts|pure-rand|ml-direct)/' },
    },
    ...ROOMS.slice(0, -1).map((room, place) => ({
      name: `room-${room}-builds-on-earlier-rooms`,
      severity: 'error',
      from: { path: `^src/core/${room}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^src/core/(analyse\\.ts|(${ROOMS.slice(place + 1).join('|')})/)` },
    })),
    forbid('words-stand-on-the-core', '^src/words', '^src/(workers|store|storage|files|ui)'),
    forbid('store-knows-no-interface', '^src/(store|storage|files|workers)', '^src/ui'),
    forbid('storage-knows-no-store', '^src/(storage|files)', '^src/store'),
    forbid('workers-know-core-and-files', '^src/workers', '^src/(store|storage|ui)'),
    forbid('files-know-only-core', '^src/files', '^src/(store|storage|workers|ui)'),
    forbid('instruments-know-only-core', '^src/instruments', '^src/(store|storage|files|workers|ui)'),
    forbid('demo-is-data', '^demo', '^src/(store|storage|ui|workers)'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(dist|\\.cache)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};
