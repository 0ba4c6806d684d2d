import { describe, expect, test } from 'vitest';
import { green, grey, ink, line, type Painted, picture, white, word } from '../../../../testing/src/picture';
import type { Pixels } from './pixels';
import { partsOfPicture } from './suggest';

const card = (x: number, y: number, seed: number): Painted[] => [
  [[x, y, 180, 120], line],
  [[x + 1, y + 1, 178, 118], white],
  ...word(x + 14, y + 16, 60 + seed * 10, ink, 12),
  ...word(x + 14, y + 40, 120 - seed * 10),
  [[x + 14, y + 80, 56, 26], green],
  ...word(x + 24, y + 89, 35, white),
];
const row = (y: number, seed: number): Painted[] => [
  [[40, y, 24, 24], green],
  ...word(80, y + 8, 90 + seed * 20),
  ...word(300, y + 8, 60),
  ...word(420, y + 8, 30),
];

const summary = (pixels: Pixels): string[] =>
  partsOfPicture(pixels).map(({ name, boxes, parent }) => `${name} ×${boxes.length}${parent ? ` in ${parent}` : ''}`);

describe('parts of a picture', () => {
  const bar: Painted[] = [[[0, 0, 700, 56], ink], ...word(20, 22, 80, white), ...word(560, 22, 60, white)];
  const cards = [20, 220, 420].flatMap((x, seed) => card(x, 80, seed));

  test('a bar, cards that repeat, and the buttons in them', () => {
    expect(summary(picture(700, 320, grey, ...bar, ...cards))).toEqual(['PageBar ×1', 'Card ×3', 'Button ×3 in Card']);
  });
  test('a card is given its title and its words; what is a part of its own takes its words along', () => {
    const parts = partsOfPicture(picture(700, 320, grey, ...bar, ...cards));
    expect(parts.map(({ name, props }) => `${name}: ${props.map((prop) => prop.name).join()}`)).toEqual([
      'PageBar: title,text',
      'Card: title,text',
      'Button: text',
    ]);
  });
  test('each says why, and stands where it stands', () => {
    const [, found] = partsOfPicture(picture(700, 320, grey, ...bar, ...cards));
    expect(found?.reason).toBe('3 times: frames or grounds of one make');
    expect(found?.boxes).toEqual([20, 220, 420].map((x) => ({ x, y: 80, width: 180, height: 120 })));
  });
  test('rows of a column without frames', () => {
    const rows = [100, 148, 196, 244].flatMap((y, seed) => row(y, seed));
    expect(summary(picture(520, 320, white, ...rows))).toEqual(expect.arrayContaining(['Row ×4']));
  });
  test('fields stand with their labels', () => {
    const fields = [20, 100, 180].flatMap((y): Painted[] => [
      ...word(30, y, 60),
      [[30, y + 16, 220, 36], line],
      [[31, y + 17, 218, 34], white],
      ...word(40, y + 30, 80),
    ]);
    const [found] = partsOfPicture(picture(400, 280, white, ...fields)).filter(({ name }) => name === 'Field');
    expect(found?.boxes.map(({ y, height }) => [y, height])).toEqual([20, 100, 180].map((y) => [y - 3, 55]));
  });
  test.each<[string, Pixels]>([
    ['one colour', picture(200, 100, white)],
    ['one word', picture(200, 100, white, ...word(20, 20, 60))],
    ['large letters alone', picture(300, 120, white, [[20, 20, 30, 40], ink], [[56, 20, 22, 40], ink], [[84, 20, 30, 40], ink])],
  ])('nothing in a picture of %s', (_, pixels) => {
    expect(partsOfPicture(pixels)).toEqual([]);
  });
});
