import { memberOf } from '../../model/member';
import { parseHtml } from '../../read/markup/html';
import { parseScriptBare } from '../../read/script/parse';
import { plainConventions } from '../conventions';
import type { Adapter } from '../adapter';
import { elementTraits } from '../element-traits';
import { moduleFile, placedPages, registeredTags } from './link';
import { attributeOf } from './names';
import { isOlderMarkup, olderBeside, readOlder } from './read/older';
import { filesBeside, isLwcScript, readLwcScript, readLwcTemplate } from './read';

export const lwc: Adapter = {
  id: 'lwc',
  name: 'Lightning web components',
  files: /\.html$|\.js-meta\.xml$|\.(?:cmp|app)$/,
  isOwn: (file, text) => file.endsWith('.xml') || isOlderMarkup(file) || /^\s*(?:<!--[\s\S]*?-->\s*)*<template\b/i.test(text),
  // Packages of the registry bear the platform’s name as well.
  ownPackages:
    /^(?:lwc|lightning)(?:\/|$)|^@salesforce\/(?:apex|schema|label|resourceUrl|messageChannel|user|userPermission|customPermission|i18n|client|community|site)(?:\/|\.|$)/,
  readsScript: isLwcScript,
  beside: (file, all) => (isOlderMarkup(file) ? olderBeside(file, all) : filesBeside(file, all)),
  read: (file, text, beside) =>
    isOlderMarkup(file)
      ? readOlder(file, text, beside)
      : /\.(?:html|xml)$/.test(file)
        ? readLwcTemplate(file)
        : readLwcScript(file, text, beside),
  load: () => Promise.resolve(),
  parseBare: (file, text) => {
    if (file.endsWith('.html')) parseHtml(text);
    else if (isOlderMarkup(file)) parseHtml(text, { xml: true });
    else if (!file.endsWith('.xml')) parseScriptBare(file, text);
  },
  link: {
    ...plainConventions,
    placedPages,
    registeredTags,
    plainBases: { modules: /^(?:lwc|lightning\/(?:navigation|modal|refresh|flowSupport))$/, names: /^LightningElement$/ },
    heardOutside: /^(?:lightning__|force|aura)/,
    moduleFile,
  },
  traits: {
    ...elementTraits,
    rendersOn: 'template',
    markup: 'directives',
    endOfLife: /^disconnectedCallback$/,
    startOfLife: /^(?:constructor|connectedCallback)$/,
    givenIsSealed: true,
    handingSlotsApart: true,
    contextsByText: true,
    keys: 'given',
  },
  write: {
    member: (key) => {
      const { kind, name } = memberOf(key);
      return kind === 'event' ? `on${name}` : kind === 'prop' ? attributeOf(name) : name;
    },
    listener: (event, code) => `on${event}={${code}}`,
    content: 'default slot',
    attribute: (name, expression) => `${attributeOf(name)}={${expression}}`,
    shown: (expression) => `{${expression}}`,
    givesSeveral: /^lwc:spread$/,
    givesCode: () => false,
    beforeName: `(?<![\\w$.'"])(?:this\\.)?`,
    cannotListen: /[^a-z0-9_]/,
    package: 'lwc',
  },
};
