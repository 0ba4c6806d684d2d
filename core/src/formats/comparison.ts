import type { ComparedComponent, ContractChange, ProjectComparison, Side, Status } from '../compare';
import { lostWords, type WhatIf } from '../what-if';
import { type FindingEntry, findingEntries, findingsSarif } from './findings';
import { append } from '../model/append';

/** A comparison as it leaves Liana: names, files and lines (1-based) instead of what only a running program knows. */
export type ComparisonEntry = {
  readonly summary: string;
  readonly components: readonly {
    /** Names; null where the version has none. */
    readonly before: string | null;
    readonly after: string | null;
    readonly file: string;
    readonly status: Status;
    readonly holds: boolean | null;
    readonly rewritten: boolean;
    readonly alike: number;
    readonly contract: readonly ContractChange[];
    /** The component in a sentence. */
    readonly says: string;
  }[];
  readonly breaks: readonly {
    readonly file: string;
    readonly line: number;
    readonly component: string;
    /** The rule that tells of it. */
    readonly why: string;
    readonly subject: string;
    readonly says: string;
  }[];
  readonly ways: ProjectComparison['ways'];
  readonly answers: readonly {
    readonly component: string;
    readonly place: string;
    readonly key: string;
    readonly before: string | null;
    readonly after: string | null;
  }[];
  readonly findings: { readonly new: readonly FindingEntry[]; readonly gone: readonly FindingEntry[] };
};

const counted = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

const memberWords: Readonly<Record<ContractChange['change'], (change: ContractChange) => string>> = {
  new: ({ member, name }) => `${member} ${name} is new`,
  gone: ({ member, name }) => `${member} ${name} is gone`,
  renamed: ({ member, name, to }) => `${member} ${name} is named ${to ?? ''} now`,
  required: ({ member, name }) => `${member} ${name} must be given now`,
  optional: ({ member, name }) => `${member} ${name} may be left out now`,
  kind: ({ member, name, to }) => `${member} ${name} takes ${to ?? 'something else'} now`,
  default: ({ member, name, to }) =>
    to === undefined ? `${member} ${name} has no default any more` : `${member} ${name} is ${to} by default now`,
};

/** A change of a contract in words: `prop tone is named level now`. */
export const contractWords = (change: ContractChange): string => memberWords[change.change](change);

const nameOf = ({ before, after }: ComparedComponent): string => (after ?? before)?.name ?? '';

/** What became of one component, in a sentence. */
export function comparedWords(one: ComparedComponent): string {
  const { before, after, status, holds, rewritten, contract } = one;
  if (status === 'new') return `${nameOf(one)} is new.`;
  if (status === 'gone') return `${nameOf(one)} is gone.`;
  if (status === 'same')
    return holds === false ? `${nameOf(one)} was not touched, and something in it is broken now.` : `${nameOf(one)} was not touched.`;
  const became = [
    before && after && before.name !== after.name ? `${before.name} is named ${after.name} now` : nameOf(one),
    before && after && before.file !== after.file ? `stands in ${after.file}` : '',
    rewritten ? 'is written in another form' : '',
  ].filter((part) => part !== '');
  const [subject = '', ...rest] = became;
  const isNamed = subject !== nameOf(one);
  const head = rest.length > 0 ? `${subject}${isNamed ? ', and' : ''} ${rest.join(' and ')}` : isNamed ? subject : `${subject} was changed`;
  const contracts = contract.length > 0 ? `: ${contract.map(contractWords).join(', ')}` : '';
  return `${head}${contracts}. ${holds === false ? 'It no longer holds what it held.' : 'It holds what it held, as far as can be read.'}`;
}

/** The whole comparison in a sentence or two. */
export function comparisonSummary({ components, breaks }: ProjectComparison): string {
  const both = components.filter(({ holds }) => holds !== undefined);
  if (components.length === 0) return 'Neither version has a component that can be read.';
  const holding = both.filter(({ holds }) => holds === true).length;
  const count = (status: Status): number => components.filter((one) => one.status === status).length;
  const parts = (['renamed', 'moved', 'new', 'gone'] as const).flatMap((status) =>
    count(status) > 0 ? [`${count(status)} ${status}`] : [],
  );
  const held =
    both.length === 0
      ? 'No component of one version was found in the other'
      : `${holding} of ${counted(both.length, 'component')} ${both.length === 1 ? 'holds what it held' : 'hold what they held'}`;
  const broken =
    breaks.length === 0
      ? 'nothing is broken that was not before'
      : `${counted(breaks.length, 'thing')} ${breaks.length === 1 ? 'is' : 'are'} broken that ${breaks.length === 1 ? 'was' : 'were'} not before`;
  return `${held}; ${broken}.${parts.length > 0 ? ` Also: ${parts.join(', ')}.` : ''}`;
}

/** Puts a comparison into the form in which it leaves Liana. */
export function comparisonEntry(before: Side, after: Side, comparison: ProjectComparison): ComparisonEntry {
  const breaks = findingEntries(after.model, comparison.breaks, after.textOf);
  return {
    summary: comparisonSummary(comparison),
    components: comparison.components.map((one) => ({
      before: one.before?.name ?? null,
      after: one.after?.name ?? null,
      file: (one.after ?? one.before)?.file ?? '',
      status: one.status,
      holds: one.holds ?? null,
      rewritten: one.rewritten,
      alike: Math.round(one.alike * 100) / 100,
      contract: one.contract,
      says: comparedWords(one),
    })),
    breaks: breaks.map(({ file, line, component, rule, subject, message }) => ({
      file,
      line,
      component,
      why: rule,
      subject,
      says: message,
    })),
    ways: comparison.ways,
    answers: comparison.answers.map(({ component, place, key, before: was, after: is }) => ({
      component,
      place,
      key,
      before: was ?? null,
      after: is ?? null,
    })),
    findings: {
      new: findingEntries(after.model, comparison.findings.new, after.textOf),
      gone: findingEntries(before.model, comparison.findings.gone, before.textOf),
    },
  };
}

/** The lines of a comparison: what breaks first, then what each component became; untouched ones are only counted. */
export function comparisonText({ summary, components, breaks, ways, answers }: ComparisonEntry): string {
  const lines = [summary];
  if (breaks.length > 0)
    append(lines, ['', 'Broken now, and not before:', ...breaks.map(({ file, line, says }) => `  ${file}:${line} ${says}`)]);
  const touched = components.filter(({ status, holds }) => status !== 'same' || holds === false);
  if (touched.length > 0) append(lines, ['', 'Components:', ...touched.map(({ says }) => `  ${says}`)]);
  const untouched = components.length - touched.length;
  if (untouched > 0) lines.push(`  ${counted(untouched, 'component')} ${untouched === 1 ? 'was' : 'were'} not touched.`);
  const other = ways.filter(({ lost, gained }) => lost.length + gained.length > 0);
  const standing = ({ component, place }: { component: string; place: string }): string => (place ? `${component} in ${place}` : component);
  if (other.length > 0)
    append(lines, [
      '',
      'Values that go elsewhere:',
      ...other.map(({ of, lost, gained }) =>
        [
          `  ${of}`,
          lost.length > 0 ? `no longer comes to ${lost.map(standing).join(', ')}` : '',
          gained.length > 0 ? `${lost.length > 0 ? 'and now' : 'now'} comes to ${gained.map(standing).join(', ')}` : '',
        ]
          .filter((part) => part !== '')
          .join(' '),
      ),
    ]);
  const answered = answers.filter(({ before, after }) => before !== after);
  if (answered.length > 0)
    append(lines, [
      '',
      'Another answers:',
      ...answered.map((one) => `  ${one.key} of ${standing(one)}: ${one.before ?? 'nobody'} before, ${one.after ?? 'nobody'} now`),
    ]);
  return `${lines.join('\n')}\n`;
}

const cell = (text: string): string => text.replace(/\|/g, '\\|').replace(/\s+/g, ' ');

/** A comparison as Markdown, for a review. */
export function comparisonMarkdown(title: string, { summary, components, breaks, ways, answers }: ComparisonEntry): string {
  const touched = components.filter(({ status, holds }) => status !== 'same' || holds === false);
  const table = (head: readonly string[], rows: readonly (readonly string[])[]): string[] =>
    rows.length === 0
      ? []
      : [
          `| ${head.join(' | ')} |`,
          `| ${head.map(() => '---').join(' | ')} |`,
          ...rows.map((row) => `| ${row.map(cell).join(' | ')} |`),
          '',
        ];
  const section = (name: string, rows: readonly string[]): string[] => (rows.length === 0 ? [] : [`## ${name}`, '', ...rows]);
  return `${[
    `# ${title}`,
    '',
    summary,
    '',
    ...section(
      'Broken now, and not before',
      table(
        ['Where', 'What'],
        breaks.map(({ file, line, says }) => [`${file}:${line}`, says]),
      ),
    ),
    ...section(
      'Components',
      table(
        ['Component', 'Status', 'What became of it'],
        touched.map(({ before, after, status, says }) => [after ?? before ?? '', status, says]),
      ),
    ),
    ...section(
      'Values that go elsewhere',
      table(
        ['Value', 'No longer comes to', 'Now comes to'],
        ways
          .filter(({ lost, gained }) => lost.length + gained.length > 0)
          .map(({ of, lost, gained }) => [
            of,
            lost.map(({ component }) => component).join(', '),
            gained.map(({ component }) => component).join(', '),
          ]),
      ),
    ),
    ...section(
      'Another answers',
      table(
        ['Asked for', 'By', 'Before', 'Now'],
        answers
          .filter((one) => one.before !== one.after)
          .map(({ key, component, before, after }) => [key, component, before ?? 'nobody', after ?? 'nobody']),
      ),
    ),
  ].join('\n')}\n`;
}

/** What breaks, as SARIF 2.1.0. */
export const comparisonSarif = (after: Side, { breaks }: ProjectComparison): string =>
  findingsSarif(findingEntries(after.model, breaks, after.textOf));

/** What would become of a move, in lines. */
export function whatIfText({ move, answers, elsewhere, endless, lost, another, unheard, heardBy, unchanged }: WhatIf): string {
  const lines = [
    ...(endless ? ['  It would stand within itself, again and again, unless a condition ends it.'] : []),
    ...answers.map(({ component, key, before, after }) =>
      before === after
        ? `  ${key} of ${component} would still be answered by ${after ?? 'nobody'}.`
        : `  ${key} of ${component} would be answered by ${after ?? 'nobody'}; now it is by ${before ?? 'nobody'}.`,
    ),
    ...elsewhere.map(
      ({ page, component, key, after }) =>
        `  On ${page} it would stand as well, and ${key} of ${component} would be answered by ${after ?? 'nobody'}.`,
    ),
    ...lost.map((one) => `  ${one.name} of ${one.component} ${lostWords(one)}`),
    ...another.map(({ component, name, of }) => `  ${component} would be given another value for ${name}: the ${of} that is known there.`),
    ...unheard.map(({ component, event }) => `  Nobody would hear ${event} of ${component}.`),
    ...heardBy.map(({ component, event, by }) => `  ${by} would hear ${event} of ${component}.`),
    ...(unchanged.length > 0 ? [`  ${unchanged.map(({ name }) => name).join(', ')} would be given as now.`] : []),
  ];
  return [move, ...(lines.length > 0 ? lines : ['  Nothing would change.']), ''].join('\n');
}
