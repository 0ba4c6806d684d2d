import type * as t from '@babel/types';
import type { NameFact, Reading, TemplateNode } from '../../model/facts';
import type { Span } from '../../model/span';
import type { FunctionNode } from './syntax';

/** What a name stands for inside a body. */
export type Meaning =
  /** A value of the body, or a part of one. */
  | { readonly kind: 'value'; readonly value: number; readonly path: readonly string[] }
  /** An object that holds a value as its member `value`, as signals do; the framework takes it out by itself in markup. */
  | { readonly kind: 'box'; readonly value: number; readonly path: readonly string[] }
  /** A function that raises the event that it is told. */
  | { readonly kind: 'emits' }
  /** The props object: its members are values of their own. */
  | { readonly kind: 'props' }
  /** A local of a function in the body: made from these; another name for the same object where that is told. */
  | { readonly kind: 'local'; readonly readings: readonly Reading[]; readonly same?: Aliased }
  /** A local function, read where it is called. */
  | { readonly kind: 'function'; readonly node: FunctionNode; readonly scope: Scope; readonly action: number; readonly value?: number }
  /** Markup kept in a variable; grows while the body is read. */
  | { readonly kind: 'markup'; readonly nodes: TemplateNode[]; readonly readings: Reading[] }
  /** An object whose members are values of their own. */
  | { readonly kind: 'members'; readonly of: (name: string, span: Span) => Meaning }
  /** A function that gives what it is asked for: `get(levels)`. */
  | { readonly kind: 'gives' }
  /** A function that changes what it is told to: `set(levels, next)`. */
  | { readonly kind: 'writes' }
  /** A function whose result is this: `get()`. */
  | { readonly kind: 'calledGives'; readonly meaning: Meaning }
  /** A function that tells a store to do something by its name: `commit('add', boat)`; `prefix` stands before each name. */
  | { readonly kind: 'commands'; readonly value: number; readonly command: 'commit' | 'dispatch'; readonly prefix: string }
  /** The position in a list. */
  | { readonly kind: 'position' }
  | { readonly kind: 'opaque' };

/** What a name is another name for: a part of what an expression gives, which is read in a scope. */
export type Aliased = { readonly node: t.Node; readonly path: readonly string[]; readonly scope: Scope };

/** Names in force at one place; the innermost first. */
export type Scope = {
  readonly names: Map<string, Meaning>;
  readonly outer?: Scope;
  /** What names mean that no scope declares, where the framework gives them some. */
  readonly other?: (name: string, span: Span) => Meaning | undefined;
  /** The names of the module are not seen in it. */
  readonly isApart?: true;
  /** Markup is read in it: what nothing declares is noted here. */
  readonly undeclared?: NameFact[];
};

/** Notes a name of markup that neither a scope nor the module declares. */
export function noteUndeclared(scope: Scope, found: NameFact): void {
  for (let at: Scope | undefined = scope; at; at = at.outer) at.undeclared?.push(found);
}

/** Whether the names of the module are seen in a scope. */
export function seesModule(scope: Scope): boolean {
  for (let at: Scope | undefined = scope; at; at = at.outer) if (at.isApart) return false;
  return true;
}

/** A scope for markup, within that of its script. */
export function markupScope(outer: Scope): Scope & { readonly undeclared: NameFact[] } {
  return { names: new Map(), outer, undeclared: [] };
}

export function innerScope(outer?: Scope): Scope {
  return outer ? { names: new Map(), outer } : { names: new Map() };
}

const nowhere: Span = { start: 0, end: 0 };

/** What a name means here; undefined where the body does not declare it. */
export function lookUp(scope: Scope, name: string, span: Span = nowhere): Meaning | undefined {
  for (let at: Scope | undefined = scope; at; at = at.outer) {
    const found = at.names.get(name) ?? at.other?.(name, span);
    if (found) return found;
  }
  return undefined;
}

/** The same of names that a scope surely declares, and not of those that a framework may give. */
export function declaredIn(scope: Scope, name: string): Meaning | undefined {
  for (let at: Scope | undefined = scope; at; at = at.outer) {
    const found = at.names.get(name);
    if (found) return found;
  }
  return undefined;
}

/** What a box and the members after it come to: `count.value.a` → the value, and `a`. */
export function unboxed(meaning: Meaning, path: readonly string[]): { meaning: Meaning; path: readonly string[] } {
  if (meaning.kind !== 'box') return { meaning, path };
  const { value } = meaning;
  const open =
    path[0] === 'value' ? path.slice(1) : meaning.path.length === 0 && path[1] === 'value' ? [path[0] ?? '', ...path.slice(2)] : path;
  return { meaning: { kind: 'value', value, path: meaning.path }, path: open };
}

/** Names of the functions that a block declares: they are known before their line. */
export function hoisted(statements: readonly t.Statement[]): t.FunctionDeclaration[] {
  return statements.filter((one): one is t.FunctionDeclaration => one.type === 'FunctionDeclaration' && Boolean(one.id));
}
