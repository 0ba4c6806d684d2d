import type { PropFact, Reading, SlotFact } from '../../model/facts';
import type { Span } from '../../model/span';
import type { TypeExpr } from '../../model/types';
import type { Provided } from '../markup/contract';
import type { Body } from '../script/body';

/** What a component declares to its users, while it is being read. */
export type Declared = {
  readonly props: Map<string, PropFact>;
  /** Props that the owner may bind, by value: writing to one tells the owner. */
  readonly bindable: Set<number>;
  readonly provides: Provided[];
  /** What a handle on the component gives. */
  readonly exposes: Reading[];
  propsType?: TypeExpr;
  open: boolean;
};

export function newDeclared(): Declared {
  return { props: new Map(), bindable: new Set(), provides: [], exposes: [], open: false };
}

/** The half of a binding that goes up, by the name that markup gives it: `bind:value`. */
export function bindKey(name: string): string {
  return `bind:${name}`;
}

/** Events that are dispatched, as markup names them: `on:book`. */
export function eventKey(name: string): string {
  return `on:${name}`;
}

export function slotKey(name: string | undefined): string {
  return name === undefined || name === '' || name === 'default' ? 'children' : `#${name}`;
}

/** Tells whether a prop is a function by its name. */
export function isCallback(name: string): boolean {
  return /^on[A-Za-z]/.test(name) || name.startsWith('on:') || name.startsWith('bind:');
}

/** All that users may give: declared props, the other halves of those that can be bound, events, and slots. */
export function propsOf(body: Body, declared: Declared, slots: readonly SlotFact[]): PropFact[] {
  const props = new Map(declared.props);
  const raised = new Set(body.actions.flatMap((action) => action.raises.map((raise) => raise.event)));
  for (const [name, value] of body.propValues) {
    const taken = body.taken.get(name);
    const span: Span = taken?.span ?? body.values[value]?.span ?? { start: 0, end: 0 };
    const known = props.get(name);
    const kind = isCallback(name) || raised.has(name) ? 'callback' : declared.bindable.has(value) ? 'two-way' : 'value';
    const outward = name.startsWith('on:') || name.startsWith('bind:');
    const base: PropFact = known ?? { name, span, kind, required: outward || taken?.fallback !== undefined ? 'no' : 'unknown' };
    props.set(name, {
      ...base,
      kind: known?.kind === 'slot' ? 'slot' : kind,
      ...(taken?.fallback === undefined ? {} : { fallback: taken.fallback }),
    });
  }
  for (const slot of slots) {
    const known = props.get(slot.name);
    props.set(slot.name, known ? { ...known, kind: 'slot' } : { name: slot.name, span: slot.span, kind: 'slot', required: 'no' });
  }
  return [...props.values()];
}
