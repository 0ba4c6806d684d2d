import type { Traits } from './traits';

/** What holds wherever components are classes whose instances are elements of the page. */
export const elementTraits = {
  propsByDeclaration: true,
  beforeMarkup: /^(?:constructor|connectedCallback)$/,
  routeOutlet: /^$/,
  tableOutlet: /^$/,
  rerender: 'component',
  slotsRunLate: false,
  mutation: 'seen',
  storesComeApart: false,
  stateByName: false,
  effects: 'tracked',
  flagsFromText: false,
  onlyProps: false,
  controlledFields: false,
  followedProps: true,
  focusBubbles: false,
  fallThrough: false,
  registeredTags: true,
  twoWay: 'none',
  namedSlots: true,
  areElements: true,
  fragments: false,
} as const satisfies Partial<Traits>;
