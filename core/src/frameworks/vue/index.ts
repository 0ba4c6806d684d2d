import { modelKey } from '../../model/member';
import { parseScriptBare, type ScriptLang } from '../../read/script/parse';
import type { Adapter } from '../adapter';
import { withAutoImports } from './auto-imports';
import { registeredTags } from './globals';
import { inDeclaredVersion } from './older';
import { loadParser, parseTemplate } from './parser';
import { layoutNamed, placedPages, routeOutlet } from './pages';
import { readVue } from './read';
import { filesBeside, withoutParts } from './read/beside';
import { withGlobalProperties } from './global-properties';
import { isVueScript, readVueScript } from './read/module';
import { eventMember, propMember } from './read/names';
import { vueWriter } from './write';
import { vueSkeleton } from './write/skeleton';

export const vue: Adapter = {
  id: 'vue',
  name: 'Vue',
  files: /\.vue$/,
  ownPackages: /^(?:vue|vue-demi|@vue\/[\w-]+|vue-router|pinia|vuex|@vueuse\/[\w-]+)(?:\/|$)/,
  readsScript: (_, text) => isVueScript(text),
  beside: filesBeside,
  read: (file, text, beside) => {
    const facts = withGlobalProperties(file.endsWith('.vue') ? readVue(file, text, beside) : readVueScript(file, text), text);
    const layout = file.endsWith('.vue') ? layoutNamed(text) : undefined;
    return layout === undefined ? facts : { ...facts, layout };
  },
  load: loadParser,
  parseBare: (file, text) => {
    if (!file.endsWith('.vue')) {
      parseScriptBare(file, text);
      return;
    }
    const parsed = parseTemplate(text, { parseMode: 'sfc', onError: () => undefined });
    for (const block of parsed.children) {
      if (!('tag' in block) || block.tag !== 'script') continue;
      const lang: ScriptLang = /lang=["']ts/.test(text.slice(block.loc.start.offset, block.loc.start.offset + 80)) ? 'ts' : 'js';
      for (const one of block.children) if ('content' in one && typeof one.content === 'string') parseScriptBare(`x.${lang}`, one.content);
    }
  },
  link: {
    memberOfProp: propMember,
    memberOfEvent: eventMember,
    // A function is told by its name: what is called `onBook` is a listener, and an event by its key.
    kindOfProp: (name) => (/^on[A-Z]/.test(name) ? 'callback' : 'value'),
    eventOf: () => undefined,
    classProp: 'class',
    changesOf: (prop) => [modelKey(prop)],
    registeredTags,
    asMeant: (files, majorOf) => withAutoImports(inDeclaredVersion(withoutParts(files), majorOf)),
    givesRoute: (module, name) => /^(vue-router|nuxt)/.test(module) && name === 'useRoute',
    placedPages,
  },
  traits: {
    markup: 'directives',
    propsByDeclaration: true,
    startOfLife: /^(?:onBeforeMount|onMounted|created|beforeMount|mounted)$/,
    endOfLife:
      /^(on(Before)?Unmount(ed)?|onScopeDispose|onDeactivated|beforeUnmount|unmounted|beforeDestroy|destroyed|onWatcherCleanup|onCleanup)$/,
    routeOutlet,
    tableOutlet: /^RouterView$/,
    rerender: 'reading',
    rendersOn: 'template',
    slotsRunLate: true,
    mutation: 'seen',
    storesComeApart: true,
    boxMember: 'value',
    stateByName: false,
    contextsByText: true,
    effects: 'tracked',
    keys: 'spread',
    flagsFromText: true,
    onlyProps: false,
    controlledFields: false,
    followedProps: true,
    focusBubbles: false,
    fallThrough: true,
    registeredTags: true,
    twoWay: 'event',
    namedSlots: true,
    areElements: false,
    fragments: false,
  },
  write: vueWriter,
  skeleton: vueSkeleton,
};
