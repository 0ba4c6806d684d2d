import type { Markup, Skeleton, SkeletonFile, SkeletonPart, SkeletonWriter } from '../../../model/skeleton';
import { camelCase, kebab } from '../../../write/case';
import { documentAttributes, json, packageName, styleFile } from '../../../write/frame';
import { htmlAttribute, htmlText, type TemplateWords, TemplateWriter } from '../../../write/template';
import { expressionCode, filesBeside, foreignImport, itemsIn, noteComment, typesOf, valueCode } from '../../../write/words';
import { svelteFiles } from '../../svelte/write/skeleton';

/** All nodes of a markup, in no order. */
function* nodesOf(markup: readonly Markup[]): Generator<Markup> {
  const stack = [...markup];
  for (let one = stack.pop(); one; one = stack.pop()) {
    yield one;
    if (one.kind === 'use') for (const child of one.content) stack.push(child);
    else if ('children' in one) for (const child of one.children) stack.push(child);
  }
}

/** Whether a part does anything by itself in the browser: it keeps or changes a value, hears what a user does, or is told something. */
function acts(part: SkeletonPart): boolean {
  if (part.state.length > 0 || part.taken.length > 0 || part.events.length > 0) return true;
  for (const one of nodesOf(part.markup)) {
    if (one.kind === 'element' && one.events.length > 0) return true;
    // A function that hears it cannot be handed to an island.
    if (one.kind === 'use' && one.given.some(({ kind }) => kind === 'event')) return true;
  }
  return false;
}

/** Which parts run in the browser, and which of all are written so that they can: those and all that stands in them. */
type Halves = { readonly islands: ReadonlySet<string>; readonly browser: ReadonlySet<string> };

function halvesOf({ parts }: Skeleton): Halves {
  const byName = new Map(parts.map((part) => [part.name, part]));
  const islands = new Set(parts.filter(acts).map(({ name }) => name));
  const browser = new Set<string>();
  const stack = [...islands];
  for (let name = stack.pop(); name !== undefined; name = stack.pop()) {
    if (browser.has(name)) continue;
    browser.add(name);
    for (const used of byName.get(name)?.uses ?? []) stack.push(used);
  }
  return { islands, browser };
}

const braces = (text: string): string => text.replace(/\{/g, '&#123;').replace(/\}/g, '&#125;');

function wordsOf({ islands }: Halves): TemplateWords {
  const bound = (name: string, code: string): string => (name === code ? `{${name}}` : `${name}={${code}}`);
  const block = (before: string, after: string) => ({ kind: 'block', before: `{${before}<>`, after: `</>${after}}` }) as const;
  return {
    text: (text) => braces(htmlText(text)),
    shown: (code) => `{${code}}`,
    bound,
    odd: (name, code) => `{...{ '${name}': ${code} }}`,
    isOdd: (name) => /^(class|set|is|define|client|server|transition):|^slot$|[{}@.]/.test(name),
    attribute: (text) => htmlAttribute(text),
    expression: expressionCode,
    slot: (name) => (name === 'children' ? '<slot />' : `<slot name="${name}" />`),
    use: (part) => (islands.has(part) ? 'client:load' : ''),
    given: (_, given) => {
      // Who is told something runs in the browser, and is written in its words.
      if (given.kind === 'event' || given.value === undefined) return '';
      const { name, value } = given;
      if (typeof value === 'object' && 'expression' in value) return bound(name, expressionCode(value.expression));
      if (typeof value === 'string') return `${name}="${htmlAttribute(value)}"`;
      return value === true ? name : bound(name, valueCode(value));
    },
    listener: () => '',
    each: (each) => block(`${expressionCode(each.over)}.map((${each.item}) => `, ')'),
    when: (when) => block(`${expressionCode(when.test)} && `, ''),
  };
}

/** Pages are routes here: what they show stands beside the parts. */
const folderOf = ({ role }: Pick<SkeletonPart, 'role'>): string => (role === 'page' ? 'views' : 'parts');
const fileOf = (part: SkeletonPart, { browser }: Halves): string =>
  `${folderOf(part)}/${part.name}.${browser.has(part.name) ? 'svelte' : 'astro'}`;

function astroFile(part: SkeletonPart, skeleton: Skeleton, halves: Halves): SkeletonFile {
  const body = new TemplateWriter(wordsOf(halves), skeleton).lines(part.markup, 0);
  const used = skeleton.parts.filter(({ name }) => name !== part.name && part.uses.includes(name));
  const items = [...new Set(typesOf(part).flatMap(itemsIn))].sort();
  const imports = [
    ...(part.sample.length > 0
      ? [`import { ${part.sample.map(({ name }) => name).join(', ')} } from '../sample/${camelCase(part.name)}';`]
      : []),
    ...items.map((name) => `import type { ${name}Item } from '../items/${name}';`),
    ...used.map((one) => `import ${one.name} from '../${fileOf(one, halves)}';`),
    ...foreignImport(typesOf(part)),
  ];
  const takes = part.props.map(({ name }) => name);
  const code =
    takes.length === 0
      ? []
      : [
          'interface Props {',
          ...part.props.map((prop) => `  ${prop.name}${prop.optional ? '?' : ''}: ${prop.type};`),
          '}',
          `const { ${takes.join(', ')} } = Astro.props;`,
        ];
  const script = [...noteComment(part.note), ...imports, ...(imports.length > 0 && code.length > 0 ? [''] : []), ...code];
  return {
    file: `src/${fileOf(part, halves)}`,
    text: [...(script.length > 0 ? ['---', ...script, '---', ''] : []), ...body, ''].join('\n'),
  };
}

function partFile(part: SkeletonPart, skeleton: Skeleton, halves: Halves): SkeletonFile {
  if (!halves.browser.has(part.name)) return astroFile(part, skeleton, halves);
  return { ...svelteFiles.part(part, skeleton), file: `src/${fileOf(part, halves)}` };
}

/** The address of a page: the first is where one begins. */
const routeOf = (page: SkeletonPart, index: number): string => (index === 0 ? 'index' : kebab(page.name));

function frame(skeleton: Skeleton, halves: Halves): SkeletonFile[] {
  const pages = skeleton.parts.filter(({ role }) => role === 'page');
  const hasIslands = halves.browser.size > 0;
  const layout = [
    '---',
    "import '../page.css';",
    '',
    'interface Props {',
    '  title: string;',
    '}',
    'const { title } = Astro.props;',
    '---',
    '',
    '<!doctype html>',
    `<html${documentAttributes(skeleton.root)}>`,
    '  <head>',
    '    <meta charset="utf-8" />',
    '    <title>{title}</title>',
    '  </head>',
    `  <body${documentAttributes(skeleton.body)}>`,
    '    <slot />',
    '  </body>',
    '</html>',
    '',
  ].join('\n');
  const routes = pages.map((page, index): SkeletonFile => ({
    file: `src/pages/${routeOf(page, index)}.astro`,
    text: [
      '---',
      "import Layout from '../layouts/Layout.astro';",
      `import ${page.name} from '../${fileOf(page, halves)}';`,
      '---',
      '',
      `<Layout title="${htmlAttribute(skeleton.name)}"><${[page.name, ...(halves.islands.has(page.name) ? ['client:load'] : [])].join(' ')} /></Layout>`,
      '',
    ].join('\n'),
  }));
  const integration = hasIslands ? "import svelte from '@astrojs/svelte';\n" : '';
  return [
    {
      file: 'package.json',
      text: json({
        name: packageName(skeleton),
        private: true,
        type: 'module',
        scripts: { dev: 'astro dev', build: 'astro build' },
        dependencies: { astro: '^5.18.0', ...(hasIslands ? { '@astrojs/svelte': '^7.2.0', svelte: '^5.0.0' } : {}) },
        devDependencies: { typescript: '~5.9.0' },
      }),
    },
    {
      file: 'astro.config.mjs',
      text: `import { defineConfig } from 'astro/config';\n${integration}\nexport default defineConfig({ ${hasIslands ? 'integrations: [svelte()], ' : ''}compressHTML: false });\n`,
    },
    { file: 'tsconfig.json', text: json({ extends: 'astro/tsconfigs/strict', include: ['src'] }) },
    styleFile(skeleton),
    { file: 'src/layouts/Layout.astro', text: layout },
    ...routes,
  ];
}

/** Writes a skeleton as a small Astro application: what does something in the browser is an island of Svelte, all else is made on the server. */
export const astroSkeleton: SkeletonWriter = {
  framework: 'astro',
  write: (skeleton) => {
    const halves = halvesOf(skeleton);
    return [...frame(skeleton, halves), ...filesBeside(skeleton, { ...svelteFiles, part: (part) => partFile(part, skeleton, halves) })];
  },
};
