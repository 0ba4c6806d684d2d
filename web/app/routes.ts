import { index, layout, prefix, route, type RouteConfig } from '@react-router/dev/routes';

export default [
  index('routes/projects.tsx'),
  route('demo', 'routes/demo.tsx'),
  route('sources/pages', 'routes/sources-pages.ts'),
  route('sources/:framework/:edition', 'routes/sources.ts'),
  route('help/:rule?', 'routes/help.tsx'),
  ...prefix('projects/:projectId', [
    layout('routes/project.tsx', [
      index('routes/start.tsx'),
      route('carve', 'routes/carve.tsx'),
      route('tree', 'routes/tree.tsx'),
      route('trace', 'routes/trace.tsx'),
      route('findings', 'routes/findings.tsx'),
      route('overlap', 'routes/overlap.tsx'),
      route('compare', 'routes/compare.tsx'),
    ]),
  ]),
] satisfies RouteConfig;
