import { defaultSlot, memberOf } from '../../../model/member';
import { hyphened } from '../../../write/case';
import type { Writer } from '../../writer';

export const vueWriter: Writer = {
  member: (key) => {
    const { kind, name } = memberOf(key);
    switch (kind) {
      case 'prop':
        return name;
      case 'event':
        return `@${name}`;
      case 'model':
        return `@update:${name}`;
      case 'slot':
        return key === defaultSlot ? 'children' : `#${name}`;
    }
  },
  listener: (event, code) => `@${event}="${code}"`,
  content: 'default slot',
  attribute: (name, expression) => `:${hyphened(name)}="${expression}"`,
  shown: (expression) => `{{ ${expression} }}`,
  givesSeveral: /^(?:v-bind=|v-on=|v-model)/,
  givesCode: (attribute) => /^(?::|v-bind:)/.test(attribute),
  // The code of an attribute stands in quotes.
  beforeName: `(?:(?<![\\w$.'"])|(?<=\\s(?:[:@#]|v-)[^\\s="]*="))`,
  rewrites: true,
  fillsSlot: (name, content) => `<template #${name}>${content}</template>`,
  // Content of its own stands beside the templates of other slots.
  holdsSlot: (name, between) =>
    new RegExp(`<template\\s+(?:[^>]*\\s)?(?:#${name}|v-slot:${name}${name === 'default' ? '|v-slot(?![:\\w])' : ''})(?![\\w-])`).test(
      between,
    ),
  package: 'vue',
};
