import { describe, expect, test } from 'vitest';
import { isElement } from '../../overlap';
import { markedPages } from '../../../../testing/src/pages';
import { proposeProps } from './props';
import { readPage, textBelow } from './read';
import { safeHtml } from './safe';
import { safeRules } from './style';
import { elementAt, selectorOf, selectorWithin } from './selector';
import { suggestParts } from './suggest';
import { variationsOf } from './vary';

describe('reading a page', () => {
  test('elements and texts in the order of the text, with their lines', () => {
    const tree = readPage('<main>\n  <h1>Locks</h1>\n  <p>Two <b>boats</b></p>\n</main>');
    expect(tree.nodes.filter(isElement).map((node) => `${node.label}:${node.line}`)).toEqual(['body:0', 'main:1', 'h1:2', 'p:3', 'b:3']);
    expect(textBelow(tree, 0)).toBe('Locks Two boats');
    expect(tree.cuts).toEqual([]);
  });
  test.each([
    ['scripts', '<script>x()</script><p>a</p>'],
    ['frames', '<iframe src="x">y</iframe><p>a</p>'],
    ['templates', '<template><p>b</p></template><p>a</p>'],
    ['meta and base in the body', '<meta http-equiv=refresh content=0><base href=x><p>a</p>'],
    ['scripts in pictures', '<svg><script>x()</script></svg><p>a</p>'],
  ])('%s are left out', (_, html) => {
    expect(
      readPage(html)
        .nodes.filter(isElement)
        .map((node) => node.label)
        .filter((label) => label !== 'svg'),
    ).toEqual(['body', 'p']);
  });
  test('style sheets and rules are kept in their order', () => {
    const tree = readPage('<link rel=stylesheet href=a.css><style>b {}</style><link rel=icon href=i.png><main><style>c {}</style></main>');
    expect(tree.styles).toEqual([
      { kind: 'sheet', address: 'a.css' },
      { kind: 'rules', text: 'b {}' },
      { kind: 'rules', text: 'c {}' },
    ]);
  });
  test.each([
    ['characters', '<p>aaaa</p>'.repeat(20), { characters: 40, nodes: 100, depth: 9 }, /0\.0 million characters/],
    [
      'elements',
      '<p>a</p>\n'.repeat(20),
      { characters: 4000, nodes: 10, depth: 9 },
      /more than 10 elements and texts; it is shown up to line 4/,
    ],
    ['depth', '<div>'.repeat(20), { characters: 4000, nodes: 100, depth: 5 }, /more than 5 deep at line 1/],
  ])('too many %s: cut, and said', (_, html, limits, says) => {
    const tree = readPage(html, limits);
    expect(tree.cuts.join(' ')).toMatch(says);
    expect(tree.nodes.length).toBeLessThanOrEqual(limits.nodes);
  });
  test('any text is a page', () => {
    expect(readPage('').nodes.map((node) => node.label)).toEqual(['body']);
    expect(readPage('</p></div><<<').nodes.length).toBeGreaterThan(0);
    expect(readPage('\u0000\uFFFE').nodes.length).toBeGreaterThan(0);
  });
});

describe('selectors', () => {
  test.each(Object.entries(markedPages))('each leads back to its element and to no other: %s', (_, html) => {
    const tree = readPage(html);
    const elements = tree.nodes.filter(isElement);
    const selectors = elements.map((node) => selectorOf(tree, node.index));
    expect(selectors.map((selector) => elementAt(tree, selector))).toEqual(elements.map((node) => node.index));
    expect(new Set(selectors).size).toBe(selectors.length);
  });
  test('ids and classes that stand once are used; odd ones are not', () => {
    const tree = readPage(
      '<p id="a b"></p><p id="2x"></p><p id="ok"></p><i class="x:y"></i><i class="once"></i><i class="twice"></i><i class="twice"></i><o:p></o:p>',
    );
    expect(
      tree.nodes
        .filter(isElement)
        .slice(1)
        .map((node) => selectorOf(tree, node.index)),
    ).toEqual([
      'body > p:nth-of-type(1)',
      'body > p:nth-of-type(2)',
      '#ok',
      'body > i:nth-of-type(1)',
      '.once',
      'body > i:nth-of-type(3)',
      'body > i:nth-of-type(4)',
      'body > :nth-child(8)',
    ]);
  });
  test('within an item: by class, by tag, by the way down', () => {
    const tree = readPage('<li><h3>a</h3><p class="note">b</p><span>c</span><span>d</span></li>');
    const item = tree.nodes.findIndex((node) => node.label === 'li');
    expect(
      tree.nodes.filter((node) => isElement(node) && node.index >= item).map((node) => selectorWithin(tree, item, node.index)),
    ).toEqual([':scope', 'h3', '.note', ':scope > span:nth-of-type(1)', ':scope > span:nth-of-type(2)']);
  });
  test('a selector of what is gone leads nowhere', () => {
    expect(elementAt(readPage('<p></p>'), '#gone > b')).toBe(-1);
  });
});

describe('a page made safe', () => {
  const shown = (html: string): string => {
    const text = safeHtml(
      readPage(html),
      (address) => (address === 'here.png' ? 'blob:here' : undefined),
      () => undefined,
    );
    return text
      .slice(text.indexOf('<body'))
      .replace(/ data-liana-node="\d+"/g, '')
      .replace('</body></html>', '')
      .replace('<body>', '');
  };
  test.each([
    ['handlers', '<p onclick="x()" onMouseOver=y>a</p>', '<p>a</p>'],
    ['addresses of links', '<a href="https://a.invalid" target=_top ping=b>a</a>', '<a href="#">a</a>'],
    ['script addresses', '<a href="javascript:x()">a</a>', '<a href="#">a</a>'],
    ['pictures from elsewhere', '<img src="https://a.invalid/x.png" srcset="b 2x" alt="x">', '<img alt="x">'],
    ['pictures that came with it', '<img src="here.png">', '<img src="blob:here">'],
    ['pictures in the address', '<img src="data:image/png;base64,AA">', '<img src="data:image/png;base64,AA">'],
    ['pages in the address of a picture', '<img src="data:text/html,<script>">', '<img>'],
    ['form addresses', '<form action=x><button formaction=y>a</button></form>', '<form><button>a</button></form>'],
    ['the focus', '<input autofocus value="a">', '<input value="a">'],
    ['style with addresses', '<p style="background: url(https://a.invalid/x)">a</p>', '<p style="background:none">a</p>'],
    ['marks of its own', '<p data-liana-node="7">a</p>', '<p>a</p>'],
    ['signs in texts', '<p>&lt;script&gt; &amp; "a"</p>', '<p>&lt;script&gt; &amp; "a"</p>'],
    ['signs in attributes', '<p title="&quot;><script>">a</p>', '<p title="&quot;&gt;&lt;script&gt;">a</p>'],
    ['uses of other files', '<svg><use href="a.svg#b"></use><use href="#c"></use></svg>', '<svg><use></use><use href="#c"></use></svg>'],
  ])('%s', (_, html, expected) => {
    expect(shown(html)).toBe(expected);
  });
  test('the page may paint, and nothing else', () => {
    const text = safeHtml(
      readPage('<p>a</p>'),
      () => undefined,
      () => undefined,
    );
    expect(text).toContain("default-src 'none'");
    expect(text).not.toMatch(/script-src|connect-src|http:|https:/);
  });
  test.each([
    ["@import 'a.css'; b { c: d }", 'b{c:d}'],
    ['a { b: url( "x.png" ) }', 'a{b:none}'],
    ['a { b: url(here) }', 'a{b:url(blob:1)}'],
    ['a { b: url(#c) }', 'a{b:url(#c)}'],
    ['a::before { content: "</style><script>" }', 'a::before{content:"<\\/style><script>"}'],
    ['@IMPORT url(https://a.invalid/x.css);', ''],
    ['@im\\port "https://a.invalid/x.css"; b { c: d }', 'b{c:d}'],
    ['@/**/import "https://a.invalid"; b { c: d }', ''],
    ['a { b: u\\72l("https://a.invalid/x") }', 'a{b:none}'],
    ['a { b: URL(https://a.invalid/x) }', 'a{b:none}'],
    ['a { b: url(\n"https://a.invalid/x"\n) }', 'a{b:none}'],
    ['a { b: url(\\68ttps://a.invalid/x) }', 'a{b:none}'],
    ['a { b: image-set("https://a.invalid/x" 1x, "here" 2x) }', 'a{b:image-set(none 1x,url(blob:1)2x)}'],
    ['a { b: -webkit-image-set(url(https://a.invalid/x) 1x) }', 'a{b:-webkit-image-set(none 1x)}'],
    ['a { --x: url(https://a.invalid/x) }', 'a{--x:none}'],
    ['a { --x: ; color: red }', 'a{--x: ;color:red}'],
    ['@media print { a { b: url(//a.invalid/x) } }', '@media print{a{b:none}}'],
    ['@supports (a: url(https://a.invalid/x)) { a { b: c } }', '@supports (a:none){a{b:c}}'],
    ['@font-face { font-family: x; src: url(https://a.invalid/x.woff) }', '@font-face{font-family:x;src:none}'],
    ['a { b: src("https://a.invalid/x") }', 'a{b:none}'],
    ['a { b: url(data:text/html,x) }', 'a{b:none}'],
    ['a { b: url(data:image/png;base64,AA) }', 'a{b:url(data:image/png;base64,AA)}'],
    ['a { b: c', 'a{b:c}'],
    ['a { & b { c: url(https://a.invalid/x) } }', 'a{& b{c:none}}'],
    ['@layer base { a { b: c } }', '@layer base{a{b:c}}'],
    ['@container side (width > 20em) { a { b: c } }', '@container side (width>20em){a{b:c}}'],
    ['a { width: calc(100% - 2px); grid: [a] 1fr / auto }', 'a{width:calc(100% - 2px);grid:[a]1fr/auto}'],
  ])('rules %s', (rules, expected) => {
    expect(safeRules(rules, (address) => (address === 'here' ? 'blob:1' : undefined))).toBe(expected);
  });
});

describe('what varies', () => {
  const varies = (...items: string[]): string[] => {
    const tree = readPage(`<main>${items.map((item) => `<article class="boat">${item}</article>`).join('')}</main>`);
    const at = tree.nodes.filter((node) => node.tokens.includes('boat')).map((node) => node.index);
    const { variations } = variationsOf(tree, at);
    const props = proposeProps(tree, 'Boat', variations);
    return variations.map(
      ({ what, where }, index) => `${what} ${where} → ${props[index]?.name}${props[index]?.optional ? '?' : ''}: ${props[index]?.type}`,
    );
  };
  test.each<[string, string[], string[]]>([
    ['nothing', ['<h3>a</h3>', '<h3>a</h3>'], []],
    ['space only', ['<h3>a  b</h3>', '<h3> a b </h3>'], []],
    ['a text', ['<h3>a</h3>', '<h3>b</h3>'], ['text h3 → title: string']],
    ['a number', ['<b>1</b>', '<b>22</b>'], ['text b → name: number']],
    [
      'a class name with the part’s own name',
      ['<i class="boat-name">a</i>', '<i class="boat-name">b</i>'],
      ['text .boat-name → name: string'],
    ],
    ['a picture', ['<img src="a" alt="x">', '<img src="b" alt="x">'], ['image img → image: string']],
    ['a link', ['<a href="/a">go</a>', '<a href="/b">go</a>'], ['link a → href: string']],
    ['a class', ['<i class="pill ok">x</i>', '<i class="pill late">x</i>'], ["class .pill → pillTone: 'pill late' | 'pill ok'"]],
    ['presence', ['<h3>a</h3><p>x</p>', '<h3>a</h3>'], ['presence p → hasText: boolean']],
    ['another attribute', ['<meter value="1"></meter>', '<meter value="2"></meter>'], ['attribute meter → value: string']],
    [
      'a text that only some have',
      ['<h3>a</h3><p>x</p>', '<h3>a</h3><p>y</p>', '<h3>a</h3>'],
      ['presence p → hasText: boolean', 'text p → text?: string'],
    ],
    ['a term’s value', ['<dl><dt>Length</dt><dd>14</dd></dl>', '<dl><dt>Length</dt><dd>9</dd></dl>'], ['text dd → length: number']],
    [
      'two of one name',
      ['<b>a</b><b>b</b>', '<b>c</b><b>d</b>'],
      ['text :scope > b:nth-of-type(1) → name: string', 'text :scope > b:nth-of-type(2) → name2: string'],
    ],
    ['ids and labels’ targets, which tell nothing', ['<label for="a">x</label>', '<label for="b">x</label>'], []],
  ])('%s', (_, items, expected) => {
    expect(varies(...items)).toEqual(expected);
  });
});

describe('suggested parts', () => {
  const names = (html: string): string[] =>
    suggestParts(readPage(html)).parts.map(
      (part) => `${part.name}${part.at.length > 1 ? ` ×${part.at.length}` : ''}${part.parent ? ` in ${part.parent}` : ''}`,
    );
  test.each<[string, string, string[]]>([
    ['landmarks', '<header><h1>a</h1><p>b</p></header><nav><a>a</a></nav><footer>c</footer>', ['PageHeader', 'NavBar', 'PageFooter']],
    [
      'a form after its button, with fields',
      '<form><label>Boat <input></label><label>When <input type="time"></label><button>Book</button></form>',
      ['BookForm', 'Field ×2 in BookForm'],
    ],
    [
      'a list and its cards',
      '<div class="boat-list"><div class="boat-card"><h3>a</h3><p>b</p></div><div class="boat-card"><h3>c</h3><p>d</p></div></div>',
      ['BoatList', 'BoatCard ×2 in BoatList'],
    ],
    [
      'wrappers are passed through',
      '<ul class="boats"><li><article class="boat"><h3>a</h3><p>b</p></article></li><li><article class="boat"><h3>c</h3><p>d</p></article></li></ul>',
      ['Boats', 'Boat ×2 in Boats'],
    ],
    ['prose is left alone', '<main><h1>a</h1><p>b</p><p>c</p></main>', []],
    ['an empty page', '', []],
  ])('%s', (_, html, expected) => {
    expect(names(html)).toEqual(expected);
  });
});
