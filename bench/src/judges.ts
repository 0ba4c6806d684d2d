import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { stripVTControlCharacters } from 'node:util';
import { chromium } from '@playwright/test';
import ts from 'typescript';
import { createServer, createLogger } from 'vite';
import { browser as browserOptions } from '../../e2e/browser';
import type { Fault } from './fault-kinds';

/** What a framework itself says of a demo with a fault in it: its compiler, and its warnings in development. */
export type Judge = {
  /** What is said with the edits made, and was not said before; empty for nothing. */
  readonly says: (edits: Fault['edits']) => Promise<string[]>;
  readonly close: () => Promise<void>;
};

export type Judged = 'react' | 'vue' | 'svelte';

const pages: Readonly<Record<Judged, readonly string[]>> = {
  react: ['/', '/locks/aldermoor', '/roster'],
  vue: ['/', '/locks/aldermoor', '/roster'],
  svelte: ['/#/', '/#/locks/aldermoor', '/#/roster'],
};

/** A text with edits made, whatever their order. */
export function edited(text: string, edits: Fault['edits']): string {
  return [...edits]
    .sort((a, b) => b.start - a.start)
    .reduce((made, one) => made.slice(0, one.start) + one.text + made.slice(one.end), text);
}

/** TypeScript's own errors about a folder, file by file as it is asked. */
function typeErrors(root: string): (files: ReadonlyMap<string, string>) => string[] {
  const configFile = path.join(root, 'tsconfig.json');
  const config = ts.parseJsonConfigFileContent(ts.readConfigFile(configFile, ts.sys.readFile.bind(ts.sys)).config, ts.sys, root);
  let given: ReadonlyMap<string, string> = new Map();
  let turn = 0;
  const changed = new Map<string, number>();
  const service = ts.createLanguageService({
    getCompilationSettings: () => config.options,
    getScriptFileNames: () => config.fileNames,
    getScriptVersion: (file) => String(changed.get(file) ?? 0),
    getScriptSnapshot: (file) => {
      const text = given.get(file) ?? ts.sys.readFile(file);
      return text === undefined ? undefined : ts.ScriptSnapshot.fromString(text);
    },
    getCurrentDirectory: () => root,
    getDefaultLibFileName: (options) => ts.getDefaultLibFilePath(options),
    fileExists: ts.sys.fileExists.bind(ts.sys),
    readFile: ts.sys.readFile.bind(ts.sys),
    readDirectory: ts.sys.readDirectory.bind(ts.sys),
    directoryExists: ts.sys.directoryExists.bind(ts.sys),
    getDirectories: ts.sys.getDirectories.bind(ts.sys),
  });
  return (files) => {
    turn++;
    for (const file of [...given.keys(), ...files.keys()]) changed.set(file, turn);
    given = files;
    return config.fileNames.flatMap((file) =>
      [...service.getSyntacticDiagnostics(file), ...service.getSemanticDiagnostics(file)].map((one) =>
        ts.flattenDiagnosticMessageText(one.messageText, ' '),
      ),
    );
  };
}

/** Starts a copy of a sound demo in development, with a browser before it. */
export async function makeJudge(framework: Judged): Promise<Judge> {
  const sound = fileURLToPath(new URL(`../../demo/${framework}/sound`, import.meta.url));
  const root = fileURLToPath(new URL(`../.judge/${framework}`, import.meta.url));
  rmSync(root, { recursive: true, force: true });
  mkdirSync(path.dirname(root), { recursive: true });
  cpSync(sound, root, { recursive: true });
  const said: string[] = [];
  const logger = createLogger('silent');
  const note = (message: string): void => void said.push(stripVTControlCharacters(message));
  const server = await createServer({
    root,
    configFile: path.join(root, 'vite.config.ts'),
    customLogger: { ...logger, warn: note, error: note },
    server: { port: 0, host: 'localhost', hmr: false, watch: null },
    optimizeDeps: { entries: ['index.html'] },
    cacheDir: path.join(root, '.vite'),
  });
  await server.listen();
  const base = server.resolvedUrls?.local[0]?.replace(/\/$/, '') ?? '';
  const browser = await chromium.launch(browserOptions.launchOptions);
  const page = await browser.newPage();
  page.on('console', (message) => {
    if (message.type() === 'warning' || message.type() === 'error') said.push(message.text());
  });
  page.on('pageerror', (error) => said.push(error.message));
  const types = framework === 'react' ? typeErrors(root) : undefined;

  const visit = async (): Promise<void> => {
    for (const one of pages[framework]) {
      await page.goto('about:blank');
      await page.goto(`${base}${one}`, { waitUntil: 'load' });
      await page.waitForTimeout(120);
    }
  };
  await visit();
  await visit();
  const known = new Set(said);

  const says = async (edits: Fault['edits']): Promise<string[]> => {
    const files = [...new Set(edits.map((one) => one.file))];
    const before = new Map(files.map((file) => [file, readFileSync(path.join(root, file), 'utf8')]));
    const put = (file: string, text: string): void => {
      writeFileSync(path.join(root, file), text);
      for (const one of server.moduleGraph.getModulesByFile(path.join(root, file)) ?? []) server.moduleGraph.invalidateModule(one);
    };
    said.length = 0;
    const after = new Map(
      [...before].map(([file, text]) => [
        file,
        edited(
          text,
          edits.filter((one) => one.file === file),
        ),
      ]),
    );
    for (const [file, text] of after) put(file, text);
    try {
      const wrong = types?.(new Map([...after].map(([file, text]) => [path.join(root, file), text]))) ?? [];
      if (wrong.length === 0) await visit();
      return [...new Set([...wrong, ...said])].filter((one) => !known.has(one) && !/favicon|status of 404/.test(one));
    } finally {
      for (const [file, text] of before) put(file, text);
    }
  };
  return {
    says,
    close: async () => {
      await browser.close();
      await server.close();
      rmSync(root, { recursive: true, force: true });
    },
  };
}
