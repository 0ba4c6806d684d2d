import type { ComponentId } from './ids';
import type { Location } from './span';

/** `fault`: it does not work. `risk`: it breaks in a case that can happen. `tidy`: it works and is too much. */
export type Severity = 'fault' | 'risk' | 'tidy';

export const severities = ['fault', 'risk', 'tidy'] as const;

/** A rung of evidence: a place in the code and what it shows. */
export type Evidence = { readonly at: Location; readonly says: string };

/** A stretch of a file's text, what stands there, and what is to stand there instead. */
export type TextEdit = Location & { readonly was: string; readonly text: string };

export type Finding = {
  /** Rule, component and subject, without line numbers: survives edits elsewhere. */
  readonly key: string;
  readonly rule: string;
  readonly severity: Severity;
  /** The component in whose code the place is. */
  readonly component: ComponentId;
  /** The name that the finding is about. */
  readonly subject: string;
  readonly at: Location;
  readonly message: string;
  /** What comes of it, in plain words for the framework. */
  readonly consequence: string;
  readonly fix: string;
  /** The change in the text, where it is certain. */
  readonly edits?: readonly TextEdit[];
  /** Ordered; the first is the place itself. */
  readonly evidence: readonly Evidence[];
  /** The component to look at in the tree, and how many places of all pages it touches. */
  readonly touches: { readonly component: ComponentId; readonly places: number };
  /** Pages it shows on, where only some are concerned. */
  readonly pages: readonly string[];
};
