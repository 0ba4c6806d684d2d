import type { FileFacts } from '../../model/facts';

const written = /\b(?:globalProperties|Vue\.prototype)\.([\w$]+)\s*=/g;

/** Whether a text gives names to all templates of the application: `app.config.globalProperties.money = …`. */
export const givesGlobalProperties = (text: string): boolean => text.search(written) >= 0;

/** Adds to the facts of a file the names that its text gives to all templates. */
export function withGlobalProperties(facts: FileFacts, text: string): FileFacts {
  const names = [...text.matchAll(written)].map((match) => match[1] ?? '');
  return names.length > 0 ? { ...facts, globalNames: names } : facts;
}
