type Line = { readonly kind: 'file' | 'added' | 'gone' | 'where' | 'same'; readonly text: string };

const nameIn = (header: string): string => header.slice(4).replace(/^[ab]\//, '');

/** The lines of a patch as they are shown: each file by its name, stretches of it apart, without what is for programs alone. */
export function diffLines(patch: string): Line[] {
  const lines: Line[] = [];
  let before = '';
  let isFirst = true;
  for (const text of patch.trimEnd().split('\n')) {
    if (text.startsWith('--- ')) before = nameIn(text);
    else if (text.startsWith('+++ ')) {
      const after = nameIn(text);
      const state = before === '/dev/null' ? ', new' : after === '/dev/null' ? ', goes' : '';
      lines.push({ kind: 'file', text: `${after === '/dev/null' ? before : after}${state}` });
      isFirst = true;
    } else if (text.startsWith('@@')) {
      if (!isFirst) lines.push({ kind: 'where', text: '⋯' });
      isFirst = false;
    } else if (!/^(?:===|\\ No newline)/.test(text))
      lines.push({ kind: text.startsWith('+') ? 'added' : text.startsWith('-') ? 'gone' : 'same', text });
  }
  return lines;
}

/** A patch as lines that go and lines that come. */
export function Diff({ patch, label }: { patch: string; label: string }) {
  return (
    <pre className="diff" tabIndex={0} aria-label={label}>
      {diffLines(patch).map(({ kind, text }, index) => (
        <span key={`${index} ${text}`} className={kind === 'same' ? undefined : kind}>
          {text}
          {'\n'}
        </span>
      ))}
    </pre>
  );
}
