import type { FileFacts, ProvisionFact, Reading, TemplateNode, TemplateUse } from '../../model/facts';
import type { FilePath, Span } from '../../model/span';
import { foreignName } from '../elements/inherit';
import type { Names } from '../names';
import type { Reaches } from './reach';

/** One key that is provided, in the file where it is written. */
type Provided = {
  readonly file: FilePath;
  readonly key: string;
  readonly span: Span;
  readonly readings: readonly Reading[];
  /** Where that is said: where a function is called that gives the list. */
  readonly at: { readonly file: FilePath; readonly span: Span };
  /** Another key is answered by this one. */
  readonly isUsed: boolean;
};

/** All that a list provides, through the lists that it names. */
export type AllProvided = { readonly keys: readonly Provided[]; readonly isOpen: boolean };

type Files = ReadonlyMap<FilePath, FileFacts>;

/** Lists within lists are followed so far. */
const deepest = 16;

/** Finds what provisions come to: names of lists stand for what these hold, and groups for what they and all that they bring in provide. `asked` are names that others than components ask for. */
export function makeProvided(
  files: Files,
  names: Names,
  { groupNamed }: Pick<Reaches, 'groupNamed'>,
  asked: ReadonlySet<string>,
): (file: FilePath, provisions: readonly ProvisionFact[]) => AllProvided {
  return (file, provisions) => {
    const keys: Provided[] = [];
    let isOpen = false;
    const seen = new Set<string>();
    type Said = Provided['at'] | undefined;
    const all = (at: FilePath, list: readonly ProvisionFact[], depth: number, said: Said): void => {
      const used = new Set(list.flatMap((one) => (one.kind === 'key' && one.by !== undefined ? [one.by] : [])));
      for (const one of list) add(at, one, depth, said, used);
    };
    const group = (at: FilePath, name: string, depth: number, said: Said): boolean => {
      const found = groupNamed(at, name);
      if (!found) return false;
      const id = `${found.file}\n${found.fact.name}`;
      if (seen.has(id)) return true;
      seen.add(id);
      all(found.file, found.fact.provides, depth + 1, said);
      for (const brought of found.fact.brings) group(found.file, brought, depth + 1, said);
      return true;
    };
    const add = (at: FilePath, one: ProvisionFact, depth: number, said: Said, used: ReadonlySet<string>): void => {
      if (one.kind === 'unknown' || depth > deepest) {
        isOpen = true;
        return;
      }
      const name = one.kind === 'key' ? one.key : one.name;
      if (one.kind === 'list' || one.by === undefined) {
        // What a static function of a group gives is a list of its own: `Trade.forRoot()`.
        const isOfGroup = name.slice(name.indexOf('#') + 1).includes('.');
        if (!isOfGroup && group(at, name, depth, said)) return;
        const [root = '', ...rest] = name.split('.');
        const meant = names.meant(at, root);
        // What comes from outside of the project provides what is of there.
        if (meant.kind === 'outside') return;
        const list =
          meant.kind === 'shared'
            ? files.get(meant.file)?.lists?.find((each) => each.name === [meant.fact.name, ...rest].join('.'))
            : undefined;
        if (list && meant.kind === 'shared') {
          all(meant.file, list.provides, depth + 1, one.kind === 'list' && one.isCall ? (said ?? { file: at, span: one.span }) : said);
          return;
        }
        if (one.kind === 'list') {
          isOpen = true;
          return;
        }
      }
      if (one.kind === 'key')
        keys.push({
          file: at,
          key: one.key,
          span: one.span,
          readings: one.readings ?? [],
          at: said ?? { file: at, span: one.span },
          isUsed: used.has(one.key) || asked.has(one.key),
        });
    };
    all(file, provisions, 0, undefined);
    return { keys, isOpen };
  };
}

type Marks = Pick<TemplateUse, 'toSelf' | 'isAround' | 'ofMarkup'>;

/** What is provided stands around what it is provided to; of several for one key the last answers. `file` is that of the facts. */
export function providedAround(
  file: FilePath,
  { keys, isOpen }: AllProvided,
  inside: readonly TemplateNode[],
  marks: Marks,
): readonly TemplateNode[] {
  const last = new Map(keys.map((one) => [`${one.file} ${one.key}`, one]));
  const made = [...last.values()].reduceRight<readonly TemplateNode[]>((nodes, { file: there, key, readings, at, isUsed }) => {
    const span: Span = at.file === file ? at.span : { ...at.span, file: at.file };
    const node: TemplateUse = {
      kind: 'use',
      tag: `key:${there === file ? key : foreignName(there, key)}`,
      span,
      nameSpan: span,
      bindings: [{ to: { kind: 'prop', name: 'value' }, written: 'value', span, nameSpan: span, direction: 'in', readings }],
      spreads: [],
      children: nodes,
      key: { kind: 'none' },
      content: 'markup',
      ...(isUsed ? { isUsed: true as const } : {}),
      ...marks,
    };
    return [node];
  }, inside);
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
