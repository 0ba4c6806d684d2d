import type { Files } from './project';

/**
 * A component, or a directive where it has no template: the body of its class, its markup, the names of what its
 * markup may use, further options of its decorator, and what stands before it.
 */
export type AngularPart = {
  readonly template?: string;
  readonly js?: string;
  readonly uses?: readonly string[];
  readonly selector?: string;
  readonly options?: string;
  readonly head?: string;
  readonly base?: string;
};

/** `LockRow` → `lock-row`. */
const hyphened = (name: string): string => name.replace(/(?<=[a-z\d])([A-Z])/g, '-$1').toLowerCase();

const core =
  'ChangeDetectionStrategy, Component, computed, ContentChild, Directive, effect, EventEmitter, HostBinding, HostListener, inject, Injectable, InjectionToken, Input, input, linkedSignal, model, Output, output, NgModule, Pipe, signal, TemplateRef, untracked, viewChild, ViewContainerRef';

/** The head of a file of such a project: what the framework gives, and what the other files do. */
const head = (own: string, names: readonly string[], modules: Readonly<Record<string, string>>): string =>
  [
    `import { ${core} } from '@angular/core';`,
    ...names.filter((name) => name !== own).map((name) => `import { ${name} } from './${hyphened(name)}';`),
    ...Object.entries(modules).map(([name, file]) => `import { ${name} } from '${file}';`),
  ].join('\n');

/**
 * The files of a project of Angular that starts with `App`: a file for each part by its name, with `modules` as further
 * files whose exported names all parts import. Directives are found by an attribute of their name, components by its
 * hyphened spelling.
 */
export function parts(
  all: Readonly<Record<string, AngularPart>>,
  modules: Readonly<Record<string, { readonly names: readonly string[]; readonly text: string }>> = {},
  config = '',
): Files {
  const files: Record<string, string> = {
    'src/main.ts': `import { bootstrapApplication } from '@angular/platform-browser';\nimport { App } from './app';\n${Object.entries(
      modules,
    )
      .map(([file, { names }]) => `import { ${names.join(', ')} } from './${file}';`)
      .join('\n')}\nbootstrapApplication(App${config === '' ? '' : `, ${config}`});\n`,
  };
  const names = Object.keys(all);
  const shared = Object.fromEntries(Object.entries(modules).flatMap(([file, one]) => one.names.map((name) => [name, `./${file}`])));
  for (const [name, { template, js = '', uses = [], selector, options = '', head: before = '', base }] of Object.entries(all)) {
    const isDirective = template === undefined;
    const found = selector ?? (isDirective ? `[${name.replace(/^./, (letter) => letter.toLowerCase())}]` : hyphened(name));
    const told = [
      `  selector: '${found}',`,
      ...(isDirective ? [] : [`  template: \`${template}\`,`]),
      ...(uses.length > 0 ? [`  imports: [${uses.join(', ')}],`] : []),
      ...(options === '' ? [] : [`  ${options},`]),
    ];
    files[`src/${hyphened(name)}.ts`] =
      `${head(name, names, shared)}\n${before}\n@${isDirective ? 'Directive' : 'Component'}({\n${told.join('\n')}\n})\nexport class ${name}${base === undefined ? '' : ` extends ${base}`} {\n${js}\n}\n`;
  }
  for (const [file, { text }] of Object.entries(modules)) files[`src/${file}.ts`] = `import { ${core} } from '@angular/core';\n${text}\n`;
  return files;
}
