import type { ComponentId, SharedId, UseId } from './ids';
import type { MemberKey } from './member';
import type { Location } from './span';

/** `fault`: it does not work. `risk`: it breaks in a case that can happen. `tidy`: it works and is too much. */
export type Severity = 'fault' | 'risk' | 'tidy';

export const severities = ['fault', 'risk', 'tidy'] as const;

/** A rung of evidence: a place in the code and what it shows. */
export type Evidence = { readonly at: Location; readonly text: string };

/** A stretch of a file's text, what stands there, and what is to stand there instead. */
export type TextEdit = Location & { readonly was: string; readonly text: string };

/** What would go if a finding were followed: how many of what. */
export type Gone = {
  readonly count: number;
  readonly what: 'component' | 'store' | 'context' | 'prop' | 'event' | 'slot' | 'state' | 'hop' | 'line';
};

/** How much each weighs against a line of code, by what it takes to write and to know of. */
const weights: Readonly<Record<Gone['what'], number>> = {
  component: 20,
  store: 15,
  context: 12,
  state: 6,
  prop: 3,
  event: 3,
  slot: 3,
  hop: 2,
  line: 1,
};

/** How much would go, in lines of code; 0 for nothing. */
export const goneWeight = (goes: readonly Gone[]): number => goes.reduce((sum, { count, what }) => sum + count * weights[what], 0);

/** A value that does not arrive, an event that nobody hears, a context that nothing provides. */
export type LooseEnd = {
  readonly kind: 'prop' | 'event' | 'context';
  readonly name: string;
  /** Where it should arrive, or where it is raised. */
  readonly at: Location;
  /** The uses at which it hangs. */
  readonly uses: readonly UseId[];
  /** It is raised, and not heard. */
  readonly raised?: true;
  /** The context that is taken, at each place where nothing provides it. */
  readonly context?: SharedId;
};

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
  /** The member of the component that it is about, for a change that answers it; absent where it is about none. */
  readonly member?: MemberKey;
  /** The end that should be tied and is not, for drawing it in the tree; absent where nothing hangs loose. */
  readonly loose?: LooseEnd;
  /** What would go; absent where nothing is too much. */
  readonly goes?: readonly Gone[];
  /** Ordered; the first is the place itself. */
  readonly evidence: readonly Evidence[];
  /** The component to look at in the tree, and how many places of all pages it touches. */
  readonly touches: { readonly component: ComponentId; readonly places: number };
  /** Pages it shows on, where only some are concerned. */
  readonly pages: readonly string[];
};
