import type { ArgFact } from '../../model/facts';
import type { Location } from '../../model/span';
import type { Sender } from './channels';
import type { Frame } from '../graph/frames';
import type { Graph, Spot } from '../graph/graph';
import type { Step } from './step';

/** What runs when a function is called: an action, or the setting of a state. */
export type Run =
  | { readonly kind: 'action'; readonly frame: Frame; readonly action: number; readonly name: string; readonly trail: readonly Step[] }
  | { readonly kind: 'setter'; readonly frame: Frame; readonly state: number; readonly trail: readonly Step[] }
  /** Nothing in the project: where the way to it ends. */
  | { readonly kind: 'end'; readonly trail: readonly Step[]; readonly step: Step };

/** Where a function is run, with the steps by which it came there. */
export type Caller = {
  readonly frame: Frame;
  readonly at: Location;
  readonly trail: readonly Step[];
  readonly args: readonly ArgFact[];
  /** The name of the action that the call is told. */
  readonly told?: string;
} & (
  | { readonly by: 'raise' | 'call' | 'handed'; readonly action: number; readonly name: string }
  /** The platform runs it: an event of an element, a timer, an answer. */
  | { readonly by: 'platform'; readonly event: string; readonly element: string }
  | { readonly by: 'channel'; readonly channel: string | undefined; readonly action: number }
  | { readonly by: 'outside'; readonly name: string }
  /** It is called while a component renders. */
  | { readonly by: 'render'; readonly name: string }
);

/** A change of a state: where it is written, and by which action. */
export type Writer = {
  readonly frame: Frame;
  /** -1 where the platform itself calls the setter. */
  readonly action: number;
  readonly at: Location;
  readonly name: string;
  readonly args: readonly ArgFact[];
  readonly path: readonly string[];
  readonly told?: string;
  /** Where the setter is handed to an element as it is: the event that calls it, and the tag. */
  readonly on?: { readonly event: string; readonly element: string };
  readonly trail: readonly Step[];
};

/** The answers that all traces are made of; each asks the others. */
export type FlowQueries = {
  readonly graph: Graph;
  /** Where the value of a spot goes next. */
  readonly onward: (spot: Spot) => readonly Step[];
  /** Where the value of a spot comes from. */
  readonly back: (spot: Spot) => readonly Step[];
  /** What runs when the value of a spot is called. */
  readonly runs: (spot: Spot) => readonly Run[];
  /** Who runs an action. */
  readonly callers: (frame: Frame, action: number) => readonly Caller[];
  /** Who changes a state. */
  readonly writers: (frame: Frame, state: number) => readonly Writer[];
  /** Who changes the inside of what the state of a spot holds, without having the state. */
  readonly mutators: (spot: Spot) => readonly Writer[];
  /** Who sends what a frame hears on a channel. */
  readonly senders: (key: string, hearer: Frame, listener?: Location) => readonly Sender[];
};
