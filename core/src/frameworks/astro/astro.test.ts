import { beforeAll, describe, expect, test } from 'vitest';
import { contractLine } from '../../../../testing/src/contract';
import { analyseFiles, type Files, outline, pageNamed, rows, treeOf } from '../../../../testing/src/project';
import { contextsAt } from '../../../../testing/src/astro';
import { makeFlowQueries } from '../../flow';
import { unfold } from '../../tree';
import { readFile } from '../read-file';
import { loadCompilers, readerOf } from '../registry';

beforeAll(() => loadCompilers(['Part.svelte']));

/** What a file says: its contract, its markup, and what could not be read (`!`). */
function said(text: string, file = 'src/components/Part.astro'): string[] {
  const facts = readFile(file, text);
  const [component] = facts.components;
  if (!component) return [];
  const markup = outline(component.template).split('\n');
  return [contractLine(component), ...markup.filter((line) => line !== ''), ...facts.problems.map(({ message }) => `! ${message}`)];
}

const script = (text: string, markup = '<p/>'): string => `---\n${text}\n---\n${markup}`;

describe('what a file says', () => {
  test.each<[string, string, readonly string[]]>([
    [
      'props taken apart, with a default and the rest',
      script('const { a, b = 1, ...rest } = Astro.props;', '<p {...rest}>{a}{b}</p>'),
      ['a?, b=1 : platform', 'p', '  text', '  text'],
    ],
    [
      'props by their type',
      script('interface Props { a: string; b?: number }\nconst { a, b } = Astro.props;', '<p>{a}{b}</p>'),
      ['a?, b? : closed', 'p', '  text', '  text'],
    ],
    ['props read where they are shown', script('', '<p>{Astro.props.a}</p>'), ['a? : closed', 'p', '  text']],
    [
      'props as a whole, under a name',
      script('const all = Astro.props;\nconst { a } = all;', '<p>{a}{all.b}</p>'),
      ['a?, b? : closed', 'p', '  text', '  text'],
    ],
    [
      'props handed on as a whole',
      script("import Row from './Row.astro';\nconst all = Astro.props;", '<Row {...all}/>'),
      [' : through Row', 'Row(…)'],
    ],
    ['no script at all', '<p>a</p>', [' : closed', 'p']],
    [
      'slots, by name, with what shows without content',
      script('', '<slot/><slot name="foot">none</slot>'),
      ['slot:default{}, slot:foot{} : closed', '{slot:default}', '{slot:foot}'],
    ],
    [
      'a slot that is shown by a call',
      script('', "{Astro.slots.has('foot') && <b>{await Astro.slots.render('foot')}</b>}"),
      ['slot:foot{} : closed', "if Astro.slots.has('foot')", '  b', '    {slot:foot}'],
    ],
    [
      'conditions, both ways',
      script('const { a } = Astro.props;', '{a ? <b/> : <i/>}{a && <u/>}'),
      ['a? : closed', 'if a', '  b', 'if not a', '  i', 'if a', '  u'],
    ],
    [
      'a list, with its items',
      script('const { rows } = Astro.props;', '{rows.map((row) => <li>{row.boat}</li>)}'),
      ['rows? : closed', 'each row of rows', '  li', '    text'],
    ],
    [
      'a list by statements',
      script(
        'const { rows } = Astro.props;',
        '{rows.map((row) => { const name = row.boat; if (!name) return null; return <li>{name}</li>; })}',
      ),
      ['rows? : closed', 'each row of rows', '  li', '    text'],
    ],
    [
      'markup beside markup in an expression',
      script('const { a } = Astro.props;', '{a && <b/><i/>}'),
      ['a? : closed', 'if a', '  b', '  i'],
    ],
    [
      'what looks like markup and is none',
      script('const { a } = Astro.props;', '<p title={a < 3 ? "<b>" : `${a}<i>`}>{a > 2}</p>'),
      ['a? : closed', 'p', '  text'],
    ],
    [
      'a regular expression, a comment, a text with braces',
      script('const { a } = Astro.props;', "<p>{/* {no} */}{/[}]<b>/.test(a)}{'}'}</p>"),
      ['a? : closed', 'p', '  text'],
    ],
    [
      'tags without an end, and those that end by themselves',
      '<ul><li>a<li>b</ul><br><img src="x"><p>c</p>',
      [' : closed', 'ul', '  li', '  li', 'br', 'img', 'p'],
    ],
    [
      'raw markup, scripts and styles are no markup',
      '<p is:raw>{a}<b/></p><style>p { a: b }</style><script>if (1 < 2) {}</script>',
      [' : closed', 'p', 'style', 'script'],
    ],
    ['fragments, with and without a name', '<Fragment><b/></Fragment><><i/></>', [' : closed', '<>', '  b', '<>', '  i']],
    [
      'html that is set',
      script('const { a } = Astro.props;', '<p set:html={a}/><Fragment set:html={a}/>'),
      ['a? : closed', 'p', '  text', '<>', '  text'],
    ],
    [
      'content for slots of a part',
      script("import Card from './Card.astro';", '<Card><b slot="head"/><i/>{1 && <u slot="foot"/>}</Card>'),
      [' : closed', 'Card(slot:head, slot:foot)', '  b', '  if 1', '    u', '  i'],
    ],
    [
      'content that is a function',
      script("import List from './List.astro';", '<List>{(row) => <li>{row}</li>}</List>'),
      [' : closed', 'List()', '  li', '    text'],
    ],
    [
      'attributes that tell the compiler something',
      script("import Card from './Card.jsx';", '<Card client:load transition:name="a" a/>'),
      [' : closed', 'Card(a)'],
    ],
    ['attributes of all forms', script('const a = 1;', '<p {a} b="1" c={a} d=`x${a}` e f=g class:list={[a]}/>'), [' : closed', 'p']],
    ['a closing tag of nothing', '<p>a</b></p>', [' : closed', 'p', '! </b> closes nothing that is open.']],
    ['a brace that is not closed', '<p>{a</p>', [' : closed', 'p', '! This brace is not closed.']],
    [
      'dashes within the script',
      script("const a = `\n---\nb\n---\n`; // it's\n/* '\n---\n*/\nconst { c } = Astro.props;", '<p>{a}{c}</p>'),
      ['c? : closed', 'p', '  text', '  text'],
    ],
    ['dashes where a quote is not closed', "---\nconst a = 'x;\n---\n<p>it's</p>", [' : closed', 'p', '! Unterminated string constant.']],
    [
      'a function that is called where it stands, with names of its own',
      script(
        "import * as Icons from './icons';",
        '{(() => { const Icon = Icons.Boat; return <Icon/>; })()}{[1].map(() => { const Other = Icons.Lock; return <Other/>; })}',
      ),
      [' : closed', '?()', 'each one of [1]', '  ?()'],
    ],
    ['nothing', '', [' : closed']],
  ])('%s', (_, text, expected) => {
    expect(said(text)).toEqual(expected);
  });

  test('a page bears the name of its file, and a page of text is a use of its layout', () => {
    expect(readFile('src/pages/locks/[id].astro', '<p/>').components[0]?.name).toBe('[id]');
    expect(said('---\ntitle: A\nlayout: ../layouts/Base.astro\n---\n# A', 'src/pages/a.md')).toEqual([' : closed', 'Layout(…)', '  text']);
    expect(said('# A', 'src/pages/a.md')).toEqual([]);
    expect(readerOf('README.md', () => '# A')).toBeUndefined();
  });

  test('what scripts ask the page for, and whether they mind', () => {
    const text =
      "<script>const a = document.querySelector('.a'); a.focus(); const b = document.getElementById('b'); if (b) b.focus(); document.querySelector('c')?.focus(); document.querySelectorAll('[d]').forEach(f);</script>";
    expect(
      readFile('src/A.astro', text).components[0]?.lookUps?.map(
        ({ selector, guarded, all }) => `${selector}${guarded ? ' guarded' : ''}${all ? ' all' : ''}`,
      ),
    ).toEqual(['.a', '#b guarded', 'c guarded', '[d] guarded all']);
  });
});

const page = (markup: string, head = ''): Files => ({
  'package.json': '{"dependencies":{"astro":"5.18.0"}}',
  'src/pages/index.astro': script(head, markup),
  'src/layouts/Base.astro': '<html><body><slot name="head"/><main><slot/></main></body></html>',
  'src/parts/Counter.jsx':
    "import { useState } from 'react';\nexport default function Counter({ label, footNote, children }) { const [n, setN] = useState(0); return <div><button onClick={() => setN(n + 1)}>{label}{n}</button>{footNote}{children}</div>; }",
  'src/parts/Fold.svelte': '<script>let { label, note, children } = $props();</script><p>{label}{@render note()}{@render children()}</p>',
  'src/parts/Line.astro': script('const { text } = Astro.props;', '<p class="line">{text}</p>'),
});
const imports =
  "import Base from '../layouts/Base.astro';\nimport Counter from '../parts/Counter.jsx';\nimport Fold from '../parts/Fold.svelte';\nimport Line from '../parts/Line.astro';\n";

/** An element that a script defines sends an event, and a script of another file waits for it at the document. */
const heardAtDocument = (options: string): Files => ({
  ...page('<Pick/><Heard/>', "import Pick from '../parts/Pick.astro';\nimport Heard from '../parts/Heard.astro';"),
  'src/parts/Pick.astro': `<pick-one/><script>class PickOne extends HTMLElement { connectedCallback() { this.addEventListener('click', () => this.dispatchEvent(new CustomEvent('picked'${options}))); } }\ncustomElements.define('pick-one', PickOne);</script>`,
  'src/parts/Heard.astro': "<p/><script>document.addEventListener('picked', () => {});</script>",
});

test('a script is of another framework or of none, whatever it imports', () => {
  const plain = readFile(
    'src/lib/boats.ts',
    "import { getCollection } from 'astro:content';\nexport const boats = () => getCollection('boats');",
  );
  expect([plain.framework, plain.exports.map(({ exported }) => exported)]).toEqual(['script', ['boats']]);
  const part =
    "import type { CollectionEntry } from 'astro:content';\nexport function Row({ boat }: { boat: CollectionEntry<'boats'> }) { return <p>{boat.id}</p>; }";
  expect(readFile('src/parts/Row.tsx', part).components.map(({ name }) => name)).toEqual(['Row']);
});

describe('pages that a script adds', () => {
  test.each([
    ['by a path that is put together', "entrypoint: path.join(root, 'src/auth/login.astro')", ['/login/:to']],
    ['beside the script', "entrypoint: './auth/login.astro'", ['/login/:to']],
    ['of a package', "entrypoint: '@towpath/board/auth/login.astro'", ['/login/:to']],
    ['that is not there', "entrypoint: './auth/logout.astro'", []],
  ])('%s', (_, entry, expected) => {
    const { model } = analyseFiles({
      'src/add.ts': `export default ({ injectRoute }) => { injectRoute({ pattern: '/login/[to]', ${entry} }); };`,
      'src/auth/login.astro': '<p/>',
      'src/lib/other.astro': '<p/>',
    });
    expect(model.pages.flatMap(({ path }) => (path === '' ? [] : [path]))).toEqual(expected);
  });
});

describe('pages and parts of other frameworks', () => {
  test('a part that shows itself', () => {
    const { model } = analyseFiles({
      'src/pages/index.astro': "---\nimport Tree from '../components/Tree.astro';\n---\n<Tree depth={3} />\n",
      'src/components/Tree.astro':
        '---\nconst { depth } = Astro.props;\n---\n<p>{depth}</p>{depth > 0 && <Astro.self depth={depth - 1} />}\n',
    });
    expect(rows(model, treeOf(model, 'index'))).toBe('index\n  Tree\n    Tree if depth > 0 cut: recursion');
  });

  test('a page through its layout, with parts in slots of all kinds', () => {
    const { model } = analyseFiles(
      page(
        '<Base><Line slot="head" text="a"/>{[1, 2].map((n) => <Line text={n}/>)}<Counter client:load label="a"><Line text="b"/><Line slot="foot-note" text="c"/></Counter><Fold client:idle label="b"><Line slot="note" text="d"/></Fold></Base>',
        imports,
      ),
    );
    expect(pageNamed(model, 'index').path).toBe('/');
    expect(rows(model, treeOf(model, 'index'))).toBe(
      [
        'index',
        '  Base',
        '    Line in slot:head of index',
        '    Line in slot:default of index each n',
        '    Counter in slot:default of index',
        '      Line in footNote of index',
        '      Line in slot:default of index',
        '    Fold in slot:default of index',
        '      Line in note of index',
      ].join('\n'),
    );
  });

  test.each<[string, Files, readonly string[]]>([
    ['a part that answers to people without a mark', page('<Counter label="a"/>', imports), ['layer-crossed Counter']],
    ['the same with a mark', page('<Counter client:load label="a"/>', imports), []],
    ['a mark on a part of the page itself', page('<Line client:load text="a"/>', imports), ['layer-crossed Line']],
    ['a function for a part that is started', page('<Counter client:load label={() => 1}/>', imports), ['layer-crossed label']],
    ['a list of a kind that is not sent', page('<Counter client:load label={new Float32Array(2)}/>', imports), ['layer-crossed label']],
    ['a list of a kind that is sent', page('<Counter client:load label={new Uint8Array(2)}/>', imports), []],
    ['a part that is started once and once is not', page('<Counter client:load/><Counter/>', imports), ['layer-crossed Counter']],
    ['what newer servers have, too', page('<p/>', 'const a = navigator.language;'), []],
    ['what no server has', page('<p/>', 'const a = window.name;'), ['layer-crossed window']],
    [
      'a function within what is given',
      page('<Counter client:load label={all}/>', `${imports}const all = { a: [{ f() {} }] };`),
      ['layer-crossed label'],
    ],
    [
      'an instance of a class',
      page('<Counter client:load label={it}/>', `${imports}import { Boat } from '../boat';\nconst it = new Boat();`),
      ['layer-crossed label'],
    ],
    ['plain data, dates, lists', page('<Counter client:load label={it}/>', `${imports}const it = [new Date(), { a: new Map() }];`), []],
    ['a function for a part of the page itself', page('<Line text={() => 1}/>', imports), []],
    ['a name of the browser at the top', page('<p>{wide}</p>', 'const wide = window.innerWidth;'), ['layer-crossed window']],
    [
      'the same where something asks first',
      page('<p>{wide}</p>', "const wide = typeof window === 'undefined' ? 0 : window.innerWidth;"),
      [],
    ],
    ['a function of the top as a handler', page('<button onclick={go}>a</button>', 'const go = () => 1;'), ['layer-crossed go']],
    [
      'a handler that a script keeps to itself',
      page('<button onclick="go()">a</button><script>function go() {}</script>'),
      ['handler-missing go'],
    ],
    [
      'a handler of a script that stands as it is',
      page('<button onclick="go()">a</button><script is:inline>function go() {}</script>'),
      [],
    ],
    ['a handler on the window', page('<button onclick="go()">a</button><script>function go() {}\nwindow.go = go;</script>'), []],
    [
      'an element that no markup has',
      page('<p id="lock-list"></p><script>document.getElementById("locklist").focus();</script>'),
      ['name-unknown locklist'],
    ],
    ['an element that the markup has', page('<p id="locks"></p><script>document.getElementById("locks").focus();</script>'), []],
    [
      'an element that a script may make',
      page('<script>document.body.innerHTML = x; document.getElementById("locks").focus();</script>'),
      [],
    ],
    [
      'an id that no markup has, where the classes of one element cannot be told and the framework brings a picture',
      page(
        '<Image src={a} alt=""/><p class:list={[a]}/><script>document.getElementById("locklist").focus();</script>',
        "import { Image } from 'astro:assets';\nconst a = Astro.url.pathname;",
      ),
      ['name-unknown locklist'],
    ],
    [
      'a class, where the classes of one element cannot be told',
      page('<p class:list={[a]}/><script>document.querySelector(".locklist").focus();</script>', 'const a = Astro.url.pathname;'),
      [],
    ],
    [
      'an element that a script defines',
      {
        ...page('<lock-gate/><script>document.querySelector("lock-gate").focus();</script>', "import '../parts/lock-gate.js';"),
        'src/parts/lock-gate.js': "class LockGate extends HTMLElement {}\ncustomElements.define('lock-gate', LockGate);",
      },
      [],
    ],
    [
      'an element that a part from elsewhere may bring',
      page('<List/><script>document.getElementById("locklist").focus();</script>', "import List from 'a-list';"),
      [],
    ],
    [
      'an id that is given',
      {
        ...page('<Box id="locks"/>', "import Box from '../parts/Box.astro';"),
        'src/parts/Box.astro': script(
          "const { id = 'a' } = Astro.props;",
          '<p id={id}/><script>document.querySelector("#locks").focus();</script>',
        ),
      },
      [],
    ],
    [
      'a script for the first of several',
      {
        ...page('<Menu/><Menu/>', "import Menu from '../parts/Menu.astro';"),
        'src/parts/Menu.astro': '<nav class="menu"/><script>document.querySelector(".menu").focus();</script>',
      },
      ['layer-crossed Menu'],
    ],
    [
      'a script for all of them',
      {
        ...page('<Menu/><Menu/>', "import Menu from '../parts/Menu.astro';"),
        'src/parts/Menu.astro': '<nav class="menu"/><script>document.querySelectorAll(".menu").forEach((one) => one.focus());</script>',
      },
      [],
    ],
    ['an event of an element that ends at it', heardAtDocument(''), ['event-stops-short picked']],
    ['an event of an element that bubbles', heardAtDocument(', { bubbles: true }'), []],
    [
      'an event that an element defined in place sends',
      page(
        "<pick-one/><script>customElements.define('pick-one', class extends HTMLElement { pick = () => { this.dispatchEvent(new Event('picked')); }; });\ndocument.addEventListener('picked', () => {});</script>",
      ),
      ['event-stops-short picked'],
    ],
    [
      'an event that a part sends and a script awaits by nearly its name',
      {
        ...page(
          "<Teller client:load/><script>document.addEventListener('lock-open', () => {});</script>",
          "import Teller from '../parts/Teller.jsx';",
        ),
        'src/parts/Teller.jsx':
          "export default function Teller() { return <button onClick={() => document.dispatchEvent(new CustomEvent('lock-opens'))}>a</button>; }",
      },
      ['channel-unpaired lock-open'],
    ],
    [
      'an event of the framework that a script awaits',
      page("<p/><script>document.addEventListener('astro:page-load', () => {});</script>"),
      [],
    ],
    ['content for a slot that a part has not', page('<Base><b slot="side"/></Base>', imports), ['slot-nowhere side']],
    ['content that is only handed on', { ...page('<Line text="a"><slot/></Line>', imports) }, []],
    [
      'a list of classes for a text',
      {
        ...page("<Box class:list={['a']}/>", "import Box from '../parts/Box.astro';"),
        'src/parts/Box.astro': script('interface Props { class?: string }\nconst { class: own } = Astro.props;', '<p class={own}/>'),
      },
      [],
    ],
    ['a prop that is written', page('<p>{Astro.props.a}</p>', "Astro.props.a = 'x';"), []],
    ['content for a prop of a part', page('<Fold client:load label="a"><b slot="note"/><i/></Fold>', imports), []],
    ['a slot that hands nothing to a function', page('<Base>{(a) => <b>{a}</b>}</Base>', imports), ['slot-shape a']],
    ['a name that nothing declares', page('<p>{lokc}</p>', 'const lock = 1;'), ['name-unknown lokc']],
    ['what a page knows by itself', page('<p>{Astro.url.pathname}{import.meta.env.DEV}</p>'), []],
  ])('%s', (_, files, expected) => {
    const { findings } = analyseFiles(files);
    expect(findings.flatMap((one) => (one.severity === 'fault' ? [`${one.rule} ${one.subject}`] : []))).toEqual(expected);
  });

  test.each([
    ['label={() => 1}', 'is a function or holds one, which does not come there.', 'null stands in its place'],
    ['label={new Lock()}', 'is an instance of a class or holds one, which does not come there as what it is.', 'a plain object'],
  ])('what is lost of %s is said as the framework sends it', (given, message, consequence) => {
    const { findings } = analyseFiles(page(`<Counter client:load ${given}/>`, `${imports}import { Lock } from './lock';`));
    const [found] = findings.filter((one) => one.rule === 'layer-crossed');
    expect(found?.message).toContain(message);
    expect(found?.consequence).toContain(consequence);
  });

  test('what a script of a page hears, it hears as long as the page is there', () => {
    const { findings } = analyseFiles(page("<p/><script>window.addEventListener('resize', () => { document.title = 'a'; });</script>"));
    expect(findings.filter((one) => one.severity !== 'tidy')).toEqual([]);
  });

  test('what a text imports and shows is used there, outside of the code that it tells of', () => {
    const files = {
      ...page('<Base/>', imports),
      'src/pages/guide.mdx':
        "---\nlayout: ../layouts/Base.astro\n---\nimport Line from '../parts/Line.astro';\n\n# Guide\n\n```jsx\n<Fold/>\n```\n\n<Line text={1}/>",
      'src/pages/bare.mdx': "import { Line } from '../parts/lines';\n\n<Line/>",
      'src/pages/plain.mdx': '# Import nothing\n\nimport of boats <Line/>',
      'src/content/a.mdx': 'import Note from \'../parts/Note.astro\';\n\n<Note text="a"/>',
      'src/parts/lines.js': "export { default as Line } from './Line.astro';",
      'src/parts/Note.astro': script("const { text, tone = 'a' } = Astro.props;", '<p class={tone}>{text}</p>'),
    };
    const { model, findings } = analyseFiles(files);
    expect(rows(model, treeOf(model, 'guide'))).toBe('guide\n  Base\n    Line in slot:default of guide');
    expect(rows(model, treeOf(model, 'bare'))).toBe('bare\n  Line');
    expect(model.pages.flatMap(({ path }) => (path === '' ? [] : [path])).sort()).toEqual(['/', '/bare', '/guide']);
    expect(findings.filter(({ at }) => /Note|guide|bare/.test(at.file))).toEqual([]);
    expect(said(files['src/content/a.mdx'], 'src/content/a.mdx')).toEqual([]);
  });

  test('pages of text stand in their layouts', () => {
    const { model } = analyseFiles({
      ...page('<Base/>', imports),
      'src/pages/guide.md': '---\nlayout: ../layouts/Base.astro\n---\n# Guide',
      'src/pages/more/about.mdx': '---\nlayout: ../../layouts/Base.astro\n---\n# About',
    });
    expect(model.pages.flatMap(({ path }) => (path === '' ? [] : [path])).sort()).toEqual(['/', '/guide', '/more/about']);
    expect(rows(model, treeOf(model, 'guide'))).toBe('guide\n  Base');
  });

  test('a page with parameters is given its props by the list of its addresses', () => {
    const { model } = analyseFiles({
      'src/pages/locks/[id].astro': script(
        "export function getStaticPaths() { return [{ params: { id: 'a' }, props: { lock: 1 } }]; }\nconst { lock } = Astro.props;",
        '<p>{lock}</p>',
      ),
    });
    const { graph, back } = makeFlowQueries(model, unfold(model, pageNamed(model, '[id]')));
    const frame = graph.frames.find((one) => one.name === '[id]' && one.place >= 0);
    const lock = frame?.body.values.findIndex((one) => one.name === 'lock' && one.kind === 'prop') ?? -1;
    const [given] = frame ? back({ frame: frame.index, value: lock, track: [] }) : [];
    const [asked] = given?.to ? back(given.to) : [];
    expect(asked).toMatchObject({ ending: 'asked', by: 'loader getStaticPaths of src/pages/locks/[id].astro' });
    expect(pageNamed(model, '[id]').path).toBe('/locks/:id');
  });

  test('what a part provides does not come to those that the page starts in it', () => {
    const files: Files = {
      ...page(
        '<Give client:load><Take client:load/></Give>',
        "import Give from '../parts/Give.jsx';\nimport Take from '../parts/Take.jsx';",
      ),
      'src/parts/tone.js': "import { createContext } from 'react';\nexport const Tone = createContext();",
      'src/parts/Give.jsx':
        "import { Tone } from './tone';\nimport Take from './Take';\nexport default function Give({ children }) { return <Tone.Provider value={{ a: 1 }}><Take/>{children}</Tone.Provider>; }",
      'src/parts/Take.jsx':
        "import { useContext } from 'react';\nimport { Tone } from './tone';\nexport default function Take() { const { a } = useContext(Tone); return <p>{a}</p>; }",
    };
    const { model } = analyseFiles(files);
    expect(contextsAt(model, 'index', 'Take')).toEqual(['Take in Give, of Give: Give', 'Take in Give, of index: nobody']);
  });
});
