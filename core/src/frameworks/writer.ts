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
  /** What a prop is declared with so that it may be bound both ways; absent where nothing is needed for it. */
  readonly bindable?: string;
};
