import type { Finding, TextEdit } from '../model/finding';
import type { Model } from '../model/model';
import { findRepeats } from '../overlap';
import { carriedBelow, relayedAbove, repeatedName } from '../rules';
import { dropEverywhere } from './drop';
import { extractRepeated } from './extract';
import { provideInstead } from './provide';
import { CannotWrite, type ReadText, Rewrite } from './rewrite';

/** A change that would answer a finding, beyond one certain correction; or why it cannot be written. */
export type Proposal = { readonly edits: readonly TextEdit[] } | { readonly wrong: string };

type Write = (rewrite: Rewrite, finding: Finding) => void;

const writers: Readonly<Record<string, Write>> = {
  'prop-carried': (rewrite, { component, subject }) =>
    provideInstead(rewrite, carriedBelow(rewrite.model, { component, prop: subject }), false),
  'event-relayed': (rewrite, { component, subject }) => provideInstead(rewrite, relayedAbove(rewrite.model, component, subject), true),
  'prop-idle': (rewrite, { component: id, subject }) => {
    const component = rewrite.model.components.get(id);
    if (!component) throw new CannotWrite('It is not there any more.');
    dropEverywhere(rewrite, component, subject);
  },
  'markup-repeated': (rewrite, { component, at }) => {
    const repeated = findRepeats(rewrite.model).find(
      ({ places: [first] }) => first?.component === component && first.piece.span.start === at.start,
    );
    const [first] = repeated?.places ?? [];
    if (!repeated || !first) throw new CannotWrite('It does not repeat any more.');
    extractRepeated(rewrite, repeated, repeatedName(first.piece));
  },
};

/** Whether Liana can propose a change for findings of a rule. */
export const isProposed = (rule: string): boolean => rule in writers;

/** The change that Liana proposes for a finding, for the texts that `textOf` gives; undefined for rules without one. */
export function propose(model: Model, finding: Finding, textOf: ReadText): Proposal | undefined {
  const write = writers[finding.rule];
  if (!write) return undefined;
  const rewrite = new Rewrite(model, textOf);
  try {
    write(rewrite, finding);
    return { edits: rewrite.edits() };
  } catch (error) {
    if (error instanceof CannotWrite) return { wrong: error.message };
    throw error;
  }
}
