/** A random id for something kept in this browser. */
export function newId(): string {
  return crypto.randomUUID().replaceAll('-', '').slice(0, 16);
}
