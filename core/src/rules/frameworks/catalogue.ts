import type { Framework } from '../../model/framework';
import { angularWords } from '../angular/catalogue';
import { elementWords } from '../elements/catalogue';
import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What is said otherwise of components of a framework; those of which nothing is are left out. */
const words: Readonly<Partial<Record<Framework, Readonly<Partial<Record<RuleId, Partial<Entry>>>>>>> = {
  elements: elementWords,
  lwc: elementWords,
  angular: angularWords,
};

/** The entry of a rule as it is said of components of a framework. */
export function spokenFor(rule: RuleId, entry: Entry, framework: Framework): Entry {
  // The platform keeps whatever an element is given; the others drop it.
  const severity = rule === 'prop-unknown' && framework === 'elements' ? { severity: 'risk' as const } : {};
  return { ...entry, ...words[framework]?.[rule], ...severity };
}
