/** What a framework does when a component runs, as far as flow and rules must know it. */
export type Traits = {
  /** How markup is written: as an expression of the script, in a template whose directives are attributes, or in one with blocks. */
  readonly markup: 'expression' | 'directives' | 'blocks';
  /** Whether a prop is there for the template as soon as it is declared, or has to be taken out of the props first. */
  readonly propsByDeclaration: boolean;
  /** Names under which it runs what a component does at the end of its life. */
  readonly endOfLife: RegExp;
  /** Names under which it runs what a component does at the start of its life, where that is a function of its own; absent where it is not. */
  readonly startOfLife?: RegExp;
  /** Functions that run before the markup is made for the first time, by their names. */
  readonly beforeMarkup?: RegExp;
  /** What a component is given takes no change of its inside, which throws. */
  readonly givenIsSealed?: true;
  /** What a component is given stays its owner’s where it does not tell that of the change. */
  readonly givenOneWay?: true;
  /** A slot that hands out values shows nothing but content that takes them. */
  readonly handingSlotsApart?: true;
  /** Tags that show the next route of a page. */
  readonly routeOutlet: RegExp;
  /** The prop by which an outlet gives something to the routes that it shows, and the hook by which these take it; absent where none does. */
  readonly outletGives?: { readonly prop: string; readonly takenBy: string };
  /** Tags under which the routes of a table begin. */
  readonly tableOutlet: RegExp;
  /** What runs again when a value changes: the component as a whole, or what reads the value. */
  readonly rerender: 'component' | 'reading';
  /**
   * When a component renders: with the one that wrote it and for state of its own, as a whole whenever a member of it is set,
   * as a whole when its markup reads what changed, or that place of its markup alone.
   */
  readonly rendersOn: 'owner' | 'member' | 'template' | 'reading';
  /** Content for a slot runs while the component that has the slot renders, and not with its owner. */
  readonly slotsRunLate: boolean;
  /** How a change inside a list or an object held as state is noticed. Where it is by assignment, a component says so itself. */
  readonly mutation: 'seen' | 'unseen';
  /** Members that are taken out of a reactive object or a store once do not follow it any more. */
  readonly storesComeApart: boolean;
  /** Members of a store by which the store itself is held, and not what it tells; absent where stores have none. */
  readonly storeMembers?: RegExp;
  /** The member by which a box that holds a state is opened; absent where a state is read by its name. */
  readonly boxMember?: string;
  /** A state is read by its name alone, so that what is handed on outside of effects and markup is its value at that moment. */
  readonly stateByName: boolean;
  /** A context may be known by a text, so that what is outside the project may give or take it. */
  readonly contextsByText: boolean;
  /** Whether effects follow a list that they declare, or what they read. */
  readonly effects: 'listed' | 'tracked';
  /** What is computed and effects follow values that are made to be followed, and no plain fields. */
  readonly followsBoxes?: true;
  /** Markup is held against plain fields too; that of a memoised part only when it is given something, or something happens in it. */
  readonly checksMarkup?: true;
  /** Repeated parts are told apart by a key; `spread` where spreading an object may give it, `position` where those without one go by their position. */
  readonly keys: 'none' | 'given' | 'spread' | 'position';
  /** A flag that is not given is false, and one given as an empty text or by its own name is true. */
  readonly flagsFromText: boolean;
  /** Content, callbacks and values are all members of one object of props, so that none is told from the others but by its use. */
  readonly onlyProps: boolean;
  /** A field that shows a value takes no other one until the value is another: `value` without a change is stuck. */
  readonly controlledFields: boolean;
  /** Props are objects that the framework follows, so that writing into one is seen by its owner. */
  readonly followedProps: boolean;
  /** Events of focus go outward from where they are raised like most others; else only those who listen there hear them. */
  readonly focusBubbles: boolean;
  /** What is not declared goes on to the one root of the template by itself. */
  readonly fallThrough: boolean;
  /** A tag that a file does not declare may be registered elsewhere. */
  readonly registeredTags: boolean;
  /** How a prop is bound both ways: by an event of its own, by a mark on the prop, or not at all. */
  readonly twoWay: 'none' | 'event' | 'mark';
  /** Names of slots are told apart from those of props. */
  readonly namedSlots: boolean;
  /** A component is an element of the page: events go outward from it, its markup may stand in a shadow tree, and attributes set its properties. */
  readonly areElements: boolean;
  /** An attribute’s text becomes what its property is declared to take. */
  readonly attributesConvert?: true;
  /** Markup may need a layer that is no element, around several. */
  readonly fragments: boolean;
  /** The tag under which such a layer is written; absent where it has none. */
  readonly fragmentTag?: string;
  /** Content asks for contexts from where it is written, and not from where it is shown. */
  readonly contentAsksWhereWritten?: true;
  /**
   * Its components are made once, on a server, and are markup from then on: what they are given is their own, their scripts
   * run once for a page, and parts of other frameworks in them are started one by one, each by itself and with plain data alone.
   */
  readonly madeOnce?: true;
  /** Markup finds components and directives by selectors, among those that are in reach of it. */
  readonly selectors?: true;
};
