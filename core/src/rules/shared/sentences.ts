/** `a`, `a and b`, `a, b and c`; after `most`, how many more. */
export function listed(names: readonly string[], most = 4): string {
  const shown = names.length > most ? [...names.slice(0, most - 1), `${names.length - most + 1} more`] : [...names];
  const last = shown.pop() ?? '';
  return shown.length === 0 ? last : `${shown.join(', ')} and ${last}`;
}

/** `1 place`, `3 places`. */
export function counted(count: number, noun: string): string {
  return `${count.toLocaleString('en')} ${noun}${count === 1 ? '' : 's'}`;
}
