import type * as t from '@babel/types';
import type { Binding, Reading, RouteFact, ValueFact } from '../../model/facts';
import { bare, isFunction, keyName, resultOf, spanOf } from './syntax';

type Given = Required<Pick<RouteFact, 'values' | 'given'>>;

/** The address that is open, as what a route reads of it. */
const address = (given: t.Node): ValueFact => ({
  name: 'route',
  kind: 'fetched',
  span: spanOf(given),
  from: [],
  origin: { kind: 'url', what: 'route' },
});

/**
 * What the router gives as props to what a route shows, out of the address: `props: true` all that the path names,
 * `props: (route) => ({ lockId: Number(route.params.lockId) })` and `props: { compact: true }` what they say. Undefined
 * for none. With named outlets, `{ default: true, side: false }`, what the page itself is given.
 */
export function givenByRouter(given: t.Node | undefined): Given | undefined {
  if (given?.type === 'BooleanLiteral') return given.value ? { values: [address(given)], given: openTo(given) } : undefined;
  if (isFunction(given)) {
    const made = resultOf(given);
    const object = made ? bare(made) : undefined;
    const isTold = object?.type === 'ObjectExpression' && object.properties.every((one) => keyOf(one) !== undefined);
    return { values: [address(given)], given: isTold ? membersOf(object) : openTo(given) };
  }
  if (given?.type !== 'ObjectExpression') return undefined;
  const main = given.properties.find((one) => keyOf(one) === 'default');
  if (main?.type === 'ObjectProperty') return givenByRouter(bare(main.value));
  return { values: [address(given)], given: membersOf(given) };
}

const keyOf = (property: t.ObjectExpression['properties'][number]): string | undefined =>
  property.type === 'SpreadElement' ? undefined : keyName(property);

const readingOf = (node: t.Node, how: Reading['how']): Reading => ({ value: 0, path: [], how, span: spanOf(node) });

const openTo = (given: t.Node): Given['given'] => ({ bindings: [], spreads: [{ span: spanOf(given), readings: [readingOf(given, 'spread')] }] });

/** The members of an object, each with its constant, or computed from the address. */
function membersOf(object: t.ObjectExpression): Given['given'] {
  const bindings = object.properties.flatMap((property): Binding[] => {
    const name = keyOf(property);
    if (name === undefined) return [];
    const value = property.type === 'ObjectProperty' ? bare(property.value) : property;
    const constant = constantOf(value);
    return [
      {
        to: { kind: 'prop', name },
        written: name,
        span: spanOf(property),
        nameSpan: spanOf(property),
        direction: 'in',
        ...(constant === undefined ? { readings: [readingOf(value, 'computed')] } : { readings: [], constant }),
      },
    ];
  });
  return { bindings, spreads: [] };
}

function constantOf(node: t.Node): string | undefined {
  if (node.type === 'StringLiteral') return `'${node.value}'`;
  return node.type === 'NumericLiteral' || node.type === 'BooleanLiteral' ? String(node.value) : undefined;
}
