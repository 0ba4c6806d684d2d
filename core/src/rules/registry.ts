import type { RuleId } from './catalogue';
import { contextMissing } from './context-missing';
import { eventUnheard } from './event-unheard';
import { listUnkeyed } from './list-unkeyed';
import { propCarried } from './prop-carried';
import { propMissing } from './prop-missing';
import { propSpelt } from './prop-spelt';
import { propUnknown } from './prop-unknown';
import type { Rule } from './rule';

/** Every rule by its id; the catalogue has the same ids. */
export const rules: Readonly<Record<RuleId, Rule>> = {
  'prop-missing': propMissing,
  'prop-spelt': propSpelt,
  'prop-unknown': propUnknown,
  'context-missing': contextMissing,
  'event-unheard': eventUnheard,
  'list-unkeyed': listUnkeyed,
  'prop-carried': propCarried,
};
