import path from 'node:path';
import { compileTemplate, parse } from '@vue/compiler-sfc';
import { compile } from 'svelte/compiler';
import ts from 'typescript';
import { applyEdits, type FilePath, findTwins, isProposed, mergeTwins, patchOf, propose, type TextEdit } from '@liana/core';
import { analyseFolder } from '../../cli/src/report';
import { readFolder } from '../../cli/src/folder';
import { fetched, packages } from './corpus-packages';

// What Liana proposes on real source: how much of it can be written, why the rest cannot, and
// whether the frameworks' own compilers take what was written.

/** What a framework's compiler says against a file; empty for one that it takes, and for one that is gone. */
function errorsOf(file: FilePath, text: string): string[] {
  if (text === '') return [];
  try {
    if (file.endsWith('.svelte')) {
      compile(text, { filename: file });
      return [];
    }
    if (file.endsWith('.vue')) {
      const { descriptor, errors } = parse(text, { filename: file });
      const template = descriptor.template && compileTemplate({ source: descriptor.template.content, filename: file, id: file });
      return [...errors, ...(template?.errors ?? [])].map(String);
    }
    const { diagnostics = [] } = ts.transpileModule(text, {
      fileName: file,
      reportDiagnostics: true,
      compilerOptions: { jsx: ts.JsxEmit.ReactJSX, module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ESNext },
    });
    return diagnostics.map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, ' '));
  } catch (error) {
    return [String(error).split('\n')[0] ?? ''];
  }
}

type Outcome = { readonly what: string } & ({ readonly edits: readonly TextEdit[] } | { readonly wrong: string });

/** `npm run proposals [package] [--patches]`. */
const [asked = '', ...flags] = process.argv.slice(2);
for (const { name, folder: inner = '' } of packages) {
  if (!name.includes(asked)) continue;
  const folder = await readFolder(path.join(fetched(name), inner));
  const { findings, model } = analyseFolder(folder);
  const texts = new Map(folder.sources.map(({ file, text }) => [file, text]));
  const textOf = (file: FilePath): string | undefined => texts.get(file);
  const proposed = findings.flatMap((finding): Outcome[] => {
    const proposal = isProposed(finding.rule) ? propose(model, finding, textOf) : undefined;
    return proposal ? [{ what: `${finding.rule}: ${finding.message}`, ...proposal }] : [];
  });
  const merged = findTwins(model).flatMap(({ pairs }) =>
    pairs.map(({ a, b }): Outcome => ({ what: `twins: ${a} and ${b}`, ...mergeTwins(model, a, b, textOf) })),
  );
  const all = [...proposed, ...merged];
  console.log(`${name}: ${all.length} to propose, ${all.filter((one) => 'edits' in one).length} written`);
  for (const one of all) {
    if ('wrong' in one) {
      console.log(`  refused  ${one.what}\n           ${one.wrong}`);
      continue;
    }
    const files = [...new Set(one.edits.map((edit) => edit.file))];
    const errors = files.flatMap((file) => {
      const before = new Set(errorsOf(file, textOf(file) ?? ''));
      const own = one.edits.filter((edit) => edit.file === file);
      return errorsOf(file, applyEdits(textOf(file) ?? '', own)).filter((error) => !before.has(error));
    });
    console.log(`  written  ${one.what}${errors.map((error) => `\n    ERROR  ${error}`).join('')}`);
    if (flags.includes('--patches')) console.log(patchOf(one.edits, textOf));
  }
}
