import { beforeAll, describe, expect, test } from 'vitest';
import { bundles } from '../../../testing/src/bundles';
import { analyseFiles, componentNamed, type Files, pageNamed } from '../../../testing/src/project';
import { type CodePart, codeOf, codeRows, compareProjects, type Side, usersOf } from '../compare';
import { listenerAt, makeFlowQueries } from '../flow';
import { outcomeOf } from '../flow/views/outcome';
import { treeEntry } from '../formats';
import { lineAt, lineStarts } from '../model/lines';
import { unfold } from '../tree';
import { loadCompilers } from './registry';

beforeAll(() => loadCompilers(['app.component.html']));

// Markup in a file beside the class: what is said of it stands there, not in the class.
const angular = (html: string, child = '@Input({ required: true }) depth = 0;'): Files => ({
  'package.json': '{ "dependencies": { "@angular/core": "^20.0.0" } }',
  'src/main.ts':
    "import { bootstrapApplication } from '@angular/platform-browser'; import { App } from './app'; bootstrapApplication(App);",
  'src/app.ts': `import { Component } from '@angular/core';\nimport { Dial } from './dial';\n@Component({ selector: 'app-root', imports: [Dial], templateUrl: './app.html' })\nexport class App { depth = 2; }`,
  'src/app.html': html,
  'src/dial.ts': `import { Component, Input } from '@angular/core';\n@Component({ selector: 'app-dial', template: '{{ depth }}' })\nexport class Dial { ${child} }`,
});
const dial = '<h1>Depth</h1>\n\n<app-dial [depth]="depth" />\n<button (click)="depth = 3">3</button>';
const lwc: Files = bundles({
  app: { exposed: true, js: '  depth = 2;\n  set() {\n    this.depth = 3;\n  }', html: '<p>Depth</p>\n\n<c-dial depth={depth}></c-dial>' },
  dial: { js: '  @api depth;', html: '<b>{depth}</b>' },
});

const side = (files: Files): Side => ({ ...analyseFiles(files), textOf: (file) => files[file] });

describe('a place in markup beside a class stands in its file', () => {
  test.each([
    ['Angular', angular(dial), 'Dial', 'src/app.html', 3],
    ['LWC', lwc, 'dial', 'force-app/main/default/lwc/app/app.html', 4],
  ])('in the tree of %s', (_, files, name, file, line) => {
    const { model } = analyseFiles(files);
    const [page] = model.pages;
    if (!page) throw new Error('There is no page.');
    const { places } = treeEntry(model, page, (of, offset) => lineAt(lineStarts(files[of] ?? ''), offset));
    expect(places.find(({ component }) => component === name)).toMatchObject({ file, line });
  });

  test('of who uses what was changed, with what breaks there', () => {
    const after = side(angular(dial.replace('[depth]="depth" ', '')));
    const comparison = compareProjects(side(angular(dial)), after);
    const users = usersOf(after, componentNamed(after.model, 'Dial'), comparison);
    expect(users.map(({ owner, at, broken }) => [owner, at.file, broken?.rule])).toEqual([['App', 'src/app.html', 'prop-missing']]);
  });

  test('of what happens when its listener hears', () => {
    const { model } = analyseFiles(angular(dial));
    const ways = makeFlowQueries(model, unfold(model, pageNamed(model, 'App')));
    const listener = listenerAt(ways.graph, 'src/app.html', dial.indexOf('click'));
    const { sets, impact } = outcomeOf(ways, listener ? [listener] : []);
    expect([...sets].map((at) => at.split(':')[0])).toEqual(['src/app.html']);
    expect(impact.shows.length).toBeGreaterThan(0);
  });
});

test('code beside code has the numbers of its lines in its files, and says where another file begins', () => {
  const before = side(angular(dial));
  const after = side(angular(dial.replace('<h1>Depth</h1>', '<h2>Depth</h2>')));
  const codeIn = (one: Side): CodePart[] => codeOf(one, componentNamed(one.model, 'App'));
  const rows = codeRows(codeIn(before), codeIn(after));
  expect(rows.filter(({ same }) => !same)).toEqual([
    {
      before: { file: 'src/app.html', line: 1, text: '<h1>Depth</h1>' },
      after: { file: 'src/app.html', line: 1, text: '<h2>Depth</h2>' },
      same: false,
    },
  ]);
  expect(rows[0]?.before?.line).toBe(3);
  expect(codeRows([], [])).toEqual([]);
});
