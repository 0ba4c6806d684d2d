import type { FilePath } from './span';

declare const brand: unique symbol;
type Branded<Name extends string> = string & { readonly [brand]: Name };

/** Names one component of a project; stable while its file and name are. */
export type ComponentId = Branded<'component'>;
/** Names one use of a component in another's template; not stable across edits. */
export type UseId = Branded<'use'>;
/** Names something shared that a module declares: a context, a hook, a store. */
export type SharedId = Branded<'shared'>;

export function componentId(file: FilePath, name: string): ComponentId {
  return `${file}#${name}` as ComponentId;
}

/** Takes a component's id apart. The name is all after the last `#`, which no component name holds. */
export function parseComponentId(id: ComponentId): { file: FilePath; name: string } {
  const at = id.lastIndexOf('#');
  return { file: id.slice(0, at), name: id.slice(at + 1) };
}

export function useId(owner: ComponentId, index: number): UseId {
  return `${owner}/${index}` as UseId;
}

export function sharedId(file: FilePath, name: string): SharedId {
  return `${file}#${name}` as SharedId;
}
