import type * as t from '@babel/types';
import type { FileFacts, GlobalFact } from '../../../model/facts';
import { loadedByCall } from '../../../read/script/loaded';
import { bare, dottedName, isFunction, spanOf } from '../../../read/script/syntax';
import { pascal } from './names';

/** Tells whether a script may register components of files for all templates, though it imports none of them by name. */
export const mayRegister = (text: string): boolean => /\.component\s*\(/.test(text) && /\.vue\b/.test(text);

/** A component by its name in the module, or one that is loaded when it is asked for. */
function targetOf(node: t.Node): string | undefined {
  const loaded = loadedByCall(node);
  return loaded ? `import:${loaded.from}#${loaded.exported}` : dottedName(node);
}

/**
 * Components that a module registers for all templates: `app.component('PassageRow', PassageRow)`, in the module itself or
 * in a plugin; and whether it registers some under names that stand only in what it goes through. Both absent for none.
 */
export function registrationsOf(calls: readonly t.CallExpression[]): Pick<FileFacts, 'globals' | 'registersOthers'> {
  const globals: GlobalFact[] = [];
  let others = 0;
  for (const call of calls) {
    const { callee, arguments: given } = call;
    const [first, second, ...more] = given.map((one) => bare(one));
    if (callee.type !== 'MemberExpression' || !first || !second || more.length > 0) continue;
    const target = targetOf(second);
    if (first.type === 'StringLiteral') {
      if (target !== undefined) globals.push({ name: pascal(first.value), target, span: spanOf(call) });
    } else if (second.type !== 'StringLiteral' && second.type !== 'ObjectExpression' && !isFunction(second)) others++;
  }
  // What is registered last is what is meant.
  globals.sort((a, b) => a.span.start - b.span.start);
  return { ...(globals.length > 0 ? { globals } : {}), ...(others > 0 ? { registersOthers: others === 1 ? 'loaded' : 'any' } : {}) };
}
