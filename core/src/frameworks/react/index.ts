import { propKey } from '../../model/member';
import { parseScriptBare } from '../../read/script/parse';
import type { Adapter } from '../adapter';
import { placedPages, shellOfTable } from './pages';
import { readReact } from './read';
import { changesOf, kindOfProp, platformEvent, propMember } from './read/names';
import { reactWriter } from './write';
import { reactSkeleton } from './write/skeleton';

export const react: Adapter = {
  id: 'react',
  name: 'React',
  ownPackages: /^(?:react|react-dom|preact|next)(?:\/|$)/,
  readsScript: () => true,
  read: readReact,
  load: async () => undefined,
  parseBare: parseScriptBare,
  link: {
    memberOfProp: propMember,
    memberOfEvent: propKey,
    kindOfProp,
    changesOf,
    eventOf: (prop) => platformEvent(prop)?.name,
    classProp: 'className',
    registeredTags: () => (_, tag) =>
      tag.startsWith('React.') ? { kind: 'outside', module: 'react', name: tag.slice('React.'.length) } : undefined,
    placedPages,
    shellOfTable,
  },
  traits: {
    markup: 'expression',
    propsByDeclaration: false,
    endOfLife: /^componentWillUnmount$/,
    routeOutlet: /^Outlet$/,
    outletGives: { prop: 'context', takenBy: 'useOutletContext' },
    tableOutlet: /^(RouterProvider|DataBrowserRouter)$/,
    rerender: 'component',
    rendersOn: 'owner',
    slotsRunLate: false,
    mutation: 'unseen',
    storesComeApart: false,
    stateByName: false,
    contextsByText: false,
    effects: 'listed',
    keys: 'given',
    flagsFromText: false,
    onlyProps: true,
    controlledFields: true,
    followedProps: false,
    focusBubbles: true,
    fallThrough: false,
    registeredTags: false,
    twoWay: 'none',
    namedSlots: false,
    areElements: false,
    fragments: true,
  },
  write: reactWriter,
  skeleton: reactSkeleton,
};
