import { defaultSlot, type MemberKey, memberName } from '../model/member';

/** A prop that is a callback by its name, as plans and components name them. */
export const isCallback = (name: string): boolean => /^on[A-Z]/.test(name);
/** `select` for `onSelect`. */
export const bareEvent = (name: string): string => name.replace(/^on(?=[A-Z])/, '');

/** The name of a member as plans have it: content between the tags is `children`. */
export const memberLabel = ({ key, name }: { readonly key: MemberKey; readonly name?: string }): string =>
  key === defaultSlot ? 'children' : (name ?? memberName(key));
