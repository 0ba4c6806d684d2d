import type { Binding, TemplateNode } from '../../model/facts';
import { type MemberKey, memberName } from '../../model/member';
import { bindingFor } from '../../model/given';
import type { ComponentId } from '../../model/ids';
import type { Component, Use } from '../../model/model';
import { templateChildren } from '../../model/walk';
import type { Link, MemberStep } from '../../rules';
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
  /** In Vue: a function, which is given as it is; all else is given as something that is followed. */
  readonly isFunction: boolean;
};

export const keyOf = ({ component, prop }: MemberStep): string => `${component} ${prop}`;

export const componentOf = ({ rewrite }: Pick<Chain, 'rewrite'>, id: ComponentId): Component => {
  const found = rewrite.model.components.get(id);
  if (!found) throw new CannotWrite('One of the components is not there any more.');
  return found;
};

export const usesOf = ({ rewrite }: Pick<Chain, 'rewrite'>, id: ComponentId): Use[] =>
  (rewrite.model.usesOf.get(id) ?? []).filter((use) => rewrite.model.components.get(use.owner)?.fileRole === 'source');

/** What a member is about, as a name of script: `level-change` → `levelChange`. */
export const topicOf = (key: MemberKey): string => camelName(memberName(key));
export const camelName = (name: string): string => name.replace(/[-:](\w)/g, (_, letter: string) => letter.toUpperCase());

/** Whether all who give it give a function of their own; throws where some do and others do not. */
export function givesFunction(rewrite: Rewrite, all: readonly Giving[]): boolean {
  const kinds = all.map(({ use, binding: { readings } }) => {
    const value = rewrite.model.components.get(use.owner)?.facts.values[readings[0]?.value ?? -1];
    return readings.length === 1 && value?.kind === 'function';
  });
  if (new Set(kinds).size > 1) throw new CannotWrite('Some give it a function, and others something else.');
  return kinds[0] ?? false;
}

/** Who gives the value from outside the chain. */
export function givings(chain: Pick<Chain, 'rewrite' | 'links'>): Giving[] {
  const handed = new Set(chain.links.flatMap((link) => link.hands.map((one) => one.binding)));
  return chain.links.flatMap((link) =>
    usesOf(chain, link.component).flatMap((use): Giving[] => {
      const component = componentOf(chain, link.component);
      if (use.node.asValue || use.node.spreads.some((spread) => !spread.keys && spread.span.end > use.node.nameSpan.end))
        throw new CannotWrite(`${use.file} gives ${component.name} what cannot be seen.`);
      const binding = bindingFor(use.node, link.prop);
      return binding && !handed.has(binding) ? [{ use, binding }] : [];
    }),
  );
}

/** The nodes of a template around one of it, outermost first. */
export function nodesAbove(roots: readonly TemplateNode[], wanted: TemplateNode): TemplateNode[] {
  const go = (nodes: readonly TemplateNode[], above: readonly TemplateNode[]): TemplateNode[] | undefined => {
    for (const node of nodes) {
      if (node === wanted) return [...above];
      const found = go(templateChildren(node), [...above, node]);
      if (found) return found;
    }
    return undefined;
  };
  return go(roots, []) ?? [];
}
