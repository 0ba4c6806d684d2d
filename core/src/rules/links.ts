import type { Binding, TemplateUse } from '../model/facts';
import type { ComponentId } from '../model/ids';

/** A prop of a component, or an event as its contract spells it. */
export type Step = { readonly component: ComponentId; readonly prop: string };

/** What a component only hands on: a prop to those below it, an event to who uses it. `hands` are the places in its markup. */
export type Link = Step & { readonly hands: readonly { readonly node: TemplateUse; readonly binding: Binding; readonly to: Step }[] };
