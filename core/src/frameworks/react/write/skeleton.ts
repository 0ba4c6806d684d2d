import { camelCase, pascalCase } from '../../../write/case';
import { jsxAttribute, jsxStyle, jsxText, quoted } from '../../../write/jsx';
import { kebab } from '../../../write/case';
import { choice, frameFiles } from '../../../write/frame';
import type { Expression, Given, Markup, Skeleton, SkeletonFile, SkeletonPart, SkeletonWriter } from '../../../model/skeleton';
import { callbackName } from '../../../write/case';
import {
  expressionCode,
  folderOf,
  foreignFile,
  foreignImport,
  initial,
  isAtHand,
  itemsIn,
  listedParts,
  noteComment,
  sampleFile,
  setter,
  storesOf,
  typeOfValue,
  typesOf,
  valueCode,
} from '../../../write/words';

const hook = (name: string): string => `use${pascalCase(name)}`;
const voids = new Set('area br col hr img input source track wbr'.split(' '));

/** Writes the markup of one part, and gathers what its component needs beside it. */
class MarkupWriter {
  readonly handlers: string[] = [];
  readonly strangers = new Set<string>();
  hasOwnStyle = false;

  constructor(private readonly part: SkeletonPart) {}

  lines(markup: readonly Markup[], depth: number, keepsSpace = false): string[] {
    return markup.flatMap((one) => this.one(one, depth, keepsSpace));
  }

  private one(markup: Markup, depth: number, keepsSpace: boolean): string[] {
    const pad = '  '.repeat(depth);
    switch (markup.kind) {
      case 'text': {
        const code = typeof markup.text === 'string' ? jsxText(markup.text, keepsSpace) : `{${expressionCode(markup.text)}}`;
        return code === '' ? [] : [`${pad}${code}`];
      }
      case 'slot':
        return [`${pad}{${markup.name}}`];
      case 'when':
        return [`${pad}{${expressionCode(markup.test)} && (`, ...this.alone(markup.children, depth + 1), `${pad})}`];
      case 'each': {
        const inner = this.alone(markup.children, depth + 1);
        const keyed = inner.with(0, (inner[0] ?? '').replace(/^(\s*<[\w.-]+)/, `$1 key={${markup.item}.id}`));
        return [`${pad}{${expressionCode(markup.over)}.map((${markup.item}) => (`, ...keyed, `${pad}))}`];
      }
      case 'use': {
        const given = markup.given.flatMap((one) => this.given(markup.part, one));
        const slots = markup.content.length > 0 ? this.lines(markup.content, depth + 1) : [];
        const open = `${pad}<${[markup.part, ...given].join(' ')}`;
        return slots.length > 0 ? [`${open}>`, ...slots, `${pad}</${markup.part}>`] : [`${open} />`];
      }
      case 'element':
        return this.element(markup, depth, keepsSpace);
    }
  }

  /** Markup that must be one expression. */
  private alone(markup: readonly Markup[], depth: number): string[] {
    const [only, ...more] = markup;
    if (only && more.length === 0 && (only.kind === 'element' || only.kind === 'use')) return this.one(only, depth, false);
    const pad = '  '.repeat(depth);
    return [`${pad}<>`, ...this.lines(markup, depth + 1), `${pad}</>`];
  }

  private element(markup: Extract<Markup, { kind: 'element' }>, depth: number, keepsSpace: boolean): string[] {
    const pad = '  '.repeat(depth);
    const { tag } = markup;
    if (tag.includes('-')) this.strangers.add(tag);
    const area =
      tag === 'textarea'
        ? markup.children.map((child) => (child.kind === 'text' && typeof child.text === 'string' ? child.text : '')).join('')
        : '';
    const attributes = [
      ...markup.attributes.flatMap(({ name, value }) => this.attribute(tag, name, value)),
      ...(area === '' ? [] : [`defaultValue={${quoted(area)}}`]),
      ...markup.shows.map((name) => `data-${kebab(name)}={String(${name})}`),
      ...this.events(tag, markup.events),
    ];
    const open = `<${[tag, ...attributes].join(' ')}`;
    if (voids.has(tag) || tag === 'textarea' || markup.children.length === 0) return [`${pad}${open} />`];
    const children = this.lines(markup.children, depth + 1, keepsSpace || tag === 'pre');
    const isFlat = markup.children.every((child) => child.kind === 'text') && children.join('').length < 90;
    if (isFlat) return [`${pad}${open}>${children.map((child) => child.trim()).join('')}</${tag}>`];
    return [`${pad}${open}>`, ...children, `${pad}</${tag}>`];
  }

  private attribute(tag: string, name: string, given: string | Expression): string[] {
    // An address that is a script is not taken over.
    const value = typeof given === 'string' && /^\s*javascript:/i.test(given) ? '#' : given;
    const spelling = jsxAttribute(tag, name);
    const code = typeof value === 'string' ? quoted(value) : expressionCode(value);
    switch (spelling.kind) {
      case 'none':
        return [];
      case 'plain':
        if (typeof value !== 'string' && !takesAnyText(spelling.name)) return [`{...({ ${quoted(spelling.name)}: ${code} } as object)}`];
        return [typeof value === 'string' && !/["\\\n&{}]/.test(value) ? `${spelling.name}="${value}"` : `${spelling.name}={${code}}`];
      case 'flag':
        return [typeof value === 'string' ? spelling.name : `${spelling.name}={Boolean(${code})}`];
      case 'count':
        return [`${spelling.name}={${typeof value === 'string' ? Number(value) || 0 : `Number(${code})`}}`];
      case 'spread':
        return [`{...({ ${quoted(spelling.name)}: ${code} } as object)}`];
      case 'style': {
        if (typeof value !== 'string') return [`{...{ style: ${code} as object }}`];
        const style = jsxStyle(value);
        this.hasOwnStyle ||= style.hasOwn;
        return [`style={${style.code}${style.hasOwn ? ' as CSSProperties' : ''}}`];
      }
    }
  }

  private given(part: string, given: Given): string[] {
    if (given.kind === 'event') {
      const callback = callbackName(given.name);
      if (given.on !== '') return [`${callback}={${callbackName(given.on)}}`];
      if (given.changes !== '') return [`${callback}={${setter(given.changes)}}`];
      const handler = `hear${part}${pascalCase(given.name)}`;
      if (!this.handlers.includes(handler)) this.handlers.push(handler);
      return [`${callback}={${handler}}`];
    }
    const { value } = given;
    if (value === undefined) return [];
    if (typeof value === 'object' && 'expression' in value) return [`${given.name}={${expressionCode(value.expression)}}`];
    if (typeof value === 'string' && !/["\\\n&{}]/.test(value)) return [`${given.name}="${value}"`];
    return value === true ? [given.name] : [`${given.name}={${valueCode(value)}}`];
  }

  private events(tag: string, events: readonly string[]): string[] {
    if (events.length === 0) return [];
    const calls = events.map((event) => this.call(event));
    if (tag === 'form') return [`onSubmit={(event) => { event.preventDefault(); ${calls.map((call) => `${call};`).join(' ')} }}`];
    const on = /^(input|select|textarea)$/.test(tag) ? 'onChange' : 'onClick';
    return [`${on}={() => ${calls.length === 1 ? calls[0] : `{ ${calls.map((call) => `${call};`).join(' ')} }`}}`];
  }

  private call(event: string): string {
    if (event.startsWith('set ')) {
      const name = event.slice(4);
      return `${setter(name)}(${isAtHand(this.part, name) ? name : initial(typeOfValue(this.part, name))})`;
    }
    const own = this.part.events.find((one) => callbackName(one.name) === event);
    if (!own || own.payload === '') return `${event}()`;
    const isGiven = this.part.props.some((prop) => prop.name === own.changes && prop.type === own.payload);
    return `${event}(${isGiven ? own.changes : initial(own.payload)})`;
  }
}

/** Attributes that React’s types let be any text; others want one of a few words. */
const takesAnyText = (name: string): boolean =>
  /^(className|id|title|href|src|srcSet|alt|name|value|defaultValue|placeholder|htmlFor|label|dateTime|d|points|fill|stroke|transform|x|y|x1|x2|y1|y2|cx|cy|r|width|height|viewBox|min|max|aria-label|data-[\w-]+)$/.test(
    name,
  );

function partFile(part: SkeletonPart, skeleton: Skeleton, itemTypes: ReadonlySet<string>): SkeletonFile {
  const writer = new MarkupWriter(part);
  const provided = part.state.filter((one) => one.provided);
  let body = writer.lines(part.markup, 2 + provided.length);
  const isOne = part.markup.length === 1 && (part.markup[0]?.kind === 'element' || part.markup[0]?.kind === 'use');
  if (!isOne && provided.length === 0) body = ['    <>', ...body.map((line) => `  ${line}`), '    </>'];
  provided.toReversed().forEach((one, turn) => {
    const pad = '  '.repeat(1 + provided.length - turn);
    body = [
      `${pad}<${pascalCase(one.name)}Context value={{ ${one.name}, ${setter(one.name)} }}>`,
      ...body,
      `${pad}</${pascalCase(one.name)}Context>`,
    ];
  });

  const hasItem = itemTypes.has(part.name);
  const fields = [
    ...part.props
      .filter((prop) => !(hasItem && prop.kind === 'content'))
      .map((prop) => `  ${prop.name}${prop.optional ? '?' : ''}: ${prop.type};`),
    ...part.events.map(({ name, payload }) => `  ${callbackName(name)}: (${payload === '' ? '' : `next: ${payload}`}) => void;`),
    ...part.slots.map((slot) => `  ${slot}: ReactNode;`),
  ];
  const taking = [...part.props.map((prop) => prop.name), ...part.events.map((event) => callbackName(event.name)), ...part.slots];
  const types = typesOf(part);
  const known = new Set(skeleton.parts.map((one) => one.name));
  const itemsOf = [...new Set(types.flatMap(itemsIn))].filter((name) => known.has(name) && name !== part.name);
  const from = (name: string): string => {
    const other = skeleton.parts.find((one) => one.name === name);
    const folder = other ? folderOf(other) : 'parts';
    return folder === folderOf(part) ? `./${name}` : `../${folder}/${name}`;
  };
  const others = [...new Set([...part.uses, ...itemsOf])].filter((name) => name !== part.name).sort();
  const reactTypes = [...(part.slots.length > 0 ? ['type ReactNode'] : []), ...(writer.hasOwnStyle ? ['type CSSProperties'] : [])];
  const react = [...reactTypes.sort(), ...(part.state.length > 0 ? ['useState'] : [])];
  const content = part.props.filter((prop) => prop.kind === 'content');
  const lines = [
    react.length > 0 && `import { ${react.join(', ')} } from 'react';`,
    ...provided.map((one) => `import { ${pascalCase(one.name)}Context } from '../contexts/${one.name}';`),
    ...part.taken.map((one) => takenImport(one)),
    part.sample.length > 0 && `import { ${part.sample.map((one) => one.name).join(', ')} } from '../sample/${camelCase(part.name)}';`,
    ...others.map((name) => {
      const wants = [...(part.uses.includes(name) ? [name] : []), ...(itemsOf.includes(name) ? [`type ${name}Item`] : [])];
      return `import { ${wants.join(', ')} } from '${from(name)}';`;
    }),
    ...foreignImport(types),
    '',
    ...(hasItem
      ? [
          `export type ${part.name}Item = {`,
          '  id: string;',
          ...content.map((prop) => `  ${prop.name}${prop.optional ? '?' : ''}: ${prop.type};`),
          '};',
          '',
        ]
      : []),
    ...propsType(part.name, fields, hasItem && content.length > 0),
    ...noteComment(part.note),
    `export function ${part.name}(${taking.length > 0 ? `{ ${taking.join(', ')} }: ${part.name}Props` : ''}) {`,
    ...part.taken.map(takenLine),
    ...part.state.map((one) => `  const [${one.name}, ${setter(one.name)}] = useState<${one.type}>(${initial(one.type)});`),
    ...writer.handlers.flatMap((handler) => [`  const ${handler} = () => {`, '    // Say here what happens.', '  };']),
    '  return (',
    ...body,
    '  );',
    '}',
    '',
  ];
  const text = lines.filter((line) => line !== false).join('\n');
  return { file: `src/${folderOf(part)}/${part.name}.tsx`, text: text.replace(/^\n+/, '') };
}

/** The type of a part's props; what a list's item has is not written twice. */
function propsType(name: string, fields: readonly string[], isItem: boolean): string[] {
  if (isItem && fields.length === 0) return [`export type ${name}Props = Omit<${name}Item, 'id'>;`, ''];
  if (fields.length === 0) return [];
  return [`export type ${name}Props = ${isItem ? `Omit<${name}Item, 'id'> & ` : ''}{`, ...fields, '};', ''];
}

type Taken = SkeletonPart['taken'][number];

function takenImport({ name, from, reads, changes }: Taken): string {
  if (from === 'context') return `import { ${hook(name)} } from '../contexts/${name}';`;
  return `import { ${[changes && setter(name), reads && hook(name)].filter(Boolean).join(', ')} } from '../stores/${name}';`;
}

function takenLine({ name, from, reads, changes }: Taken): string | false {
  if (from === 'store') return reads && `  const ${name} = ${hook(name)}();`;
  return `  const { ${[reads && name, changes && setter(name)].filter(Boolean).join(', ')} } = ${hook(name)}();`;
}

function contextFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = `import { createContext, useContext } from 'react';
${foreignImport([type])
  .map((line) => `${line}\n`)
  .join('')}
type ${pascalCase(name)}Held = { ${name}: ${type}; ${setter(name)}: (next: ${type}) => void };

export const ${pascalCase(name)}Context = createContext<${pascalCase(name)}Held | null>(null);

export function ${hook(name)}(): ${pascalCase(name)}Held {
  const held = useContext(${pascalCase(name)}Context);
  if (!held) throw new Error('${hook(name)} needs ${pascalCase(name)}Context above it.');
  return held;
}
`;
  return { file: `src/contexts/${name}.ts`, text };
}

function storeFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = `import { useSyncExternalStore } from 'react';
${foreignImport([type])
  .map((line) => `${line}\n`)
  .join('')}
let ${name}: ${type} = ${initial(type)};
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function ${setter(name)}(next: ${type}): void {
  ${name} = next;
  for (const listener of listeners) listener();
}

export function ${hook(name)}(): ${type} {
  return useSyncExternalStore(subscribe, () => ${name});
}
`;
  return { file: `src/stores/${name}.ts`, text };
}

function frame(skeleton: Skeleton): SkeletonFile[] {
  const pages = skeleton.parts.filter((part) => part.role === 'page');
  const { asks, shown } = choice(skeleton, (page) => `<${page} />`);
  const main = [
    `import { createRoot } from 'react-dom/client';`,
    ...pages.map((page) => `import { ${page.name} } from './pages/${page.name}';`),
    `import './page.css';`,
    '',
    ...asks,
    `const root = document.getElementById('root');`,
    `if (root) createRoot(root).render(${shown});`,
    '',
  ].join('\n');
  return [
    ...frameFiles(skeleton, {
      main: 'main.tsx',
      dependencies: { react: '^19.0.0', 'react-dom': '^19.0.0' },
      devDependencies: { '@types/react': '^19.0.0', '@types/react-dom': '^19.0.0' },
      compilerOptions: { jsx: 'react-jsx' },
      build: 'tsc && vite build',
      vite: `import { defineConfig } from 'vite';\n\nexport default defineConfig({ esbuild: { jsx: 'automatic' } });\n`,
    }),
    { file: 'src/main.tsx', text: main },
  ];
}

/** Writes a skeleton as a small React application: one file a part, with its types, its state and sample content. */
export const reactSkeleton: SkeletonWriter = {
  framework: 'react',
  write(skeleton) {
    const itemTypes = listedParts(skeleton);
    const contexts = skeleton.parts.flatMap((part) => part.state.filter((one) => one.provided));
    const strangers = new Set<string>();
    const parts = skeleton.parts.map((part) => {
      const probe = new MarkupWriter(part);
      probe.lines(part.markup, 0);
      for (const tag of probe.strangers) strangers.add(tag);
      return partFile(part, skeleton, itemTypes);
    });
    return [
      ...frame(skeleton),
      ...parts,
      ...skeleton.parts.filter((part) => part.sample.length > 0).map((part) => sampleFile(part, skeleton, 'parts')),
      ...contexts.map(contextFile),
      ...storesOf(skeleton).map(storeFile),
      ...foreignFile(skeleton),
      ...(strangers.size > 0
        ? [
            {
              file: 'src/elements.d.ts',
              text: `import type { HTMLAttributes } from 'react';\n\ndeclare module 'react' {\n  namespace JSX {\n    interface IntrinsicElements {\n${[
                ...strangers,
              ]
                .sort()
                .map((tag) => `      '${tag}': HTMLAttributes<HTMLElement>;`)
                .join('\n')}\n    }\n  }\n}\n`,
            },
          ]
        : []),
    ];
  },
};
