import type { FileFacts, ProvisionFact, Reading, TemplateNode, TemplateUse } from '../../model/facts';
import type { FilePath, Span } from '../../model/span';
import { foreignName } from '../elements/inherit';
import type { Names } from '../names';
import type { Reaches } from './reach';

/** One key that is provided, in the file where it is written. */
type Provided = { readonly file: FilePath; readonly key: string; readonly span: Span; readonly readings: readonly Reading[] };

/** All that a list provides, through the lists that it names. */
export type AllProvided = { readonly keys: readonly Provided[]; readonly isOpen: boolean };

type Files = ReadonlyMap<FilePath, FileFacts>;

/** Lists within lists are followed so far. */
const deepest = 16;

/** Finds what provisions come to: names of lists stand for what these hold, and groups for what they and all that they bring in provide. */
export function makeProvided(
  files: Files,
  names: Names,
  { groupNamed }: Pick<Reaches, 'groupNamed'>,
): (file: FilePath, provisions: readonly ProvisionFact[]) => AllProvided {
  return (file, provisions) => {
    const keys: Provided[] = [];
    let isOpen = false;
    const seen = new Set<string>();
    const all = (at: FilePath, list: readonly ProvisionFact[], depth: number): void => {
      for (const one of list) add(at, one, depth);
    };
    const group = (at: FilePath, name: string, depth: number): boolean => {
      const found = groupNamed(at, name);
      if (!found) return false;
      const id = `${found.file}\n${found.fact.name}`;
      if (seen.has(id)) return true;
      seen.add(id);
      all(found.file, found.fact.provides, depth + 1);
      for (const brought of found.fact.brings) group(found.file, brought, depth + 1);
      return true;
    };
    const add = (at: FilePath, one: ProvisionFact, depth: number): void => {
      if (one.kind === 'unknown' || depth > deepest) {
        isOpen = true;
        return;
      }
      const name = one.kind === 'key' ? one.key : one.name;
      if (one.kind === 'list' || one.by === undefined) {
        if (group(at, name, depth)) return;
        const [root = '', ...rest] = name.split('.');
        const meant = names.meant(at, root);
        // What comes from outside of the project provides what is of there.
        if (meant.kind === 'outside') return;
        const list =
          meant.kind === 'shared'
            ? files.get(meant.file)?.lists?.find((each) => each.name === [meant.fact.name, ...rest].join('.'))
            : undefined;
        if (list && meant.kind === 'shared') {
          all(meant.file, list.provides, depth + 1);
          return;
        }
        if (one.kind === 'list') {
          isOpen = true;
          return;
        }
      }
      if (one.kind === 'key') keys.push({ file: at, key: one.key, span: one.span, readings: one.readings ?? [] });
    };
    all(file, provisions, 0);
    return { keys, isOpen };
  };
}

type Marks = Pick<TemplateUse, 'toSelf' | 'isAround'>;

/** What is provided stands around what it is provided to; of several for one key the last answers. `file` is that of the facts. */
export function providedAround(
  file: FilePath,
  { keys, isOpen }: AllProvided,
  inside: readonly TemplateNode[],
  marks: Marks,
): readonly TemplateNode[] {
  const last = new Map(keys.map((one) => [`${one.file} ${one.key}`, one]));
  const made = [...last.values()].reduceRight<readonly TemplateNode[]>(
    (nodes, { file: at, key, span, readings }) => [
      {
        kind: 'use',
        tag: `key:${at === file ? key : foreignName(at, key)}`,
        span: at === file ? span : { ...span, file: at },
        nameSpan: at === file ? span : { ...span, file: at },
        bindings: [
          {
            to: { kind: 'prop', name: 'value' },
            written: 'value',
            span: at === file ? span : { ...span, file: at },
            nameSpan: at === file ? span : { ...span, file: at },
            direction: 'in',
            readings,
          },
        ],
        spreads: [],
        children: nodes,
        key: { kind: 'none' },
        content: 'markup',
        ...marks,
      } satisfies TemplateUse,
    ],
    inside,
  );
  if (!isOpen) return made;
  const nowhere = { start: 0, end: 0 };
  return [
    {
      kind: 'use',
      tag: '',
      span: nowhere,
      nameSpan: nowhere,
      bindings: [],
      spreads: [],
      children: made,
      key: { kind: 'none' },
      content: 'markup',
    },
  ];
}
