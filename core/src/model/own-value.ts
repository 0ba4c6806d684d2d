/** What a record holds under a name that comes from outside: a name such as `constructor` is held only where it was put there. */
export const ownValue = <V>(record: Readonly<Record<string, V>> | undefined, name: string): V | undefined =>
  record !== undefined && Object.hasOwn(record, name) ? record[name] : undefined;
