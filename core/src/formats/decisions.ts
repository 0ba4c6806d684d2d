import Joi from 'joi';
import { severities } from '../model/finding';
import { twinsFromSchema } from './settings';
import { markStates, type RuleSettings, type TriageMark } from '../triage';

/** What was decided in a project: about findings by their key, and about rules. */
export type Decisions = {
  readonly marks: Readonly<Record<string, TriageMark>>;
  readonly rules: RuleSettings;
  /** From which likeness on two components are twins; absent for Liana's own. */
  readonly twinsFrom?: number;
};

/** Decisions as they are saved and sent. The format is told in `docs/project-file.md`. */
export type DecisionsDocument = { readonly format: 'liana-decisions'; readonly version: 1 } & Decisions;

/** Puts decisions into the form in which they are saved. */
export function decisionsDocument({ marks, rules, twinsFrom }: Decisions): DecisionsDocument {
  return { format: 'liana-decisions', version: 1, marks, rules, ...(twinsFrom === undefined ? {} : { twinsFrom }) };
}

const schema = Joi.object<DecisionsDocument>({
  format: Joi.valid('liana-decisions').required(),
  version: Joi.valid(1).required(),
  marks: Joi.object()
    .pattern(
      Joi.string(),
      Joi.object({
        state: Joi.valid(...markStates).required(),
        reason: Joi.string().allow('').required(),
        at: Joi.number().integer().min(0).required(),
      }),
    )
    .required(),
  // Rules of another version of Liana are kept, and do nothing.
  rules: Joi.object()
    .pattern(Joi.string(), Joi.valid('off', ...severities))
    .required(),
  twinsFrom: twinsFromSchema,
}).required();

/** Reads decisions out of what was saved; says what is wrong with it, with the name of the field. */
export function parseDecisions(given: unknown): { readonly decisions: Decisions } | { readonly wrong: string } {
  const { value, error } = schema.validate(given);
  if (error) return { wrong: `${error.message}.` };
  const { marks, rules, twinsFrom } = value as DecisionsDocument;
  return { decisions: { marks, rules, ...(twinsFrom === undefined ? {} : { twinsFrom }) } };
}
