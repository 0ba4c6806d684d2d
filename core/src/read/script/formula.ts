/** Longer texts than this are cut off, and so are no formula that could be the same as another. */
const most = 400;
const closing: Readonly<Record<string, string>> = { '(': ')', '[': ']', '{': '}' };

/** The text of a computation with white space folded; empty where it is too long to be the same as another. */
export function foldedText(text: string, { start, end }: { readonly start: number; readonly end: number }): string {
  return end - start > most ? '' : text.slice(start, end).replace(/\s+/g, ' ').trim();
}

/**
 * The text of what a declared name is computed from, `const total = rows.length;` → `rows.length`,
 * with white space folded. Reads on from the offset behind the name; empty where no `=` follows, or
 * where the text is too long.
 */
export function formulaAfter(text: string, from: number): string {
  const start = /^\s*(?::[^=;\n]{0,80})?=\s*/.exec(text.slice(from, from + 120));
  if (!start || text[from + start[0].length] === '>') return '';
  const begins = from + start[0].length;
  const open: string[] = [];
  let quote = '';
  let at = begins;
  for (; at < text.length; at++) {
    if (at - begins > most) return '';
    const letter = text[at] ?? '';
    if (quote !== '') {
      if (letter === '\\') at++;
      else if (letter === quote) quote = '';
      continue;
    }
    if (letter === '"' || letter === "'" || letter === '`') quote = letter;
    else if (closing[letter]) open.push(closing[letter]);
    else if (letter === open.at(-1)) open.pop();
    else if (open.length === 0 && (letter === ';' || letter === ',' || letter === ')' || letter === '}' || letter === '<')) break;
    else if (open.length === 0 && letter === '\n' && !/^\s*[.?:&|+\-*/%=<>]/.test(text.slice(at + 1, at + 80))) break;
  }
  return text.slice(begins, at).replace(/\s+/g, ' ').trim();
}
