import { callbackName, camelCase, kebab, pascalCase } from '../../../write/case';
import { choice, documentAttributes, json, packageName, styleFile } from '../../../write/frame';
import { jsxAttribute, quoted } from '../../../write/jsx';
import type { Expression, Given, Markup, Skeleton, SkeletonFile, SkeletonPart, SkeletonWriter } from '../../../model/skeleton';
import { htmlAttribute, htmlText, type TemplateWords, TemplateWriter } from '../../../write/template';
import {
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

type Element = Extract<Markup, { kind: 'element' }>;

/** Templates of more lines than this stand in a file of their own. */
const longest = 16;

/** Drawings, and elements that stand in them alone: in a template that begins within, the kind of an element is said. */
const drawn: ReadonlySet<string> = new Set(
  'svg g path circle rect line polyline polygon ellipse text tspan defs linearGradient radialGradient stop use symbol clipPath mask pattern marker'.split(
    ' ',
  ),
);

/** The one element that a part is; undefined for a page, and for what is several things or stands for something else. */
function rootOf(part: SkeletonPart): Element | undefined {
  const [only, ...more] = part.markup;
  return part.role === 'part' && only?.kind === 'element' && more.length === 0 ? only : undefined;
}

const attributeName = (name: string): string => `app${pascalCase(name)}`;
const tagName = (name: string): string => `app-${kebab(name)}`;
const fileBase = (part: Pick<SkeletonPart, 'name' | 'role'>): string => `${folderOf(part)}/${kebab(part.name)}`;

/** What a template cannot say of a type is said to be right there. */
const inTemplate = (code: string): string => code.replace(/^\{\} as .*$/, '$any({})');

const braces = (text: string): string => text.replace(/[{}@]/g, (one) => `&#${one.charCodeAt(0)};`);

/** How the code of one part's template is written; names of handlers that it asks for are put into `handlers`. */
class PartCode {
  readonly handlers = new Set<string>();
  /** Constants: all else that a template reads is a signal. */
  private readonly samples: ReadonlySet<string>;

  constructor(private readonly part: SkeletonPart) {
    this.samples = new Set(part.sample.map(({ name }) => name));
  }

  expression = ({ name, of, from, to }: Expression): string => {
    const reach = of !== undefined ? `${of}.${name}` : this.samples.has(name) || !/^\w+$/.test(name) ? name : `${name}()`;
    return from === undefined ? reach : `${reach}.slice(${from}, ${to})`;
  };

  /** What is done when a part raises something: an output that emits, a signal that is set. */
  raise = (event: string): string => {
    if (event.startsWith('set ')) {
      const name = event.slice(4);
      const value = isAtHand(this.part, name) ? `${name}()` : inTemplate(initial(typeOfValue(this.part, name)));
      return `${name}.set(${value})`;
    }
    const own = this.part.events.find((one) => callbackName(one.name) === event);
    if (!own) return '';
    if (own.payload === '') return `${own.name}.emit()`;
    const isGiven = this.part.props.some((prop) => prop.name === own.changes && prop.type === own.payload);
    return `${own.name}.emit(${isGiven ? `${own.changes}()` : inTemplate(initial(own.payload))})`;
  };

  heard(used: string, given: Extract<Given, { kind: 'event' }>): string {
    if (given.on !== '') return given.payload === '' ? `${given.on}.emit()` : `${given.on}.emit($event)`;
    if (given.changes !== '') return `${given.changes}.set($event)`;
    const handler = `hear${used}${pascalCase(given.name)}`;
    this.handlers.add(handler);
    return `${handler}()`;
  }

  listener(event: string, raises: readonly string[]): readonly [name: string, code: string] {
    const calls = raises.map(this.raise).filter(Boolean);
    return [`(${event})`, [...(event === 'submit' ? ['$event.preventDefault()'] : []), ...calls].join('; ')];
  }
}

/** An attribute whose value is an expression, as a template or the description of the host names it. */
const boundName = (name: string): string => (name === 'class' || name === 'style' ? `[${name}]` : `[attr.${name}]`);

const wordsOf = (part: SkeletonPart, skeleton: Skeleton, code: PartCode): TemplateWords => {
  const rootByName = new Map(skeleton.parts.map((one) => [one.name, rootOf(one)]));
  const bound = (name: string, value: string): string => `${boundName(name)}="${htmlAttribute(value)}"`;
  const [only] = part.slots;
  return {
    text: (text) => (/^\s+$/.test(text) ? '&ngsp;' : braces(htmlText(text))),
    shown: (value) => `{{ ${value} }}`,
    bound,
    // A template has no functions of the language.
    flag: (name, value) => bound(name, `${value} ? '' : null`),
    told: (name, value) => bound(name, `'' + ${value}`),
    odd: () => '',
    isOdd: (name) => /[[\](){}*#@]|^(?:bind|on|bindon|let|ref)-|^i18n/i.test(name),
    attribute: (text) => braces(htmlAttribute(text)),
    expression: code.expression,
    slot: (name) =>
      name === 'children' || (name === only && part.slots.length === 1) ? '<ng-content />' : `<ng-content select="[${kebab(name)}]" />`,
    tag: (used) => rootByName.get(used)?.tag ?? tagName(used),
    use: (used) => (rootByName.get(used) ? attributeName(used) : ''),
    given: (used, given) => {
      if (given.kind === 'event') return `(${given.name})="${htmlAttribute(code.heard(used, given))}"`;
      const { value } = given;
      if (value === undefined) return '';
      if (typeof value === 'object' && 'expression' in value)
        return `[${given.name}]="${htmlAttribute(code.expression(value.expression))}"`;
      if (typeof value === 'string') return `${given.name}="${braces(htmlAttribute(value))}"`;
      return `[${given.name}]="${htmlAttribute(valueCode(value))}"`;
    },
    listener: (event, raises) => {
      const [name, said] = code.listener(event, raises);
      return `${name}="${htmlAttribute(said)}"`;
    },
    each: (each) => ({
      kind: 'block',
      before: `@for (${each.item} of ${code.expression(each.over)}; track ${each.item}.id) {`,
      after: '}',
    }),
    when: (when) => ({ kind: 'block', before: `@if (${code.expression(when.test)}) {`, after: '}' }),
  };
};

/** The attributes and listeners of a part's outermost element, which its owner writes. */
function hostOf(root: Element, code: PartCode): string[] {
  const entry = (name: string, value: string): string => `${/^\w+$/.test(name) ? name : quoted(name)}: ${quoted(value)}`;
  const attributes = root.attributes.flatMap(({ name, value }): string[] => {
    if (/^on|^data-liana-node$|^xmlns(:.*)?$|[[\](){}*#@]/i.test(name)) return [];
    if (typeof value === 'string') return [entry(name, /^\s*javascript:/i.test(value) ? '#' : value)];
    const said = code.expression(value);
    return [entry(boundName(name), jsxAttribute(root.tag, name).kind === 'flag' ? `${said} ? '' : null` : said)];
  });
  const shown = root.shows.map((name) => entry(`[attr.data-${kebab(name)}]`, `'' + ${code.expression({ name })}`));
  const event = root.tag === 'form' ? 'submit' : /^(input|select|textarea)$/.test(root.tag) ? 'change' : 'click';
  const heard = root.events.length > 0 ? [entry(...code.listener(event, root.events))] : [];
  return [...attributes, ...shown, ...heard];
}

/** Markup of a drawing, in a template that begins within it. */
const inDrawing = (markup: readonly Markup[]): Markup[] =>
  markup.map((one): Markup => {
    if (one.kind === 'element')
      return { ...one, tag: `svg:${one.tag}`, children: one.tag === 'foreignObject' ? one.children : inDrawing(one.children) };
    if (one.kind === 'each' || one.kind === 'when') return { ...one, children: inDrawing(one.children) };
    return one;
  });

const holds = (markup: readonly Markup[], wanted: (tag: string) => boolean): boolean =>
  markup.some((one) => {
    if (one.kind === 'element') return wanted(one.tag) || holds(one.children, wanted);
    if (one.kind === 'each' || one.kind === 'when') return holds(one.children, wanted);
    return one.kind === 'use' && holds(one.content, wanted);
  });

function importOf(part: SkeletonPart, name: string, skeleton: Skeleton): string {
  const other = skeleton.parts.find((one) => one.name === name);
  const role = other?.role ?? 'part';
  const at = folderOf({ role }) === folderOf(part) ? `./${kebab(name)}` : `../${fileBase({ name, role })}`;
  return `import { ${name} } from '${at}';`;
}

function partFiles(part: SkeletonPart, skeleton: Skeleton): SkeletonFile[] {
  const code = new PartCode(part);
  const root = rootOf(part);
  const inner = root ? (drawn.has(root.tag) ? inDrawing(root.children) : root.children) : part.markup;
  const markup = new TemplateWriter(wordsOf(part, skeleton, code), skeleton).lines(inner, 0);
  const host = root ? hostOf(root, code) : [];
  const uses = part.uses.filter((name) => name !== part.name);
  const provided = part.state.filter((one) => one.provided);
  const contexts = part.taken.filter((one) => one.from === 'context');
  const hasUnknown = holds(inner, (tag) => tag.includes('-'));
  const core = [
    'Component',
    ...(hasUnknown ? ['CUSTOM_ELEMENTS_SCHEMA'] : []),
    ...(contexts.length > 0 || provided.length > 0 ? ['inject'] : []),
    ...(part.props.length > 0 ? ['input'] : []),
    ...(part.events.length > 0 ? ['output'] : []),
    ...(part.state.some((one) => !one.provided) || provided.length > 0 ? ['signal'] : []),
  ];
  const items = [...new Set(typesOf(part).flatMap(itemsIn))].sort();
  const samples = part.sample.map((one) => one.name);
  const imports = [
    `import { ${core.join(', ')} } from '@angular/core';`,
    ...[...provided, ...contexts].map((one) => `import { ${one.name}Key } from '../contexts/${one.name}';`),
    ...part.taken.filter((one) => one.from === 'store').map((one) => `import { ${one.name} } from '../stores/${one.name}';`),
    ...(samples.length > 0 ? [`import { ${samples.join(', ')} } from '../sample/${camelCase(part.name)}';`] : []),
    ...items.map((name) => `import type { ${name}Item } from '../items/${name}';`),
    ...uses.map((name) => importOf(part, name, skeleton)),
    ...foreignImport(typesOf(part)),
  ];
  const members = [
    ...part.props.map(({ name, type, optional }) => `readonly ${name} = input${optional ? '' : '.required'}<${type}>();`),
    ...part.events.map(({ name, payload }) => `readonly ${name} = output<${payload === '' ? 'void' : payload}>();`),
    ...[...provided, ...contexts].map(({ name }) => `protected readonly ${name} = inject(${name}Key);`),
    ...part.taken.filter((one) => one.from === 'store').map(({ name }) => `protected readonly ${name} = ${name};`),
    ...part.state.filter((one) => !one.provided).map(({ name, type }) => `protected readonly ${name} = signal<${type}>(${initial(type)});`),
    ...samples.map((name) => `protected readonly ${name} = ${name};`),
    ...[...code.handlers].flatMap((handler) => ['', `protected ${handler}(): void {`, '  // Say here what happens.', '}']),
  ];
  const isLong = markup.length > longest || markup.some((line) => line.includes('`') || line.includes('${') || line.includes('\\'));
  const template =
    markup.length === 0
      ? ["template: '',"]
      : isLong
        ? [`templateUrl: './${kebab(part.name)}.html',`]
        : ['template: `', ...markup.map((line) => `  ${line}`), '`,'];
  const settings = [
    `selector: '${root ? `[${attributeName(part.name)}]` : tagName(part.name)}',`,
    ...(uses.length > 0 ? [`imports: [${uses.join(', ')}],`] : []),
    ...(hasUnknown ? ['schemas: [CUSTOM_ELEMENTS_SCHEMA],'] : []),
    ...providersOf(provided),
    ...(host.length > 0 ? ['host: {', ...host.map((one) => `  ${one},`), '},'] : []),
    ...template,
    ...(root ? [] : ["styles: ':host { display: contents; }',"]),
  ];
  const text = [
    ...imports,
    '',
    ...noteComment(part.note),
    '@Component({',
    ...settings.map((line) => `  ${line}`),
    '})',
    `export class ${part.name} {`,
    ...members.map((line) => (line === '' ? '' : `  ${line}`)),
    '}',
    '',
  ];
  const base = `src/${fileBase(part)}`;
  return [
    { file: `${base}.ts`, text: text.join('\n') },
    ...(isLong && markup.length > 0 ? [{ file: `${base}.html`, text: `${markup.join('\n')}\n` }] : []),
  ];
}

/** What a part provides, one value to a line where it is several. */
function providersOf(provided: SkeletonPart['state']): string[] {
  const all = provided.map(({ name, type }) => `{ provide: ${name}Key, useFactory: () => signal<${type}>(${initial(type)}) }`);
  if (all.length < 2) return all.map((one) => `providers: [${one}],`);
  return ['providers: [', ...all.map((one) => `  ${one},`), '],'];
}

function contextFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = [
    `import { InjectionToken, type WritableSignal } from '@angular/core';`,
    ...foreignImport([type]),
    '',
    `export const ${name}Key = new InjectionToken<WritableSignal<${type}>>('${name}');`,
    '',
  ].join('\n');
  return { file: `src/contexts/${name}.ts`, text };
}

function storeFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = [
    `import { signal } from '@angular/core';`,
    ...foreignImport([type]),
    '',
    `export const ${name} = signal<${type}>(${initial(type)});`,
    '',
  ].join('\n');
  return { file: `src/stores/${name}.ts`, text };
}

/** The part around the pages, which shows the one that the address asks for. */
function appFile(skeleton: Skeleton): SkeletonFile {
  const pages = skeleton.parts.filter((part) => part.role === 'page');
  const { asks } = choice(skeleton, (page) => page);
  const [first, ...more] = pages;
  const element = (page: SkeletonPart): string => `<${tagName(page.name)} />`;
  const template =
    more.length === 0
      ? [first ? element(first) : '']
      : [
          '@switch (asked) {',
          ...more.flatMap((page) => [`  @case ('${page.name}') {`, `    ${element(page)}`, '  }']),
          '  @default {',
          `    ${first ? element(first) : ''}`,
          '  }',
          '}',
        ];
  const text = [
    `import { Component } from '@angular/core';`,
    ...pages.map((page) => `import { ${page.name} } from './${fileBase(page)}';`),
    '',
    ...asks,
    ...(asks.length > 0 ? [''] : []),
    '@Component({',
    `  selector: 'app-root',`,
    `  imports: [${pages.map(({ name }) => name).join(', ')}],`,
    '  template: `',
    ...template.map((line) => `    ${line}`),
    '  `,',
    `  styles: ':host { display: contents; }',`,
    '})',
    'export class App {',
    ...(asks.length > 0 ? ['  protected readonly asked = asked;'] : []),
    '}',
    '',
  ];
  return { file: 'src/app.ts', text: text.join('\n') };
}

const angular = '^20.3.0';

/** The files around the parts: the document, the settings of the framework's own builder, the style of the pages. */
function frame(skeleton: Skeleton): SkeletonFile[] {
  const name = packageName(skeleton);
  return [
    {
      file: 'src/index.html',
      text: `<!doctype html>\n<html${documentAttributes(skeleton.root)}>\n  <head>\n    <meta charset="utf-8" />\n    <title>${skeleton.name.replace(/[<&]/g, '')}</title>\n    <base href="/" />\n  </head>\n  <body${documentAttributes(skeleton.body)}>\n    <app-root></app-root>\n  </body>\n</html>\n`,
    },
    {
      file: 'package.json',
      text: json({
        name,
        private: true,
        type: 'module',
        scripts: { dev: 'ng serve', build: 'ng build' },
        dependencies: {
          '@angular/common': angular,
          '@angular/compiler': angular,
          '@angular/core': angular,
          '@angular/platform-browser': angular,
          rxjs: '^7.8.0',
          tslib: '^2.8.0',
        },
        devDependencies: { '@angular/build': angular, '@angular/cli': angular, '@angular/compiler-cli': angular, typescript: '~5.9.0' },
      }),
    },
    {
      file: 'angular.json',
      text: json({
        version: 1,
        projects: {
          [name]: {
            projectType: 'application',
            root: '',
            sourceRoot: 'src',
            architect: {
              build: {
                builder: '@angular/build:application',
                options: { browser: 'src/main.ts', tsConfig: 'tsconfig.json', styles: ['src/page.css'] },
                configurations: { development: { optimization: false, sourceMap: true } },
              },
              serve: { builder: '@angular/build:dev-server', options: { buildTarget: `${name}:build:development` } },
            },
          },
        },
      }),
    },
    {
      file: 'tsconfig.json',
      text: json({
        compilerOptions: {
          target: 'ES2022',
          lib: ['ES2023', 'DOM', 'DOM.Iterable'],
          module: 'ES2022',
          moduleResolution: 'bundler',
          strict: true,
          experimentalDecorators: true,
          importHelpers: true,
          skipLibCheck: true,
          types: [],
          rootDir: 'src',
          outDir: 'build',
        },
        angularCompilerOptions: { strictTemplates: true },
        include: ['src/**/*.ts'],
      }),
    },
    styleFile(skeleton),
    appFile(skeleton),
    {
      file: 'src/main.ts',
      text: `import { provideZonelessChangeDetection } from '@angular/core';\nimport { bootstrapApplication } from '@angular/platform-browser';\nimport { App } from './app';\n\nbootstrapApplication(App, { providers: [provideZonelessChangeDetection()] }).catch((error: unknown) => console.error(error));\n`,
    },
  ];
}

/** Writes a skeleton as a small application of Angular 20: standalone components with signals. */
export const angularSkeleton: SkeletonWriter = {
  framework: 'angular',
  write: (skeleton) => [
    ...frame(skeleton),
    ...filesBeside(skeleton, { part: (part) => partFiles(part, skeleton), context: contextFile, store: storeFile }),
  ],
};
