import type * as t from '@babel/types';
import type { FileFacts } from '../../../model/facts';
import { bare, isFunction, keyName, spanOf } from '../../../read/script/syntax';

/**
 * What the script beside a page says of both halves of it: the functions that a load which runs on
 * the server hands over, and that the page is never started in the browser. Empty for other files.
 */
export function halvesOf(file: string, program: t.Program): Pick<FileFacts, 'handsOver' | 'neverStarts'> {
  const page = /^((?:.*\/)?\+(?:page|layout))(\.server)?\.[cm]?[jt]s$/.exec(file);
  if (!page) return {};
  const to = `${page[1] ?? ''}.svelte`;
  const functions = page[2] === undefined ? [] : functionsGiven(program);
  const unstarted = neverStarted(program);
  return {
    ...(functions.length > 0 ? { handsOver: { to, functions } } : {}),
    ...(unstarted ? { neverStarts: { file: to, span: unstarted } } : {}),
  };
}

type Handed = NonNullable<FileFacts['handsOver']>['functions'];

function exportedOf(program: t.Program): t.Node[] {
  return program.body.flatMap((one): t.Node[] =>
    one.type !== 'ExportNamedDeclaration' || !one.declaration
      ? []
      : one.declaration.type === 'VariableDeclaration'
        ? one.declaration.declarations
        : [one.declaration],
  );
}

const idOf = (node: t.Node): string | undefined => ('id' in node && node.id && 'name' in node.id ? (node.id.name as string) : undefined);

function neverStarted(program: t.Program): ReturnType<typeof spanOf> | undefined {
  const found = exportedOf(program).find((one) => idOf(one) === 'csr');
  const init = found?.type === 'VariableDeclarator' && found.init ? bare(found.init) : undefined;
  return found && init?.type === 'BooleanLiteral' && !init.value ? spanOf(found) : undefined;
}

/** The members of what `load` returns that are functions: written there, or by the name of one of the module. */
function functionsGiven(program: t.Program): Handed {
  const load = exportedOf(program).find((one) => idOf(one) === 'load');
  const made = load?.type === 'VariableDeclarator' ? load.init && bare(load.init) : load;
  if (!isFunction(made)) return [];
  const functions = new Set<string>();
  for (const statement of program.body) {
    const one = statement.type === 'ExportNamedDeclaration' ? statement.declaration : statement;
    if (one?.type === 'FunctionDeclaration' && one.id) functions.add(one.id.name);
    if (one?.type === 'VariableDeclaration')
      for (const { id, init } of one.declarations) if (id.type === 'Identifier' && init && isFunction(bare(init))) functions.add(id.name);
  }
  const results =
    made.body.type === 'BlockStatement'
      ? made.body.body.flatMap((one) => (one.type === 'ReturnStatement' && one.argument ? [one.argument] : []))
      : [made.body];
  return results.flatMap((result) => {
    const object = bare(result);
    if (object.type !== 'ObjectExpression') return [];
    return object.properties.flatMap((property): Handed => {
      const name = property.type === 'SpreadElement' ? undefined : keyName(property);
      if (name === undefined || property.type === 'SpreadElement') return [];
      const value = property.type === 'ObjectMethod' ? property : bare(property.value);
      const isHanded = isFunction(value) || (value.type === 'Identifier' && functions.has(value.name));
      return isHanded ? [{ name, span: spanOf(property) }] : [];
    });
  });
}
