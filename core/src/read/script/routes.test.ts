import { describe, expect, test } from 'vitest';
import type { RouteFact } from '../../model/facts';
import { factsOf, outline } from '../../../../testing/src/project';

const told = (route: RouteFact): string => {
  const shown = route.component ?? (route.template.length > 0 ? `<${outline(route.template)}>` : '-');
  const below = [...route.children.map(told), ...(route.tables ?? []).map((one) => `…${one}`)];
  return `${route.table && `${route.table}: `}${route.path || '.'} ${shown}${below.length > 0 ? ` [${below.map((one) => one.replace(/^[\w/]+: /, '')).join(', ')}]` : ''}`;
};

describe('routes are found wherever they are written', () => {
  test.each([
    ['in a list of the module', "const routes = [{ path: '/', element: <A/> }];", ['routes: / <A()>']],
    ['given to a router', "const router = createHashRouter([{ path: '/', Component: A }]);", ['router: / A']],
    [
      'in what a function gives',
      "function make() { return [{ path: 'a', component: A, children: [{ path: '', component: B }] }]; }",
      ['make: a A [. B]'],
    ],
    ['in a member of a class', "class App { routes() { return [{ path: 'a', element: <A/> }]; } }", ['App/routes: a <A()>']],
    ['pushed', "const all = []; all.push({ path: 'a', component: A });", [': a A'].map((one) => one.slice(2))],
    [
      'as members of an object',
      "export const table = { routes: { a: { path: 'a', component: A }, b: { path: 'b', component: B } } };",
      ['table/routes/a: a A', 'table/routes/b: b B'],
    ],
    [
      'below another table',
      "const own = [{ path: 'b', component: B }]; const all = [{ path: 'a', component: A, children: [...own, ...more(x)] }];",
      ['own: b B', 'all: a A […own, …more]'],
    ],
    [
      'under a condition',
      "const all = [{ path: 'a', component: A, children: on ? [{ path: 'b', component: B }] : [] }];",
      ['all: a A [b B]'],
    ],
    [
      'loaded later',
      "const all = [{ path: 'a', lazy: () => import('./a') }, { path: 'b', lazy: async () => { const { B } = await import('./b'); return { Component: B }; } }];",
      ['all: a import:./a#Component,default', 'all: b import:./b#B'],
    ],
    [
      'with what stands in an outlet by name',
      "const all = [{ path: 'a', lazy: async () => ({ Component: Outlet, loader: (await import('./a')).loader }), children: [{ index: true, element: <B/> }] }];",
      ['all: a Outlet [. <B()>]'],
    ],
    [
      'with a path of parts',
      "const base = '/in'; const all = [{ path: `${base}/a/${id}`, component: A }, { path: base + '/b', component: B }];",
      ['all: /in/a/:id A', 'all: /in/b B'],
    ],
    [
      'with fields of a router of one’s own',
      "export const home = { name: 'home', path: '/', areas: { side: <A/>, main() { return <B/>; } } };",
      ['home: / <text, <>,   A(),   B()>'],
    ],
    ['wrapped', "const all = [{ path: 'a', component: guarded(A) }];", ['all: a A']],
    ['as a file that is a route', "export const Route = createFileRoute('/_in/a')({ component: A });", ['Route: /_in/a A']],
  ])('%s', (_, text, expected) => {
    const { routes } = factsOf(`import { A, B, Outlet } from './parts';\n${text}`);
    expect(routes.map(told).map((one) => one.replace(/\n/g, ', '))).toEqual(expected);
  });

  test.each([
    ['a menu', "const menu = [{ path: '/a', label: 'A' }, { path: '/b', children: [{ label: 'B' }] }];"],
    ['a step of a tour', "const tour = [{ element: '#first', text: 'a' }];"],
    ['a component beside a name', "const cells = { component: A, title: 'a' };"],
    ['a shape', "const svg = { path: 'M0 0', children: ['a'] };"],
  ])('%s is none', (_, text) => {
    expect(factsOf(`import { A } from './parts';\n${text}\nconst index = 1;`).routes).toEqual([]);
  });
});
