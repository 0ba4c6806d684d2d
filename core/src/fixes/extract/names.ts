/** The last name in an expression, as a name for what it gives: `keeper.name` → `name`. */
export const lastName = (code: string): string | undefined =>
  /(?:^|\.)([A-Za-z_$][\w$]*)(?:\.length)?$/.exec(code.replace(/^props\./, ''))?.[1];

/** What several names have in common, where that is a name: `ratings`, `ratings2` → `ratings`. */
export function commonName(names: readonly (string | undefined)[]): string | undefined {
  const [first, ...more] = names;
  if (first === undefined) return undefined;
  let length = first.length;
  for (const name of more) while (length > 0 && name?.slice(0, length) !== first.slice(0, length)) length--;
  const common = first.slice(0, length);
  return more.every((name) => name === first) || /^[a-z][a-zA-Z]{3,}$/.test(common) ? common : undefined;
}

export const camel = (name: string): string =>
  name.replace(/^[:@]|^on:/, '').replace(/[-:](\w)/g, (_, letter: string) => letter.toUpperCase());
