import { type FilePath, locate, type Location } from '../../model/span';
import type { FileIndexes } from './file-index';
import type { KeyedContext, Local, Meant } from './meant';

/** Answers what stands behind the keys by which things are given to all below. */
export type Keys = {
  /** What is given under a key, as a file writes it: a text in quotes, or a name. */
  readonly keyed: (file: FilePath, key: string, depth: number) => Meant;
  /** All keys that were asked for so far. */
  readonly all: () => readonly KeyedContext[];
};

/** Makes the answers; what a name means within its own file is asked of `local`. */
export function makeKeys(indexes: FileIndexes, local: Local): Keys {
  const keys = new Map<string, KeyedContext>();
  let givenByFunctions: ReadonlyMap<string, readonly Location[]> | undefined;

  /** Keys under which functions give something: who calls them is not followed, so nothing is known to be missing. */
  function keysGiven(): ReadonlyMap<string, readonly Location[]> {
    givenByFunctions = new Map();
    const found = new Map<string, Location[]>();
    for (const { facts } of indexes.values()) {
      for (const { key, span } of facts.gives ?? []) {
        const meant = keyed(facts.file, key, 1);
        if (meant.kind !== 'shared') continue;
        const id = `${meant.file}\n${meant.fact.name}`;
        found.set(id, [...(found.get(id) ?? []), locate(facts.file, span)]);
      }
    }
    keys.clear();
    return found;
  }

  function keyed(file: FilePath, key: string, depth: number): Meant {
    const text = /^'(.*)'$/.exec(key)?.[1];
    const meant = text === undefined ? local(file, key, depth + 1) : undefined;
    if (meant?.kind === 'shared' && meant.fact.kind === 'value' && meant.fact.text !== undefined)
      return keyed(file, `'${meant.fact.text}'`, depth);
    if (meant?.kind === 'outside') return meant;
    if (meant?.kind === 'component') return keyOf(meant.file, meant.facts.local, meant.facts.nameSpan, undefined, 'none');
    if (meant && meant.kind !== 'shared') return { kind: 'unresolved', reason: `${key} is not known` };
    const name = meant ? meant.fact.name : (text ?? '');
    const at = meant ? meant.file : '';
    givenByFunctions ??= keysGiven();
    const givenBy = givenByFunctions.get(`${at}\n${name}`);
    const givesItself = meant?.fact.kind === 'value' && meant.fact.givesItself === true;
    return keyOf(at, name, meant ? meant.fact.span : { start: 0, end: 0 }, givenBy, givenBy ? 'unknown' : givesItself ? 'given' : 'none');
  }

  function keyOf(
    file: FilePath,
    name: string,
    span: { start: number; end: number },
    givenBy: readonly Location[] | undefined,
    fallback: 'none' | 'given' | 'unknown',
  ): KeyedContext {
    const known = keys.get(`${file}\n${name}`) ?? {
      kind: 'shared' as const,
      file,
      ...(givenBy ? { givenBy } : {}),
      fact: { kind: 'context' as const, name, span, fallback },
    };
    keys.set(`${file}\n${name}`, known);
    return known;
  }

  return { keyed, all: () => [...keys.values()] };
}
