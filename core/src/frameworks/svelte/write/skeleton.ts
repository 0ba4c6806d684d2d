import { camelCase, pascalCase } from '../../../write/case';
import { choice, frameFiles } from '../../../write/frame';
import type { Expression, Given, Skeleton, SkeletonFile, SkeletonPart, SkeletonWriter } from '../../../model/skeleton';
import { htmlAttribute, htmlText, partImports, type TemplateWords, TemplateWriter } from '../../../write/template';
import { callbackName } from '../../../write/case';
import {
  expressionCode,
  filesBeside,
  folderOf,
  foreignImport,
  initial,
  isAtHand,
  itemsIn,
  noteComment,
  typeOfValue,
  typesOf,
  valueCode,
} from '../../../write/words';

const braces = (text: string): string => text.replace(/\{/g, '&#123;').replace(/\}/g, '&#125;');

/** The words of one part’s markup; names of handlers that it asks for are put into `handlers`. */
function wordsOf(part: SkeletonPart, handlers: Set<string>): TemplateWords {
  // What is shared beyond a component is an object that keeps the value in `current`.
  const shared = new Set([...part.state.filter((one) => one.provided), ...part.taken].map((one) => one.name));
  const reach = (name: string): string => (shared.has(name) ? `${name}.current` : name);
  const expression = (one: Expression): string => expressionCode(one.of === undefined ? { ...one, name: reach(one.name) } : one);
  const raise = (event: string): string => {
    if (event.startsWith('set ')) {
      const name = event.slice(4);
      return `${reach(name)} = ${isAtHand(part, name) ? reach(name) : initial(typeOfValue(part, name))}`;
    }
    const own = part.events.find((one) => callbackName(one.name) === event);
    if (!own || own.payload === '') return `${event}()`;
    const isGiven = part.props.some((prop) => prop.name === own.changes && prop.type === own.payload);
    return `${event}(${isGiven ? own.changes : initial(own.payload)})`;
  };
  const bound = (name: string, code: string): string => (name === code ? `{${name}}` : `${name}={${code}}`);
  const heard = (used: string, given: Extract<Given, { kind: 'event' }>): string => {
    if (given.on !== '') return callbackName(given.on);
    if (given.changes !== '') return `(next) => (${reach(given.changes)} = next)`;
    const handler = `hear${used}${pascalCase(given.name)}`;
    handlers.add(handler);
    return handler;
  };
  return {
    text: (text) => braces(htmlText(text)),
    shown: (code) => `{${code}}`,
    bound,
    odd: (name, code) => `{...{ '${name}': ${code} }}`,
    isOdd: (name) => /^(bind|on|use|class|style|let|in|out|transition|animate|slot):|^(slot|--)|[{}@]/.test(name),
    attribute: (text) => braces(htmlAttribute(text)),
    expression,
    slot: (name) => `{@render ${name}()}`,
    given: (used, given) => {
      if (given.kind === 'event') return bound(callbackName(given.name), heard(used, given));
      const { value } = given;
      if (value === undefined) return '';
      if (typeof value === 'object' && 'expression' in value) return bound(given.name, expression(value.expression));
      if (typeof value === 'string') return `${given.name}="${braces(htmlAttribute(value))}"`;
      return value === true ? given.name : bound(given.name, valueCode(value));
    },
    listener: (event, raises) => {
      const calls = raises.map(raise);
      if (event === 'submit') return `onsubmit={(event) => { event.preventDefault(); ${calls.map((call) => `${call};`).join(' ')} }}`;
      const [only] = calls;
      return `on${event}={() => ${calls.length === 1 ? (/ = /.test(only ?? '') ? `(${only ?? ''})` : (only ?? '')) : `{ ${calls.map((call) => `${call};`).join(' ')} }`}}`;
    },
    each: (each) => ({
      kind: 'block',
      before: `{#each ${expression(each.over)} as ${each.item} (${each.item}.id)}`,
      after: '{/each}',
    }),
    when: (when) => ({ kind: 'block', before: `{#if ${expression(when.test)}}`, after: '{/if}' }),
  };
}

function partFile(part: SkeletonPart, skeleton: Skeleton): SkeletonFile {
  const handlers = new Set<string>();
  const body = new TemplateWriter(wordsOf(part, handlers), skeleton).lines(part.markup, 0);
  const provided = part.state.filter((one) => one.provided);
  const taken = part.taken.filter((one) => one.from === 'context');
  const svelte = [
    ...(taken.length > 0 ? ['getContext'] : []),
    ...(provided.length > 0 ? ['setContext'] : []),
    ...(part.slots.length > 0 ? ['type Snippet'] : []),
  ];
  const items = [...new Set(typesOf(part).flatMap(itemsIn))].sort();
  const imports = [
    ...(svelte.length > 0 ? [`import { ${svelte.join(', ')} } from 'svelte';`] : []),
    ...provided.map((one) => `import { ${one.name}Key } from '../contexts/${one.name}';`),
    ...taken.map((one) => `import { ${one.name}Key, type ${pascalCase(one.name)}Held } from '../contexts/${one.name}';`),
    ...part.taken.filter((one) => one.from === 'store').map((one) => `import { ${one.name} } from '../stores/${one.name}.svelte';`),
    ...(part.sample.length > 0
      ? [`import { ${part.sample.map((one) => one.name).join(', ')} } from '../sample/${camelCase(part.name)}';`]
      : []),
    ...items.map((name) => `import type { ${name}Item } from '../items/${name}';`),
    ...partImports(part, skeleton, '.svelte'),
    ...foreignImport(typesOf(part)),
  ];
  const fields = [
    ...part.props.map((prop) => `${prop.name}${prop.optional ? '?' : ''}: ${prop.type};`),
    ...part.events.map(({ name, payload }) => `${callbackName(name)}: (${payload === '' ? '' : `next: ${payload}`}) => void;`),
    ...part.slots.map((slot) => `${slot}: Snippet;`),
  ];
  const taking = [...part.props.map((prop) => prop.name), ...part.events.map((event) => callbackName(event.name)), ...part.slots];
  const code = [
    ...(taking.length > 0
      ? ['type Props = {', ...fields.map((field) => `  ${field}`), '};', `let { ${taking.join(', ')} }: Props = $props();`]
      : []),
    ...taken.map(({ name }) => `const ${name} = getContext<${pascalCase(name)}Held>(${name}Key);`),
    ...part.state.map((one) =>
      one.provided
        ? `const ${one.name} = $state<{ current: ${one.type} }>({ current: ${initial(one.type)} });`
        : `let ${one.name} = $state<${one.type}>(${initial(one.type)});`,
    ),
    ...provided.map((one) => `setContext(${one.name}Key, ${one.name});`),
    ...[...handlers].flatMap((handler) => [`function ${handler}() {`, '  // Say here what happens.', '}']),
  ];
  const script = [...noteComment(part.note), ...imports, ...(imports.length > 0 && code.length > 0 ? [''] : []), ...code];
  const lines = [
    ...(script.length > 0 ? ['<script lang="ts">', ...script.map((line) => (line === '' ? '' : `  ${line}`)), '</script>', ''] : []),
    ...body,
    '',
  ];
  return { file: `src/${folderOf(part)}/${part.name}.svelte`, text: lines.join('\n') };
}

function contextFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = [
    ...foreignImport([type]),
    `export type ${pascalCase(name)}Held = { current: ${type} };`,
    '',
    `export const ${name}Key = Symbol('${name}');`,
    '',
  ].join('\n');
  return { file: `src/contexts/${name}.ts`, text };
}

function storeFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = [...foreignImport([type]), `export const ${name} = $state<{ current: ${type} }>({ current: ${initial(type)} });`, ''].join(
    '\n',
  );
  return { file: `src/stores/${name}.svelte.ts`, text };
}

function frame(skeleton: Skeleton): SkeletonFile[] {
  const pages = skeleton.parts.filter((part) => part.role === 'page');
  const { asks, shown } = choice(skeleton, (page) => page);
  const main = [
    `import { mount } from 'svelte';`,
    ...pages.map((page) => `import ${page.name} from './pages/${page.name}.svelte';`),
    `import './page.css';`,
    '',
    ...asks,
    `const target = document.getElementById('root');`,
    ...(pages.length > 0 ? [`if (target) mount(${shown}, { target });`] : []),
    '',
  ].join('\n');
  return [
    ...frameFiles(skeleton, {
      main: 'main.ts',
      dependencies: { svelte: '^5.0.0' },
      devDependencies: { '@sveltejs/vite-plugin-svelte': '^6.0.0' },
      compilerOptions: { verbatimModuleSyntax: true },
      build: 'vite build',
      vite: `import { svelte } from '@sveltejs/vite-plugin-svelte';\nimport { defineConfig } from 'vite';\n\nexport default defineConfig({ plugins: [svelte()] });\n`,
    }),
    { file: 'src/main.ts', text: main },
  ];
}

/** The files of a skeleton's parts, and of what they share, as components of Svelte 5 with runes. */
export const svelteFiles = { part: partFile, context: contextFile, store: storeFile };

/** Writes a skeleton as a small Svelte 5 application, with runes. */
export const svelteSkeleton: SkeletonWriter = {
  framework: 'svelte',
  write: (skeleton) => [...frame(skeleton), ...filesBeside(skeleton, { ...svelteFiles, part: (part) => partFile(part, skeleton) })],
};
