import { append } from '../../model/append'; /** One alternative of a selector: what an element must be and bear, and what it must not. */
export type Alternative = {
  readonly tag?: string;
  readonly classes: readonly string[];
  readonly attributes: readonly { readonly name: string; readonly value?: string }[];
  readonly not: readonly Alternative[];
};

/** What of an element selectors are held against; names of attributes in the spelling of the markup. */
export type Selectable = {
  readonly tag: string;
  readonly classes: ReadonlySet<string>;
  /** Attributes and bindings by their names, with the text of those that are texts. */
  readonly attributes: ReadonlyMap<string, string | undefined>;
};

const part = /^(?:\[\s*([^\]=\s~|^$*]+)\s*(?:=\s*(?:"([^"]*)"|'([^']*)'|([^\]"']*))\s*)?\]|\.([\w-]+)|:not\(([^)]*)\)|([a-zA-Z][\w-]*|\*))/;

/** Reads a selector of the simple kind that frameworks of templates take: tags, classes, attributes, `:not`, and lists of them. What is of another kind matches nothing. */
export function parseSelector(text: string): Alternative[] {
  return splitList(text).flatMap((one) => alternative(one.trim()) ?? []);
}

/** Splits a list at the commas that stand in no brackets. */
function splitList(text: string): string[] {
  const found: string[] = [];
  let depth = 0;
  let from = 0;
  for (let at = 0; at < text.length; at++) {
    const sign = text[at];
    if (sign === '[' || sign === '(') depth++;
    else if (sign === ']' || sign === ')') depth--;
    else if (sign === ',' && depth === 0) {
      found.push(text.slice(from, at));
      from = at + 1;
    }
  }
  return [...found, text.slice(from)];
}

function alternative(text: string): Alternative | undefined {
  const classes: string[] = [];
  const attributes: { name: string; value?: string }[] = [];
  const not: Alternative[] = [];
  let tag: string | undefined;
  let rest = text;
  while (rest !== '') {
    const match = part.exec(rest);
    if (!match) return undefined;
    const [all, name, quoted, single, plain, style, negated, element] = match;
    if (name !== undefined) {
      const value = quoted ?? single ?? plain;
      attributes.push({ name, ...(value === undefined || value === '' ? {} : { value: value.trim() }) });
    } else if (style !== undefined) classes.push(style);
    else if (negated !== undefined) append(not, parseSelector(negated));
    else if (element !== undefined && element !== '*') tag = element;
    rest = rest.slice(all.length);
  }
  return text === '' ? undefined : { ...(tag === undefined ? {} : { tag }), classes, attributes, not };
}

/** Whether an element is meant by any of the alternatives. */
export function isSelected(alternatives: readonly Alternative[], element: Selectable): boolean {
  return alternatives.some((one) => isMeant(one, element));
}

function isMeant({ tag, classes, attributes, not }: Alternative, element: Selectable): boolean {
  if (tag !== undefined && tag.toLowerCase() !== element.tag.toLowerCase()) return false;
  if (!classes.every((one) => element.classes.has(one))) return false;
  const bears = attributes.every(
    ({ name, value }) => element.attributes.has(name) && (value === undefined || element.attributes.get(name) === value),
  );
  return bears && !not.some((one) => isMeant(one, element));
}
