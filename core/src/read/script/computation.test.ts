import { describe, expect, test } from 'vitest';
import { computationAfter } from './computation';

/** The text that the name before `|` holds, and its steps. */
function computed(marked: string): { text: string; steps: string[] } | undefined {
  const at = marked.indexOf('|');
  const text = marked.replace('|', '');
  const found = computationAfter(text, at);
  return (
    found && {
      text: text.slice(found.at.start, found.at.end),
      steps: found.steps.map(({ does, name, says }) => `${does} ${name}: ${says}`),
    }
  );
}

describe('what a name is declared to hold', () => {
  test.each([
    ['const total| = rows.length;', 'rows.length'],
    ['const total|: Map<string, { a: number }> = make();', 'make()'],
    ['  total| = this.rows()\n  other = 1', 'this.rows()'],
    ['  readonly total|?: number = 1;', '1'],
    ['  get total|(): number { const all = 1; return all + 1; }', 'all + 1'],
    ['const [rows, setRows] = useState([]);'.replace('rows,', 'rows|,'), 'useState([])'],
    ['const { a|, b } = take(it);', 'take(it)'],
    ['let { dense| = false, items } = given;', 'false'],
    ['$: total| = rows.length', 'rows.length'],
    ['const later = () => total|; other = 2', undefined],
    ['function f(rows|, more) {}', undefined],
    ['declare total|: number;', undefined],
    ['total| == other', undefined],
    ['total| = ', undefined],
    ['const a|, b = 2', undefined],
    ['f({ lock|, max }: Props) { const x = 1; }', undefined],
  ])('%s', (text, expected) => {
    expect(computed(text)?.text).toBe(expected);
  });

  test('what is written in a file that is long is found without reading all of it', () => {
    const many = Array.from({ length: 4000 }, (_, at) => `const row${at} = ${at};`).join('\n');
    expect(computed(`const first| = rows.find((one) => one.isLate);\n${many}`)?.text).toBe('rows.find((one) => one.isLate)');
  });
});

describe('what a computation does, step by step', () => {
  test.each<[string, string[]]>([
    ['rows.filter((row) => row.late)', ['passes filter: only those for which `row.late`']],
    ['rows.map((row) => row.boat)', ['narrows map: `row.boat` of each `row`']],
    ['rows.map((row) => name(row))', ['computes map: `name(row)` of each `row`']],
    ['rows.map(name)', ['computes map: what `rows.map(name)` gives']],
    ['this.store.find(id)', ['computes find: what `store.find(id)` gives']],
    [
      'useMemo(() => rows.filter((row) => row.late).length, [rows])',
      ['passes filter: only those for which `row.late`', 'narrows length: how many there are'],
    ],
    ['computed(() => { const all = rows(); return all.length; })', ['narrows length: how many there are']],
    ['derived([a, b], ([$a, $b]) => $a + $b)', ['joins : `a`, `b`', 'computes : `$a + $b`']],
    ['late ? a : b', ['computes : `a` where `late`, else `b`']],
    ['a ?? 0', ['computes : `0` where there is none']],
    ['!late', ['computes : whether `late` does not hold']],
    ['await load(id)', ['computes load: what `load(id)` gives', 'times await: waits until it has come']],
    ['this.held.asReadonly()', []],
    ['this.level()', []],
    ['rows', []],
    [
      'toSignal(this.term$.pipe(debounceTime(200), distinctUntilChanged(), switchMap((term) => this.find(term))), { initialValue: [] })',
      [
        'times debounceTime: passes one on when none has come for `200` ms',
        'passes distinctUntilChanged: only one that differs from the one before',
        'switches switchMap: to `find(term)`; what comes late of the one before is dropped',
        'starts : with `[]`',
      ],
    ],
    [
      'combineLatest([a$, b$]).pipe(map(([a, b]) => a + b))',
      ['joins combineLatest: the latest of `a$`, `b$`, whenever one of them comes', 'computes map: `a + b` of each `[a, b]`'],
    ],
    [
      'a$.pipe(withLatestFrom(b$), own())',
      ['joins withLatestFrom: each with the latest of `b$`', 'computes own: an operator that is not known here'],
    ],
    [
      "a$.pipe(takeUntilDestroyed(), tap({ next: () => 1 }), catchError(() => of('`$&')))",
      [
        'ends takeUntilDestroyed: with what it is made in',
        'does tap: `{ next: () => 1 }` for each, and passes it on as it is',
        "recovers catchError: where it fails, goes on with `of(''$&')`",
      ],
    ],
  ])('%s', (text, expected) => {
    expect(computed(`const it| = ${text};`)?.steps).toEqual(expected);
  });
});
