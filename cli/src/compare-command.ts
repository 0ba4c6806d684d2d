import { stat } from 'node:fs/promises';
import { Command, Option } from 'commander';
import {
  comparedIn,
  compareProjects,
  comparisonEntry,
  comparisonMarkdown,
  comparisonSarif,
  comparisonText,
  type ProjectComparison,
  type Side,
} from '@liana/core';
import { FolderError } from './folder';
import { type Output, parsed } from './program';
import { analyseFolder } from './report';
import { type NamedFolder, readSide } from './sides';

const formats = ['text', 'json', 'markdown', 'sarif'] as const;
const failOns = ['breaks', 'changes', 'never'] as const;

type Options = {
  readonly format?: (typeof formats)[number];
  readonly json?: boolean;
  readonly failOn: (typeof failOns)[number];
};

function sideOf({ folder }: NamedFolder): Side {
  const texts = new Map([...folder.sources, ...folder.configs].map(({ file, text }) => [file, text]));
  const { model, findings } = analyseFolder(folder);
  return { model, findings, textOf: (file) => texts.get(file) };
}

const fails = (comparison: ProjectComparison, failOn: Options['failOn']): boolean =>
  (failOn !== 'never' && comparison.breaks.length > 0) ||
  (failOn === 'changes' && comparison.components.some(({ contract, status }) => contract.length > 0 || status === 'gone'));

/** The folder in whose repository a commit is looked for: the other side where that is one, else where the command runs. */
async function besideOf(...sides: readonly string[]): Promise<string> {
  for (const side of sides) if (!side.startsWith('git:') && (await stat(side).catch(() => undefined))?.isDirectory()) return side;
  return '.';
}

/** The shell command `compare` with its arguments; the code that it ends with: 0, 1 for what `--fail-on` asks for, 2 for what cannot be done. */
export async function runCompare(args: readonly string[], { out, err }: Output): Promise<number> {
  let code = 0;
  const program = new Command('compare')
    .exitOverride()
    .configureOutput({ writeOut: out, writeErr: err })
    .description(
      'Compares two versions of a project: what changed of its components, for whom, and what is broken now that was not before.',
    )
    .argument('<before>', 'a folder, a zip archive, or git:REF for a commit, branch or tag of the other folder (git:REF:FOLDER of another)')
    .argument('<after>', 'the same, of the later version')
    .addOption(new Option('--format <form>', 'how it is printed (default: text)').choices(formats))
    .option('--json', 'the same as --format json')
    .addOption(
      new Option('--fail-on <what>', 'end with 1 where something breaks, or where a contract changes for its users')
        .choices(failOns)
        .default('never'),
    )
    .action(async (given: string, later: string, options: Options) => {
      try {
        const beside = await besideOf(later, given);
        const [before, after] = [sideOf(await readSide(given, beside)), sideOf(await readSide(later, beside))];
        for (const [side, name] of [
          [before, given],
          [after, later],
        ] as const)
          if (comparedIn(side).length === 0) err(`${name} has no component that can be read.\n`);
        const comparison = compareProjects(before, after);
        const entry = comparisonEntry(before, after, comparison);
        const format = options.format ?? (options.json ? 'json' : 'text');
        if (format === 'json') out(`${JSON.stringify(entry, undefined, 2)}\n`);
        else if (format === 'markdown') out(comparisonMarkdown(`${given} and ${later}`, entry));
        else if (format === 'sarif') out(comparisonSarif(after, comparison));
        else out(comparisonText(entry));
        code = fails(comparison, options.failOn) ? 1 : 0;
      } catch (error) {
        if (!(error instanceof FolderError)) throw error;
        err(`${error.message}\n`);
        code = 2;
      }
    });
  return (await parsed(program, args)) ?? code;
}
