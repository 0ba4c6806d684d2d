import { beforeAll, describe, expect, test } from 'vitest';
import { angularForms } from '../../../testing/src/forms/angular';
import { astroForms } from '../../../testing/src/forms/astro';
import { elementsForms } from '../../../testing/src/forms/elements';
import { answerTo, evaluate } from '../../../testing/src/forms/evaluate';
import { flowForms } from '../../../testing/src/forms/flows';
import { lwcForms } from '../../../testing/src/forms/lwc';
import { newerFlowForms } from '../../../testing/src/forms/newer-flows';
import { reactForms } from '../../../testing/src/forms/react';
import { svelteForms } from '../../../testing/src/forms/svelte';
import { vueForms } from '../../../testing/src/forms/vue';
import { loadCompilers } from '../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte', 'a.component.html']));

// Small applications; those of the first three frameworks are run with the fault and without (`npm run forms -- --run`).
describe.each([
  ['react', reactForms],
  ['vue', vueForms],
  ['svelte', svelteForms],
  ['elements', elementsForms],
  ['lwc', lwcForms],
  ['angular', angularForms],
  ['astro', astroForms],
] as const)('faults as people write them: %s', (framework, forms) => {
  test.each(forms.map((form) => [`${form.rule}: ${form.form}`, form] as const))('%s', (_, form) => {
    const { found, said, wrong } = evaluate(framework, form);
    expect({ found, said }).toEqual({ found: !form.missed, said });
    expect(wrong).toEqual([]);
  });
});

describe('questions of flow as people ask them', () => {
  test.each([...flowForms, ...newerFlowForms].map((form) => [`${form.framework} ${form.ask}: ${form.form}`, form] as const))(
    '%s',
    (_, form) => {
      const { lacks, tooMany, rungs } = answerTo(form);
      if (form.missed) expect(lacks.length + tooMany).toBeGreaterThan(0);
      else expect({ lacks, tooMany, rungs }).toEqual({ lacks: [], tooMany: 0, rungs });
    },
  );
});
