import type * as t from '@babel/types';
import type { EventClassFact, FileFacts } from '../../model/facts';
import type { ModuleScope } from './body';
import type { Declared } from './declarations';
import { bare, dottedName, keyName } from './syntax';

const isOn = (given: t.Node | undefined): boolean => given !== undefined && !(given.type === 'BooleanLiteral' && !given.value);

/** Classes of the module whose instances are events: what they are called, how far they go, and what they carry of what they are made with. */
function readEventClasses(module: ModuleScope, declared: readonly Declared[]): EventClassFact[] {
  return declared.flatMap(({ name, node }) => {
    const isClass = node.type === 'ClassDeclaration' || node.type === 'ClassExpression';
    return isClass && /Event$/.test(dottedName(node.superClass) ?? '') ? (eventClass(module, name, node) ?? []) : [];
  });
}

/** The same as part of a file’s facts; nothing where there are none. */
export function eventClassesOf(module: ModuleScope, declared: readonly Declared[]): Pick<FileFacts, 'eventClasses'> {
  const found = module.text.includes('Event') ? readEventClasses(module, declared) : [];
  return found.length > 0 ? { eventClasses: found } : {};
}

function eventClass(module: ModuleScope, name: string, node: t.ClassDeclaration | t.ClassExpression): EventClassFact | undefined {
  const made = node.body.body.find((one): one is t.ClassMethod => one.type === 'ClassMethod' && one.kind === 'constructor');
  if (!made) return undefined;
  const params = made.params.map((one) => {
    const inner = one.type === 'TSParameterProperty' ? one.parameter : one;
    const plain = inner.type === 'AssignmentPattern' ? inner.left : inner;
    return plain.type === 'Identifier' ? plain.name : '';
  });
  const members: Record<string, number> = {};
  made.params.forEach((one, at) => {
    if (one.type === 'TSParameterProperty' && params[at]) members[params[at]] = at;
  });
  let event: string | undefined;
  let options: t.ObjectExpression | undefined;
  for (const statement of made.body.body) {
    const call = statement.type === 'ExpressionStatement' ? bare(statement.expression) : undefined;
    if (call?.type === 'CallExpression' && call.callee.type === 'Super') {
      const [first, second] = call.arguments;
      const given = first && bare(first);
      const named = given && dottedName(given);
      event = given?.type === 'StringLiteral' ? given.value : named === undefined ? undefined : (module.texts.get(named) ?? `{${named}}`);
      options = second?.type === 'ObjectExpression' ? second : undefined;
    } else if (
      call?.type === 'AssignmentExpression' &&
      call.left.type === 'MemberExpression' &&
      call.left.object.type === 'ThisExpression'
    ) {
      const member = keyName({ key: call.left.property });
      const at = call.right.type === 'Identifier' ? params.indexOf(call.right.name) : -1;
      if (member !== undefined && at >= 0) members[member] = at;
    }
  }
  if (event === undefined) return undefined;
  const option = (key: string): t.Node | undefined =>
    options?.properties.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === key)?.value;
  const detail = option('detail');
  const whole = detail?.type === 'Identifier' ? params.indexOf(detail.name) : -1;
  const parts: Record<string, number> = {};
  for (const one of detail?.type === 'ObjectExpression' ? detail.properties : []) {
    const key = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    const at = one.type === 'ObjectProperty' && one.value.type === 'Identifier' ? params.indexOf(one.value.name) : -1;
    if (key !== undefined && at >= 0) parts[key] = at;
  }
  return {
    name,
    event,
    bubbles: isOn(option('bubbles')),
    composed: isOn(option('composed')),
    members,
    ...(whole >= 0 ? { detail: whole } : {}),
    ...(Object.keys(parts).length > 0 ? { inDetail: parts } : {}),
  };
}
