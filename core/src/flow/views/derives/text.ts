import type { Derivation, RowGroup } from './derivation';

export const groupWords: Readonly<Record<RowGroup, string>> = { in: 'Comes in', derived: 'Is derived', out: 'Goes out', shown: 'Is shown' };

/** What derives from what as plain text, to be put into a review: one line for each row, with what it is made of. */
export function derivationText({ name, file, rows, strands }: Derivation): string {
  const lines = [`${name} (${file}): what derives from what`];
  rows.forEach((row, index) => {
    if (row.group !== rows[index - 1]?.group) lines.push('', groupWords[row.group]);
    const of = strands.flatMap((strand) => (strand.to.some((one) => one.row === index) ? (rows[strand.row]?.name ?? '') : []));
    const text = row.text === '' ? '' : ` = ${row.text}`;
    const made = of.length > 0 ? ` of ${of.join(', ')}` : '';
    lines.push(`  ${row.name}${text}`, `      ${[row.does, made.trim()].filter((part) => part !== '').join('; ')}`);
  });
  return `${lines.join('\n')}\n`;
}
