import type { Binding, TemplateUse } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import type { ComponentId } from '../../model/ids';

/** A prop or an event of a component. */
export type MemberStep = { readonly component: ComponentId; readonly prop: MemberKey };

/** What a component only hands on: a prop to those below it, an event to who uses it. `hands` are the places in its markup. */
export type Link = MemberStep & {
  readonly hands: readonly { readonly node: TemplateUse; readonly binding: Binding; readonly to: MemberStep }[];
};
