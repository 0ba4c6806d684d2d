import pluralize from 'pluralize';

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

/** The last word of a name, `LockCards` → `Cards`. */
export const lastWord = (name: string): string => words(name).at(-1) ?? '';

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

/** A name that is not among those taken: `LockCard`, `LockCard2`, … */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  for (let count = 2; ; count++) if (!taken.has(`${name}${count}`)) return `${name}${count}`;
}

export const kebab = (name: string): string => name.replace(/([a-z\d])([A-Z])/g, '$1-$2').toLowerCase();

export const callbackName = (event: string): string => `on${pascalCase(event)}`;

/** `maxLevel` → `max-level`. */
export const hyphened = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
