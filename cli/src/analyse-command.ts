import { readFileSync } from 'node:fs';
import path from 'node:path';
import { Command, Option } from 'commander';
import {
  asks,
  failOns,
  findingFormats,
  findingsCsv,
  findingsMarkdown,
  findingsSarif,
  parseBaseline,
  parseSettings,
  type Settings,
  settingsFile,
} from '@liana/core';
import { type Asked, answerAsked, isAsked } from './asked';
import { FolderError, readFolder } from './folder';
import { gate } from './gate';
import { type Output, parsed } from './program';
import { analyseFolder, makeReport, type Report, summarise } from './report';

/** Something given to the command that it cannot work with; the message says what and where. */
class GivenError extends Error {}

type Options = Pick<Settings, 'format' | 'failOn' | 'baseline'> & {
  readonly json?: boolean;
  readonly rules?: string;
  readonly config?: string;
} & Asked;

function textOf(file: string, what: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    throw new GivenError(`${what} ${file} cannot be read.`);
  }
}

/** The settings of the folder, or of the file that was named; empty where there is none. */
function settingsFor(directory: string, named: string | undefined): Settings {
  const file = named ?? path.join(directory, settingsFile);
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    // A folder that is none is told of where it is read.
    if (named === undefined && /^(ENOENT|ENOTDIR)$/.test((error as NodeJS.ErrnoException).code ?? '')) return {};
    throw new GivenError(`The settings ${file} cannot be read.`);
  }
  const parsed = parseSettings(text);
  if ('wrong' in parsed) throw new GivenError(`The settings ${file} are not understood: ${parsed.wrong}.`);
  return parsed.settings;
}

function baselineIn(file: string): ReadonlySet<string> {
  const parsed = parseBaseline(textOf(file, 'The baseline'));
  if ('wrong' in parsed) throw new GivenError(`The baseline ${file} is not understood: ${parsed.wrong}.`);
  return parsed.keys;
}

function printed(report: Report, format: Settings['format'], name: string, known: ReadonlySet<string> | undefined): string {
  switch (format) {
    case 'json':
      return `${JSON.stringify(report, undefined, 2)}\n`;
    case 'sarif':
      return findingsSarif(report.findings, known);
    case 'markdown':
      return findingsMarkdown(name, report.findings);
    case 'csv':
      return findingsCsv(report.findings);
    default:
      return `${summarise(report)}\n`;
  }
}

const collected = (value: string, before: readonly string[]): readonly string[] => [...before, value];

/** The shell command `analyse` with its arguments, without the names of the program; the code that it ends with. */
export async function runAnalyse(args: readonly string[], { out, err }: Output): Promise<number> {
  let code = 0;
  const program = new Command('analyse')
    .exitOverride()
    .configureOutput({ writeOut: out, writeErr: err })
    .description('Reads the source in a folder and prints its components, pages and findings.')
    .argument('<dir>', 'the folder')
    .addOption(new Option('--format <form>', 'how findings are printed (default: text)').choices(findingFormats))
    .option('--json', 'the same as --format json')
    .addOption(
      new Option('--fail-on <severity>', 'end with 1 if there is an open finding as severe as this (default: never)').choices(failOns),
    )
    .option('--baseline <file>', 'a report kept as JSON: findings that are in it do not fail')
    .option('--rules <ids>', 'only these rules, separated by commas')
    .option('--tree <page>', 'the tree of this page, by its name, path or file; as often as wanted', collected, [])
    .option('--trees', 'the trees of all pages', false)
    .option(
      '--trace <question>',
      `the answer to a question of a value or an event: ASK:Component.name (with @Parent for one of several places) or ASK:file#name, where ASK is ${asks.join(', ')}; as often as wanted`,
      collected,
      [],
    )
    .option(
      '--what-if <move>',
      'what would become of a part that stood elsewhere: Component@Parent>Target, with #slot for a slot of the target; as often as wanted',
      collected,
      [],
    )
    .option('--config <file>', `settings (default: ${settingsFile} in the folder)`)
    .action(async (directory: string, options: Options) => {
      try {
        const settings = settingsFor(directory, options.config);
        const format = options.format ?? (options.json ? 'json' : settings.format);
        const baseline = options.baseline ?? (settings.baseline === undefined ? undefined : path.resolve(directory, settings.baseline));
        const known = baseline === undefined ? undefined : baselineIn(baseline);
        const failOn = options.failOn ?? settings.failOn ?? 'never';
        const folder = await readFolder(directory);
        if (failOn !== 'never' && folder.sources.length === 0)
          throw new GivenError(`${directory} holds no source that could fail; is it the folder that was meant?`);
        const gated = gate(analyseFolder(folder, settings.twinsFrom === undefined ? {} : { twinsFrom: settings.twinsFrom }), {
          settings: settings.rules ?? {},
          only: options.rules?.split(',').map((one) => one.trim()),
        });
        if ('wrong' in gated) throw new GivenError(gated.wrong);
        const asked = answerAsked(folder, gated.analysed.model, options);
        const report = { ...makeReport(folder, gated.analysed), ...asked.report };
        const inWords = isAsked(options) && (format ?? 'text') === 'text';
        out(inWords ? asked.text : printed(report, format, path.basename(path.resolve(directory)), known));
        code = gated.fails(report, failOn, known) ? 1 : 0;
        for (const one of asked.missing) err(`${one}\n`);
        if (asked.missing.length > 0) code = 2;
      } catch (error) {
        if (!(error instanceof FolderError) && !(error instanceof GivenError)) throw error;
        err(`${error.message}\n`);
        code = 2;
      }
    });
  return (await parsed(program, args)) ?? code;
}
