import { catalogue, type Entry, type HelpForm } from '../rules';
import { ownValue } from '../model/own-value';

const severityWords = { fault: 'it does not work', risk: 'it breaks in a case that can happen', tidy: 'it works and is too much' } as const;
const frameworkWords: Readonly<Record<string, string>> = { vue: 'Vue', svelte: 'Svelte', react: 'React' };

const formText = ({ fault, sound }: HelpForm, title: string): string =>
  `${title === '' ? '' : `**${title}**\n\n`}The fault:\n\n\`\`\`\n${fault}\n\`\`\`\n\nSound:\n\n\`\`\`\n${sound}\n\`\`\`\n`;

function ruleText(id: string, { title, severity, help }: Entry): string {
  const forms = Object.entries(help.forms ?? {}).map(([framework, form]) =>
    formText(form, `In ${ownValue(frameworkWords, framework) ?? framework}`),
  );
  return [
    `## ${title}`,
    '',
    `\`${id}\` · ${severity}: ${severityWords[severity]}`,
    '',
    help.what,
    '',
    help.why,
    '',
    formText(help, ''),
    ...forms,
  ].join('\n');
}

/** The help of all rules as one document: what each finds, why it matters, the fault and the sound form in each framework. */
export function helpMarkdown(): string {
  const of = (about: Entry['about'], title: string): string[] => [
    `# ${title}\n`,
    ...Object.entries<Entry>(catalogue).flatMap(([id, entry]) => (entry.about === about ? [ruleText(id, entry)] : [])),
  ];
  return [
    '<!-- Written by `npm run help` from the catalogue of rules; a test holds the two together. -->\n',
    ...of('broken binding', 'Broken bindings'),
    ...of('redundant abstraction', 'Redundant abstractions'),
  ].join('\n');
}
