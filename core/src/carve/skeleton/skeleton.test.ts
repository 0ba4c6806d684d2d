import { describe, expect, test } from 'vitest';
import { drawnPlan, filesOf, planOf } from '../../../../testing/src/carve';
import { type Markup, skeletonWriters } from '.';

const fileOf = (files: readonly { file: string; text: string }[], name: string): string =>
  files.find(({ file }) => file.endsWith(`/${name}`))?.text ?? `no ${name}`;

describe('from a saved page', () => {
  const html = `<main><ul class="lock-list">
  <li class="lock-card"><h3>Aldermoor</h3><span class="pill late">2 late</span></li>
  <li class="lock-card"><h3>Quarry Rise</h3><span class="pill">clear</span><p>Shut until <b>noon</b>.</p></li>
</ul></main>`;
  const { plan, pages } = planOf({ TodayPage: html });
  const files = filesOf(plan, pages);

  test('a list with keys, given what the page gives it', () => {
    expect(fileOf(files, 'LockList.tsx')).toBe(`import { LockCard, type LockCardItem } from './LockCard';

export type LockListProps = {
  locks: LockCardItem[];
};

export function LockList({ locks }: LockListProps) {
  return (
    <ul className="lock-list">
      {locks.map((lock) => (
        <LockCard key={lock.id} title={lock.title} hasText={lock.hasText} tone={lock.tone} text={lock.text} />
      ))}
    </ul>
  );
}
`);
  });
  test('an item with what varies as props, what only some have under a flag, and what is the same inside', () => {
    expect(fileOf(files, 'LockCard.tsx')).toBe(`import { Pill } from './Pill';

export type LockCardItem = {
  id: string;
  title: string;
  hasText: boolean;
  tone: 'pill' | 'pill late';
  text: string;
};

export type LockCardProps = Omit<LockCardItem, 'id'>;

export function LockCard({ title, hasText, tone, text }: LockCardProps) {
  return (
    <li className="lock-card">
      <h3>{title}</h3>
      <Pill tone={tone} text={text} />
      {hasText && (
        <p>
          {'Shut until '}
          <b>noon</b>
          .
        </p>
      )}
    </li>
  );
}
`);
  });
  test('sample content from the page itself', () => {
    expect(fileOf(files, 'todayPage.ts')).toBe(`import type { LockCardItem } from '../parts/LockCard';

export const locks: LockCardItem[] = [
  { id: 'lockCard-1', title: 'Aldermoor', hasText: false, tone: 'pill late', text: '2 late' },
  { id: 'lockCard-2', title: 'Quarry Rise', hasText: true, tone: 'pill', text: 'clear' },
];
`);
  });
});

test('handlers and script addresses of the page are not taken over', () => {
  const { plan, pages } = planOf({ TodayPage: '<header class="bar" onclick="x()"><a href="javascript:x()">a</a><b>b</b></header>' });
  const text = fileOf(filesOf(plan, pages), 'Bar.tsx');
  expect(text).toContain('<a href="#">a</a>');
  expect(text).not.toMatch(/javascript:|onclick|onClick/);
});

describe('from marks on a picture', () => {
  test('state where the plan says, handed down, and its change handed up', () => {
    const files = filesOf(drawnPlan('TodayPage\n  LockList\n    LockCard\n  LockPanel\n', [['chosen', 'LockPanel LockCard', 'LockCard']]));
    expect(fileOf(files, 'TodayPage.tsx')).toBe(`import { useState } from 'react';
import { LockList } from '../parts/LockList';
import { LockPanel } from '../parts/LockPanel';

export function TodayPage() {
  const [chosen, setChosen] = useState<string>('');
  return (
    <main className="today-page">
      <LockList chosen={chosen} onChangeChosen={setChosen} />
      <LockPanel chosen={chosen} />
    </main>
  );
}
`);
    expect(fileOf(files, 'LockList.tsx')).toContain('<LockCard chosen={chosen} onChangeChosen={onChangeChosen} />');
    expect(fileOf(files, 'LockCard.tsx')).toContain('onClick={() => onChangeChosen(chosen)}');
  });
  test('a slot is filled by whoever owns the part', () => {
    const files = filesOf(drawnPlan('TodayPage\n  AppShell\n    LockList (children)\n', []));
    expect(fileOf(files, 'AppShell.tsx')).toContain('{children}');
    expect(fileOf(files, 'TodayPage.tsx')).toContain('<AppShell>\n        <LockList />\n      </AppShell>');
  });
  test('a context is provided at its home and taken where it is needed', () => {
    const files = filesOf(drawnPlan('BookPage\n  Desk\n    Side\n      Shelf\n        Stamp\n  Wall\n', [['word', 'Stamp Wall', 'Wall']]));
    expect(fileOf(files, 'BookPage.tsx')).toContain('<WordContext value={{ word, setWord }}>');
    expect(fileOf(files, 'Stamp.tsx')).toContain('const { word } = useWord();');
    expect(fileOf(files, 'Wall.tsx')).toContain('const { word, setWord } = useWord();');
    expect(fileOf(files, 'Shelf.tsx')).not.toContain('word');
  });
  test('a store stands outside all parts', () => {
    const files = filesOf(drawnPlan('TodayPage\n  Gauge\n  Gate\n', [['level', 'Gauge', 'Gate', 'pages']]));
    expect(fileOf(files, 'level.ts')).toContain('export function setLevel(next: string): void {');
    expect(fileOf(files, 'Gauge.tsx')).toContain('const level = useLevel();');
    expect(fileOf(files, 'Gate.tsx')).toContain("import { setLevel } from '../stores/level';");
    expect(fileOf(files, 'TodayPage.tsx')).not.toContain('level');
  });
  test('a part that is not always there stands under a condition', () => {
    const files = filesOf(drawnPlan('TodayPage\n  LockList\n  LockPanel ?\n', []));
    expect(fileOf(files, 'TodayPage.tsx')).toContain('{hasLockPanel && (');
    expect(fileOf(files, 'todayPage.ts')).toBe('export const hasLockPanel: boolean = true;\n');
  });
  test('a plan without parts has its page alone, one without pages has no part', () => {
    expect(filesOf(drawnPlan('TodayPage\n', [])).map(({ file }) => file)).toContain('src/pages/TodayPage.tsx');
    expect(filesOf(drawnPlan('', [])).filter(({ file }) => /pages|parts/.test(file))).toEqual([]);
  });
});

describe('in Astro', () => {
  const named = (files: readonly { file: string; text: string }[]): string[] =>
    files.map(({ file }) => file).filter((file) => /views|parts|pages|layouts/.test(file));

  test('what does nothing in the browser is made on the server', () => {
    const { plan, pages } = planOf({
      RosterPage: `<main><h1>Roster {1}</h1>${'<article class="shift"><h3>Monday</h3><p>Early</p></article>'.repeat(2)}</main>`,
    });
    const files = filesOf(plan, pages, 'astro');
    expect(named(files)).toEqual([
      'src/layouts/Layout.astro',
      'src/pages/index.astro',
      'src/views/RosterPage.astro',
      'src/parts/Shift.astro',
    ]);
    expect(fileOf(files, 'index.astro')).toContain('<Layout title="Towpath"><RosterPage /></Layout>');
    expect(fileOf(files, 'RosterPage.astro')).toContain('<h1>Roster &#123;1&#125;</h1>');
    expect(fileOf(files, 'package.json')).not.toContain('svelte');
  });
  test('a part that does something is an island, with all that stands in it; what is around it is not', () => {
    const files = filesOf(
      drawnPlan('TodayPage\n  TopBar\n    Clock\n  Board\n    KeeperMenu\n      Name\n', [['open', 'KeeperMenu', 'KeeperMenu']]),
      new Map(),
      'astro',
    );
    expect(named(files).filter((file) => /views|parts/.test(file))).toEqual([
      'src/views/TodayPage.astro',
      'src/parts/TopBar.astro',
      'src/parts/Clock.astro',
      'src/parts/Board.astro',
      'src/parts/KeeperMenu.svelte',
      'src/parts/Name.svelte',
    ]);
    expect(fileOf(files, 'Board.astro')).toContain('<KeeperMenu client:load />');
    expect(fileOf(files, 'Board.astro')).toContain("import KeeperMenu from '../parts/KeeperMenu.svelte';");
    expect(fileOf(files, 'KeeperMenu.svelte')).toContain('<Name />');
  });
  test('a page that keeps a value is an island as a whole, as functions cannot be handed to one', () => {
    const files = filesOf(
      drawnPlan('TodayPage\n  LockList\n    LockCard\n  LockPanel\n', [['chosen', 'LockPanel LockCard', 'LockCard']]),
      new Map(),
      'astro',
    );
    expect(fileOf(files, 'index.astro')).toContain("import TodayPage from '../views/TodayPage.svelte';");
    expect(fileOf(files, 'index.astro')).toContain('<TodayPage client:load />');
    expect(fileOf(files, 'TodayPage.svelte')).toContain("import LockList from '../parts/LockList.svelte';");
  });
  test('islands share a value by a module', () => {
    const files = filesOf(drawnPlan('TodayPage\n  Gauge\n  Gate\n', [['level', 'Gauge', 'Gate', 'pages']]), new Map(), 'astro');
    expect(fileOf(files, 'level.svelte.ts')).toContain('export const level = $state');
    expect(fileOf(files, 'TodayPage.astro')).toContain('<Gauge client:load />');
    expect(fileOf(files, 'Gate.svelte')).toContain("import { level } from '../stores/level.svelte';");
  });
  test('slots and conditions in its own words', () => {
    const shelled = filesOf(drawnPlan('TodayPage\n  AppShell\n    LockList (children)\n', []), new Map(), 'astro');
    expect(fileOf(shelled, 'AppShell.astro')).toContain('<slot />');
    const sometimes = filesOf(drawnPlan('TodayPage\n  LockList\n  LockPanel ?\n', []), new Map(), 'astro');
    expect(fileOf(sometimes, 'TodayPage.astro')).toContain('{hasLockPanel && <>');
  });
});

describe('in Angular', () => {
  const html = `<main><ul class="lock-list">
  <li class="lock-card"><h3>Aldermoor {1}</h3><span class="pill late">2 late</span></li>
  <li class="lock-card"><h3>Quarry Rise</h3><span class="pill">clear</span><p>Shut until <b>noon</b>.</p></li>
</ul></main>`;

  test('a part is the element that it is, by an attribute, with its own class and what is bound to it', () => {
    const { plan, pages } = planOf({ TodayPage: html });
    const files = filesOf(plan, pages, 'angular');
    expect(fileOf(files, 'lock-list.ts')).toBe(`import { Component, input } from '@angular/core';
import type { LockCardItem } from '../items/LockCard';
import { LockCard } from './lock-card';

@Component({
  selector: '[appLockList]',
  imports: [LockCard],
  host: {
    class: 'lock-list',
  },
  template: \`
    @for (lock of locks(); track lock.id) {
      <li appLockCard [title]="lock.title" [hasText]="lock.hasText" [tone]="lock.tone" [text]="lock.text"></li>
    }
  \`,
})
export class LockList {
  readonly locks = input.required<LockCardItem[]>();
}
`);
    expect(fileOf(files, 'lock-card.ts')).toContain('<h3>{{ title() }}</h3>');
    expect(fileOf(files, 'lock-card.ts')).toContain('@if (hasText()) {');
    expect(fileOf(files, 'pill.ts')).toContain("'[class]': 'tone()'");
    expect(fileOf(files, 'today-page.ts')).toContain('protected readonly locks = locks;');
  });
  test('what a user does raises an output, and is heard where the value lives', () => {
    const files = filesOf(
      drawnPlan('TodayPage\n  LockList\n    LockCard\n  LockPanel\n', [['chosen', 'LockPanel LockCard', 'LockCard']]),
      new Map(),
      'angular',
    );
    expect(fileOf(files, 'lock-card.ts')).toContain("'(click)': 'changeChosen.emit(chosen())'");
    expect(fileOf(files, 'lock-list.ts')).toContain('(changeChosen)="changeChosen.emit($event)"');
    expect(fileOf(files, 'today-page.ts')).toContain('(changeChosen)="chosen.set($event)"');
    expect(fileOf(files, 'today-page.ts')).toContain("protected readonly chosen = signal<string>('');");
  });
  test('a context is provided by its home and injected, a store is imported', () => {
    const given = filesOf(
      drawnPlan('BookPage\n  Desk\n    Side\n      Shelf\n        Stamp\n  Wall\n', [['word', 'Stamp Wall', 'Wall']]),
      new Map(),
      'angular',
    );
    expect(fileOf(given, 'book-page.ts')).toContain("providers: [{ provide: wordKey, useFactory: () => signal<string>('') }],");
    expect(fileOf(given, 'stamp.ts')).toContain('protected readonly word = inject(wordKey);');
    const two = drawnPlan('BookPage\n  Desk\n    Side\n      Shelf\n        Stamp\n  Wall\n', [
      ['word', 'Stamp Wall', 'Wall'],
      ['ink', 'Stamp Wall', 'Wall'],
    ]);
    expect(fileOf(filesOf(two, new Map(), 'angular'), 'book-page.ts')).toContain(
      "  providers: [\n    { provide: wordKey, useFactory: () => signal<string>('') },\n    { provide: inkKey, useFactory: () => signal<string>('') },\n  ],\n",
    );
    expect(fileOf(given, 'shelf.ts')).not.toContain('word');
    const stored = filesOf(drawnPlan('TodayPage\n  Gauge\n  Gate\n', [['level', 'Gauge', 'Gate', 'pages']]), new Map(), 'angular');
    expect(fileOf(stored, 'level.ts')).toContain("export const level = signal<string>('');");
    expect(fileOf(stored, 'gate.ts')).toContain('level.set(');
  });
  test('a slot, a condition, and several pages', () => {
    const shelled = filesOf(drawnPlan('TodayPage\n  AppShell\n    LockList (children)\n', []), new Map(), 'angular');
    expect(fileOf(shelled, 'app-shell.ts')).toContain('<ng-content />');
    const sometimes = filesOf(drawnPlan('TodayPage\n  LockList\n  LockPanel ?\n', []), new Map(), 'angular');
    expect(fileOf(sometimes, 'today-page.ts')).toContain('@if (hasLockPanel) {');
    const { plan, pages } = planOf({ TodayPage: '<main><p>a</p></main>', LockPage: '<main><p>{{ b }} @ {c}</p></main>' });
    const several = filesOf(plan, pages, 'angular');
    expect(fileOf(several, 'app.ts')).toContain("@case ('LockPage') {");
    expect(fileOf(several, 'lock-page.ts')).toContain('<p>&#123;&#123; b &#125;&#125; &#64; &#123;c&#125;</p>');
  });
  test('parts of a drawing say that they are', () => {
    const element = (tag: string, children: readonly Markup[] = []): Markup => ({
      kind: 'element',
      tag,
      attributes: [],
      events: [],
      shows: [],
      children,
    });
    const chart = {
      ...{ name: 'Chart', role: 'part' as const, note: '', props: [], events: [], slots: [], state: [], taken: [], sample: [], uses: [] },
      markup: [element('svg', [element('path'), element('foreignObject', [element('p')])])],
    };
    const files = skeletonWriters
      .find(({ framework }) => framework === 'angular')
      ?.write({
        ...{ name: 'Towpath', style: '', root: {}, body: {}, pictures: [] },
        parts: [chart],
      });
    expect(fileOf(files ?? [], 'chart.ts')).toMatch(/<svg:path><\/svg:path>\s*<svg:foreignObject>\s*<p><\/p>/);
  });
});
