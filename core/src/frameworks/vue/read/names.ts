import { defaultSlot, eventKey, type MemberKey, modelKey, propKey, slotKey } from '../../../model/member';

/** `lock-id` → `lockId`; `update:model-value` → `update:modelValue`. */
export function camel(name: string): string {
  return name.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());
}

/** `passage-row`, `passageRow` → `PassageRow`. */
export function pascal(name: string): string {
  const word = camel(name);
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** The member by which an event is heard; `update:level` is the change half of a two-way binding. */
export function eventMember(name: string): MemberKey {
  const known = camel(name);
  return known.startsWith('update:') ? modelKey(known.slice('update:'.length)) : eventKey(known);
}

/** A slot by the name that markup gives it; the default one is the content between the tags. */
export function slotMember(name: string): MemberKey {
  return name === '' ? defaultSlot : slotKey(name);
}

/** What a name of the props object stands for: a function that is named as a listener is one. */
export function propMember(name: string): MemberKey {
  const heard = /^on([A-Z].*)$/.exec(name)?.[1];
  return heard === undefined ? propKey(name) : eventMember(heard.charAt(0).toLowerCase() + heard.slice(1));
}

/** The name of an attribute as the component knows it; those of the platform stay as written. */
export function propName(attribute: string): string {
  return /^(data|aria)-/.test(attribute) ? attribute : camel(attribute);
}
