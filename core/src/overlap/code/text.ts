import type { Span } from '../../model/span';

/** A text with white space folded, as it is compared. */
export const folded = (text: string): string => text.replace(/\s+/g, ' ').trim();

const closing: Readonly<Record<string, string>> = { '(': ')', '[': ']', '{': '}' };

/** The offset of the bracket that closes the one at `from`; -1 for none. Texts in quotes are passed over. */
export function closingAt(text: string, from: number): number {
  const open: string[] = [];
  let quote = '';
  for (let at = from; at < text.length; at++) {
    const letter = text[at] ?? '';
    if (quote !== '') {
      if (letter === '\\') at++;
      else if (letter === quote) quote = '';
    } else if (letter === '"' || letter === '`' || (letter === "'" && !/\w/.test(text[at - 1] ?? ''))) quote = letter;
    else if (closing[letter]) open.push(closing[letter]);
    else if (letter === open.at(-1)) {
      open.pop();
      if (open.length === 0) return at;
    }
  }
  return -1;
}

/** Where the tag that begins at `from` ends: the offset of its `>`, or `to` where it has none before that. */
export function tagEnd(text: string, from: number, to = text.length): number {
  let at = from + 1;
  for (let quote = ''; at < to; at++) {
    const letter = text[at] ?? '';
    if (quote !== '') {
      if (letter === quote) quote = '';
    } else if (letter === '"' || letter === "'") quote = letter;
    else if (letter === '{') at = Math.max(at, closingAt(text, at));
    else if (letter === '>' && text[at - 1] !== '=') break;
  }
  return at;
}

/** Whether a tag begins at an offset: a name follows, or it is one of a fragment. */
export const isTag = (text: string, at: number): boolean => text[at] === '<' && /[A-Za-z/>]/.test(text[at + 1] ?? '');

/** What stands between the tags of an element; undefined for one that closes itself, or has no closing tag of its own. */
export function contentSpan(text: string, element: Span): Span | undefined {
  const at = tagEnd(text, element.start, element.end);
  if (text[at] !== '>' || text[at - 1] === '/') return undefined;
  const end = text.lastIndexOf('</', element.end - 1);
  return end > at ? { start: at + 1, end } : undefined;
}

/** A span with the braces and brackets of an expression around it, as far as nothing but these and white space lies between. */
export function withBraces(text: string, span: Span): Span {
  let { start, end } = span;
  for (;;) {
    let before = start - 1;
    while (/\s/.test(text[before] ?? '')) before--;
    let after = end;
    while (/\s/.test(text[after] ?? '')) after++;
    const pair = `${text[before] ?? ''}${text[after] ?? ''}`;
    if (pair === '()' || (pair === '{}' && text[before - 1] !== '=')) {
      start = before;
      end = after + 1;
    } else return { start, end };
  }
}

/** A text in which names are replaced by others, wherever they stand as whole words and not behind a dot. */
export function renamed(text: string, names: ReadonlyMap<string, string>): string {
  if (names.size === 0) return text;
  return text.replace(/(?<![\w$.])[A-Za-z_$][\w$]*(?![\w$])/g, (word, at: number) => {
    const other = names.get(word);
    if (other === undefined || other === word) return word;
    // A key of an object and an attribute are names of another kind.
    if (/^\s*[:=](?!=)/.test(text.slice(at + word.length)) && /[{,\s<]\s*$/.test(text.slice(0, at)) && !/[?]\s*$/.test(text.slice(0, at)))
      return word;
    return other;
  });
}
