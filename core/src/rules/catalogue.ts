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
import { ownValue } from '../model/own-value';

const byFamily = {
  props: propsCatalogue,
  state: stateCatalogue,
  events: eventsCatalogue,
  slots: slotsCatalogue,
  context: contextCatalogue,
  channels: channelsCatalogue,
  lists: listsCatalogue,
  names: namesCatalogue,
  pages: pagesCatalogue,
  redundant: redundantCatalogue,
};

/** What the rules of a family are about; each family is a folder. */
export type RuleFamily = keyof typeof byFamily;

const all: Readonly<Record<RuleId, Entry>> = {
  ...byFamily.props,
  ...byFamily.state,
  ...byFamily.events,
  ...byFamily.slots,
  ...byFamily.context,
  ...byFamily.channels,
  ...byFamily.lists,
  ...byFamily.names,
  ...byFamily.pages,
  ...byFamily.redundant,
};

/** The family of each rule. */
export const familyOf = Object.fromEntries(
  Object.entries(byFamily).flatMap(([family, entries]) => Object.keys(entries).map((id) => [id, family])),
) as Readonly<Record<RuleId, RuleFamily>>;

/** The families, in the order in which help tells of them. */
export const ruleFamilies = Object.keys(byFamily) as readonly RuleFamily[];

/** All that Liana says about its findings, one entry a rule, in the order of the list. */
export const catalogue = Object.fromEntries(ruleIds.map((id) => [id, all[id]])) as Readonly<Record<RuleId, Entry>>;

/** The entry of a rule, for any id that may be one. */
export function entryOf(rule: string): Entry | undefined {
  return ownValue(catalogue as Readonly<Record<string, Entry>>, rule);
}
