import type * as t from '@babel/types';
import type { Binding, GivenByRouter, Reading, ValueFact } from '../../model/facts';
import { bare, isFunction, keyName, resultOf, spanOf } from './syntax';

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
export function givenByRouter(given: t.Node | undefined): GivenByRouter | undefined {
  if (given?.type === 'BooleanLiteral') return given.value ? { values: [address(given)], ...openTo(given) } : undefined;
  if (isFunction(given)) {
    const made = resultOf(given);
    const object = made ? bare(made) : undefined;
    const isTold = object?.type === 'ObjectExpression' && object.properties.every((one) => keyOf(one) !== undefined);
    return { values: [address(given)], ...(isTold ? membersOf(object) : openTo(given)) };
  }
  if (given?.type !== 'ObjectExpression') return undefined;
  const main = given.properties.find((one) => keyOf(one) === 'default');
  if (main?.type === 'ObjectProperty') return givenByRouter(bare(main.value));
  return { values: [address(given)], ...membersOf(given) };
}

/**
 * What a router that binds inputs gives to what a route shows: anything of the address, and what the route has as `data`.
 * It does so where some module of the project asks for it.
 */
export function givenAsInputs(route: t.ObjectExpression, data: t.Node | undefined): GivenByRouter {
  const told = data?.type === 'ObjectExpression' ? membersOf(data).bindings : [];
  return {
    values: [address(route)],
    bindings: told,
    spreads: openTo(route).spreads,
    by: { name: 'withComponentInputBinding', from: '@angular/router' },
  };
}

const keyOf = (property: t.ObjectExpression['properties'][number]): string | undefined =>
  property.type === 'SpreadElement' ? undefined : keyName(property);

const readingOf = (node: t.Node, how: Reading['how']): Reading => ({ value: 0, path: [], how, span: spanOf(node) });

const openTo = (given: t.Node): Pick<GivenByRouter, 'bindings' | 'spreads'> => ({
  bindings: [],
  spreads: [{ span: spanOf(given), readings: [readingOf(given, 'spread')] }],
});

/** The members of an object, each with its constant, or computed from the address. */
function membersOf(object: t.ObjectExpression): Pick<GivenByRouter, 'bindings' | 'spreads'> {
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
