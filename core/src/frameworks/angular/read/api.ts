import type * as t from '@babel/types';
import type { ModuleScope } from '../../../read/script/body';
import { bare, dottedName } from '../../../read/script/syntax';

const own = /^@angular\//;
const streams = /^rxjs(?:\/|$)/;

/** The name under which the framework exports what is called or made: `input.required`, `signal`, `Component`; undefined for all else. */
export const apiName = (module: ModuleScope, callee: t.Node): string | undefined => nameFrom(module, callee, own);

/** The same of the package of streams: `combineLatest`, `Subject`, `map`. */
export const streamName = (module: ModuleScope, callee: t.Node): string | undefined => nameFrom(module, callee, streams);

function nameFrom({ imported }: ModuleScope, callee: t.Node, from: RegExp): string | undefined {
  const [root = '', ...rest] = dottedName(bare(callee))?.split('.') ?? [];
  const origin = imported.get(root);
  if (!origin || !from.test(origin.from)) return undefined;
  const first = origin.imported === '*' ? rest : [origin.imported, ...rest];
  return first.join('.');
}

/** The call of one of the framework’s functions that an expression is, with its name. */
export function apiCall(
  module: ModuleScope,
  given: t.Node | null | undefined,
): { readonly api: string; readonly call: t.CallExpression } | undefined {
  const call = given && bare(given);
  if (call?.type !== 'CallExpression') return undefined;
  const api = apiName(module, call.callee);
  return api === undefined ? undefined : { api, call };
}

/** Functions of the framework that give something that is opened by a call. */
const givesSignal =
  /^(?:signal|computed|linkedSignal|input(?:\.required)?|model(?:\.required)?|toSignal|(?:view|content)Child(?:\.required)?|(?:view|content)Children)$/;

/** Whether a field holds something that is opened by a call: a signal. */
export function holdsSignal(module: ModuleScope, given: t.Node | null | undefined): boolean {
  const made = apiCall(module, given);
  if (made) return givesSignal.test(made.api);
  const call = given && bare(given);
  return call?.type === 'CallExpression' && call.callee.type === 'MemberExpression' && !call.callee.computed
    ? /^asReadonly$/.test(dottedName(call.callee.property) ?? '')
    : false;
}
