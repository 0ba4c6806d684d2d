import { describe, expect, test } from 'vitest';
import type { Binding, TemplateElement } from '../model/facts';
import type { Tree } from '../model/tree';
import { comesBy, eventPath, heardAt } from '.';

const span = { start: 0, end: 0 };

/** A listener for `ping`, with its modifiers. */
const listener = (...modifiers: string[]): Binding => ({
  to: { kind: 'listener', name: 'ping', on: 'self' },
  written: '@ping',
  modifiers,
  span,
  nameSpan: span,
  direction: 'out',
  readings: [],
});

/** A page of hosts only: each with its tag, the host around it, the host whose shadow tree it is written in, and its listeners. */
function page(...hosts: readonly [tag: string, parent: number, root: number, ...bindings: Binding[]][]): Tree {
  const element = (tag: string, bindings: readonly Binding[]): TemplateElement => ({
    kind: 'element',
    tag,
    span,
    nameSpan: span,
    bindings,
    spreads: [],
    children: [],
    key: { kind: 'none' },
  });
  return {
    page: '',
    places: [],
    providers: [],
    truncated: false,
    hosts: hosts.map(([tag, parent, root, ...bindings], index) => ({ index, node: element(tag, bindings), owner: -1, parent, root })),
  };
}

/** `<main><x-box>#shadow(<div><slot/></div>)<b/></x-box></main>`, and a button beside the slot. */
const box = page(['main', -1, -1], ['x-box', 0, -1], ['div', 1, 1], ['slot', 2, 1], ['b', 3, -1], ['button', 2, 1]);

describe('the way of an event', () => {
  const cases: readonly [name: string, from: number, bubbles: boolean, composed: boolean, way: string][] = [
    ['outward, through the slot that shows it', 4, true, false, 'b slot div x-box main'],
    ['not out of the shadow tree in which it is raised', 5, true, false, 'button div'],
    ['out of it where it is composed', 5, true, true, 'button div x-box main'],
    ['only inward where it does not bubble', 4, false, false, 'b (slot) (div) (x-box) (main)'],
    ['nowhere from a host that is not there', 9, true, true, ''],
  ];
  test.each(cases)('%s', (_, from, bubbles, composed, way) => {
    const passed = eventPath(box, from, { bubbles, composed });
    expect(passed.map(({ host: { node }, up }) => (up ? node.tag : `(${node.tag})`)).join(' ')).toBe(way);
  });

  test('what does not bubble comes by those alone who listen on the way in', () => {
    const travel = { bubbles: false, composed: false };
    expect(comesBy(box, 4, 0, travel, true)).toBe(true);
    expect(comesBy(box, 4, 0, travel, false)).toBe(false);
    expect(comesBy(box, 4, 4, travel, false)).toBe(true);
  });
});

describe('who hears it', () => {
  const heard = (tree: Tree, bubbles = true, stops: string[] = []): string =>
    heardAt(tree, 2, 'ping', { bubbles, composed: true }, ({ host }) => stops.includes(host.node.tag))
      .map(({ host }) => host.node.tag)
      .join(' ');
  const three = (...modifiers: string[][]): Tree =>
    page(
      ['main', -1, -1, listener(...(modifiers[0] ?? []))],
      ['p', 0, -1, listener(...(modifiers[1] ?? []))],
      ['b', 1, -1, listener(...(modifiers[2] ?? []))],
    );
  const cases: readonly [name: string, tree: Tree, bubbles: boolean, stops: string[], expected: string][] = [
    ['from where it is raised outward', three(), true, [], 'b p main'],
    ['first who listens on the way in', three(['capture']), true, [], 'main b p'],
    ['nobody behind one that stops it', three([], ['stop']), true, [], 'b p'],
    ['nobody behind one whose function stops it', three(), true, ['b'], 'b'],
    ['nobody further in than one that stops it on the way', three(['capture', 'stop']), true, [], 'main'],
    ['not those who mean themselves alone', three([], ['self']), true, [], 'b main'],
    ['only itself where it does not bubble', three(), false, [], 'b'],
    ['and those on the way in', three(['capture']), false, [], 'main b'],
  ];
  test.each(cases)('%s', (_, tree, bubbles, stops, expected) => expect(heard(tree, bubbles, stops)).toBe(expected));

  test('other events are not heard', () => {
    expect(heardAt(three(), 2, 'pong', { bubbles: true, composed: true }, () => false)).toEqual([]);
  });
});
