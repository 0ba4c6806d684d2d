import pluralize from 'pluralize';
import { lastWord, pascalCase, singular } from '../write/case';

/** What is said of a part's name: a fault must be mended before code is written, a hint need not. */
export type NameAdvice = { readonly weight: 'fault' | 'hint'; readonly says: string };

/** Words that the languages keep for themselves, in their component spelling too, and names that hide a global. */
const reserved = new Set(
  'Array ArrayBuffer BigInt Boolean DataView Date Element Error Event EventTarget Function Infinity Intl JSON Map Math NaN Node Number Object Promise Proxy Reflect RegExp Set String Symbol WeakMap WeakSet Window Document Fragment Suspense React Children Text Image Option Audio Component Props'.split(
    ' ',
  ),
);

const isPascal = (name: string): boolean => /^[A-Z][A-Za-z0-9]*$/.test(name);

/**
 * Looks at a part's name among the others. `repeats` tells that the part stands many times: its name
 * should then say one. An empty list means that the name is fine.
 */
export function checkName(name: string, others: readonly string[], repeats: boolean): NameAdvice[] {
  if (name === '') return [{ weight: 'fault', says: 'The part needs a name.' }];
  const advice: NameAdvice[] = [];
  const spelt = pascalCase(name);
  if (!isPascal(name))
    advice.push({ weight: 'fault', says: `A component’s name is written in PascalCase${spelt && spelt !== name ? `: ${spelt}` : ''}.` });
  if (reserved.has(name)) advice.push({ weight: 'fault', says: `${name} is taken by the language or the framework.` });
  if (others.includes(name))
    advice.push({
      weight: 'fault',
      says: `Another part is called ${name}. If both are one part, say so below with “Same part as”; two parts need two names.`,
    });
  const sameLetters = others.find((other) => other !== name && other.toLowerCase() === name.toLowerCase());
  if (sameLetters)
    advice.push({ weight: 'fault', says: `${name} and ${sameLetters} differ only in capitals; some disks keep one file for both.` });
  if (advice.length > 0) return advice;
  const last = lastWord(name);
  if (repeats && last.length > 3 && pluralize.isPlural(last) && !pluralize.isSingular(last))
    advice.push({ weight: 'hint', says: `It stands many times; ${singular(name)} would say that each is one.` });
  if (/^(Part|Component|Box|Div|Wrapper|Container|Section|Block|Item|Thing|Element)\d*$/.test(name))
    advice.push({ weight: 'hint', says: `${name} does not say what it shows.` });
  return advice;
}
