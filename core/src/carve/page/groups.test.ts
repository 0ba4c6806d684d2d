import { describe, expect, test } from 'vitest';
import { findGroups } from './groups';
import { geometryOf, isBoxed, looksOf, utilitiesOf } from './looks';
import { readPage } from './read';

/** Each group as the texts of its items, or their classes where they have no text. */
function groupsOf(html: string): string[][] {
  const tree = readPage(html);
  const says = (at: number): string => {
    let text = '';
    for (let one = at; one < (tree.nodes[at]?.end ?? 0); one++) text += tree.nodes[one]?.text.trim() ?? '';
    return text || (tree.nodes[at]?.attributes['title'] ?? tree.nodes[at]?.label ?? '');
  };
  return findGroups(tree).map(({ items }) => items.map(says));
}

const column = (content: string): string => `<div class="col">${content}</div>`;
const pill = '<style>.pill{padding:2px 6px;border-radius:9px;background:#eee}.late{background:#e44}</style>';

describe('groups of a page', () => {
  test.each<[string, string, string[][]]>([
    [
      'small things with a look of their own, wherever they stand and whatever they are written as',
      `${pill}<p>Now <span class="pill">open</span></p><div><a class="pill late" href="/x">late</a></div>`,
      [['open', 'late']],
    ],
    ['words without a look of their own are no things', '<div><span class="a">open</span></div><div><span class="a">shut</span></div>', []],
    [
      'buttons of one look are one, primary or not',
      '<style>button{padding:4px}.go{background:#0a0}</style><div><button>Keep</button><p>b</p></div><footer><button class="go">Send</button></footer>',
      [['Keep', 'Send']],
    ],
    [
      'buttons with a sign only are others',
      '<style>button{padding:4px}.icon{padding:0;width:20px}</style><div><button>Keep</button><button class="icon"><svg></svg></button></div><footer><button>Send</button><button class="icon"><svg></svg></button></footer>',
      [
        ['Keep', 'Send'],
        ['button', 'button'],
      ],
    ],
    [
      'two kinds that only share a frame are two groups',
      `<style>.card{border:1px solid}</style><main>${['a', 'b'].map((one) => `<article class="card"><h3>${one}</h3><time>1</time><ol><li>x</li></ol></article>`).join('')}${[
        'c',
        'd',
      ]
        .map(
          (one) =>
            `<article class="card"><img src="x"><p><b>${one}</b><i>by</i></p><table><tr><td>2</td></tr></table><button>Buy</button></article>`,
        )
        .join('')}</main>`,
      [
        ['a1x', 'b1x'],
        ['cby2Buy', 'dby2Buy'],
        ['Buy', 'Buy'],
      ],
    ],
    [
      'a column that holds others of its name, and more beside them, is none of them',
      `<style>.col{width:50%;padding:9px}.card{border:1px solid}</style><div>${column('<section class="card"><h2>Log</h2><table><tr><td>1</td></tr></table><p>a</p><p>b</p><form><input><b>c</b></form></section><div>' + ['Red', 'Blue', 'Green'].map((one) => column(`<div class="card">${one}<small>x</small></div>`)).join('') + '</div>')}</div>`,
      [['Redx', 'Bluex', 'Greenx']],
    ],
    [
      'what is nested as comments are is an item each',
      '<ul><li class="note"><b>Ann</b><p>one</p><ul><li class="note"><b>Ben</b><p>two</p></li><li class="note"><b>Cid</b><p>three</p></li></ul></li><li class="note"><b>Dot</b><p>four</p></li></ul>',
      [['AnnoneBentwoCidthree', 'Bentwo', 'Cidthree', 'Dotfour']],
    ],
    [
      'as many nearly empty items as full ones',
      '<ul><li><a href="/1">One</a><div>boats</div></li><li><a href="/2">Two</a></li><li><a href="/3">Three</a><div>boats</div></li><li><a href="/4">Four</a></li></ul>',
      [['Oneboats', 'Two', 'Threeboats', 'Four']],
    ],
    [
      'a link and a button of one name, with and without a badge',
      `${pill}<style>.way{padding:4px;border-radius:4px;background:#eee}</style><nav><div><button class="way"><svg></svg><span>a</span></button><button class="way"><svg></svg><span>e</span></button><a class="way"><svg></svg><span>b</span></a></div><div><a class="way"><svg></svg><span>c</span><em class="pill">9</em></a><a class="way"><svg></svg><span>d</span></a></div></nav>`,
      [['a', 'e', 'b', 'c9', 'd']],
    ],
    [
      'bars that are filled to a share, however they are indented',
      '<div><p>a</p><div class="bar">\n  <i style="width: 20%"></i>\n</div><p>b</p><div class="bar">\n  <i style="width: 60%"></i>\n</div></div>',
      [['div', 'div']],
    ],
    [
      'what lays out all of a region is no item',
      '<style>.box{width:50%;margin:0 auto}</style><header><div class="box"><h1>Log</h1><p>of the quay</p></div></header><div class="box"><h2>Day</h2><p>quiet</p></div>',
      [],
    ],
    [
      'an attribute for scripts is no name',
      `${pill}<div><i class="pill" data-bs-toggle="tooltip">a</i></div><p><img data-bs-toggle="tooltip" style="border-radius:50%"><img data-bs-toggle="tooltip" style="border-radius:50%"></p>`,
      [['img', 'img']],
    ],
    [
      'an item that is nearly empty belongs to its list where most have more',
      '<ul><li><a href="/1">One</a><span>4 boats</span></li><li><a href="/2">Two</a><span>1 boat</span></li><li><a href="/3">Three</a></li></ul>',
      [['One4 boats', 'Two1 boat', 'Three']],
    ],
    [
      'a slice that stands once in each item is none by itself',
      '<ul><li><div class="head"><b>a</b><i>b</i></div><p>c</p></li><li><div class="head"><b>d</b><i>e</i></div><p>f</p></li></ul>',
      [['abc', 'def']],
    ],
    [
      'rows of a head are none, nor are cells',
      '<table><thead><tr><th>a</th><th>b</th></tr></thead><tbody><tr><td>1</td><td>2</td></tr><tr><td>3</td><td>4</td></tr></tbody></table>',
      [['12', '34']],
    ],
    [
      'rows of tables with other columns are others',
      '<table><tr><td>1</td><td>2</td></tr><tr><td>3</td><td>4</td></tr></table><table><tr><td>5</td><td>6</td><td>7</td></tr><tr><td>8</td><td>9</td><td>0</td></tr></table>',
      [
        ['12', '34'],
        ['567', '890'],
      ],
    ],
    [
      'classes that each say one thing are no names',
      '<style>.flex{display:flex}.p1{padding:1px}.bold{font-weight:700}</style><div class="flex p1 bold"><b>a</b><i>b</i></div><section><p class="flex p1 bold"><img src="x"><u>c</u><s>d</s></p></section>',
      [],
    ],
    [
      'elements that the page defines are named by it',
      '<x-face title="Oake">O</x-face><p>a</p><div><x-face title="Tarn">T</x-face></div>',
      [['O', 'T']],
    ],
    [
      'a dot says nothing, unless it has a title',
      '<style>i,b{background:red;width:4px}</style><p><i></i>a</p><p><i></i>b</p><div><b title="rust"></b></div><div><b title="moss"></b></div>',
      [['rust', 'moss']],
    ],
    [
      'a vote is one control',
      `<ul>${['a', 'b'].map((one) => `<li><p>${one}</p><p>say</p><div class="vote"><button>+</button><b>4</b><button>-</button></div></li>`).join('')}</ul>`,
      [
        ['asay+4-', 'bsay+4-'],
        ['+4-', '+4-'],
      ],
    ],
    [
      'words and numbers of a menu are its content',
      '<style>a{padding:3px;border:1px solid}</style><nav><a href="/1">1</a><a href="/2">2</a><a href="/3">Today</a></nav>',
      [],
    ],
  ])('%s', (_, html, groups) => {
    expect(groupsOf(html)).toEqual(groups);
  });
});

describe('looks', () => {
  const look = (html: string): Record<string, string> => {
    const tree = readPage(html);
    const at = tree.nodes.findIndex((node) => node.attributes['id'] === 'it');
    return Object.fromEntries(looksOf(tree)[at] ?? []);
  };
  test.each<[string, string, Record<string, string>]>([
    ['of a class', '<style>.a{color:red}</style><p id="it" class="a">', { color: 'red' }],
    ['the stronger selector holds', '<style>#it{color:red}.a{color:blue}p{color:green}</style><p id="it" class="a">', { color: 'red' }],
    ['the later of two alike holds', '<style>.a{color:red}.b{color:blue}</style><p id="it" class="b a">', { color: 'blue' }],
    ['its own attribute holds before all', '<style>#it{color:red}</style><p id="it" style="color: blue">', { color: 'blue' }],
    [
      'by where it stands',
      '<style>ul > .a:first-child{color:red}ol .a{color:blue}</style><ul><li id="it" class="a"></ul>',
      { color: 'red' },
    ],
    ['by an attribute', '<style>[data-x]{color:red}</style><p id="it" data-x>', { color: 'red' }],
    ['not of a state it is not in', '<style>.a:hover{color:red}.a::before{color:blue}</style><p id="it" class="a">', {}],
    [
      'not of narrow windows',
      '<style>@media (max-width:9em){.a{color:red}}@supports (display:grid){.a{gap:1px}}</style><p id="it" class="a">',
      { gap: '1px' },
    ],
    ['a selector that cannot be read matches nothing', '<style>.a:strange(({color:red}.a{gap:1px}</style><p id="it" class="a">', {}],
    ['none', '<p id="it">', {}],
  ])('%s', (_, html, expected) => {
    expect(look(html)).toEqual(expected);
  });

  test.each<[string, boolean]>([
    ['background:#fff', true],
    ['background:none', false],
    ['border:0', false],
    ['border:1px solid', true],
    ['border-radius:4px', true],
    ['box-shadow:0 0 1px', true],
    ['border-bottom:1px solid', false],
    ['color:red', false],
  ])('%s stands out: %s', (style, expected) => {
    const tree = readPage(`<p style="${style}">`);
    expect(isBoxed(looksOf(tree)[1] ?? new Map())).toBe(expected);
  });

  test('geometry is what a tone does not change', () => {
    expect(
      geometryOf(
        new Map([
          ['color', 'red'],
          ['padding', '2px'],
          ['width', '3px'],
        ]),
      ),
    ).toBe('padding 2px;width 3px');
    expect(geometryOf(new Map([['background', 'red']]))).toBe('');
  });

  test('utilities say one thing each, and stand in numbers', () => {
    const tree = readPage(
      '<style>.f{display:flex}.g{gap:1px}.b{font-weight:700}.card{border:0;padding:0;margin:0}.one{color:red}</style><p class="f g b card"></p><p class="one"></p>',
    );
    expect([...utilitiesOf(tree)].sort()).toEqual(['b', 'f', 'g']);
  });
});
