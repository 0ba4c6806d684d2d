import { describe, expect, test } from 'vitest';
import { localAddress, localRules } from './local';

describe('an address leads nowhere outside', () => {
  test.each([
    ['pictures/a.png', 'pictures/a.png'],
    ['/locks?reach=upper#two', '/locks?reach=upper#two'],
    ['#two', '#two'],
    ['', ''],
    ['https://a.invalid/pictures/a.png?wide#x', '/pictures/a.png?wide#x'],
    ['HTTP://a.invalid', '/'],
    ['//a.invalid/b', '/b'],
    ['\\\\a.invalid\\b', '/b'],
    ['ht\ttps://a.invalid/b', '/b'],
    ['https://a.invalid//b.invalid/c', '/b.invalid/c'],
    ['https:b.invalid/c', '#'],
    ['mailto:keeper@towpath.invalid', 'mailto:keeper@towpath.invalid'],
    ['data:image/png;base64,AA', 'data:image/png;base64,AA'],
    ['data:text/html,<p>', '#'],
    ['java\nscript:a()', '#'],
    ['blob:x', '#'],
  ])('%j is %j', (address, local) => expect(localAddress(address)).toBe(local));
});

test('rules that lead nowhere stay letter for letter; what would fetch goes', () => {
  const plain = '.a  { background: url(a.png) }\n/* end */';
  expect(localRules(plain)).toBe(plain);
  expect(localRules('@import "//a.invalid/b.css"; .a { background: url(https://a.invalid/b.png); color: red }')).toBe(
    '.a{background:none;color:red}',
  );
});
