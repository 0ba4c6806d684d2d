import { distance } from 'fastest-levenshtein';

/** `lable` and `label`: two neighbours changed places, which is one slip and not two. */
function isSwapped(a: string, b: string): boolean {
  const at = [...a].findIndex((letter, index) => letter !== b[index]);
  return at >= 0 && a.length === b.length && a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2);
}

/** How far apart two names are: letter case and hyphens count half. */
function apart(given: string, declared: string): number {
  const plain = (name: string): string => name.toLowerCase().replace(/-/g, '');
  const letters = isSwapped(plain(given), plain(declared)) ? 1 : distance(plain(given), plain(declared));
  return letters === 0 && given !== declared ? 0.5 : letters;
}

/** Short names are near to everything: one letter in four, two in eight. */
function allowed(name: string): number {
  return name.length < 4 ? 0.5 : name.length < 8 ? 1 : 2;
}

/** The name that is clearly meant by another one: near enough, and nearer than all others. Undefined for none. */
export function nearest(given: string, names: readonly string[]): string | undefined {
  const near = names
    .filter((name) => name !== given)
    .map((name) => ({ name, apart: apart(given, name) }))
    .sort((a, b) => a.apart - b.apart);
  const [first, second] = near;
  if (!first || first.apart > allowed(given) || (second && second.apart === first.apart)) return undefined;
  return first.name;
}
