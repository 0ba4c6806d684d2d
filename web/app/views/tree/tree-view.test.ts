import type { Knot, Strand, WhatIf } from '@liana/core';
import { describe, expect, test } from 'vitest';
import type { Row } from '../../analysis/answers';
import { eventWords, placedWords, propWords, takeWords } from './card-words';
import {
  allShown,
  assignColumns,
  bundled,
  chooseStrands,
  columnWidth,
  countKinds,
  drawStrands,
  inView,
  layoutRows,
  mostStrands,
  shortName,
  unbundled,
} from './drawing';
import { ancestorsOf, loosePlaces, nextAmong, pinnedOf, placesLike, shiftOf } from './large';
import { inOrder, pageToBegin } from '../../analysis/page-order';
import { drawnStands, type ShownStand, standsAsked, strandsThen } from './stands';
import { parseTreeState, pathOf, placeAtPath, standsText, withState } from './state';

const row = (place: number, parent: number, name: string, step = name): Row => ({
  place,
  parent,
  depth: parent < 0 ? 0 : 1,
  name,
  file: '',
  role: 'component',
  guard: '',
  step,
});
const rows = [row(0, -1, 'App'), row(1, 0, 'Row'), row(2, 0, 'Row', 'Row~2'), row(3, 2, 'Badge'), row(4, 0, 'Foot')];

const knot = (place: number, from: number, more: Partial<Knot> = {}): Knot => ({
  place,
  from,
  kinds: ['reads'],
  name: 'a',
  names: ['a'],
  code: [],
  twoWay: false,
  ...more,
});
const strand = (id: string, knots: readonly Knot[], more: Partial<Strand> = {}): Strand => ({
  id,
  kind: 'state',
  name: id,
  home: 'f#App' as never,
  knots,
  ...more,
});
const state = parseTreeState(new URLSearchParams());

describe('the state in the URL', () => {
  test('says nothing at first', () => {
    expect(state).toMatchObject({ page: undefined, place: undefined, strand: undefined, only: 'all', code: undefined });
  });

  const cases: readonly [query: string, expected: object][] = [
    ['page=p&place=App/Row', { page: 'p', place: 'App/Row' }],
    ['without=state.event', { without: new Set(['state', 'event']) }],
    ['without=colour', { without: new Set() }],
    ['only=loose', { only: 'loose' }],
    ['only=nonsense', { only: 'all' }],
    ['closed=App%2FRow~2%7CApp%2FFrame', { closed: new Set(['App/Row~2', 'App/Frame']) }],
    ['code=src/a b.tsx:3-9', { code: { file: 'src/a b.tsx', start: 3, end: 9 } }],
    ['code=nonsense', { code: undefined }],
  ];
  test.each(cases)('%s', (query, expected) => {
    expect(parseTreeState(new URLSearchParams(query))).toMatchObject(expected);
  });

  test('a change takes away what is empty', () => {
    expect(withState(new URLSearchParams('a=1&place=x&strand=y'), { place: undefined, strand: '', only: 'loose' }).toString()).toBe(
      'a=1&only=loose',
    );
  });

  test('steps lead to a place and back', () => {
    for (const { place } of rows) expect(placeAtPath(rows, pathOf(rows, place))).toBe(place);
    expect(pathOf(rows, 3)).toBe('App/Row~2/Badge');
    expect(placeAtPath(rows, 'App/Gone')).toBeUndefined();
    expect(placeAtPath(rows, undefined)).toBeUndefined();
  });
});

describe('rows', () => {
  test('folded rows take what is below them off the sheet', () => {
    const layout = layoutRows(rows, { ...allShown, closed: new Set([2]) });
    expect(layout.rows.map(({ row, isOpen }) => [row.place, isOpen])).toEqual([
      [0, true],
      [1, undefined],
      [2, false],
      [4, undefined],
    ]);
    expect([...layout.lineOf]).toEqual([0, 1, 2, 2, 3]);
  });

  test('all folded', () => {
    expect([...layoutRows(rows, { ...allShown, closed: new Set([0, 2]) }).lineOf]).toEqual([0, 0, 0, 0, 0]);
  });
});

describe('a large page', () => {
  const deep: readonly Row[] = [
    { ...row(0, -1, 'App'), depth: 0 },
    { ...row(1, 0, 'Shelf'), depth: 1 },
    { ...row(2, 1, 'Book'), depth: 2 },
    { ...row(3, 2, 'Cover'), depth: 3 },
    { ...row(4, 0, 'Desk'), depth: 1 },
    { ...row(5, 4, 'Book'), depth: 2, sameAs: 2, cut: 'folded' },
  ];
  const names = (shown: Partial<typeof allShown>): string[] =>
    layoutRows(deep, { ...allShown, ...shown }).rows.map(
      ({ key, row: { name, depth }, isOpen }) => `${key} ${depth} ${name} ${isOpen ?? '-'}`,
    );

  test('what stands above already is one row, and opens', () => {
    expect(names({}).slice(-2)).toEqual(['4 1 Desk true', '5 2 Book false']);
    expect(names({ opened: new Set([5]) }).slice(-2)).toEqual(['5 2 Book true', '5.3 3 Cover -']);
  });

  test.each([
    ['cov', ['App', 'Shelf', 'Book', 'Cover']],
    ['book', ['App', 'Shelf', 'Book', 'Desk', 'Book']],
    ['nothing', []],
  ])('rows filtered by %s keep what is above them', (filter, expected) => {
    expect(layoutRows(deep, { ...allShown, filter }).rows.map((one) => one.row.name)).toEqual(expected);
  });

  const many = [
    strand('a', [knot(1, -1), knot(3, 1)], { name: 'open', home: 'f#Book' as never }),
    strand('b', [knot(5, -1)], { name: 'open', home: 'f#Book' as never }),
    strand('c', [knot(0, -1), knot(4, 0)], { name: 'chosen' }),
    strand('d', [knot(2, 1)], { name: 'open', home: 'f#Book' as never, loose: 'x' }),
  ];

  test('strands of one name and home are one column, but for loose ends, the chosen one, and those that are drawn apart', () => {
    const told = (apart: readonly string[], chosen?: string): string[] =>
      bundled(many, new Set(apart), chosen).map(({ count, strand: one }) => `${one.name} ${count} ${one.knots.length}`);
    expect(told([])).toEqual(['open 2 3', 'chosen 1 2', 'open 1 1']);
    expect(told([], 'b')).toEqual(['open 1 2', 'open 1 1', 'chosen 1 2', 'open 1 1']);
    expect(told(['state f#Book open'])).toEqual(['open 1 2', 'open 1 1', 'chosen 1 2', 'open 1 1']);
  });

  test('what touches the rows in view is drawn, and the chosen strand; of too many the weightiest', () => {
    const layout = layoutRows(deep, allShown);
    const ids = (first: number, last: number, most: number, chosen?: string): string[] =>
      inView(unbundled(many), layout, first, last, most, chosen).map((one) => one.strand.id);
    expect(ids(1, 3, 9)).toEqual(['a', 'd']);
    expect(ids(1, 3, 9, 'c')).toEqual(['a', 'c', 'd']);
    expect(ids(0, 5, 2)).toEqual(['a', 'd']);
  });

  test('a column stays while it is in view, and its place is free afterwards', () => {
    const first = assignColumns(new Map(), ['a', 'b', 'c']);
    expect([...first]).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 2],
    ]);
    const next = assignColumns(first, ['c', 'd', 'b']);
    expect(new Map(next)).toEqual(
      new Map([
        ['b', 1],
        ['c', 2],
        ['d', 0],
      ]),
    );
    expect(assignColumns(next, ['b', 'c', 'd'])).toBe(next);
  });

  test('deep names move left together, never past the outermost in view', () => {
    const layout = layoutRows(deep, allShown);
    expect(shiftOf(layout, 0, 5, 400)).toBe(0);
    expect(shiftOf(layout, 2, 3, 60)).toBe(36);
    expect(shiftOf(layout, 0, 5, 60)).toBe(0);
  });

  test('what is above, what is loose, and the places of one component', () => {
    expect(ancestorsOf(deep, deep[3]).map((one) => one.name)).toEqual(['App', 'Shelf', 'Book']);
    expect(ancestorsOf(deep, undefined)).toEqual([]);
    expect(pinnedOf(ancestorsOf(deep, deep[3]), 400).map((one) => one.name)).toEqual(['App', 'Shelf', 'Book']);
    expect(pinnedOf(ancestorsOf(deep, deep[3]), 180).map((one) => one.name)).toEqual(['Shelf', 'Book']);
    expect(pinnedOf(ancestorsOf(deep, deep[3]), 10).map((one) => one.name)).toEqual(['Book']);
    expect(loosePlaces(many)).toEqual([2]);
    expect(placesLike(deep, 2)).toEqual([2, 5]);
    expect(placesLike(deep, undefined)).toEqual([]);
    expect([nextAmong([2, 5], 2, false), nextAmong([2, 5], 5, false), nextAmong([2, 5], 2, true), nextAmong([], 2, false)]).toEqual([
      5,
      2,
      5,
      undefined,
    ]);
  });

  test('pages are offered by why they are pages, the largest first', () => {
    const page = (name: string, why: 'mounted' | 'route' | 'alone', places: number): never =>
      ({ id: name, name, file: '', path: '', why, places }) as never;
    const pages = [page('a', 'alone', 9), page('b', 'route', 3), page('c', 'route', 7), page('d', 'mounted', 1)];
    expect(inOrder(pages).map((one) => one.name)).toEqual(['d', 'c', 'b', 'a']);
    const begins = (...given: readonly never[]): string | undefined => pageToBegin(given)?.name;
    expect(begins(...pages)).toBe('c');
    expect(begins(page('a', 'route', 4), page('b', 'route', 7))).toBe('a');
    expect(begins(page('a', 'alone', 1), page('b', 'alone', 5))).toBe('b');
    expect(begins()).toBeUndefined();
  });
});

describe('which strands are drawn', () => {
  const all = [
    strand('a', [knot(0, -1), knot(1, 0)]),
    strand('b', [knot(0, -1), knot(3, 0)], { kind: 'event' }),
    strand('c', [knot(4, 0)], { loose: 'x' }),
  ];
  const ids = (more: object, place?: number): string[] => chooseStrands(all, { ...state, ...more }, place).strands.map((one) => one.id);

  test('by kind, loose ends, and through the choice', () => {
    expect(ids({})).toEqual(['a', 'b', 'c']);
    expect(ids({ without: new Set(['event']) })).toEqual(['a', 'c']);
    expect(ids({ only: 'loose' })).toEqual(['c']);
    expect(ids({ only: 'through' }, 3)).toEqual(['b']);
    expect(ids({ only: 'through' })).toEqual(['a', 'b', 'c']);
  });

  test('a chosen strand is drawn whatever the filter', () => {
    expect(ids({ only: 'loose', strand: 'a' })).toEqual(['a', 'c']);
  });

  test('of too many, loose ends and long ones stay, and the rest is counted', () => {
    const many = Array.from({ length: 80 }, (_, at) =>
      strand(`s${at}`, at === 70 ? [knot(0, -1), knot(1, 0), knot(2, 0)] : [knot(0, -1), knot(1, 0)], at === 75 ? { loose: 'x' } : {}),
    );
    const choice = chooseStrands(many, state, undefined);
    expect(choice).toMatchObject({ hidden: 80 - mostStrands, why: 'many' });
    const kept = choice.strands.map((one) => one.id);
    expect(kept).toContain('s70');
    expect(kept).toContain('s75');
  });

  test('counts by kind', () => {
    expect(countKinds(all)).toMatchObject({ state: 2, event: 1 });
  });
});

describe('lines and knots', () => {
  const drawn = (
    knots: readonly Knot[],
    closed: readonly number[] = [],
    more: Partial<Strand> = {},
  ): ReturnType<typeof drawStrands>[number] => {
    const [only] = drawStrands(unbundled([strand('a', knots, more)]), layoutRows(rows, { ...allShown, closed: new Set(closed) }), 30);
    if (!only) throw new Error('nothing drawn');
    return only;
  };

  test('stretches that touch are one line', () => {
    expect(drawn([knot(0, -1), knot(1, 0), knot(4, 1)]).segments).toEqual([{ from: 0, to: 4, twoWay: false }]);
  });

  test('stretches apart stay apart', () => {
    expect(drawn([knot(0, -1), knot(1, 0), knot(3, 2)]).segments).toEqual([
      { from: 0, to: 1, twoWay: false },
      { from: 2, to: 3, twoWay: false },
    ]);
  });

  test('where two-way and one-way cover the same rows, two-way shows, once', () => {
    expect(drawn([knot(0, -1), knot(2, 0, { twoWay: true }), knot(4, 0)]).segments).toEqual([
      { from: 0, to: 2, twoWay: true },
      { from: 2, to: 4, twoWay: false },
    ]);
  });

  test('knots below a folded row stand at it', () => {
    expect(drawn([knot(0, -1), knot(3, 0)], [2]).knots.map(({ line, folded }) => [line, folded])).toEqual([
      [0, false],
      [2, true],
    ]);
  });

  test('a context from above the page starts in the head', () => {
    expect(drawn([knot(3, -1)], [], { kind: 'context' })).toMatchObject({ fromAbove: true, segments: [{ from: -1, to: 3 }] });
  });

  test('columns give way to each other, to a point', () => {
    expect([columnWidth(3, 500), columnWidth(19, 500), columnWidth(80, 500)]).toEqual([38, 22, 22]);
    expect(shortName('aVeryLongNameForAStrand')).toHaveLength(17);
  });
});

describe('words of the card', () => {
  const card = { repeats: [], branches: [], places: 1, owner: { place: 0, name: 'App' }, parent: { place: 0, name: 'App' } };
  const cases: readonly [given: object, words: string][] = [
    [{}, 'Placed by App, which also owns it.'],
    [
      { parent: { place: 1, name: 'Frame' }, slot: { name: 'children', of: 'Frame' } },
      'Owned by App, which passes its props. Placed in Frame. It stands in the children of Frame.',
    ],
    [{ repeats: ['lock'] }, 'Placed by App, which also owns it. Rendered once for each lock.'],
    [{ branches: ['selected'], places: 2 }, 'Placed by App, which also owns it. Only if selected. It stands at 2 places on this page.'],
    [{ owner: undefined, parent: undefined }, 'The page starts here.'],
    [
      { half: { runs: 'server', scripts: false } },
      'Placed by App, which also owns it. It is made on the server; nothing of it runs in the browser.',
    ],
    [
      { half: { runs: 'server', scripts: true } },
      'Placed by App, which also owns it. It is made on the server; what its scripts do, they do in the browser.',
    ],
    [
      { half: { runs: 'unstarted', scripts: false } },
      'Placed by App, which also owns it. It is made on the server, and nothing starts it in the browser.',
    ],
    [
      { half: { runs: 'both', by: 'client:idle', scripts: false } },
      'Placed by App, which also owns it. It is made on the server, and runs in the browser once it is started (client:idle).',
    ],
    [
      { module: { name: 'LocksModule', offers: false } },
      'Placed by App, which also owns it. Declared in LocksModule, which keeps it to itself.',
    ],
    [
      { module: { name: 'LocksModule', offers: true } },
      'Placed by App, which also owns it. Declared in LocksModule, which hands it to whatever brings that in.',
    ],
    [
      { half: { runs: 'browser', by: 'client:only', scripts: false } },
      'Placed by App, which also owns it. It is made in the browser alone (client:only).',
    ],
  ];
  test.each(cases)('%o', (given, words) => {
    expect(placedWords({ ...card, ...given } as never)).toBe(words);
  });

  test('props, events and contexts', () => {
    expect(propWords({ name: 'a', kind: 'value', required: 'yes' } as never)).toBe('required, and not passed');
    expect(propWords({ name: 'a', required: 'no', fallback: 'false' } as never)).toBe('optional, false; not passed here');
    expect(propWords({ name: 'a', required: 'yes', from: { name: 'b', home: 'App', hops: 2, renamed: true } } as never)).toBe(
      'from b of App, 2 components up, under another name',
    );
    expect(eventWords({ raised: [1], heard: undefined } as never)).toBe('raised here, nobody listens');
    expect(takeWords({ via: ['useK'], provider: undefined } as never)).toBe('no provider is above, through useK');
  });
});

describe('places that would stand elsewhere', () => {
  // A badge within the second row.
  const deep = rows.map((one) => (one.place === 3 ? { ...one, depth: 2 } : one));
  const asking = (query: string) => parseTreeState(new URLSearchParams(query));
  const told = (more: Partial<WhatIf> = {}): WhatIf => ({
    move: '',
    answers: [],
    elsewhere: [],
    endless: false,
    lost: [],
    another: [],
    unheard: [],
    heardBy: [],
    unchanged: [],
    ...more,
  });
  const stand = (moved: number, target: number, more: Partial<ShownStand> = {}): ShownStand => ({
    state: { from: '', to: '' },
    moved,
    target,
    slots: [],
    whatIf: told(),
    isAsked: false,
    ...more,
  });

  test.each<[string, string, number | undefined, [number, number, string | undefined, boolean][]]>([
    ['none', '', 1, []],
    [
      'those that the URL holds',
      'stands=App/Row>App/Foot|App/Row~2>App/Row%23children',
      undefined,
      [
        [1, 4, undefined, false],
        [2, 1, 'children', false],
      ],
    ],
    [
      'the one that is asked about comes last',
      'stands=App/Row>App/Foot&move=App/Row~2&slot=a',
      4,
      [
        [1, 4, undefined, false],
        [2, 4, 'a', true],
      ],
    ],
    ['asked about again, it is not where it was', 'stands=App/Row>App/Foot&move=App/Row', 2, [[1, 2, undefined, true]]],
    ['asked about, and no place chosen', 'move=App/Row', undefined, []],
    ['asked about at its own place', 'move=App/Row', 1, []],
    ['what is not there any more is left out', 'stands=App/Gone>App/Foot|App/Row>App/Gone|strange', undefined, []],
  ])('%s', (_, query, place, expected) => {
    const found = standsAsked(deep, asking(query), place);
    expect(found.map(({ moved, target, state: { slot }, isAsked }) => [moved, target, slot, isAsked])).toEqual(expected);
  });
  test('the URL holds what it held', () => {
    const { stands } = asking('stands=App/Row>App/Foot|App/Row~2>App/Row%23children');
    expect(asking(`stands=${encodeURIComponent(standsText(stands) ?? '')}`).stands).toEqual(stands);
    expect(standsText([])).toBeUndefined();
  });

  test('rows come below the new place, with what is in the part, and go at the old one', () => {
    const drawn = drawnStands(deep, [stand(2, 4, { state: { from: '', to: '', slot: 'a' } })]);
    const { rows: shown, lineOf } = layoutRows(deep, allShown, drawn);
    expect(shown.map(({ row, stands }) => [row.name, row.depth, row.guard, stands])).toEqual([
      ['App', 0, '', undefined],
      ['Row', 1, '', undefined],
      ['Row', 1, '', 'gone'],
      ['Badge', 2, '', 'gone'],
      ['Foot', 1, '', undefined],
      ['Row', 2, 'in Foot’s a', 'there'],
      ['Badge', 3, '', 'there'],
    ]);
    expect([...lineOf]).toEqual([0, 1, 2, 3, 4, 5, 6]);
  });
  test('below a row that is folded, or left out, they have the line of that', () => {
    const drawn = drawnStands(deep, [stand(1, 3)]);
    const { rows: shown, lineOf } = layoutRows(deep, { ...allShown, closed: new Set([2]) }, drawn);
    expect(shown.map(({ row }) => row.name)).toEqual(['App', 'Row', 'Row', 'Foot']);
    expect(lineOf[5]).toBe(2);
  });
  test('what stands in a part that stands elsewhere goes along, and what has left it does not', () => {
    const shownOf = (stands: readonly ShownStand[]) =>
      layoutRows(deep, allShown, drawnStands(deep, stands)).rows.flatMap(({ row, stands: how }) =>
        how === 'there' ? [`${row.depth} ${row.name}`] : [],
      );
    expect(shownOf([stand(1, 2), stand(2, 4)])).toEqual(['2 Row', '3 Row', '3 Badge']);
    expect(shownOf([stand(3, 1), stand(2, 4)])).toEqual(['2 Badge', '2 Row']);
  });
  test('one that cannot be changes nothing', () => {
    expect(drawnStands(deep, [stand(1, 2, { whatIf: undefined })]).count).toBe(0);
  });

  const then = (one: Strand, stands: readonly ShownStand[]) =>
    strandsThen(deep, [one], stands, drawnStands(deep, stands)).flatMap(({ knots }) => knots.slice(one.knots.length));
  test.each<[string, Strand, ShownStand, Partial<Knot>[]]>([
    [
      'a value is handed by whoever writes it then',
      strand('a', [knot(0, -1), knot(2, 0)]),
      stand(2, 4),
      [{ place: 5, from: 4, kinds: ['reads'] }],
    ],
    [
      'in a slot by who hands it now',
      strand('a', [knot(0, -1), knot(2, 0)]),
      stand(2, 4, { state: { from: '', to: '', slot: 's' } }),
      [{ place: 5, from: 0 }],
    ],
    [
      'one that is lost is loose',
      strand('a', [knot(2, 0)]),
      stand(2, 4, { whatIf: told({ lost: [{ component: 'Row', name: 'a', of: 'a' }] }) }),
      [{ place: 5, from: -1, kinds: ['loose'] }],
    ],
    [
      'an event that nobody hears is loose',
      strand('a', [knot(2, 0)], { kind: 'event' }),
      stand(2, 4, { whatIf: told({ unheard: [{ component: 'Row', event: 'a' }] }) }),
      [{ place: 5, kinds: ['loose'] }],
    ],
    [
      'what is handed within the part goes with it',
      strand('a', [knot(2, 0), knot(3, 2)]),
      stand(2, 4),
      [
        { place: 5, from: 4 },
        { place: 6, from: 5 },
      ],
    ],
    [
      'a context comes from who answers then',
      strand('a', [knot(0, -1), knot(3, 0)], { kind: 'context' }),
      stand(2, 4, { whatIf: told({ answers: [{ component: 'Badge', key: 'a', before: 'App', after: 'Foot' }] }) }),
      [{ place: 6, from: 4 }],
    ],
    [
      'from nobody it is loose',
      strand('a', [knot(3, 0)], { kind: 'context' }),
      stand(2, 4, { whatIf: told({ answers: [{ component: 'Badge', key: 'a', before: 'App', after: null }] }) }),
      [{ place: 6, kinds: ['loose'] }],
    ],
    [
      'a store is no matter of place',
      strand('a', [knot(2, -1)], { kind: 'store' }),
      stand(2, 4),
      [{ place: 5, from: -1, kinds: ['reads'] }],
    ],
    ['what does not touch it stays', strand('a', [knot(1, 0)]), stand(2, 4), []],
  ])('%s', (_, one, moved, expected) => {
    expect(then(one, [moved])).toMatchObject(expected);
    expect(then(one, [moved])).toHaveLength(expected.length);
  });
});
