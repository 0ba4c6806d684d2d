import { camelCase, pascalCase } from './case';
import { quoted } from './jsx';
import { emptyOf, type Expression, type SampleValue, type Skeleton, type SkeletonFile, type SkeletonPart } from '../model/skeleton';

/** The folder of a part’s file below `src`. */
export const folderOf = (part: Pick<SkeletonPart, 'role'>): string => (part.role === 'page' ? 'pages' : 'parts');
export const setter = (name: string): string => `set${pascalCase(name)}`;
/** The parts whose list items a type speaks of: `LockCardItem[]` gives `LockCard`. */
export const itemsIn = (type: string): string[] => [...new Set([...type.matchAll(/\b([A-Z]\w*)Item\b/g)].map((match) => match[1] ?? ''))];

/** The types that a part’s code speaks of. */
export const typesOf = (part: SkeletonPart): string[] => [
  ...part.props.map((prop) => prop.type),
  ...part.events.map((event) => event.payload),
  ...part.state.map((one) => one.type),
  ...part.taken.map((one) => one.type),
];

/** Parts of which there are lists somewhere: their content is a type of its own. */
export const listedParts = (skeleton: Skeleton): ReadonlySet<string> =>
  new Set(skeleton.parts.flatMap((part) => [...part.props, ...part.sample].flatMap(({ type }) => itemsIn(type))));

/** Values that stand in stores, each once. */
export const storesOf = (skeleton: Skeleton): SkeletonPart['taken'] => [
  ...new Map(skeleton.parts.flatMap((part) => part.taken.filter((one) => one.from === 'store').map((one) => [one.name, one]))).values(),
];

/** Names that a type speaks of and that are neither the language's nor a part's: they get a place in `types.ts`. */
export function foreignTypes(type: string): string[] {
  const bare = type.replace(/(["'`])(?:\\.|(?!\1).)*\1/g, '').replace(/\b\w+\??:/g, '');
  const known = /^(Array|ReadonlyArray|Record|Map|Set|Date|Promise|Partial|Required|Pick|Omit|Readonly|Exclude|Extract|NonNullable)$|Item$/;
  return [...new Set(bare.match(/\b[A-Z]\w*\b/g) ?? [])].filter((name) => !known.test(name));
}

/** What a state starts with. */
export function initial(type: string): string {
  if (/\bnull\b/.test(type)) return 'null';
  if (/\bundefined\b/.test(type)) return 'undefined';
  if (/^(string|number|boolean)$|\[\]$|^["']/.test(type)) return valueCode(emptyOf(type));
  return `{} as ${type}`;
}

export function valueCode(value: SampleValue, depth = 0): string {
  if (typeof value === 'string') return quoted(value);
  if (!Array.isArray(value)) return String(value);
  if (value.length === 0) return '[]';
  const pad = '  '.repeat(depth + 1);
  const items = value.map((item: Readonly<Record<string, SampleValue>>) => {
    const fields = Object.entries(item).map(([name, one]) => `${name}: ${valueCode(one, depth + 1)}`);
    return `${pad}{ ${fields.join(', ')} },`;
  });
  return ['[', ...items, `${'  '.repeat(depth)}]`].join('\n');
}

export function expressionCode({ name, of, from, to }: Expression): string {
  const reach = of === undefined ? name : `${of}.${name}`;
  return from === undefined ? reach : `${reach}.slice(${from}, ${to})`;
}

/** The import of the types that the plan names and nothing declares yet. */
export const foreignImport = (types: readonly string[], from = '../types'): string[] => {
  const foreign = [...new Set(types.flatMap(foreignTypes))].sort();
  return foreign.length > 0 ? [`import type { ${foreign.join(', ')} } from '${from}';`] : [];
};

/** Types that the plan names get a place of their own, as nothing is known of them. */
export function foreignFile(skeleton: Skeleton): SkeletonFile[] {
  const foreign = [...new Set(skeleton.parts.flatMap(typesOf).flatMap(foreignTypes))].sort();
  if (foreign.length === 0) return [];
  return [{ file: 'src/types.ts', text: `${foreign.map((name) => `export type ${name} = Record<string, unknown>;`).join('\n')}\n` }];
}

/** The content that a page is shown with, as constants. `items` is the folder that has the types of items. */
export function sampleFile(part: SkeletonPart, skeleton: Skeleton, items: 'parts' | 'items'): SkeletonFile {
  const known = new Set(skeleton.parts.map((one) => one.name));
  const listed = [...new Set(part.sample.flatMap(({ type }) => itemsIn(type)))].filter((name) => known.has(name)).sort();
  const lines = [
    ...listed.map((name) => `import type { ${name}Item } from '../${items}/${name}';`),
    ...(listed.length > 0 ? [''] : []),
    ...part.sample.map(
      ({ name, type, value }) => `export const ${name}: ${value === undefined ? `${type} | undefined` : type} = ${valueCode(value)};`,
    ),
    '',
  ];
  return { file: `src/sample/${camelCase(part.name)}.ts`, text: lines.join('\n') };
}

/** Whether a value can be read where a part’s events are raised. */
export const isAtHand = (part: SkeletonPart, name: string): boolean =>
  part.state.some((one) => one.name === name) || part.taken.some((one) => one.name === name && one.reads);

/** The type of a value that lives in a part or that it takes. */
export const typeOfValue = (part: SkeletonPart, name: string): string =>
  [...part.state, ...part.taken].find((one) => one.name === name)?.type ?? 'string';

/** The type of a part’s content where lists hold it, in a file of its own. */
export function itemFile(part: SkeletonPart): SkeletonFile {
  const content = part.props.filter((prop) => prop.kind === 'content');
  const types = content.map((prop) => prop.type);
  const items = [...new Set(types.flatMap(itemsIn))].filter((name) => name !== part.name).sort();
  const imports = [...items.map((name) => `import type { ${name}Item } from './${name}';`), ...foreignImport(types)];
  const lines = [
    ...imports,
    ...(imports.length > 0 ? [''] : []),
    `export type ${part.name}Item = {`,
    '  id: string;',
    ...content.map((prop) => `  ${prop.name}${prop.optional ? '?' : ''}: ${prop.type};`),
    '};',
    '',
  ];
  return { file: `src/items/${part.name}.ts`, text: lines.join('\n') };
}

/** A part’s note as a comment. */
export const noteComment = (note: string): string[] =>
  note === '' ? [] : [`/** ${note.replace(/\*\//g, '* /').replace(/\s*\n\s*/g, ' ')} */`];

/** What an application of a skeleton needs beside its frame, in a framework whose components are files: each kind is written by the framework. */
export function filesBeside(
  skeleton: Skeleton,
  write: {
    readonly part: (part: SkeletonPart) => SkeletonFile | readonly SkeletonFile[];
    readonly context: (value: { readonly name: string; readonly type: string }) => SkeletonFile;
    readonly store: (value: { readonly name: string; readonly type: string }) => SkeletonFile;
  },
): SkeletonFile[] {
  const { parts } = skeleton;
  const listed = listedParts(skeleton);
  return [
    ...parts.flatMap(write.part),
    ...parts.filter((part) => listed.has(part.name)).map(itemFile),
    ...parts.filter((part) => part.sample.length > 0).map((part) => sampleFile(part, skeleton, 'items')),
    ...parts.flatMap((part) => part.state.filter((one) => one.provided)).map(write.context),
    ...storesOf(skeleton).map(write.store),
    ...foreignFile(skeleton),
  ];
}
