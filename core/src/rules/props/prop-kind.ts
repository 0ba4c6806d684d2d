import { type KnownUse, membersAt } from '../../contract';

import { bindingKey } from '../../model/given';
import { traitsOf } from '../../frameworks/registry';
import type { Binding } from '../../model/facts';
import type { ContractMember } from '../../model/model';
import { locate } from '../../model/span';
import { listed } from '../shared/sentences';
import type { Found, Rule } from '../rule';
import { ownValue } from '../../model/own-value';

/** A constant as it is written in markup, as a value; undefined where that cannot be told. */
function valueOf(constant: string): { readonly value: string | number | boolean } | undefined {
  if (constant === 'true' || constant === 'false') return { value: constant === 'true' };
  if (/^-?\d+(\.\d+)?$/.test(constant)) return { value: Number(constant) };
  const text = /^(["'])((?:(?!\1)[^\\&])*)\1$/.exec(constant)?.[2];
  return text === undefined ? undefined : { value: text };
}

const kindOf = (value: string | number | boolean): string =>
  typeof value === 'string' ? 'text' : typeof value === 'number' ? 'number' : 'flag';

/** Whether a prop takes a constant, by itself or as the framework turns it. */
function takes(kinds: ReadonlySet<string>, value: string | number | boolean, fromText: boolean, name: string): boolean {
  if (kinds.has(kindOf(value)) || kinds.has(`=${JSON.stringify(value)}`)) return true;
  // A flag alone, or given its own name, may be true.
  return fromText && kinds.has('flag') && (value === '' || value === name);
}

/** Whether the text of an attribute becomes what a property takes: a flag is there whatever it says. */
function convertsTo(kinds: ReadonlySet<string>, text: string, as: 'text' | 'flag'): boolean {
  if (as === 'flag' || kinds.has('text') || [...kinds].some((kind) => kind.startsWith('='))) return true;
  if (kinds.has('flag')) return text !== 'false';
  if (kinds.has('number')) return text.trim() === '' || text === 'true' || !Number.isNaN(Number(text));
  return /^\s*[[{"]|^null$/.test(text) || kinds.size === 0;
}

const words: Readonly<Record<string, string>> = {
  text: 'a text',
  number: 'a number',
  flag: 'a flag',
  function: 'a function',
  list: 'a list',
  object: 'an object',
};

/** What a prop takes, in words. */
function kindWords(kinds: ReadonlySet<string>): string {
  const told = [...kinds].filter((kind) => kind !== 'nothing').map((kind) => ownValue(words, kind) ?? kind.slice(1));
  return listed(told).replace(/ and (?=[^ ]*( [^ ]*)?$)/, ' or ');
}

function mismatch(
  known: KnownUse,
  binding: Binding,
): { prop: ContractMember; kinds: ReadonlySet<string>; value: string | number | boolean } | undefined {
  if (
    binding.constant === undefined ||
    binding.readings.length > 0 ||
    binding.direction === 'two-way' ||
    /^(key|ref)$/.test(binding.to.name)
  )
    return undefined;
  const key = bindingKey(binding);
  const { target } = known;
  const prop = key && membersAt(known).get(key);
  // A name alone is the empty text, which a flag takes for true.
  const isBare = traitsOf(target).flagsFromText === true && binding.span.end === binding.nameSpan.end;
  const given = isBare ? { value: '' } : valueOf(binding.constant.trim());
  if (binding.asAttribute && traitsOf(target).attributesConvert) {
    const isTaken = !prop?.kinds || !given || convertsTo(prop.kinds, String(given.value), binding.asAttribute);
    return isTaken || !prop?.kinds ? undefined : { prop, kinds: prop.kinds, value: given.value };
  }
  // A text that says true is taken for true.
  if (binding.asAttribute && given?.value === 'true' && prop?.kinds?.has('flag')) return undefined;
  if (!prop?.kinds || !given || takes(prop.kinds, given.value, traitsOf(target).flagsFromText, binding.to.name)) return undefined;
  return { prop, kinds: prop.kinds, value: given.value };
}

/** A list or an object is given as an attribute, which makes a text of it that says nothing. */
function asText({ target }: KnownUse, { asAttribute, readings, constant }: Binding, prop: ContractMember | undefined): boolean {
  const [only, ...more] = readings;
  if (asAttribute !== 'text' || constant !== undefined || !traitsOf(target).attributesConvert || !only || more.length > 0) return false;
  const kinds = prop?.kinds;
  return /^(?:same|part)$/.test(only.how) && kinds !== undefined && (kinds.has('list') || kinds.has('object')) && !kinds.has('text');
}

/** A list or an object that is made in place and given as an attribute. */
const isMadeText = ({ target }: KnownUse, { asAttribute, made }: Binding): boolean =>
  asAttribute === 'text' && (made === 'list' || made === 'object') && traitsOf(target).attributesConvert === true;

/** What is made in place is of a kind that the prop does not take. */
function misfit(known: KnownUse, binding: Binding): Found[] {
  const { use, owner, target } = known;
  const key = bindingKey(binding);
  const prop = key && membersAt(known).get(key);
  // As an attribute of an element it becomes a text, whatever it is.
  const isText = isMadeText(known, binding) || (binding.made === undefined && asText(known, binding, prop));
  const made = binding.made ?? (isText ? 'list' : undefined);
  if (
    !made ||
    !prop?.kinds ||
    binding.markup ||
    binding.direction !== 'in' ||
    (!isText && prop.kinds.has(made)) ||
    (isText && prop.kinds.has('text')) ||
    prop.kinds.size === 0
  )
    return [];
  // A list is an object too, and a function may stand for either.
  if ((!isText && prop.kinds.has('object')) || (made === 'function' && prop.kinds.has('list'))) return [];
  const at = locate(use.file, binding.span);
  return [
    {
      rule: 'prop-kind',
      severity: prop.kinds.has('function') || prop.kinds.has('list') ? 'fault' : 'risk',
      component: owner.id,
      subject: binding.to.name,
      at,
      words: { target: target.name, prop: binding.to.name, given: isText ? 'a text' : (words[made] ?? ''), takes: kindWords(prop.kinds) },
      evidence: [
        { at, text: `${owner.name} gives ${binding.to.name}.` },
        { at: prop.declared, text: `${target.name} takes ${kindWords(prop.kinds)}.` },
      ],
      touches: target.id,
    },
  ];
}

/** A constant of another kind than the prop takes, or something that is made in place. */
export const propKind: Rule = {
  ofUse: (known) =>
    known.use.node.bindings.flatMap((binding): Found[] => {
      const found = mismatch(known, binding);
      if (!found) return misfit(known, binding);
      const { use, owner, target } = known;
      const at = locate(use.file, binding.span);
      const { prop, kinds, value } = found;
      const fails = kinds.has('function') || (typeof value === 'string' && kinds.has('flag') && /^(true|false)$/.test(value));
      return [
        {
          rule: 'prop-kind',
          severity: fails ? 'fault' : 'risk',
          component: owner.id,
          subject: binding.to.name,
          at,
          words: {
            target: target.name,
            prop: binding.to.name,
            given:
              kinds.has(kindOf(value)) || [...kinds].every((kind) => kind.startsWith('=') || kind === 'nothing')
                ? JSON.stringify(value)
                : (ownValue(words, kindOf(value)) ?? ''),
            takes: kindWords(kinds),
          },
          evidence: [
            { at, text: `${owner.name} gives ${binding.to.name}.` },
            { at: prop.declared, text: `${target.name} takes ${kindWords(kinds)}.` },
          ],
          touches: target.id,
        },
      ];
    }),
};
