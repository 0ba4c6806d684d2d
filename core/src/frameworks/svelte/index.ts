import { eventKey, modelKey } from '../../model/member';
import { parseScriptBare } from '../../read/script/parse';
import type { Adapter } from '../adapter';
import { placedPages } from './pages';
import { loadParser, parser } from './parser';
import { readSvelte } from './read';
import { kindOfProp, propMember } from './read/declared';
import { isSvelteScript, readSvelteScript } from './read/module';
import { svelteWriter } from './write';
import { svelteSkeleton } from './write/skeleton';

export const svelte: Adapter = {
  id: 'svelte',
  name: 'Svelte',
  files: /\.svelte$/,
  ownPackages: /^svelte(?:\/|$)/,
  readsScript: isSvelteScript,
  read: (file, text) => (file.endsWith('.svelte') ? readSvelte(file, text) : readSvelteScript(file, text)),
  load: loadParser,
  parseBare: (file, text) => {
    if (file.endsWith('.svelte')) parser()(text, { modern: true });
    else parseScriptBare(file, text);
  },
  link: {
    exportCondition: 'svelte',
    memberOfProp: propMember,
    memberOfEvent: eventKey,
    kindOfProp,
    eventOf: (prop) => /^on([a-z]+)$/.exec(prop)?.[1],
    classProp: 'class',
    changesOf: (prop) => [modelKey(prop)],
    placedPages,
    // Written into a configuration that is made anew and not kept.
    folders: { $lib: 'src/lib' },
    routerFiles: /(^|\/)\+(page|layout)(@[^/]*)?\.svelte$/,
    givesRoute: (module) => /^\$app\/(state|stores)$/.test(module),
  },
  traits: {
    markup: 'blocks',
    propsByDeclaration: false,
    endOfLife: /^onDestroy$/,
    routeOutlet: /^$/,
    tableOutlet: /^$/,
    rerender: 'reading',
    rendersOn: 'reading',
    slotsRunLate: false,
    mutation: 'seen',
    storesComeApart: false,
    storeMembers: /^(?:subscribe|set|update)$/,
    stateByName: true,
    contextsByText: true,
    effects: 'tracked',
    keys: 'position',
    flagsFromText: false,
    onlyProps: false,
    controlledFields: false,
    followedProps: true,
    focusBubbles: false,
    fallThrough: false,
    registeredTags: false,
    twoWay: 'mark',
    namedSlots: true,
    areElements: false,
    fragments: false,
  },
  write: svelteWriter,
  skeleton: svelteSkeleton,
};
