import type { Span } from './span';

/**
 * A declared type, as far as the text of one file tells. Names are resolved by the link phase, so
 * this is syntax with the parts that no contract depends on left out as `unknown`.
 */
export type TypeExpr =
  | { readonly kind: 'object'; readonly members: readonly TypeMember[]; readonly indexed: boolean }
  | { readonly kind: 'ref'; readonly name: string; readonly args: readonly TypeExpr[] }
  | { readonly kind: 'intersection' | 'union'; readonly of: readonly TypeExpr[] }
  | { readonly kind: 'literal'; readonly value: string | number | boolean | null | undefined }
  | { readonly kind: 'primitive'; readonly name: string }
  | { readonly kind: 'function'; readonly params: readonly TypeExpr[] }
  | { readonly kind: 'array'; readonly of: TypeExpr }
  | { readonly kind: 'typeof'; readonly name: string }
  | { readonly kind: 'indexed'; readonly of: TypeExpr; readonly key: TypeExpr }
  | { readonly kind: 'keyof'; readonly of: TypeExpr }
  | { readonly kind: 'unknown' };

export type TypeMember = {
  readonly name: string;
  readonly optional: boolean;
  readonly type: TypeExpr;
  readonly span: Span;
  /** No member, but what the first parameter of a call may be: `(e: 'book', boat: string): void`. */
  readonly called?: true;
};

/** A type alias or an interface declared in a module; several of one name add up. */
export type TypeFact = {
  readonly name: string;
  readonly params: readonly { readonly name: string; readonly fallback?: TypeExpr }[];
  readonly type: TypeExpr;
  readonly span: Span;
};
