import { channelsCatalogue } from './channels/catalogue';
import { contextCatalogue } from './context/catalogue';
import { eventsCatalogue } from './events/catalogue';
import { listsCatalogue } from './lists/catalogue';
import { namesCatalogue } from './names/catalogue';
import { pagesCatalogue } from './pages/catalogue';
import { propsCatalogue } from './props/catalogue';
import { redundantCatalogue } from './redundant/catalogue';
import { slotsCatalogue } from './slots/catalogue';
import { stateCatalogue } from './state/catalogue';
import type { Entry } from './entry';
import { type RuleId, ruleIds } from './ids';

const all: Readonly<Record<RuleId, Entry>> = {
  ...channelsCatalogue,
  ...contextCatalogue,
  ...eventsCatalogue,
  ...listsCatalogue,
  ...namesCatalogue,
  ...pagesCatalogue,
  ...propsCatalogue,
  ...redundantCatalogue,
  ...slotsCatalogue,
  ...stateCatalogue,
};

/** All that Liana says about its findings, one entry a rule, in the order of the list. */
export const catalogue = Object.fromEntries(ruleIds.map((id) => [id, all[id]])) as Readonly<Record<RuleId, Entry>>;

/** The entry of a rule, for any id that may be one. */
export function entryOf(rule: string): Entry | undefined {
  return (catalogue as Readonly<Record<string, Entry>>)[rule];
}
