/** `lock-id` → `lockId`; `update:model-value` → `update:modelValue`. */
export function camel(name: string): string {
  return name.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());
}

/** `passage-row`, `passageRow` → `PassageRow`. */
export function pascal(name: string): string {
  const word = camel(name);
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** Events and props are in one table; an event is told apart as markup tells it: `@book`. */
export function eventKey(name: string): string {
  return `@${camel(name)}`;
}

/** Slots by their markup too: `#row`. The default one is the content between the tags. */
export function slotKey(name: string): string {
  return name === 'default' || name === '' ? 'children' : `#${name}`;
}

/** The name of an attribute as the component knows it; those of the platform stay as written. */
export function propName(attribute: string): string {
  return /^(data|aria)-/.test(attribute) ? attribute : camel(attribute);
}
