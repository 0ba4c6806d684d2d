import type { MemberKey } from '../model/member';
import type { Use } from '../model/model';
import type { Location } from '../model/span';
import type { RuleId } from './ids';
import type { Found } from './rule';

/** Of two rules that fit one cause, the one that is silent, with those that speak in its stead. */
export const yieldsTo: Readonly<Partial<Record<RuleId, readonly RuleId[]>>> = {
  'prop-missing': ['prop-spelt'],
  'prop-unknown': ['prop-spelt'],
  'slot-nowhere': ['prop-spelt'],
  'event-stops-short': ['prop-spelt'],
  'event-never-raised': ['prop-spelt', 'event-stops-short'],
  'name-unknown': ['prop-spelt'],
  'handler-missing': ['prop-spelt'],
};

/** What a member is, or is not, at one use. */
export const causeAt = (use: Use, member: MemberKey): string => `${use.id} ${member}`;

/** What stands at the end of a name in the text: a short form gives a prop and reads a value by one name. */
export const causeOfName = ({ file, end }: Pick<Location, 'file' | 'end'>): string => `${file} ${end}`;

const winning: ReadonlySet<RuleId> = new Set(Object.values(yieldsTo).flat());

/** Leaves out what is found of a cause of which another rule speaks. */
export function withoutYielding(all: readonly Found[]): Found[] {
  const told = new Set(all.flatMap(({ rule, causes }) => (winning.has(rule) ? (causes ?? []).map((cause) => `${rule} ${cause}`) : [])));
  return all.filter(({ rule, causes }) => {
    const others = yieldsTo[rule];
    return !others || !causes?.some((cause) => others.some((other) => told.has(`${other} ${cause}`)));
  });
}
