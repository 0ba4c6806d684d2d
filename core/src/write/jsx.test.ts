import { describe, expect, test } from 'vitest';
import { jsxAttribute, jsxStyle, jsxText, quoted } from './jsx';

describe('attributes as React spells them', () => {
  test.each([
    ['p', 'class', 'plain className'],
    ['label', 'for', 'plain htmlFor'],
    ['p', 'tabindex', 'count tabIndex'],
    ['td', 'colspan', 'count colSpan'],
    ['input', 'readonly', 'flag readOnly'],
    ['input', 'checked', 'flag defaultChecked'],
    ['input', 'value', 'plain defaultValue'],
    ['meter', 'value', 'plain value'],
    ['option', 'value', 'plain value'],
    ['option', 'selected', 'none'],
    ['p', 'onclick', 'none'],
    ['p', 'style', 'style'],
    ['p', 'data-tone', 'plain data-tone'],
    ['p', 'aria-label', 'plain aria-label'],
    ['svg', 'viewBox', 'plain viewBox'],
    ['path', 'stroke-width', 'plain strokeWidth'],
    ['path', 'fill-rule', 'plain fillRule'],
    ['use', 'xlink:href', 'plain xlinkHref'],
    ['table', 'bgcolor', 'spread bgcolor'],
    ['p', 'hx-get', 'spread hx-get'],
    ['tide-table', 'start', 'plain start'],
  ])('%s %s is %s', (tag, attribute, expected) => {
    const spelt = jsxAttribute(tag, attribute);
    expect('name' in spelt ? `${spelt.kind} ${spelt.name}` : spelt.kind).toBe(expected);
  });
});

describe('styles as objects', () => {
  test.each([
    ['color: red', "{ color: 'red' }", false],
    ['margin-top: 2px; -webkit-line-clamp: 3;', "{ marginTop: '2px', WebkitLineClamp: '3' }", false],
    ["background: url('a;b.png') no-repeat; COLOR:blue", "{ background: 'url(\\'a;b.png\\') no-repeat', color: 'blue' }", false],
    ['--wide: 3; width: calc(1px * (2 + 3))', "{ '--wide': '3', width: 'calc(1px * (2 + 3))' }", true],
    ['', '{  }', false],
    ['nonsense', '{  }', false],
  ])('%s', (style, code, hasOwn) => {
    expect(jsxStyle(style)).toEqual({ code, hasOwn });
  });
});

describe('texts between tags', () => {
  test.each([
    ['Two boats', false, 'Two boats'],
    ['Two\n   boats', false, 'Two boats'],
    [' Two boats', false, "{' Two boats'}"],
    ['Two boats ', false, "{'Two boats '}"],
    ['{a}', false, "{'{a}'}"],
    ['a < b & c', false, "{'a < b & c'}"],
    ["keeper's", false, "keeper's"],
    ['a\u00a0b', false, "{'a\u00a0b'}"],
    ['two\n  lines', true, "{'two\\n  lines'}"],
    ['\\', false, "{'\\\\'}"],
  ])('%j', (text, keepsSpace, expected) => {
    expect(jsxText(text, keepsSpace)).toBe(expected);
  });
});

test.each(["it's", 'a "word"', 'back\\slash', 'line\nbreak', '\u2028', '</script>', '${x}'])('%j written and read is itself', (text) => {
  expect(new Function(`return ${quoted(text)}`)()).toBe(text);
});
