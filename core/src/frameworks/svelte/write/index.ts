import { defaultSlot, memberOf } from '../../../model/member';
import type { Writer } from '../../writer';

/** Whether a component takes its content by slots, as before version 5. */
export const takesSlots = (text: string): boolean => /\bexport let\b|<slot\b/.test(text);

export const svelteWriter: Writer = {
  member: (key) => {
    const { kind, name } = memberOf(key);
    switch (kind) {
      case 'prop':
        return name;
      case 'event':
        return `on:${name}`;
      case 'model':
        return `bind:${name}`;
      case 'slot':
        return key === defaultSlot ? 'children' : `#${name}`;
    }
  },
  listener: (event, code) => `on${event}={${code}}`,
  bindable: '$bindable()',
  content: 'children',
  attribute: (name, expression) => (name === expression ? `{${name}}` : `${name}={${expression}}`),
  shown: (expression) => `{${expression}}`,
  givesSeveral: /^\{/,
  givesCode: () => false,
  // A store is read by its name with a letter before it.
  beforeName: `(?<![\\w$.'"])\\$?`,
  rewrites: true,
  fillsSlot: (name, content, text) =>
    takesSlots(text) ? `<svelte:fragment slot="${name}">${content}</svelte:fragment>` : `{#snippet ${name}()}${content}{/snippet}`,
  holdsSlot: (name, between) => new RegExp(`slot="${name}"|\\{#snippet ${name}\\b`).test(between),
  package: 'svelte',
};
