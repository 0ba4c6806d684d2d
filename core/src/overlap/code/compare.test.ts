import { beforeAll, expect, test } from 'vitest';
import { loadCompilers } from '../../frameworks/registry';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { compareCode } from './compare';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** Rows of a comparison as `first | second`, or with what becomes of them between. */
function rowsOf(files: Files, a = 'Hint', b = 'Info'): string[] {
  const { model } = analyseFiles(files);
  const id = (name: string) => [...model.components.values()].find((one) => one.name === name)?.id ?? ('' as never);
  const compared = compareCode(model, id(a), id(b), (file) => files[file]);
  return (compared?.rows ?? []).map((row) => {
    const side = (line: typeof row.a): string => line?.text.trim() ?? '';
    return `${side(row.a)} | ${row.becomes.length > 0 ? `${[...new Set(row.becomes)].join(', ')} | ` : ''}${side(row.b)}`;
  });
}

const part = (name: string, lines: readonly string[], head = '{ label }: { label: string }'): string =>
  `export function ${name}(${head}) {\n  return (\n    ${lines.join('\n    ')}\n  );\n}\n`;
const box = (inner: readonly string[], tone = 'hint'): string[] => [`<div className="${tone}" role="note">`, ...inner, '</div>'];
const pair = (first: readonly string[], second: readonly string[]): Files => ({
  'src/Hint.tsx': part('Hint', first),
  'src/Info.tsx': part('Info', second),
});

const cases: readonly (readonly [name: string, files: Files, rows: readonly string[]])[] = [
  [
    'a class and a text',
    pair(box(['<b>{label}</b>', '<i>near</i>']), box(['<b>{label}</b>', '<i>far</i>'], 'info')),
    [
      '<div className="hint" role="note"> | class → prop | <div className="info" role="note">',
      '<b>{label}</b> | <b>{label}</b>',
      '<i>near</i> | text → prop | <i>far</i>',
      '</div> | </div>',
    ],
  ],
  [
    'an element in the place of another: one slot, whatever else differs in it',
    pair(
      box(['<b>{label}</b>', '<i className="low">near</i>', '<u>a</u>']),
      box(['<b>{label}</b>', '<em className="high">far</em>', '<u>a</u>']),
    ),
    [
      '<div className="hint" role="note"> | <div className="hint" role="note">',
      '<b>{label}</b> | <b>{label}</b>',
      '<i className="low">near</i> | element → slot | <em className="high">far</em>',
      '<u>a</u> | <u>a</u>',
      '</div> | </div>',
    ],
  ],
  [
    'a part that one alone has',
    pair(box(['<b>{label}</b>', '<u>a</u>']), box(['<b>{label}</b>', '<i>more</i>', '<u>a</u>'])),
    [
      '<div className="hint" role="note"> | <div className="hint" role="note">',
      '<b>{label}</b> | <b>{label}</b>',
      ' | presence → flag | <i>more</i>',
      '<u>a</u> | <u>a</u>',
      '</div> | </div>',
    ],
  ],
  [
    'names alone',
    {
      'src/Hint.tsx': part('Hint', box(['<b>{label}</b>', '<u>a</u>'])),
      'src/Info.tsx': part('Info', box(['<b>{text}</b>', '<u>a</u>']), '{ text }: { text: string }'),
    },
    [
      '<div className="hint" role="note"> | <div className="hint" role="note">',
      '<b>{label}</b> | <b>{text}</b>',
      '<u>a</u> | <u>a</u>',
      '</div> | </div>',
    ],
  ],
  [
    'two frameworks: what each writes in its own way does not differ',
    {
      'src/Hint.tsx': part(
        'Hint',
        box(['<b title={label}>{label}</b>', '<i onClick={() => go(label)}>near</i>', '<u>a</u>']),
        '{ label, go }: any',
      ),
      'src/Info.vue':
        '<script setup>\ndefineProps([\'label\', \'go\']);\n</script>\n\n<template>\n  <div class="hint" role="note">\n    <b :title="label">{{ label }}</b>\n    <i @click="go(label)">far</i>\n    <u>a</u>\n  </div>\n</template>\n',
    },
    [
      '<div className="hint" role="note"> | <div class="hint" role="note">',
      '<b title={label}>{label}</b> | <b :title="label">{{ label }}</b>',
      '<i onClick={() => go(label)}>near</i> | text → prop | <i @click="go(label)">far</i>',
      '<u>a</u> | <u>a</u>',
      '</div> | </div>',
    ],
  ],
];

test.each(cases)('%s', (_, files, rows) => {
  expect(rowsOf(files)).toEqual(rows);
});

test('a component that is not there has no comparison', () => {
  expect(rowsOf(pair(box(['<b>{label}</b>']), box(['<b>{label}</b>'])), 'Hint', 'Gone')).toEqual([]);
});
