import type { Binding, TemplateUse, ValueFact } from './facts';
import { keyOfMember, type MemberKey, propKey } from './member';

/** The member that a binding gives; undefined for what is not of a component: an attribute, a listener, a directive. */
export function bindingKey({ to }: Binding): MemberKey | undefined {
  switch (to.kind) {
    case 'prop':
    case 'event':
    case 'slot':
    case 'model':
      return keyOfMember(to);
    default:
      return undefined;
  }
}

/** The binding of a use that gives a member; undefined for none. */
export function bindingFor(node: Pick<TemplateUse, 'bindings'>, key: MemberKey): Binding | undefined {
  return node.bindings.find((binding) => bindingKey(binding) === key);
}

/** Something is heard by it: an event of a component or of the platform. */
export const isListener = ({ to }: Binding): boolean => to.kind === 'event' || to.kind === 'listener' || to.kind === 'model';

/** The member that a value of the kind `prop` holds. */
export const memberKeyOf = (value: Pick<ValueFact, 'name' | 'member'>): MemberKey => value.member ?? propKey(value.name);
