import Joi from 'joi';
import type { Plan } from '../carve/plan/plan';

/** A plan as it is kept in the browser and in a project file. The version grows when the shape does. */
export type PlanDocument = { readonly format: 'liana-plan'; readonly version: 1; readonly plan: Plan };

const id = (kind: string) => Joi.string().pattern(new RegExp(`^${kind}-\\d+$`));
const name = Joi.string().max(200);
const whole = Joi.number().integer();
const box = Joi.object({ x: whole.required(), y: whole.required(), width: whole.min(1).required(), height: whole.min(1).required() });
const ids = Joi.array().items(id('part'));

const planSchema = Joi.object({
  name: name.allow('').required(),
  numbered: whole.min(0).required(),
  sheets: Joi.array()
    .items(
      Joi.object({
        id: id('sheet').required(),
        page: id('part').required(),
        title: name.allow('').required(),
        kind: Joi.valid('picture', 'html').required(),
        width: whole.min(1).max(100_000).required(),
        height: whole.min(1).max(1_000_000).required(),
        file: Joi.string().allow('').max(1000).required(),
      }),
    )
    .required(),
  parts: Joi.array()
    .items(
      Joi.object({
        id: id('part').required(),
        name: name.allow('').required(),
        role: Joi.valid('page', 'part').required(),
        note: Joi.string().allow('').required(),
        props: Joi.array()
          .items(Joi.object({ name: name.required(), type: Joi.string().required(), optional: Joi.boolean().required() }))
          .required(),
        events: Joi.array()
          .items(Joi.object({ name: name.required(), payload: Joi.string().allow('').required() }))
          .required(),
        slots: Joi.array()
          .items(Joi.object({ name: name.required(), parts: ids.required() }))
          .required(),
        list: name.allow('').required(),
      }),
    )
    .required(),
  regions: Joi.array()
    .items(
      Joi.object({
        id: id('region').required(),
        sheet: id('sheet').required(),
        part: id('part').required(),
        box: box.required(),
        selector: Joi.string().allow('').required(),
        within: id('region').allow(null),
      }),
    )
    .required(),
  values: Joi.array()
    .items(
      Joi.object({
        id: id('value').required(),
        name: name.required(),
        type: Joi.string().required(),
        readBy: ids.required(),
        changedBy: ids.required(),
        fromServer: Joi.boolean().required(),
        perItem: Joi.boolean().required(),
        otherPages: Joi.boolean().required(),
      }),
    )
    .required(),
});

const documentSchema = Joi.object({
  format: Joi.valid('liana-plan').required(),
  version: Joi.valid(1).required(),
  plan: planSchema.required(),
}).required();

export const planDocument = (plan: Plan): PlanDocument => ({ format: 'liana-plan', version: 1, plan });

/** Reads a plan from what somebody handed in. Says in words which field is wrong, and of what it speaks that is not there. */
export function parsePlan(given: unknown): { readonly plan: Plan } | { readonly wrong: string } {
  const version = (given as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > 1)
    return { wrong: `The plan was written by a newer Liana (version ${version}); this one reads version 1.` };
  const { error, value } = documentSchema.validate(given, { abortEarly: true, convert: false }) as {
    error?: Joi.ValidationError;
    value: PlanDocument;
  };
  if (error) return { wrong: `The plan cannot be read: ${error.message}.` };
  const { plan } = value;
  const parts = new Set<string>(plan.parts.map((part) => part.id));
  const sheets = new Set<string>(plan.sheets.map((sheet) => sheet.id));
  const every = [...plan.parts, ...plan.sheets, ...plan.regions, ...plan.values].map((one) => one.id);
  const twice = every.find((one, index) => every.indexOf(one) !== index);
  if (twice) return { wrong: `The plan cannot be read: the id ${twice} stands twice.` };
  for (const region of plan.regions) {
    if (!parts.has(region.part)) return { wrong: `The plan cannot be read: ${region.id} speaks of ${region.part}, which is not in it.` };
    if (!sheets.has(region.sheet)) return { wrong: `The plan cannot be read: ${region.id} speaks of ${region.sheet}, which is not in it.` };
  }
  for (const sheet of plan.sheets)
    if (!parts.has(sheet.page)) return { wrong: `The plan cannot be read: ${sheet.id} speaks of ${sheet.page}, which is not in it.` };
  const tooHigh = every.find((one) => Number(one.split('-')[1]) > plan.numbered);
  return { plan: tooHigh ? { ...plan, numbered: Math.max(...every.map((one) => Number(one.split('-')[1]))) } : plan };
}
