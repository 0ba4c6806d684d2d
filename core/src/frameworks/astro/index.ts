import { memberOf } from '../../model/member';
import type { Adapter } from '../adapter';
import { plainConventions } from '../conventions';
import { placedPages } from './pages';
import { frontmatterOf, readAstro, readText } from './read';
import { parseMarkup } from './read/markup';
import { astroSkeleton } from './write/skeleton';

export const astro: Adapter = {
  id: 'astro',
  name: 'Astro',
  files: /\.astro$|(?:^|\/)src\/pages\/.*\.mdx?$|(?:^|\/)src\/content\/.*\.mdx$/,
  // Scripts beside these pages are of other frameworks, or of none: no `readsScript`.
  ownPackages: /^astro(?:\/|:|$)/,
  read: (file, text) => (file.endsWith('.astro') ? readAstro(file, text) : readText(file, text)),
  load: () => Promise.resolve(),
  parseBare: (_, text) => void parseMarkup(text, frontmatterOf(text)?.end ?? 0),
  link: {
    ...plainConventions,
    placedPages,
  },
  traits: {
    markup: 'blocks',
    propsByDeclaration: false,
    endOfLife: /^$/,
    routeOutlet: /^$/,
    tableOutlet: /^$/,
    rerender: 'reading',
    rendersOn: 'reading',
    slotsRunLate: false,
    mutation: 'seen',
    storesComeApart: false,
    stateByName: true,
    contextsByText: false,
    effects: 'tracked',
    keys: 'none',
    flagsFromText: false,
    onlyProps: false,
    controlledFields: false,
    followedProps: false,
    focusBubbles: false,
    fallThrough: false,
    registeredTags: false,
    twoWay: 'none',
    namedSlots: true,
    areElements: false,
    fragments: true,
    madeOnce: true,
  },
  write: {
    member: (key) => memberOf(key).name,
    listener: (event, code) => `on${event}="${code}"`,
    content: 'default slot',
    attribute: (name, expression) => (name === expression ? `{${name}}` : `${name}={${expression}}`),
    shown: (expression) => `{${expression}}`,
    givesSeveral: /^\{\.\.\./,
    givesCode: () => false,
    beforeName: `(?<![\\w$.'"])`,
    package: 'astro',
  },
  skeleton: astroSkeleton,
};
