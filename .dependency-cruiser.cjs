/** The arrows of the architecture: app → ui, server → db → core; ui → core; devices → core. They run one way only. */
const not = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.tsx?$' },
  to: { path: to },
});

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    not('core-imports-only-core', '^src/core', '^src/(app|ui|server|db|devices|demo|testing)'),
    not('core-has-no-interface', '^src/core', '^node_modules/(react|next|@mui|drizzle-orm|pg|better-auth)'),
    not('core-touches-no-machine', '^src/core', '^(node:)?(fs|net|http|https|child_process|crypto|os)$'),
    not('db-imports-only-core', '^src/db', '^src/(app|ui|server|devices|demo)'),
    not('ui-imports-only-core', '^src/ui', '^src/(app|server|db|devices|demo)'),
    {
      // A page fetches the methods of its own runs; the registry would bring all of them along.
      ...not('ui-fetches-methods-one-by-one', '^src/ui', '^src/core/methods/registry'),
      to: { path: '^src/core/methods/registry', dependencyTypesNot: ['type-only'] },
    },
    not('server-imports-no-interface', '^src/server', '^src/(app|ui|demo)'),
    not('devices-import-only-core', '^src/devices', '^src/(app|ui|server|db|demo)'),
    not('demo-is-not-needed', '^src/(core|ui|server|db|app)', '^src/demo'),
    not('test-helpers-stay-in-tests', '^src/(core|ui|server|db|app|demo)', '^src/testing'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'] },
  },
};
