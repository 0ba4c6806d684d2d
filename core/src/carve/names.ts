import pluralize from 'pluralize';

/** What is said of a part's name: a fault must be mended before code is written, a hint need not. */
export type NameAdvice = { readonly weight: 'fault' | 'hint'; readonly says: string };

/** Words that the languages keep for themselves, in their component spelling too, and names that hide a global. */
const reserved = new Set(
  'Array ArrayBuffer BigInt Boolean DataView Date Element Error Event EventTarget Function Infinity Intl JSON Map Math NaN Node Number Object Promise Proxy Reflect RegExp Set String Symbol WeakMap WeakSet Window Document Fragment Suspense React Children Text Image Option Audio Component Props'.split(
    ' ',
  ),
);

const words = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .replace(/(\p{Lu}+)(\p{Lu}\p{Ll})/gu, '$1 $2')
    .replace(/([\p{Ll}\d])(\p{Lu})/gu, '$1 $2')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => /[A-Za-z0-9]/.test(word));

const capital = (word: string): string => word.slice(0, 1).toUpperCase() + word.slice(1).toLowerCase();

/** `lock-card__name` → `LockCardName`. Empty where no letter is left; a digit in front is moved behind a letter. */
export function pascalCase(text: string): string {
  const joined = words(text)
    .map((word) => capital(word.replace(/[^A-Za-z0-9]/g, '')))
    .join('');
  return /^\d/.test(joined) ? `Part${joined}` : joined;
}

/** `lock-card__name` → `lockCardName`. */
export function camelCase(text: string): string {
  const pascal = pascalCase(text);
  return pascal.slice(0, 1).toLowerCase() + pascal.slice(1);
}

const isPascal = (name: string): boolean => /^[A-Z][A-Za-z0-9]*$/.test(name);

/** The last word of a name, `LockCards` → `Cards`. */
const lastWord = (name: string): string => words(name).at(-1) ?? '';

/** A name for one of many: `Locks` → `Lock`. */
export const singular = (name: string): string => {
  const last = lastWord(name);
  return last === '' ? name : name.slice(0, name.length - last.length) + pluralize.singular(last);
};

/** A name for many: `lock` → `locks`. */
export const plural = (name: string): string => {
  const last = lastWord(name);
  return last === '' ? name : name.slice(0, name.length - last.length) + pluralize.plural(last);
};

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

/** A name that is not among those taken: `LockCard`, `LockCard2`, … */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  for (let count = 2; ; count++) if (!taken.has(`${name}${count}`)) return `${name}${count}`;
}
