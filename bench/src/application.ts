import type { ConfigFile, SourceFile } from '@liana/core';
import { seeded } from './random';

export type Application = { readonly sources: readonly SourceFile[]; readonly configs: readonly ConfigFile[] };

const sharedNames = ['Button', 'Field', 'Panel', 'Badge', 'Row', 'Menu', 'Tabs', 'Hint', 'Icon', 'Stack'];

function sharedPart(name: string): string {
  return `import { type ReactNode, useState } from 'react';

export type ${name}Props = { label: string; tone?: 'calm' | 'loud'; disabled?: boolean; onPress?: (label: string) => void; children?: ReactNode };

export function ${name}({ label, tone = 'calm', disabled = false, onPress, children }: ${name}Props) {
  const [isOpen, setIsOpen] = useState(false);
  const press = () => {
    setIsOpen((was) => !was);
    onPress?.(label);
  };

  return (
    <div className={\`part \${tone}\`} aria-disabled={disabled}>
      <button onClick={press}>{label}</button>
      {isOpen && children}
    </div>
  );
}
`;
}

const types = `export type Item = { id: string; name: string; amount: number; tags: string[]; done: boolean };
export type Filter = { text: string; onlyOpen: boolean };
export type Session = { user: string; canEdit: boolean };
`;

const session = `import { createContext, useContext } from 'react';
import type { Session } from '../model/types';

export const SessionContext = createContext<Session | null>(null);

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useSession needs a SessionContext.');
  return session;
}
`;

/** A component that lists items, one that frames them, one that hands them down, or a form. */
function part(name: string, below: readonly string[], random: () => number): string {
  const shared = Array.from(
    { length: 1 + Math.floor(random() * 3) },
    () => sharedNames[Math.floor(random() * sharedNames.length)] as string,
  );
  const imports = [...new Set(shared)].map((one) => `import { ${one} } from '@/shared/${one}';`);
  const kind = random();
  const children = below.map((one) => `        <${one} items={visible} filter={filter} onChoose={onChoose} />`).join('\n');
  const useSession = random() < 0.3;
  return `${imports.join('\n')}
import { useMemo, useState } from 'react';
import type { Filter, Item } from '@/model/types';
${useSession ? "import { useSession } from '@/model/session';\n" : ''}${below.map((one) => `import { ${one} } from './${one}';`).join('\n')}

export type ${name}Props = { items: Item[]; filter: Filter; onChoose: (id: string) => void; title?: string };

export function ${name}({ items, filter, onChoose, title = '${name}' }: ${name}Props) {
${useSession ? '  const session = useSession();\n' : ''}  const [chosen, setChosen] = useState<string | null>(null);
  const visible = useMemo(() => items.filter((item) => item.name.includes(filter.text)), [items, filter.text]);
  const total = visible.reduce((sum, item) => sum + item.amount, 0);

  const choose = (id: string) => {
    setChosen(id);
    onChoose(id);
  };

  if (items.length === 0) return <p className="empty">Nothing here yet.</p>;

  return (
    <section className="${name.toLowerCase()}" data-chosen={chosen}>
      <h2>
        {title} <small>{total}</small>
      </h2>
      ${kind < 0.5 ? `<ul>\n        {visible.map((item) => (\n          <li key={item.id}>\n            <${shared[0]} label={item.name} tone={item.done ? 'calm' : 'loud'} onPress={() => choose(item.id)}>\n              <span>{item.tags.join(', ')}</span>\n            </${shared[0]}>\n          </li>\n        ))}\n      </ul>` : `<${shared[0]} label={title} disabled={${useSession ? '!session.canEdit' : 'filter.onlyOpen'}} onPress={choose} />`}
      ${shared[1] ? `<${shared[1]} label="More" tone="loud" />` : ''}
      {filter.onlyOpen ? null : (
        <>
${children || '          <p>{chosen}</p>'}
        </>
      )}
    </section>
  );
}
`;
}

/** What stands beside the components of a page: its requests, its sums, its words. */
function helpers(name: string, random: () => number): string {
  const kinds = ['total', 'average', 'latest', 'label', 'group', 'compare', 'validate', 'format'];
  const functions = kinds.map((kind) => {
    const limit = Math.floor(random() * 90) + 10;
    return `/**
 * The ${kind} of some items, as ${name} shows it. Items that are done count only below ${limit}.
 */
export function ${kind}Of${name}(items: readonly Item[], options: { locale?: string; limit?: number } = {}): string {
  const { locale = 'en', limit = ${limit} } = options;
  const counted = items.filter((item) => !item.done || item.amount < limit);
  let result = 0;
  for (const item of counted) {
    // Tags that begin with a dash take away what the others add.
    const sign = item.tags.some((tag) => tag.startsWith('-')) ? -1 : 1;
    result += sign * Math.min(item.amount, limit);
  }
  if (Number.isNaN(result) || counted.length === 0) return 'nothing to ${kind}';
  return new Intl.NumberFormat(locale, { maximumFractionDigits: 1 }).format(result / Math.max(1, counted.length));
}
`;
  });
  return `import type { Item } from '@/model/types';

export async function load${name}(signal: AbortSignal): Promise<Item[]> {
  const response = await fetch(\`/api/${name.toLowerCase()}?order=name\`, { signal, headers: { Accept: 'application/json' } });
  if (!response.ok) throw new Error(\`${name} could not be loaded: \${response.status}\`);
  const items = (await response.json()) as Item[];
  return items.map((item) => ({ ...item, tags: item.tags ?? [], amount: Number(item.amount) }));
}

${functions.join('\n')}`;
}

/** How a framework writes the pieces of the application. */
export type Words = {
  readonly ending: string;
  readonly sharedPart: (name: string) => string;
  readonly part: (name: string, below: readonly string[], random: () => number) => string;
  readonly page: (name: string, tops: readonly string[]) => string;
  readonly session: string;
  readonly main: (pages: readonly string[]) => readonly SourceFile[];
};

const react: Words = {
  ending: 'tsx',
  sharedPart,
  part,
  page,
  session,
  main: (pages) => {
    const routes = pages.map((name) => `  { path: '/${name.toLowerCase()}', element: <${name} /> },`).join('\n');
    const imports = pages.map((name) => `import { ${name} } from './pages/${name}/${name}';`).join('\n');
    const text = `import { createRoot } from 'react-dom/client';\nimport { createBrowserRouter, RouterProvider } from 'react-router';\n${imports}\n\nconst router = createBrowserRouter([\n${routes}\n]);\n\ncreateRoot(document.body).render(<RouterProvider router={router} />);\n`;
    return [{ file: 'src/main.tsx', text }];
  },
};

function page(name: string, tops: readonly string[]): string {
  return `import { useState } from 'react';
import { SessionContext } from '@/model/session';
import type { Filter, Item } from '@/model/types';
${tops.map((one) => `import { ${one} } from './${one}';`).join('\n')}

export function ${name}() {
  const [items, setItems] = useState<Item[]>([]);
  const [filter, setFilter] = useState<Filter>({ text: '', onlyOpen: false });
  const remove = (id: string) => setItems((all) => all.filter((item) => item.id !== id));

  return (
    <SessionContext value={{ user: 'a', canEdit: true }}>
      <input value={filter.text} onChange={(event) => setFilter({ ...filter, text: event.target.value })} />
${tops.map((one) => `      <${one} items={items} filter={filter} onChoose={remove} />`).join('\n')}
    </SessionContext>
  );
}
`;
}

/**
 * An application of about `count` components: pages of some forty parts each, three to five levels
 * deep, with shared parts, values handed down, contexts, lists and handlers, and beside them a quarter
 * of modules without components. The same for the same seed.
 */
export function makeApplication(count: number, words: Words = react, seed = 7): Application {
  const random = seeded(seed);
  const sources: SourceFile[] = [
    ...sharedNames.map((name) => ({ file: `src/shared/${name}.${words.ending}`, text: words.sharedPart(name) })),
    { file: 'src/model/types.ts', text: types },
    { file: 'src/model/session.ts', text: words.session },
  ];
  const pages: string[] = [];
  for (let made = sharedNames.length; made < count;) {
    const name = `Page${pages.length + 1}`;
    const size = Math.min(40, count - made - 1);
    const names = Array.from({ length: size }, (_, at) => `${name}Part${at + 1}`);
    const parents = names.map((_, at) => (at < 4 ? -1 : Math.floor(random() * Math.min(at, 4 + at / 2))));
    names.forEach((one, at) => {
      const below = names.filter((_, other) => parents[other] === at);
      sources.push({ file: `src/pages/${name}/${one}.${words.ending}`, text: words.part(one, below, random) });
    });
    for (let at = 1; at <= 5; at++)
      sources.push({ file: `src/pages/${name}/helpers${at}.ts`, text: helpers(`${name}Helper${at}`, random) });
    sources.push({
      file: `src/pages/${name}/${name}.${words.ending}`,
      text: words.page(
        name,
        names.filter((_, at) => parents[at] === -1),
      ),
    });
    pages.push(name);
    made += size + 1;
  }
  sources.push(...words.main(pages));
  const configs = [{ file: 'tsconfig.json', text: '{ "compilerOptions": { "paths": { "@/*": ["./src/*"] } } }' }];
  return { sources, configs };
}
