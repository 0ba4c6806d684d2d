import type { Severity } from '../model/finding';
import type { Framework } from '../model/framework';

/** Names that a rule found, to be put into its sentences. */
export type Words = Readonly<Record<string, string>>;

/** The fault and the sound form, as code. */
export type HelpForm = { readonly fault: string; readonly sound: string };

/** What a rule's page of help says. `fault` and `sound` are React's, or that of the first framework it is about. */
export type Help = HelpForm & {
  readonly what: string;
  readonly why: string;
  /** The forms of other frameworks, where they differ. */
  readonly forms?: Readonly<Partial<Record<Framework, HelpForm>>>;
};

export type Entry = {
  readonly severity: Severity;
  /** Which of the two tables of findings it belongs to. */
  readonly about: 'broken binding' | 'redundant abstraction';
  readonly title: string;
  readonly message: (words: Words) => string;
  readonly consequence: (words: Words, framework: Framework) => string;
  readonly fix: (words: Words, framework: Framework) => string;
  readonly help: Help;
};
