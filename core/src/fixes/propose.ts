import { adapterOf } from '../frameworks/registry';
import type { Finding, TextEdit } from '../model/finding';
import type { MemberKey } from '../model/member';
import type { Component, Model } from '../model/model';
import { findRepeats } from '../overlap';
import { carriedBelow, counted, relayedAbove, repeatedName } from '../rules';
import { dropEverywhere, settle } from './drop';
import { extractRepeated } from './extract';
import { provideInstead } from './provide';
import { CannotWrite, type ReadText, Rewrite } from './rewrite';
import { ownValue } from '../model/own-value';

/** A change that would answer a finding, beyond one certain correction, and in which way it does; or why it cannot be written. */
export type Proposal = { readonly says: string; readonly edits: readonly TextEdit[] } | { readonly wrong: string };

/** Writes the change; what it is and which of several ways it takes, in sentences. */
type Writer = (rewrite: Rewrite, finding: Finding) => string;

function componentOf({ model }: Rewrite, { component: id }: Finding): Component {
  const component = model.components.get(id);
  if (!component) throw new CannotWrite('It is not there any more.');
  return component;
}

function memberIn({ member, rule }: Finding): MemberKey {
  if (member === undefined) throw new Error(`A finding of ${rule} names no member.`);
  return member;
}

const lineBreaks = (text: string): number => text.split('\n').length - 1;

function withoutRepeats(rewrite: Rewrite, { component, at }: Finding): string {
  const repeated = findRepeats(rewrite.model).find(
    ({ places: [first] }) => first?.component === component && first.piece.span.start === at.start,
  );
  if (!repeated) throw new CannotWrite('It does not repeat any more.');
  const all = repeated.places.length;
  const count = extractRepeated(rewrite, repeated, repeatedName(rewrite.model, repeated));
  const saved = rewrite.edits().reduce((sum, { was, text }) => sum + lineBreaks(was) - lineBreaks(text), 0);
  const where =
    count < all ? `for ${count} of the ${all} places; the others differ in a way that no prop can say` : 'with each place as a use of it';
  const gain = saved > 0 ? `It saves ${counted(saved, 'line')}.` : 'It saves no lines, but each change is made once.';
  return `This is that component, ${where}. ${gain}`;
}

const writers: Readonly<Record<string, Writer>> = {
  'prop-carried': (rewrite, finding) => {
    const { component } = finding;
    provideInstead(rewrite, carriedBelow(rewrite.model, { component, prop: memberIn(finding) }), false);
    return 'This is the way by a context.';
  },
  'event-relayed': (rewrite, finding) => {
    provideInstead(rewrite, relayedAbove(rewrite.model, finding.component, memberIn(finding)), true);
    return 'This is the way by a context that holds the handler.';
  },
  'prop-idle': (rewrite, finding) => {
    dropEverywhere(rewrite, componentOf(rewrite, finding), memberIn(finding));
    return 'This takes it out, here and where it is given.';
  },
  'prop-unused': (rewrite, finding) => {
    settle(rewrite, componentOf(rewrite, finding), memberIn(finding));
    return 'This writes its one value into the component, as a constant.';
  },
  'markup-repeated': withoutRepeats,
};

/** Whether Liana can propose a change for findings of a rule. */
export const isProposed = (rule: string): boolean => rule in writers;

/** The change that Liana proposes for a finding, for the texts that `textOf` gives; undefined for rules without one. */
export function propose(model: Model, finding: Finding, textOf: ReadText): Proposal | undefined {
  const writer = ownValue(writers, finding.rule);
  if (!writer) return undefined;
  const component = model.components.get(finding.component);
  if (component?.facts.element) return { wrong: 'Liana does not write this change for components that are elements.' };
  const { name, write } = adapterOf(component?.framework ?? 'script');
  if (component && !write.rewrites) return { wrong: `Liana does not write this change for ${name} yet.` };
  const rewrite = new Rewrite(model, textOf);
  try {
    const says = writer(rewrite, finding);
    return { says, edits: rewrite.edits() };
  } catch (error) {
    if (error instanceof CannotWrite) return { wrong: error.message };
    throw error;
  }
}
