import type { KnownUse } from '../contract';

import type { MemberKey } from '../model/member';
import type { Overlap } from '../overlap';
import type { Evidence, Gone, LooseEnd, Severity, TextEdit } from '../model/finding';
import type { ComponentId } from '../model/ids';
import type { Component, Model } from '../model/model';
import type { Location } from '../model/span';
import type { PageSurvey } from './shared/pages';
import type { RuleId } from './ids';
import type { Words } from './entry';

/** What every rule is given. Tables that several rules need are made once. */
export type Check = {
  readonly model: Model;
  /** Uses that can be held against the contract of who is meant. */
  readonly uses: readonly KnownUse[];
  /** Those of one component; empty for none. */
  readonly usesOf: (id: ComponentId) => readonly KnownUse[];
  readonly pages: PageSurvey;
  /** What components have in common. */
  readonly overlap: Overlap;
};

/** What a rule found, before the catalogue puts it into sentences. */
export type Found = {
  readonly rule: RuleId;
  /** Where it differs from the catalogue's. */
  readonly severity?: Severity;
  readonly component: ComponentId;
  readonly subject: string;
  /** What it is of, for rules that yield to others of the same cause. */
  readonly causes?: readonly string[];
  readonly at: Location;
  readonly words: Words;
  readonly evidence: readonly Evidence[];
  readonly member?: MemberKey;
  readonly loose?: LooseEnd;
  /** What would go if it were followed. */
  readonly goes?: readonly Gone[];
  /** The change in the text, where it is certain. */
  readonly edits?: readonly TextEdit[];
  /** The component whose places it touches. */
  readonly touches: ComponentId;
  readonly pages?: readonly string[];
};

/**
 * How a rule finds: whatever it asks less than the whole project for is kept until that changes, so
 * that an edit costs little.
 */
export type Rule = {
  /** Asks one component of the application's own source: its facts and its contract, nothing else. */
  readonly inComponent?: (component: Component) => readonly Found[];
  /** Asks one use of a component, with who owns it and who is meant, nothing else. */
  readonly ofUse?: (known: KnownUse) => readonly Found[];
  /** Asks whatever it likes. */
  readonly inProject?: (check: Check) => readonly Found[];
};
