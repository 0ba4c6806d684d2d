/** Adds a value to those of a key. */
export function addTo<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const known = map.get(key);
  if (known) known.push(value);
  else map.set(key, [value]);
}
