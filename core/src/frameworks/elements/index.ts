import { memberOf } from '../../model/member';
import { parseHtml } from '../../read/markup/html';
import { parseScriptBare } from '../../read/script/parse';
import { plainConventions } from '../conventions';
import type { Adapter } from '../adapter';
import { elementTraits } from '../element-traits';
import { placedPages, registeredTags, shells } from './link';
import { isElementsScript, readElementsScript } from './read';
import { readPage } from './read/page';

export const elements: Adapter = {
  id: 'elements',
  name: 'Custom elements',
  files: /\.html?$/,
  ownPackages: /^(?:lit|lit-html|lit-element|@lit|@lit-labs)(?:\/|$)/,
  readsScript: isElementsScript,
  read: (file, text) => (/\.html?$/.test(file) ? readPage(file, text) : readElementsScript(file, text)),
  load: () => Promise.resolve(),
  parseBare: (file, text) => {
    if (/\.html?$/.test(file)) parseHtml(text);
    else parseScriptBare(file, text);
  },
  link: {
    ...plainConventions,
    placedPages,
    shells,
    registeredTags,
    plainBases: { modules: /^(?:lit|lit-element|@lit\/.*)$/, names: /^(?:HTML\w*Element|LitElement|ReactiveElement|Element)$/ },
  },
  traits: {
    ...elementTraits,
    rendersOn: 'member',
    markup: 'expression',
    endOfLife: /^(?:disconnectedCallback|hostDisconnected)$/,
    startOfLife: /^(?:constructor|connectedCallback|firstUpdated)$/,
    contextsByText: false,
    keys: 'position',
    attributesConvert: true,
  },
  write: {
    member: (key) => {
      const { kind, name } = memberOf(key);
      return kind === 'event' ? `@${name}` : name;
    },
    listener: (event, code) => `@${event}=\${${code}}`,
    content: 'default slot',
    attribute: (name, expression) => `.${name}=\${${expression}}`,
    shown: (expression) => `\${${expression}}`,
    givesSeveral: /^\$\{/,
    givesCode: () => false,
    beforeName: `(?<![\\w$.'"])(?:this\\.)?`,
    package: 'lit',
  },
};
