import type { TemplateElement, TemplateUse } from './facts';
import type { ComponentId, SharedId, UseId } from './ids';
import type { MemberKey } from './member';
import type { Location, Span } from './span';

/** Index of a place in its tree's list; -1 for none. */
export type PlaceIndex = number;

/**
 * A component at one position in the unfolded tree of a page. `owner` wrote the use and passes the
 * props; `parent` is the place it stands in. They differ for content that goes through a slot.
 */
export type Place = {
  readonly index: PlaceIndex;
  readonly component: ComponentId;
  readonly owner: PlaceIndex;
  readonly parent: PlaceIndex;
  readonly depth: number;
  /** The use it was made by; absent for the first. */
  readonly use?: UseId;
  /** The slot it came through, and whose. */
  readonly slot?: { readonly key: MemberKey; readonly of: PlaceIndex };
  /** The innermost outlet of a router in which its route is shown, and who wrote that; absent outside of all. */
  readonly shownBy?: { readonly use: UseId; readonly of: PlaceIndex };
  /** Lists and conditions between the parent and this place, outermost first. */
  readonly repeats: readonly RepeatMark[];
  readonly branches: readonly BranchMark[];
  /** The innermost provider around it: index into the tree's `providers`, -1 for none. */
  readonly provider: number;
  /** The innermost host around it: index into the tree's `hosts`, -1 for none. */
  readonly host: HostIndex;
  /** Of a component that is an element: the host that it is; index into the tree's `hosts`. */
  readonly element?: HostIndex;
  /** Something around it is made in a way that cannot be followed, and may provide anything. */
  readonly sheltered: boolean;
  /** It shares the element of what stands in it, a directive: the tag of that, empty where it is not told. */
  readonly onHost?: string;
  /** It stands on the very element that its parent, a directive, shares. */
  readonly sharesHost?: true;
  /** A part of another framework on a page that a server makes: the mark by which it is started in the browser, empty for none. */
  readonly island?: string;
  /** Of such a part: it is made in the browser alone. */
  readonly isOnlyStarted?: true;
  /** Not unfolded further: it stands within itself, or, on a large page, what is below stands below another place already. */
  readonly cut?: 'recursion' | 'folded';
  /** With `folded`: the place below which the same is unfolded. */
  readonly sameAs?: PlaceIndex;
};

export type RepeatMark = { readonly item: string; readonly over: string; readonly span: Span };
export type BranchMark = { readonly when: string; readonly negated: boolean; readonly span: Span };

/** Index of a host in its tree's list; -1 for none. */
export type HostIndex = number;

/**
 * An element at one position of a page that listens, is held by a handle or carries a directive, or that is a component
 * itself; all others pass events on unseen.
 */
export type Host = {
  readonly index: HostIndex;
  readonly node: TemplateElement | TemplateUse;
  /** The place that it is, where a component is the element. */
  readonly place?: PlaceIndex;
  /** The place whose component wrote it; -1 for markup that no place wrote. */
  readonly owner: PlaceIndex;
  /** The host around it as the page is composed: content stands in the slot that shows it. */
  readonly parent: HostIndex;
  /** The host that bears the shadow tree in which it was written; -1 where it stands in the document's own. */
  readonly root: HostIndex;
};

/** A value provided to all below, at one position of the tree. */
export type Provider = {
  readonly context: SharedId;
  readonly owner: PlaceIndex;
  /** The use that provides, in markup; absent where a hook does. */
  readonly use?: UseId;
  /** The call that provides, where a hook does. */
  readonly at?: Location;
  /** The provider around it: index into the tree's `providers`, -1 for none. */
  readonly outer: number;
  /** It is asked when no element around has answered. */
  readonly isAround?: true;
  /** Content that the place is given cannot ask it. */
  readonly ofMarkup?: true;
};

/** A page unfolded: places in the order they are drawn, parents before children. */
export type Tree = {
  readonly page: string;
  readonly places: readonly Place[];
  readonly providers: readonly Provider[];
  readonly hosts: readonly Host[];
  /** Contents that a place was given, by slot, with the place that gave them: what each stands for is in the use. */
  readonly truncated: boolean;
};
