import type * as t from '@babel/types';
import { type Body, excerpt } from './body';
import { bare, keyName, spanOf } from './syntax';

/** The texts between which an expression chooses; undefined where it may be something else. */
export function chosenTexts(given: t.Node): string[] | undefined {
  const node = bare(given);
  if (node.type === 'StringLiteral') return [node.value];
  if (node.type !== 'ConditionalExpression') return undefined;
  const [one, other] = [chosenTexts(node.consequent), chosenTexts(node.alternate)];
  return one && other && [...one, ...other];
}

/** The members of an object that are flags; undefined for none. */
export function flagsOf(node: t.ObjectExpression): Record<string, boolean> | undefined {
  const flags: Record<string, boolean> = {};
  for (const one of node.properties) {
    const name = one.type === 'ObjectProperty' ? keyName(one) : undefined;
    const value = one.type === 'ObjectProperty' ? bare(one.value) : undefined;
    if (name !== undefined && value?.type === 'BooleanLiteral') flags[name] = value.value;
  }
  return Object.keys(flags).length > 0 ? flags : undefined;
}

/** A constant as written: a text, a number, `true`, `null`, and lists and objects of such. */
export function constantText(body: Body, node: t.Node): string | undefined {
  switch (node.type) {
    case 'StringLiteral':
    case 'NumericLiteral':
    case 'BooleanLiteral':
    case 'NullLiteral':
      return excerpt(body.module, spanOf(node));
    case 'TemplateLiteral':
      return node.expressions.length === 0 ? excerpt(body.module, spanOf(node)) : undefined;
    case 'ArrayExpression':
    case 'ObjectExpression':
      return isWholeConstant(body, node) ? excerpt(body.module, spanOf(node)) : undefined;
    default:
      return undefined;
  }
}

function isWholeConstant(body: Body, node: t.ArrayExpression | t.ObjectExpression): boolean {
  if (node.type === 'ArrayExpression') return node.elements.every((one) => one !== null && constantText(body, bare(one)) !== undefined);
  return node.properties.every(
    (one) => one.type === 'ObjectProperty' && !one.computed && constantText(body, bare(one.value)) !== undefined,
  );
}
