/** Adds all of a list to another, in its order. A spread into `push` would put each on the stack, which ends where there are very many. */
export function append<T>(into: T[], more: readonly T[]): void {
  for (const one of more) into.push(one);
}
