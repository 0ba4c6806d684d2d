import type { Finding, TextEdit } from '../model/finding';
import type { Model } from '../model/model';
import { findRepeats } from '../overlap';
import { carriedBelow, relayedAbove, repeatedName } from '../rules';
import { dropEverywhere } from './drop';
import { extractRepeated } from './extract';
import { provideInstead } from './provide';
import { CannotWrite, type ReadText, Rewrite } from './rewrite';

/** A change that would answer a finding, beyond one certain correction, and in which way it does; or why it cannot be written. */
export type Proposal = { readonly says: string; readonly edits: readonly TextEdit[] } | { readonly wrong: string };

type Writer = {
  /** Which of several ways it takes, as a sentence. */
  readonly says: string;
  readonly write: (rewrite: Rewrite, finding: Finding) => void;
};

const writers: Readonly<Record<string, Writer>> = {
  'prop-carried': {
    says: 'This is the way by a context.',
    write: (rewrite, { component, subject }) => provideInstead(rewrite, carriedBelow(rewrite.model, { component, prop: subject }), false),
  },
  'event-relayed': {
    says: 'This is the way by a context that holds the handler.',
    write: (rewrite, { component, subject }) => provideInstead(rewrite, relayedAbove(rewrite.model, component, subject), true),
  },
  'prop-idle': {
    says: 'This takes it out, here and where it is given.',
    write: (rewrite, { component: id, subject }) => {
      const component = rewrite.model.components.get(id);
      if (!component) throw new CannotWrite('It is not there any more.');
      dropEverywhere(rewrite, component, subject);
    },
  },
  'markup-repeated': {
    says: 'This is that component, with each place as a use of it.',
    write: (rewrite, { component, at }) => {
      const repeated = findRepeats(rewrite.model).find(
        ({ places: [first] }) => first?.component === component && first.piece.span.start === at.start,
      );
      if (!repeated) throw new CannotWrite('It does not repeat any more.');
      extractRepeated(rewrite, repeated, repeatedName(rewrite.model, repeated));
    },
  },
};

/** Whether Liana can propose a change for findings of a rule. */
export const isProposed = (rule: string): boolean => rule in writers;

/** The change that Liana proposes for a finding, for the texts that `textOf` gives; undefined for rules without one. */
export function propose(model: Model, finding: Finding, textOf: ReadText): Proposal | undefined {
  const writer = writers[finding.rule];
  if (!writer) return undefined;
  const rewrite = new Rewrite(model, textOf);
  try {
    writer.write(rewrite, finding);
    return { says: writer.says, edits: rewrite.edits() };
  } catch (error) {
    if (error instanceof CannotWrite) return { wrong: error.message };
    throw error;
  }
}
