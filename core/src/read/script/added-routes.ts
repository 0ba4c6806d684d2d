import type * as t from '@babel/types';
import type { AddedRoute, FileFacts } from '../../model/facts';
import { bare, calleeName, forEachChild, keyName } from './syntax';

/** The calls by which a script adds a route to those that stand in files, and the members that say its path and its file. */
const adding: ReadonlyMap<string, { readonly path: string; readonly shows: string }> = new Map([
  ['injectRoute', { path: 'pattern', shows: 'entrypoint' }],
  ['createPage', { path: 'path', shows: 'component' }],
]);

/** Names of calls that add routes, for whoever collects calls. */
export const addingRoutes: readonly string[] = [...adding.keys()];

/**
 * Routes that a script adds to those that stand in files: `injectRoute({ pattern: '/login', entrypoint: path.join(root, 'src/login.astro') })`,
 * `createPage({ path: '/log', component: require.resolve('./templates/log.tsx') })`; the file may have a name before.
 * What is computed in a path stands as `:name`. Absent where nothing is told by texts.
 */
export function addedRoutesOf(calls: readonly t.CallExpression[], program: t.Program): Pick<FileFacts, 'addsRoutes'> {
  const addsRoutes = calls.flatMap((call): AddedRoute[] => {
    const members = adding.get(calleeName(call) ?? '');
    const given = call.arguments[0] && bare(call.arguments[0]);
    if (!members || given?.type !== 'ObjectExpression') return [];
    const member = (name: string): t.Node | undefined => {
      const found = given.properties.find((one) => one.type === 'ObjectProperty' && keyName(one) === name);
      return found?.type === 'ObjectProperty' ? bare(found.value) : undefined;
    };
    const shown = member(members.shows);
    const held = shown?.type === 'Identifier' ? madeUnder(shown.name, program) : shown;
    const [path, shows] = [textOf(member(members.path)), lastText(held)];
    return path === undefined || !shows?.includes('/') ? [] : [{ path, shows }];
  });
  return addsRoutes.length > 0 ? { addsRoutes } : {};
}

/** What the first constant of a name is made of, wherever in the script it stands. */
function madeUnder(name: string, node: t.Node): t.Node | undefined {
  if (node.type === 'VariableDeclarator' && node.id.type === 'Identifier' && node.id.name === name) return node.init ?? undefined;
  let found: t.Node | undefined;
  forEachChild(node, (child) => {
    found ??= madeUnder(name, child);
  });
  return found;
}

/** A text, or a template with names for what is computed in it. */
function textOf(node: t.Node | undefined): string | undefined {
  if (node?.type === 'StringLiteral') return node.value;
  if (node?.type !== 'TemplateLiteral') return undefined;
  return node.quasis
    .map(({ value }, at) => `${value.cooked ?? ''}${node.expressions[at] ? `:${nameOf(node.expressions[at])}` : ''}`)
    .join('');
}

const nameOf = (node: t.Node): string =>
  node.type === 'Identifier' ? node.name : node.type === 'MemberExpression' ? nameOf(node.property) : 'part';

/** The last text of a call or of one within it: of `path.join(root, 'src/login.astro')` the file. */
function lastText(node: t.Node | undefined): string | undefined {
  if (node?.type !== 'CallExpression') return textOf(node);
  const last = node.arguments.at(-1);
  return last && lastText(bare(last));
}
