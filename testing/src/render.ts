import { createRequire } from 'node:module';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { compileScript, parse } from '@vue/compiler-sfc';
import { compile } from 'svelte/compiler';
import ts from 'typescript';
import type { Files } from './project';

const require = createRequire(import.meta.url);

/** What a framework itself writes for the component `App` of some files; comments and ids of its own are left out. */
export async function rendered(files: Files): Promise<string> {
  const folder = mkdtempSync(path.join(import.meta.dirname, '.rendered-'));
  const at = (file: string): string => path.join(folder, file.replace(/\.(?:tsx|ts|vue|svelte)$/, '.mjs').replace(/\//g, '_'));
  const relinked = (code: string, from: string): string =>
    code.replace(/(from\s*['"])(\.[^'"]+)(['"])/g, (_, before: string, way: string, after: string) => {
      const target = path.posix.normalize(path.posix.join(path.posix.dirname(from), way));
      const file = Object.keys(files).find((one) => one === target || one.replace(/\.\w+$/, '') === target) ?? target;
      return `${before}./${path.basename(at(file))}${after}`;
    });
  try {
    mkdirSync(folder, { recursive: true });
    for (const [file, text] of Object.entries(files)) {
      if (/main\.\w+$/.test(file) || text === '') continue;
      writeFileSync(at(file), relinked(compiled(file, text), file));
    }
    const app = Object.keys(files).find((file) => /(?:^|\/)App\.\w+$/.test(file)) ?? '';
    const module = (await import(/* @vite-ignore */ pathToFileURL(at(app)).href)) as Record<string, unknown>;
    const component = module['App'] ?? module['default'];
    return tidied(await markup(app, component));
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function compiled(file: string, text: string): string {
  if (file.endsWith('.svelte')) return compile(text, { generate: 'server', filename: file }).js.code;
  if (file.endsWith('.vue')) {
    const { descriptor } = parse(text, { filename: file });
    const sfc =
      descriptor.scriptSetup || descriptor.script
        ? descriptor
        : parse(`<script setup>/**/</script>\n${text}`, { filename: file }).descriptor;
    return plain(compileScript(sfc, { id: file, inlineTemplate: true }).content);
  }
  return plain(text);
}

const plain = (text: string): string =>
  ts.transpileModule(text, { compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022, jsx: ts.JsxEmit.ReactJSX } })
    .outputText;

async function markup(file: string, component: unknown): Promise<string> {
  if (file.endsWith('.svelte')) {
    const { render } = require('svelte/server') as { render: (one: unknown, options: object) => { body: string } };
    return render(component, { props: {} }).body;
  }
  if (file.endsWith('.vue')) {
    const { createSSRApp } = (await import('vue')) as { createSSRApp: (one: unknown) => unknown };
    const { renderToString } = (await import('vue/server-renderer')) as unknown as { renderToString: (app: unknown) => Promise<string> };
    return renderToString(createSSRApp(component));
  }
  const { createElement } = (await import('react')) as unknown as { createElement: (one: unknown) => unknown };
  const { renderToStaticMarkup } = (await import('react-dom/server')) as unknown as { renderToStaticMarkup: (one: unknown) => string };
  return renderToStaticMarkup(createElement(component));
}

const tidied = (html: string): string =>
  html
    .replace(/<!--[\s\S]*?-->/g, '')
    .replace(/\s+/g, ' ')
    .replace(/> </g, '><')
    .trim();
