import { propKey } from '../../model/member';
import { parseScriptBare } from '../../read/script/parse';
import type { Adapter } from '../adapter';
import { readReact } from './read';
import { changesOf, kindOfProp, platformEvent, propMember } from './read/names';
import { reactWriter } from './write';
import { reactSkeleton } from './write/skeleton';

export const react: Adapter = {
  id: 'react',
  name: 'React',
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
    fileRouters: [
      {
        needs: /^next$/,
        file: /(?:^|\/)app\/(?:(.*)\/)?page\.[jt]sx?$/,
        path: (match) => `/${(match[1] ?? '').replace(/\([^)]*\)\/?/g, '')}`,
      },
      {
        needs: /^(next|gatsby)$/,
        file: /(?:^|\/)pages\/(?!api\/)((?!_).*)\.[jt]sx?$/,
        path: (match) => `/${(match[1] ?? '').replace(/(^|\/)index$/, '')}`,
      },
      {
        needs: /^@(react-router|remix-run)\//,
        file: /(?:^|\/)routes\/(.*)\.[jt]sx$/,
        path: (match) =>
          `/${(match[1] ?? '')
            .replace(/_index|(^|\/)(index|route)$/g, '')
            .replace(/\./g, '/')
            .replace(/\$/g, ':')}`,
      },
    ],
  },
  traits: {
    markup: 'expression',
    propsByDeclaration: false,
    endOfLife: /^componentWillUnmount$/,
    rerender: 'component',
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
    fallThrough: false,
    registeredTags: false,
    twoWay: 'none',
    namedSlots: false,
    fragments: true,
  },
  write: reactWriter,
  skeleton: reactSkeleton,
};
