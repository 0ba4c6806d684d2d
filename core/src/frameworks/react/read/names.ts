import type { MemberFact } from '../../../model/facts';
import { defaultSlot, type MemberKey, propKey } from '../../../model/member';
import type { TypeExpr } from '../../../model/types';
import { isFunctionType } from '../../conventions';
import { ownValue } from '../../../model/own-value';

/** Tells whether a tag stands for a component: `Card`, `ui.card`, `Über`. The platform's own begin with a small letter. */
export function isComponentTag(tag: string): boolean {
  return !/^[a-z]/.test(tag) || tag.includes('.');
}

/** `onBook` → `book`; undefined for what is no listener by its name. */
export function eventOf(name: string): string | undefined {
  const match = /^on([A-Z])(.*)$/.exec(name);
  return match ? `${match[1]?.toLowerCase()}${match[2]}` : undefined;
}

/** Whatever a component is given is a prop; its content is the one called `children`. */
export function propMember(name: string): MemberKey {
  return name === 'children' ? defaultSlot : propKey(name);
}

/** The names under which a component customarily asks for a change of a prop: `onChange`, `onLevelChange`, `setLevel`. */
export function changesOf(prop: string): MemberKey[] {
  const capital = prop.charAt(0).toUpperCase() + prop.slice(1);
  return ['onChange', 'onInput', `on${capital}Change`, `onChange${capital}`, `onUpdate${capital}`, `set${capital}`].map(propKey);
}

/** The event of the platform that a prop of an element hears: `onMouseDownCapture` → `mousedown`, on its way down. */
export function platformEvent(prop: string): { readonly name: string; readonly modifiers?: readonly string[] } | undefined {
  const heard = /^on([A-Z].*?)(Capture)?$/.exec(prop);
  if (!heard) return undefined;
  const name = (heard[1] ?? '').toLowerCase();
  return { name: name === 'doubleclick' ? 'dblclick' : name, ...(heard[2] ? { modifiers: ['capture'] } : {}) };
}

const spelt: Readonly<Record<string, string>> = { className: 'class', htmlFor: 'for' };

/** The platform's name of an attribute of an element. */
export const platformAttribute = (name: string): string => ownValue(spelt, name) ?? name;

/** What a member of a declared type of props is: content, a function by its name, or a value. */
export function kindOfProp(name: string, type: TypeExpr): MemberFact['kind'] {
  if (name === 'children' || (type.kind === 'ref' && /(^|\.)(ReactNode|ReactElement|ReactChild|JSX\.Element|Element)$/.test(type.name)))
    return 'slot';
  return /^on[A-Z]/.test(name) || (isFunctionType(type) && /^(set|handle|toggle)[A-Z]/.test(name)) ? 'callback' : 'value';
}
