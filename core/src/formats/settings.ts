import Joi from 'joi';
import { severities } from '../model/finding';
import { catalogue } from '../rules';
import type { RuleSettings } from '../triage';

/** What may end a run of the shell command with a failure: a finding of this severity, or of a worse one. */
export const failOns = [...severities, 'never'] as const;
export type FailOn = (typeof failOns)[number];
export const findingFormats = ['text', 'json', 'sarif', 'markdown', 'csv'] as const;
export type FindingFormat = (typeof findingFormats)[number];

/** What `liana.config.json` may say. */
export type Settings = {
  readonly rules?: RuleSettings;
  /** From which likeness on two components are twins, 0.5 to 1. */
  readonly twinsFrom?: number;
  readonly failOn?: FailOn;
  readonly format?: FindingFormat;
  readonly baseline?: string;
};

export const settingsFile = 'liana.config.json';

/** What a project may say of the likeness from which on two components are twins. */
export const twinsFromSchema = Joi.number().min(0.5).max(1);

const ruleSetting = Joi.string().valid('off', ...severities);
const schema = Joi.object<Settings>({
  rules: Joi.object(Object.fromEntries(Object.keys(catalogue).map((rule) => [rule, ruleSetting]))),
  twinsFrom: twinsFromSchema,
  failOn: Joi.string().valid(...failOns),
  format: Joi.string().valid(...findingFormats),
  baseline: Joi.string(),
});

/** Reads the text of a settings file; says all that is wrong with it, with the names of the keys. */
export function parseSettings(text: string): { readonly settings: Settings } | { readonly wrong: string } {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch (error) {
    return { wrong: `it is no JSON: ${(error as Error).message}` };
  }
  const { value, error } = schema.validate(given, { abortEarly: false });
  if (error) return { wrong: error.details.map((detail) => detail.message.replace(/"/g, '')).join('; ') };
  return { settings: value as Settings };
}

const baselineSchema = Joi.object({
  findings: Joi.array()
    .items(Joi.object({ key: Joi.string().required() }).unknown())
    .required(),
}).unknown();

/** The keys of the findings in a report that was kept as JSON. */
export function parseBaseline(text: string): { readonly keys: ReadonlySet<string> } | { readonly wrong: string } {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch (error) {
    return { wrong: `it is no JSON: ${(error as Error).message}` };
  }
  const { value, error } = baselineSchema.validate(given);
  if (error) return { wrong: error.message.replace(/"/g, '') };
  return { keys: new Set((value as { findings: { key: string }[] }).findings.map((one) => one.key)) };
}
