import { defaultSlot, memberName } from '../../../model/member';
import type { Writer } from '../../writer';

export const reactWriter: Writer = {
  member: (key) => (key === defaultSlot ? 'children' : memberName(key)),
  listener: (event, code) => `on${event.charAt(0).toUpperCase()}${event.slice(1)}={${code}}`,
  content: 'children',
  attribute: (name, expression) => `${name}={${expression}}`,
  shown: (expression) => `{${expression}}`,
  givesCode: () => false,
  givesSeveral: /^\{/,
  beforeName: `(?<![\\w$.'"])`,
  rewrites: true,
  package: 'react',
  contentType: "import('react').ReactNode",
};
