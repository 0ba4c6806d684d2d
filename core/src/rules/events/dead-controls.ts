import { indexOf } from '../../flow/graph/index-of';
import type { Binding, CallFact, ComponentFacts, Reading, TemplateNode } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { memberKeyOf } from '../../model/given';
import { remembered } from '../../model/remembered';
import { templateChildren } from '../../model/walk';

type Holder = Extract<TemplateNode, { kind: 'element' | 'use' }>;

/** A listener of an element, or of a part, with all that stands around it in the markup, the outermost first. */
type Control = { readonly holder: Holder; readonly binding: Binding; readonly around: readonly TemplateNode[] };

const controlsOf = remembered((facts: ComponentFacts): readonly Control[] => {
  const found: Control[] = [];
  const visit = (node: TemplateNode, around: readonly TemplateNode[]): void => {
    if (node.kind === 'element' || node.kind === 'use')
      for (const binding of node.bindings)
        if (binding.direction === 'out') found.push({ holder: node, binding, around: [...around, node] });
    for (const child of templateChildren(node)) visit(child, [...around, node]);
  };
  for (const node of facts.template) visit(node, []);
  return found;
});

/** What the platform does by itself when it is used: a link leads on, a field takes what is typed. */
function doesByItself({ kind, tag, bindings }: Holder): boolean {
  if (kind === 'use') return false;
  const has = (name: string): boolean => bindings.some(({ to }) => to.name === name);
  if (/^(input|textarea|select)$/i.test(tag)) return !has('value') && !has('checked');
  return (tag === 'a' && has('href')) || tag === 'details' || tag === 'summary' || tag === 'form';
}

/** Something around a control reads a value: it shows or is switched on only by it. */
function dependsOn(around: readonly TemplateNode[], value: number): boolean {
  const reads = (readings: readonly Reading[]): boolean => readings.some((one) => one.value === value);
  return around.some((node) => {
    if (node.kind === 'branch') return reads(node.readings);
    if (node.kind !== 'element' && node.kind !== 'use') return false;
    return node.bindings.some(
      ({ to, readings }) => /^(disabled|hidden|readOnly|readonly|inert|tabIndex)$/.test(to.name) && reads(readings),
    );
  });
}

/**
 * Whether some control of a component does nothing but raise an event: where nobody listens, it is dead.
 * Not so where it shows or is switched on only if somebody listens, and where the platform does something itself.
 */
export function isDeadWithout(facts: ComponentFacts, event: MemberKey): boolean {
  const { values, actions } = facts;
  const { props } = indexOf(facts);
  const value = props.get(event) ?? -1;
  return controlsOf(facts).some(({ holder, binding, around }) => {
    if (doesByItself(holder) || dependsOn(around, value)) return false;
    const given = binding.readings.filter((one) => one.path.length === 0);
    if (binding.action === undefined && given.some((one) => one.how === 'same' && isEvent(facts, one.value, event))) return true;
    const started = binding.action ?? values[given.find((one) => values[one.value]?.action !== undefined)?.value ?? -1]?.action;
    if (started === undefined) return false;
    const reached = new Set([started]);
    for (const at of reached) for (const call of actions[at]?.calls ?? []) reached.add(call);
    const all = [...reached].flatMap((at) => actions[at] ?? []);
    const raises = all.flatMap((one) => one.raises);
    const doesMore = all.some(
      (one) =>
        one.changes.length > 0 ||
        one.sends.some((send) => !one.raises.some((raise) => raise.span.start === send.span.start)) ||
        one.hears.length > 0 ||
        one.invokes.some((call) => !one.raises.some((raise) => raise.span.start === call.span.start) && !isOwnCall(facts, call)),
    );
    return raises.some(({ member }) => member === event) && raises.every(({ member }) => member === event) && !doesMore;
  });
}

/** A call of a function of the component is what that does. */
const isOwnCall = ({ values }: ComponentFacts, { value }: CallFact): boolean => values[value]?.action !== undefined;

const isEvent = ({ values }: ComponentFacts, at: number, event: MemberKey): boolean => {
  const value = values[at];
  return value?.kind === 'prop' && memberKeyOf(value) === event;
};
