import type { MemberKey } from '../model/member';

/** How a framework writes what facts hold. */
export type Writer = {
  /** A member as markup names it: `onBook`, `@book`, `on:book`, `#row`. */
  readonly member: (key: MemberKey) => string;
  /** What people call the content between the tags. */
  readonly content: string;
  /** An attribute that gives an expression: `eta={eta}`, `:eta="eta"`. */
  readonly attribute: (name: string, expression: string) => string;
  /** A listener on an element: `onChange={f}`, `@change="f"`. */
  readonly listener: (event: string, code: string) => string;
  /** An expression that is shown: `{eta}`, `{{ eta }}`. */
  readonly shown: (expression: string) => string;
  /** Whether an attribute, as written, gives code though it stands in quotes. */
  readonly givesCode: (attribute: string) => boolean;
  /** Attributes, as written, that give more than the one name that they have: the later of two wins. */
  readonly givesSeveral: RegExp;
  /** What stands right before a name in code of a file, as the source of a pattern: a text in quotes is no name. */
  readonly beforeName: string;
  /** Events that markup cannot listen to by a binding; absent where it can to all. */
  readonly cannotListen?: RegExp;
  /** Changes that many places need at once can be written: a context in place of a chain, a component in place of what repeats. */
  readonly rewrites?: true;
  /**
   * Content for a named slot of a use, between the tags of that; `text` is that of the component which has the slot, for
   * frameworks that have two forms. Absent where such a slot is a prop.
   */
  readonly fillsSlot?: (name: string, content: string, text: string) => string;
  /** Whether what stands between the tags of a use is, for a slot of this name, in a form to which nothing can be added. */
  readonly holdsSlot?: (name: string, between: string) => boolean;
  /** The package that its functions are imported from. */
  readonly package: string;
  /** The type of content that is given as a prop; absent where it is no prop. */
  readonly contentType?: string;
  /** What a prop is declared with so that it may be bound both ways; absent where nothing is needed for it. */
  readonly bindable?: string;
};
