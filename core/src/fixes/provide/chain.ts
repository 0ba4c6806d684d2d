import type { Binding } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component, Use } from '../../model/model';
import type { Link, Step } from '../../rules';
import { CannotWrite, type Rewrite } from '../rewrite';

/** A use from outside the chain that gives what goes through it. */
export type Giving = { readonly use: Use; readonly binding: Binding };

/** The chain that a context replaces. */
export type Chain = {
  readonly rewrite: Rewrite;
  readonly links: readonly Link[];
  /** What the context is about: the name of the first prop, without the mark of an event. */
  readonly topic: string;
  readonly isEvent: boolean;
};

export const keyOf = ({ component, prop }: Step): string => `${component} ${prop}`;

export const componentOf = ({ rewrite }: Chain, id: ComponentId): Component => {
  const found = rewrite.model.components.get(id);
  if (!found) throw new CannotWrite('One of the components is not there any more.');
  return found;
};

export const usesOf = ({ rewrite }: Chain, id: ComponentId): Use[] =>
  (rewrite.model.usesOf.get(id) ?? []).filter((use) => rewrite.model.components.get(use.owner)?.fileRole === 'source');

/** `onPick`, `@pick`, `on:pick` → `pick`; `passages` stays. */
export const topicOf = (prop: string): string =>
  prop.replace(/^(?:@|on:)/, '').replace(/[-:](\w)/g, (_, letter: string) => letter.toUpperCase());

/** Who gives the value from outside the chain. */
export function givings(chain: Chain): Giving[] {
  const handed = new Set(chain.links.flatMap((link) => link.hands.map((one) => one.binding)));
  return chain.links.flatMap((link) =>
    usesOf(chain, link.component).flatMap((use): Giving[] => {
      const component = componentOf(chain, link.component);
      if (use.node.asValue || use.node.spreads.some((spread) => !spread.names && spread.span.end > use.node.nameSpan.end))
        throw new CannotWrite(`${use.file} gives ${component.name} what cannot be seen.`);
      const binding = use.node.bindings.find((one) => one.name === link.prop || topicOf(one.name) === topicOf(link.prop));
      return binding && !handed.has(binding) ? [{ use, binding }] : [];
    }),
  );
}
