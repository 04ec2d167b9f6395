/** The house's arrows (docs/architecture.md): web -> api -> core, server -> api -> core, cli -> server. */
const never = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from },
  to: { path: to },
});

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    never('core-stands-alone', '^core/', '^(api|server|cli|web|client|demo|bench|e2e)/', 'core is pure computation'),
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    never(
      'core-without-io',
      '^core/',
      'node_modules/(better-sqlite3|hono|react|piscina|csv-parse|pino)',
      'no I/O in core',
    ),
    never('api-knows-core-only', '^api/', '^(server|cli|web|client|demo|bench|e2e)/'),
    never('server-never-web', '^server/', '^(cli|web|client|demo|bench|e2e)/'),
    never('web-never-server', '^web/', '^(server|cli|client|demo|bench|e2e)/'),
    never('shop-never-desk', '^web/shop/', '^web/desk/', 'the shop is a bundle of its own'),
    never('desk-never-shop', '^web/desk/', '^web/(shop|shopper|embed)/', 'they meet in an iframe and web/bridge'),
    never(
      'shopper-without-markup',
      '^web/shopper/',
      '^web/(desk|shop|embed|look)/|node_modules/react',
      'parts draw it, it draws none',
    ),
    never('shop-never-embed', '^web/(shop|look)/', '^web/embed/', 'it stands anywhere'),
    {
      name: 'client-is-the-shop-asked',
      severity: 'error',
      from: { path: '^client/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(core|server|cli|demo|bench|e2e)/|^web/(desk|shop|embed|look)/' },
    },
    never('cli-never-web', '^cli/', '^(web|client|demo|bench|e2e)/'),
    never('demo-knows-core-only', '^demo/', '^(server|cli|web|client|bench|e2e)/'),
  ],
  options: {
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)build/|(^|/)dist/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.d.ts'],
    },
  },
};
