/** Names that plain objects have of their own, that markup would take for itself, or that no script can write. */
const hostileNames = ['__proto__', 'constructor', 'toString', 'hasOwnProperty', '<b>', '🛶', '\ud800', 'a\u0000b', 'valueOf', 'then'];

const pieces = [
  '{',
  '}',
  '(',
  ')',
  '<',
  '/>',
  '=>',
  'const ',
  '...',
  '"',
  '`',
  '\n',
  '?',
  '&&',
  'return ',
  '[',
  ']',
  ',',
  ';',
  '{#if a}',
  'v-if="',
  '@',
  ':',
];

const below = (random: () => number, most: number): number => Math.floor(random() * most);

const oneOf = <T>(random: () => number, list: readonly T[]): T => list[below(random, list.length)] as T;

type Spoil = (text: string, random: () => number) => string;

/** A name of the source, everywhere it stands, is one that was never meant to be a name. */
const renamed: Spoil = (text, random) => {
  const names = [...new Set(text.match(/\b[A-Za-z_$][\w$]{2,}\b/g) ?? [])];
  return names.length === 0 ? text : text.replaceAll(oneOf(random, names), oneOf(random, hostileNames));
};

/** A stretch stands within copies of what opens before it. */
const nested: Spoil = (text, random) => {
  const at = below(random, text.length);
  const [open, close] = oneOf(random, [
    ['<div>', '</div>'],
    ['(', ')'],
    ['{', '}'],
    ['[', ']'],
    ['a ? ', ' : b'],
  ] as const);
  const depth = 1 + below(random, 120);
  const end = Math.min(text.length, at + below(random, 200));
  return text.slice(0, at) + open.repeat(depth) + text.slice(at, end) + close.repeat(depth) + text.slice(end);
};

const ways: readonly Spoil[] = [
  (text, random) => text.slice(0, below(random, text.length)),
  (text, random) => {
    const at = below(random, text.length);
    return text.slice(0, at) + text.slice(at + below(random, 60));
  },
  (text, random) => {
    const at = below(random, text.length);
    return text.slice(0, at) + oneOf(random, pieces) + text.slice(at);
  },
  (text, random) => {
    const at = below(random, text.length);
    const end = at + below(random, 300);
    return text.slice(0, end) + text.slice(at, end).repeat(1 + below(random, 4)) + text.slice(end);
  },
  renamed,
  nested,
];

/** A text as somebody in the middle of editing, or somebody who means harm, may leave it: one to three changes. */
export function spoilt(text: string, random: () => number): string {
  let made = text;
  for (let times = 1 + below(random, 3); times > 0 && made !== ''; times--) made = oneOf(random, ways)(made, random);
  return made;
}
