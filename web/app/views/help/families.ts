import type { RuleFamily, Severity } from '@liana/core';
import type { RuleHelp } from '../../shipped/help.server';

/** What each family of rules is about. */
export const familyWords: Readonly<Record<RuleFamily, string>> = {
  props: 'Props',
  state: 'State and stores',
  events: 'Events',
  slots: 'Slots',
  context: 'Contexts',
  channels: 'Channels and subscriptions',
  lists: 'Lists',
  names: 'Names',
  pages: 'Pages, server and browser',
  redundant: 'Components that are too much or too many',
};

/** Rules whose name, title or description holds every word of a text, in the order of the catalogue. Without a text, all. */
export function rulesNamed(rules: readonly RuleHelp[], text: string, severity: Severity | undefined): RuleHelp[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return rules.filter(
    (rule) =>
      (severity === undefined || rule.severity === severity) &&
      words.every((word) => `${rule.id} ${rule.title} ${rule.help.what}`.toLowerCase().includes(word)),
  );
}
