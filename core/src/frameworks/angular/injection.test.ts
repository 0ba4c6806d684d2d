import { beforeAll, describe, expect, test } from 'vitest';
import { type AngularPart, parts } from '../../../../testing/src/parts';
import { analyseFiles, pageNamed } from '../../../../testing/src/project';
import { makeFlowQueries, whoAnswers } from '../../flow';
import { unfold } from '../../tree';
import { loadCompilers } from '../registry';

beforeAll(() => loadCompilers(['app.component.html']));

const tokens = {
  tokens: {
    names: ['TONE', 'HUE'],
    text: "import { InjectionToken } from '@angular/core';\nexport const TONE = new InjectionToken<string>('tone');\nexport const HUE = new InjectionToken<string>('hue', { factory: () => 'own' });\n",
  },
};
const gives = (name: string): string => `{ provide: TONE, useValue: '${name}' }`;
const asks = (options = '', token = 'TONE'): string => `tone = inject(${token}${options});`;

/** Who answers `tone` of the part `Asker`, and how each around it is told of. */
function answered(all: Readonly<Record<string, AngularPart>>): { by: string; chain: string[]; fallback: string } {
  const { model } = analyseFiles(parts(all, tokens));
  const tree = unfold(model, pageNamed(model, 'App'));
  const { frames, named } = makeFlowQueries(model, tree).graph;
  const frame = frames.find((one) => one.name === 'Asker' && one.place >= 0);
  const value = frame?.body.values.find((one) => one.kind === 'context');
  const meant = frame && value ? named(frame, value.source ?? '') : undefined;
  const answer = frame && meant?.kind === 'context' ? whoAnswers(model, tree, frame.place, meant.id, value?.asks) : undefined;
  return {
    by: answer?.chain.find((one) => one.provides === 'answers')?.name ?? 'nobody',
    chain: (answer?.chain ?? []).flatMap((one) => (one.provides === 'not' ? [] : [`${one.name} ${one.provides}`])),
    fallback: answer?.fallback ?? '',
  };
}

/** An asker within the view of a part that provides. */
const within = (options: string, given: string): Record<string, AngularPart> => ({
  App: { template: '<giver/>', uses: ['Giver'] },
  Giver: { template: '<asker/>', uses: ['Asker'], options: given },
  Asker: { template: '', js: asks(options) },
});

/** These are the answers of the running framework: `e2e/tests/injection.spec.ts` asks it the same. */
describe('who answers', () => {
  test.each<[string, Readonly<Record<string, AngularPart>>, string, string[]]>([
    ['the component around', within('', `providers: [${gives('g')}]`), 'Giver', ['Giver answers']],
    [
      'up to the host, not what that provides to all',
      within(', { host: true, optional: true }', `providers: [${gives('g')}]`),
      'nobody',
      ['Giver unasked'],
    ],
    [
      'up to the host, and what that keeps for its view',
      within(', { host: true }', `viewProviders: [${gives('g')}]`),
      'Giver',
      ['Giver answers'],
    ],
    [
      'up to the host, a component beside it in the same view',
      {
        App: { template: '<giver><asker/></giver>', uses: ['Giver', 'Asker'] },
        Giver: { template: '<ng-content/>', options: `providers: [${gives('g')}]` },
        Asker: { template: '', js: asks(', { host: true }') },
      },
      'Giver',
      ['Giver answers'],
    ],
    [
      'a directive is answered by the component of its element',
      {
        App: { template: '<giver asker/>', uses: ['Giver', 'Asker'] },
        Giver: { template: '', options: `providers: [${gives('g')}], viewProviders: [${gives('v')}]` },
        Asker: { js: asks() },
      },
      'Giver',
      ['Giver answers'],
    ],
    [
      'a directive on an element is answered by itself, whatever stands in that',
      {
        App: { template: '<p asker><giver/></p>', uses: ['Giver', 'Asker'] },
        Giver: { template: '', options: `providers: [${gives('g')}]` },
        Asker: { js: asks(), options: `providers: [${gives('a')}]` },
      },
      'Asker',
      ['Asker answers'],
    ],
    [
      'a directive answers in the place of the component of its element',
      {
        App: { template: '<giver paint><asker/></giver>', uses: ['Giver', 'Paint', 'Asker'] },
        Giver: { template: '<ng-content/>', options: `providers: [${gives('g')}]` },
        Paint: { options: `providers: [${gives('p')}]` },
        Asker: { template: '', js: asks() },
      },
      'Paint',
      ['Giver beyond', 'Paint answers'],
    ],
    [
      'a template asks from where it is written',
      {
        App: {
          template: '<giver><ng-template #play><asker/></ng-template><stage [play]="play"/></giver>',
          uses: ['Giver', 'Stage', 'Asker'],
        },
        Giver: { template: '<ng-content/>', options: `providers: [${gives('g')}]` },
        Stage: {
          template: '<ng-container [ngTemplateOutlet]="play()"/>',
          js: 'readonly play = input<TemplateRef<unknown>>();',
          uses: ['NgTemplateOutlet'],
          head: "import { NgTemplateOutlet } from '@angular/common';",
          options: `providers: [${gives('s')}]`,
        },
        Asker: { template: '', js: asks() },
      },
      'Giver',
      ['Stage unasked', 'Giver answers'],
    ],
    [
      'beyond itself',
      {
        ...within(', { skipSelf: true }', `providers: [${gives('g')}]`),
        Asker: { template: '', js: asks(', { skipSelf: true }'), options: `providers: [${gives('a')}]` },
      },
      'Giver',
      ['Asker unasked', 'Giver answers'],
    ],
  ])('%s', (_, all, by, chain) => {
    expect(answered(all)).toMatchObject({ by, chain });
  });

  test('a question that is bounded takes no default', () => {
    const app = (options: string) => ({
      App: { template: '<asker/>', uses: ['Asker'] },
      Asker: { template: '', js: asks(options, 'HUE') },
    });
    expect(answered(app('')).fallback).toBe('given');
    expect(answered(app(', { self: true, optional: true }')).fallback).toBe('none');
  });
});
