import type { Framework } from './framework';
import type { Member, MemberKey } from './member';
import type { FilePath, Location, Span } from './span';
import type { TypeExpr, TypeFact } from './types';

/** Something in a file that could not be read, and where. */
export type Problem = { readonly message: string } & Span;

/** A problem with the file that it is in. */
export type PlacedProblem = Problem & { readonly file: FilePath };

/**
 * All that one file says, without a look at any other. Plain JSON: it is cached, sent between
 * workers, and linked. Names in it (`imported`, `source`, `tag`, …) are as the file writes them,
 * dotted for members (`Card.Header`); link finds out who is meant.
 */
export type FileFacts = {
  readonly file: FilePath;
  readonly framework: Framework;
  readonly problems: readonly Problem[];
  readonly imports: readonly ImportFact[];
  readonly exports: readonly ExportFact[];
  readonly types: readonly TypeFact[];
  readonly components: readonly ComponentFacts[];
  readonly shared: readonly SharedFact[];
  readonly roots: readonly RootFact[];
  readonly routes: readonly RouteFact[];
  /** Modules this file declares for others: `declare module 'name' { … }`. */
  readonly ambient: readonly AmbientFact[];
  /** Module-level names that stand for another one: `const Fast = memo(Slow)`. */
  readonly aliases: readonly AliasFact[];
  /** Functions of the module that make a component around one they are handed. */
  readonly makers: readonly MakerFact[];
  /** Components that this module registers for all templates; absent for none. */
  readonly globals?: readonly GlobalFact[];
  /** It registers components for all templates under names that its text does not tell: those that it loads (`later`), or any. */
  readonly registersOthers?: 'loaded' | 'any';
  /** It defines elements under tags that its text does not tell. */
  readonly definesOthers?: true;
  /** Keys under which functions of the module give something to all below a component that calls them; absent for none. */
  readonly gives?: readonly GivenFact[];
  /** Absent where the module holds nothing that lasts and does nothing that lasts. */
  readonly module?: ModuleFacts;
  /** Modules that it imports for what they do alone, as written: `import './gauge.js'`; absent for none. */
  readonly effects?: readonly string[];
  /** Modules that its code loads while it runs, as written; absent for none. */
  readonly later?: readonly string[];
  /** Routes that it adds to those that stand in files; absent for none. */
  readonly addsRoutes?: readonly AddedRoute[];
  /** It adds parts to a store while it runs. */
  readonly addsStoreParts?: true;
  /** Names of events that some code of the file listens for, whichever function it stands in; absent for none. */
  readonly listens?: readonly string[];
  /** Listeners that a script puts on what it asks the page for by a tag, an id or a class; absent for none. */
  readonly listensOn?: readonly PageListener[];
  /** Names of props that some code of the file reads off elements which it is handed; absent for none. */
  readonly readsProps?: readonly string[];
  /** Members that it sets, and those that it reads, on elements that it holds; absent for none. */
  readonly sets?: readonly string[];
  readonly asks?: readonly string[];
  /** Objects of the module that may be mixed into components, with the names that they add; absent for none. */
  readonly mixables?: readonly MixableFact[];
  /** Names of the module to which members may be added that cannot be seen; absent for none. */
  readonly opened?: readonly string[];
  /** The layout that its page names; empty where it wants none, absent where it says nothing. */
  readonly layout?: string;
  /** Names that the file gives to all templates of the application; absent for none. */
  readonly globalNames?: readonly string[];
  /** Functions of the module that surely give nothing back; absent for none. */
  readonly voids?: readonly string[];
  /** Functions of the module that change the inside of what they are handed; absent for none. */
  readonly changers?: readonly ChangerFact[];
  /** Where the file says it runs: a mark at its top. */
  readonly runs?: 'client' | 'server';
  /** Functions that a script which runs on the server hands to the page of a file; absent for none. */
  readonly handsOver?: { readonly to: FilePath; readonly functions: readonly { readonly name: string; readonly span: Span }[] };
  /** Classes of the module whose instances are events; absent for none. */
  readonly eventClasses?: readonly EventClassFact[];
  /** Classes, and functions that make one of another, that components extend; no tag stands for them. Absent for none. */
  readonly bases?: readonly ComponentFacts[];
  /** The file of a page that is never started in the browser, and where that is said. */
  readonly neverStarts?: { readonly file: FilePath; readonly span: Span };
  /** Groups in which components are declared, and what each brings and offers; absent for none. */
  readonly groups?: readonly GroupFact[];
  /** Names of instances that are asked for outside of components: by services, guards, converters and groups; absent for none. */
  readonly asked?: readonly string[];
  /** Members of its classes that are opened by a call, by the name of the class; absent for none. */
  readonly signals?: Readonly<Record<string, readonly string[]>>;
  /** Converters that markup may use by a name; absent for none. */
  readonly pipes?: readonly PipeFact[];
  /** Names of the module that stand for several others, or for several provisions; absent for none. */
  readonly lists?: readonly ListFact[];
};

/** How markup finds a component or a directive: by a selector instead of a name, among those that are in reach of it. */
export type SelectFact = {
  readonly kind: 'component' | 'directive';
  /** As written; selectors of the simple kind: tags, classes, attributes, `:not`, and lists of them; absent for one that only routes or hosts bring. */
  readonly selector?: string;
  /** Whether it is used by itself; absent where nothing is said. */
  readonly isAlone?: boolean;
  /** Names of what its own template may use. */
  readonly uses: readonly string[];
  /** Not all that its template may use can be told, or it lets any element pass. */
  readonly isOpen?: true;
  /** Names under which markup asks for its instance. */
  readonly exportAs?: readonly string[];
  /** Directives that come along with it, with the names that they have there. */
  readonly along?: readonly AlongFact[];
  /** Names that other names of members stand for: fields by the public names of inputs and outputs that are not theirs. */
  readonly fields?: Readonly<Record<string, string>>;
};

/** Something that is given to an element and that nothing in reach takes: with the directive that would, where one is known. */
export type UntakenFact = NameFact & {
  /** The tag of the element. */
  readonly tag: string;
  /** The name of the directive, and the file that declares it, where that is one of the project. */
  readonly by?: string;
  readonly file?: FilePath;
  /** It decides whether a template is shown. */
  readonly isStructural?: true;
  /** It is written as a text. */
  readonly isText?: true;
};

/** A directive that comes along with another: its module name, and those of its inputs and outputs that are offered, by the names that they have there. */
export type AlongFact = {
  readonly name: string;
  readonly inputs: Readonly<Record<string, string>>;
  readonly outputs: Readonly<Record<string, string>>;
  readonly span: Span;
};

/** A group of components: what it declares, what these may use, and what it hands to who brings it in. All are module names. */
export type GroupFact = {
  readonly name: string;
  readonly span: Span;
  readonly declares: readonly string[];
  readonly brings: readonly string[];
  readonly offers: readonly string[];
  /** What stands on the page when it is started. */
  readonly starts: readonly string[];
  readonly provides: readonly ProvisionFact[];
  /** Tables of routes that it hands to the router. */
  readonly tables: readonly string[];
  /** Not all of its lists can be told, or it lets any element pass. */
  readonly isOpen?: true;
};

export type PipeFact = { readonly name: string; readonly local: string; readonly span: Span; readonly isAlone?: boolean };

/** A constant that holds a list, or a function that gives one. */
export type ListFact = {
  readonly name: string;
  readonly items: readonly string[];
  readonly provides: readonly ProvisionFact[];
  /** Tables of routes that it hands to the router; absent for none. */
  readonly tables?: readonly string[];
  readonly isOpen?: true;
};

/** One thing that is provided: for a key, by another list, or nobody can say what. */
export type ProvisionFact =
  | {
      readonly kind: 'key';
      /** A name of the module. */
      readonly key: string;
      readonly span: Span;
      /** What is given, where it is written within a component. */
      readonly readings?: readonly Reading[];
      /** The module name of the class or the key that answers in its stead. */
      readonly by?: string;
      /** It is one of several that are given together. */
      readonly isOneOf?: true;
      /** Module names of what is asked for to make it; absent for none. */
      readonly asks?: readonly string[];
    }
  /** `isCall`: by a function, which is called here. */
  | { readonly kind: 'list'; readonly name: string; readonly span: Span; readonly isCall?: true }
  | { readonly kind: 'unknown'; readonly span: Span };

/** A class whose instances are events. Members and parts of the detail are told by the parameter, counted from 0, that they are given. */
export type EventClassFact = {
  readonly name: string;
  /** What the event is called; `{name}` for a constant of another module. */
  readonly event: string;
  readonly bubbles: boolean;
  readonly composed: boolean;
  readonly members: Readonly<Record<string, number>>;
  readonly detail?: number;
  readonly inDetail?: Readonly<Record<string, number>>;
};

/** A key under which a function of the module gives something, and the call that does. */
export type GivenFact = { readonly key: string; readonly span: Span };

/** An object of options, by its module name, all names that stand in it as members, and what is mixed into it in its turn. */
export type MixableFact = { readonly name: string; readonly members: readonly string[]; readonly mixins?: readonly string[] };

/** A parameter, counted from 0, whose inside a function of the module changes: the first place that does. */
export type ChangerFact = {
  readonly name: string;
  readonly position: number;
  readonly span: Span;
  /** It gives the same one back. */
  readonly returned?: true;
};

export type ImportFact = {
  /** The name here. */
  readonly local: string;
  /** The name there: `default`, `*` for the namespace. */
  readonly imported: string;
  readonly from: string;
  readonly typeOnly: boolean;
  /** Nothing but types names it, so that most compilers leave it out; told of elements alone. */
  readonly inTypesAlone?: true;
  readonly span: Span;
};

export type ExportFact = {
  /** The name others import; `*` for all that `from` exports. */
  readonly exported: string;
  /** The name here or, with `from`, there; `*` for the whole namespace. */
  readonly local: string;
  readonly from?: string;
  readonly span: Span;
};

/** A route that a script adds to those that stand in files: its path, and the file that it shows, as far as its path is told. */
export type AddedRoute = { readonly path: string; readonly shows: string };

export type AliasFact = {
  readonly name: string;
  readonly target: string;
  /** With `from`, `target` is what that module exports: a lazily loaded part. */
  readonly from?: string;
  /** Functions it was handed through that may add props of their own. */
  readonly wrappedBy: readonly string[];
};

/** A function that makes components: what it makes, in which the tag `hole` stands for what it is handed. */
export type MakerFact = { readonly name: string; readonly hole: string; readonly component: ComponentFacts };

/** A component that all templates of the application may use by a name of its own. */
export type GlobalFact = { readonly name: string; readonly target: string; readonly span: Span };

/** `document.querySelector('tide-gauge').addEventListener('level-change', …)`: the selector, and the span of the call that listens. */
export type PageListener = { readonly selector: string; readonly event: string; readonly span: Span; readonly nameSpan: Span };

export type AmbientFact = {
  readonly module: string;
  readonly types: readonly TypeFact[];
  readonly imports: readonly ImportFact[];
};

/**
 * Whether a user may pass names that are not declared. `through` means: whatever the targets of
 * its rest accept. An open contract never yields a finding.
 */
export type Openness = 'closed' | 'platform' | 'through' | 'open';

/** What the file says of a component's or a hook's body. */
export type BodyFacts = {
  /** Referred to by index from everywhere else in the body. */
  readonly values: readonly ValueFact[];
  readonly actions: readonly ActionFact[];
  /** Events whose subscriptions something in it ends: their names, `timer`, or an empty text for any; absent for none. */
  readonly endings?: readonly string[];
  /** Events that something in it would end by another function than was added, or on another way; absent for none. */
  readonly vainEndings?: readonly string[];
  /** Stores are told to do something by names that constants hold: `{NAME}` stands for these. */
  readonly toldByConstants?: true;
};

export type ComponentFacts = BodyFacts & {
  readonly name: string;
  /** The name the module knows it by, dotted for members; `default` for a default export without a name. */
  readonly local: string;
  /** The declaration as a whole, and its name alone (or its first word when it has none). */
  readonly span: Span;
  readonly nameSpan: Span;
  /** `element`: a class whose instances are elements. */
  readonly form: 'function' | 'class' | 'file' | 'element';
  readonly members: readonly MemberFact[];
  /** The declared type of the props object; link adds its members to `props`. */
  readonly propsType?: TypeExpr;
  /** The declared type of the events, where it stands elsewhere; link adds what it declares. */
  readonly eventsType?: TypeExpr;
  readonly events: readonly EventFact[];
  readonly slots: readonly SlotFact[];
  readonly openness: Openness;
  /** With `through`: names of the components that the rest is spread on. */
  readonly through: readonly string[];
  readonly template: readonly TemplateNode[];
  /** It clones its content, so it may add props to it. */
  readonly clones: boolean;
  /** Wrapped by functions that may add props of their own: their names, outermost first. */
  readonly wrappedBy: readonly string[];
  /** Renders again only when what it is given is another: memoised. */
  readonly memo?: true;
  /** The name that it gives itself, by which it may be registered; absent where it says none. */
  readonly saidName?: string;
  /** It asks by hand to be rendered again. */
  readonly checksByHand?: true;
  /** What it gives to who holds a handle on it: members with what each is. */
  readonly exposes?: readonly Reading[];
  /** Names that its markup reads and nothing declares; absent for none, and where not all declarations can be seen. */
  readonly undeclared?: readonly NameFact[];
  /** Its markup knows the components that it registers, and not what its file imports. */
  readonly registersTags?: true;
  /** It waits before it gives its markup, which only a server does. */
  readonly isAsync?: true;
  /** Objects whose members are added to it: their module names; absent for none. Its own undeclared names may be theirs. */
  readonly mixins?: readonly string[];
  /** The prop and the event that a two-way binding without a name means, where the component says which. */
  readonly boundBy?: { readonly prop: string; readonly event: string };
  /** It says that what it does not declare is not put on its first element. */
  readonly inheritsNothing?: true;
  /** Names that its framework puts there all the same; absent for none. */
  readonly putOnRoot?: readonly string[];
  /** Of what a function makes around a component: the tag by which its template shows that; absent for all others. */
  readonly hole?: string;
  /** States that it sets each time, so that it never comes to rest; absent for none. */
  readonly again?: readonly AgainFact[];
  /** Lists and objects that it holds are noticed only where the variable itself is written. */
  readonly followsAssignment?: true;
  /** What raises its events is handed on: others may raise any of them. */
  readonly raisesUnseen?: true;
  /** Props whose names stand nowhere in the component but where they are declared; absent for none. */
  readonly unmentioned?: readonly MemberKey[];
  /** It is set by what is outside of the project, too: a builder of pages, the platform. */
  readonly isOffered?: true;
  /** How many lines it takes. */
  readonly lines?: number;
  /** Its markup is that of a class that it extends. */
  readonly shownByBase?: true;
  /** Other files that it is read from: templates beside its class, classes that it extends; absent for none. */
  readonly files?: readonly FilePath[];
  /** Module names of what its class extends, the nearest first; functions that make a class of another are called: `Busy()`. Absent for none. */
  readonly bases?: readonly string[];
  /** What it gives to all below it, wherever that is written; absent for nothing. */
  readonly gives?: readonly ProvideFact[];
  /** It is an element of the page; absent for components that leave none. */
  readonly element?: ElementFact;
  /** What its class knows by name, where that may extend others; an element says so itself. */
  readonly ofClass?: ClassFact;
  /** Markup finds it by a selector; absent where names are meant. */
  readonly selected?: SelectFact;
  /** What it provides to itself and all below, and to its own markup alone; absent for nothing. */
  readonly provisions?: readonly ProvisionFact[];
  readonly viewProvisions?: readonly ProvisionFact[];
  /** Names of converters in its markup; absent for none. */
  readonly pipesUsed?: readonly NameFact[];
  /** Elements that its scripts ask the page for; absent for none. */
  readonly lookUps?: readonly LookUpFact[];
  /** Its scripts make elements, or give them names. */
  readonly namesElements?: true;
  /** Names that only a browser has, read where the component is made on a server; absent for none. */
  readonly absent?: readonly NameFact[];
  /** Directives of the framework that decide what of the markup is shown, by the names that it has for them; absent for none. */
  readonly directivesUsed?: readonly NameFact[];
  /** What the markup gives to an element, and nothing that it may use takes; absent for none. Known when a project is linked. */
  readonly untaken?: readonly UntakenFact[];
};

/** An element that a script asks the page for, by a selector: `#search`, `.row`, `[data-form]`, `form`. */
export type LookUpFact = {
  readonly selector: string;
  readonly span: Span;
  /** All elements that fit are meant, and not the first alone. */
  readonly all: boolean;
  /** Whoever asks minds that there may be none. */
  readonly guarded: boolean;
};

/** The names of a class, as far as classes that extend it, or that it extends, meet by them. */
export type ClassFact = {
  /** The values that its class knows by name. */
  readonly names?: Readonly<Record<string, number>>;
  /** Names that its class reads of itself and does not declare; absent for none. */
  readonly asked?: readonly string[];
  /** Properties whose setter is its own, so that who writes them of itself runs that. */
  readonly accessors?: readonly string[];
  /** Names that are opened by a call; absent for none. */
  readonly opened?: readonly string[];
};

/** What a component that is an element of the page has as one. */
export type ElementFact = ClassFact & {
  /** Who sees into it: its markup stands in a shadow tree, or in the document's own. */
  readonly root: 'light' | 'open' | 'closed';
  /** Properties by the attributes that set them, in lower case. */
  readonly attributes: Readonly<Record<string, string>>;
  /** Its tags; absent for none. */
  readonly tags?: readonly string[];
  /** What stands between its tags is on the page whether it has a slot for it or not. */
  readonly keepsContent?: true;
  /** Nobody outside reaches its fields, but for those that it declares to users. */
  readonly keepsFields?: true;
  /** Nothing stands for its tag: others extend it. */
  readonly isAbstract?: true;
  /** It is of an older layer of the framework: it holds newer ones, and no newer one holds it. */
  readonly isOlder?: true;
  /** Its class makes the markup anew itself, or asks for it, whatever a framework notices. */
  readonly rendersByHand?: true;
};

/** A state that is set each time it is rendered or an effect runs, which makes both happen again. */
export type AgainFact = {
  readonly value: number;
  readonly span: Span;
  readonly by: 'rendering' | 'an effect';
  /** It happens where the component is not given this: a default stands for it, which is another one each time. */
  readonly unlessGiven?: MemberKey;
};

/** A name as it is written. */
export type NameFact = {
  readonly name: string;
  readonly span: Span;
  /** A member of it is read or called. */
  readonly ofMember?: true;
  /** It is called itself. */
  readonly ofCall?: true;
  /** It is asked of the component itself, which gives nothing for what it has not. */
  readonly ofSelf?: true;
  /** Whoever holds the component may have put it there. */
  readonly mayBeGiven?: true;
  /** A script adds it as a listener of this event. */
  readonly listener?: string;
  /** What is asked with it, from outside of the component: the source of a wire. */
  readonly asks?: string;
  /** Who has it, where markup does not see what these have; absent where nobody has it. */
  readonly hidden?: 'platform' | 'module';
};

/** Something given by script to all below: its key, as `key:` and a name of the module or a quoted text. */
export type ProvideFact = {
  readonly key: string;
  readonly span: Span;
  readonly readings: readonly Reading[];
};

/** What users of a component may give it, as its own file tells: a prop, an event, a slot, the change half of a two-way binding. */
export type MemberFact = {
  readonly key: MemberKey;
  /** The name without its kind. */
  readonly name: string;
  readonly span: Span;
  readonly kind: 'value' | 'callback' | 'two-way' | 'slot';
  /** `unknown` where nothing declares it either way. */
  readonly required: 'yes' | 'no' | 'unknown';
  /** The default as written. */
  readonly fallback?: string;
  readonly type?: TypeExpr;
};

/** An event of the contract: a declared event, or a callback prop that the component calls. */
export type EventFact = {
  /** Its name as people speak of it: `book` for the callback prop `onBook`. */
  readonly name: string;
  /** The member by which it is heard. */
  readonly key: MemberKey;
  readonly span: Span;
  readonly raised: readonly RaiseFact[];
  /** How far it travels by itself; callbacks go to the owner alone. */
  readonly travels: 'owner' | 'bubbles' | 'composed';
};

export type SlotFact = {
  readonly key: MemberKey;
  readonly span: Span;
  readonly fallback: boolean;
  /** Values it hands out to the content. */
  readonly hasSlotProps: boolean;
};

export type ValueKind =
  | 'props' // the whole props object
  | 'prop'
  | 'rest' // what remains of the props
  | 'state'
  | 'setter' // changes its partner
  | 'ref'
  | 'derived'
  | 'context'
  | 'store'
  | 'fetched'
  | 'hook' // what a hook gives that is not known better
  | 'item' // one item of a list, in a repeat
  | 'handed' // given by a slot or a render function
  | 'function' // a function written in the body
  | 'param' // a parameter of one of the body's functions, or of the body itself
  | 'module'; // something the module declares or imports

export type ValueFact = {
  readonly name: string;
  /** What the body calls it, where that is another name. */
  readonly alias?: string;
  /** A prop: the member that it holds, where that is not a prop of its name. */
  readonly member?: MemberKey;
  readonly kind: ValueKind;
  readonly span: Span;
  /** What it is computed from; for state, its first value. */
  readonly from: readonly Reading[];
  /** The text of the computation, with white space folded, where a name is declared for it; absent for a value that is handed on. */
  readonly formula?: string;
  /** A variable of a module that begins as nothing, a text, a number, a flag, a list, an object, a map or a set. */
  readonly isData?: true;
  /** A list that is computed: members that its items get from their position alone; absent for none. */
  readonly positionMembers?: readonly string[];
  /** Module name of the hook that was called, of the context or store that was taken. */
  readonly source?: string;
  /** Index of the state that a setter changes. */
  readonly partner?: number;
  /** Index of the action that a function is. */
  readonly action?: number;
  /** A function that a hook keeps from one rendering to the next. */
  readonly kept?: true;
  /** Of a store that is told by names: it may have more of these than the text tells. */
  readonly isOpen?: true;
  /** What the module exports as its default, whatever it is called here. */
  readonly isDefault?: true;
  /** A parameter: the action whose it is (absent for the body's own), and which, counted from 0. */
  readonly of?: number;
  readonly position?: number;
  /** What a call was given, where the value is what a hook or a maker of stores gives. */
  readonly args?: readonly ArgFact[];
  /** Where a value comes from that nothing in the project computes. */
  readonly origin?: OriginFact;
  /** The shape by which state outside components was recognised: the name in the table of shapes. */
  readonly shape?: string;
  /** A store that is set to run what it is made with: its own content is nobody's business. */
  readonly runs?: true;
  /** A hook from outside that reads a store: what it gives of it. */
  readonly gives?: StoreReading;
  /** Module name of the function that handles what is dispatched. */
  readonly reducer?: string;
  /** The action that a store runs when it is set. */
  readonly writer?: number;
  /** Names that the body gives to members, where it takes the value apart: `{ '0': 'params' }`. */
  readonly parts?: Readonly<Record<string, string>>;
  /** It holds a map or a set, which change by methods of their own. */
  readonly collection?: true;
  /** A state that starts with what something else holds, in another form: a text of its own, a copy of a list. */
  readonly converted?: true;
  /** A variable of a component whose framework does not notice that it is written. */
  readonly plain?: true;
  /** It is an object by which others follow what it holds: a store of the framework. */
  readonly observable?: true;
  /** A control of a form, which fields of the markup show and set. */
  readonly isControl?: true;
  /** A list or an object that is made where a component is set up, and that nothing follows. */
  readonly unfollowed?: true;
  /** Of a store that a factory makes: the members that hold something and are no functions, where the text tells them all. */
  readonly fields?: readonly NameFact[];
  /** What is followed is the object that it holds, and not what stands under its name. */
  readonly ofObject?: true;
  /** Members of a state that begin as a text, a number or a flag. */
  readonly plainMembers?: readonly string[];
  /** State whose inside is not followed, in a framework that follows the inside of others. */
  readonly shallow?: true;
  /** Members that the body takes out once; from then on they do not follow. */
  readonly destructured?: readonly string[];
  /** It is computed once, when the component is set up, and not again. */
  readonly once?: true;
  /** It is computed again when something is another that can be followed, and only then. */
  readonly tracked?: true;
  /** Of what is kept until something that it follows is another: the list that is declared. */
  readonly follows?: readonly Reading[];
  /** A comment says that the list is short on purpose. */
  readonly unfollowedOnPurpose?: true;
  /**
   * A taken context: how far is asked for it; absent for all that stand around. `host` up to the component whose markup it
   * stands in, `beyond` from outside of itself, `root` by an event that does not leave the shadow tree.
   */
  readonly asks?: 'self' | 'host' | 'beyond' | 'root';
  /** A taken context: its absence is provided for (guard, default, optional reading). */
  readonly guarded?: boolean;
  /** It holds something that is lost where only plain data is sent: a function, what a class has of its own, a symbol. */
  readonly unsendable?: Unsendable;
  /** Its absence surely throws: destructured, a member read, or thrown on purpose. */
  readonly needed?: boolean;
  /** A prop, or a field that holds nothing at first: the first place that reads a member of it, or calls it, while nothing anywhere asks whether it is there. */
  readonly demanded?: Span;
  /** That place is run whenever the component renders, or stands in its markup. */
  readonly demandedAlways?: true;
};

export type Unsendable = 'function' | 'instance' | 'symbol';

/** What one argument of a call reads; `action` where it is a function written in place. */
export type ArgFact = {
  readonly readings: readonly Reading[];
  readonly action?: number;
  readonly constant?: string;
  /** What is read is handed in as it is at that moment, where it could be followed. */
  readonly byValue?: true;
  /** The texts that it may be, where it chooses between some. */
  readonly texts?: readonly string[];
  /** It is the function that raises the events of the component. */
  readonly raises?: true;
  /** It is the component’s own element, or the instance of a class. */
  readonly isOwn?: true;
  /** Of an object that is made in place: its members that are flags. */
  readonly flags?: Readonly<Record<string, boolean>>;
};

/** What a hook from outside gives of the store it is handed; numbers are positions of arguments. */
export type StoreReading =
  /** The store itself, or what the selector makes of it. */
  | { readonly gives: 'store'; readonly store: number; readonly selector?: number }
  /** The value and what changes it, or that alone. */
  | { readonly gives: 'pair' | 'setter'; readonly store: number }
  /** What a function returns. */
  | { readonly gives: 'snapshot'; readonly snapshot: number }
  /** The one store that the application has, or what a selector makes of it. */
  | { readonly gives: 'root'; readonly selector?: number }
  | { readonly gives: 'dispatch' };

/** A source of values beyond the components: what is asked, and for what, as far as the text tells. */
export type OriginFact = {
  readonly kind: 'fetch' | 'query' | 'loader' | 'storage' | 'url' | 'message' | 'platform';
  readonly what: string;
  /** The key of a query, by which others set it or have it asked again. */
  readonly key?: readonly KeyPart[];
  /** The function of the project that answers, where it is known. */
  readonly at?: Location;
};

/**
 * One part of the key of a query: a text that is written, a name of the module that stands for a text or for the parts of
 * another key, or something that is told only while it runs, as written.
 */
export type KeyPart =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'name'; readonly name: string }
  | { readonly kind: 'open'; readonly text: string };

/** How a value enters an expression. */
export type How = 'same' | 'part' | 'item' | 'computed' | 'called' | 'spread';

/** One reading of one value of the body. */
export type Reading = {
  readonly value: number;
  /** Members read on the way, outermost first; empty for the value itself. */
  readonly path: readonly string[];
  readonly how: How;
  readonly span: Span;
  /** It becomes a member of the object or list that is made: which one, and how it enters there. */
  readonly held?: Held;
  /** A setter's function is handed it: the latest value, whenever that runs. */
  readonly latest?: true;
  /** It is read of a local, into which a member of the instance was taken here. */
  readonly takenAt?: Span;
  /** It only decides what becomes the value: a condition, what a list is filtered by, the key of an item. */
  readonly decides?: true;
  /** A store that is part of another: what is told to the whole is told to it. */
  readonly partOfStore?: PartOfStore;
};

/**
 * How a store stands in another. `member`: its content is a member of the other's, and what is told to the whole reaches
 * it as it is. `module`: its content is a member of `state`, and the names of its other parts begin with the key where it
 * says so itself; `namespaced`: those of the other do.
 */
export type PartOfStore = { readonly kind: 'member' } | { readonly kind: 'module'; readonly key: string; readonly namespaced?: true };

export type Held = { readonly at: readonly string[]; readonly how: How };

/** A call of something the body knows: a function of its own, of the module, or given to it. */
export type CallFact = {
  readonly span: Span;
  /** What is called; `path` leads to the member: `form.current.reset()`. */
  readonly value: number;
  readonly path: readonly string[];
  readonly args: readonly ArgFact[];
  /** The name of the action that it is told first, where the text tells: `dispatch({ type: 'book' })`. */
  readonly actionType?: string;
  /** The key of the query that it sets or has asked again; empty for all queries. */
  readonly renews?: readonly KeyPart[];
};

/** Where an event that is no callback travels: the document's own tree, or something made for it. */
export type Channel = {
  readonly on: 'element' | 'document' | 'window' | 'channel';
  /** Name of the event; undefined where it is computed, `{name}` for a name that is declared elsewhere. */
  readonly event?: string;
  /** The value of the body that holds the name of the event: a parameter, an item of a list. */
  readonly held?: Reading;
  /** Name of a broadcast channel, or module name of the emitter. */
  readonly name?: string;
  /** The value of the body that holds the element; absent where the text does not tell which it is. */
  readonly element?: number;
  /** It is the component's own element, or the root of the shadow tree that this bears. */
  readonly own?: 'element' | 'root';
};

/** The event by which a timer is heard, as if the window sent it. */
export const timerEvent = 'timer';

/** Among what a component ends: whatever gave it an object to take it away by, as `subscription.remove()` does. */
export const heldEnding = '.remove';

/** Something sent to whoever hears it. */
export type SendFact = {
  readonly channel: Channel;
  readonly bubbles: boolean;
  /** Where its options come from that are not written in place: a parameter, for who hands it in. */
  readonly options?: Reading;
  /** It leaves the shadow tree in which it is sent; absent where there may be none. */
  readonly composed?: boolean;
  /** Whoever sends it reads afterwards what others have put into it: it asks for something. */
  readonly asks?: true;
  /** What comes back is used at once as if it were always there. */
  readonly needsAnswer?: true;
  /** Members of the class that keep what comes back; absent for none. */
  readonly answerKept?: readonly string[];
  /** The class that it is made of, as the module names it: what it says stands there, and `args` is what it is made with. */
  readonly made?: string;
  readonly args: readonly ArgFact[];
  readonly span: Span;
};

/** A subscription: what is heard, and the function that then runs. */
export type HearFact = {
  readonly channel: Channel;
  readonly action?: number;
  /** The function, where it is a value. */
  readonly reading?: Reading;
  readonly span: Span;
  /** The function is made in place and has no name, so that nothing can take it away again by itself. */
  readonly unnamed?: true;
  /** It ends by itself: heard once, or until a signal. */
  readonly ends: boolean;
  /** It is heard on the way down to where it is raised, or may be: what does not bubble is heard too. */
  readonly captures?: true;
  /** The method by which it is asked for, where that tells no event: `subscribe`. */
  readonly by?: string;
  /** It is a call of the project's own function, which stands among the calls: the way goes through that. */
  readonly called?: true;
};

export type ActionKind = 'handler' | 'effect' | 'lifecycle' | 'computation' | 'render';

/** A function of the body, or an expression that runs as one. */
export type ActionFact = {
  readonly name: string;
  readonly kind: ActionKind;
  readonly span: Span;
  readonly reads: readonly Reading[];
  readonly changes: readonly ChangeFact[];
  readonly raises: readonly RaiseFact[];
  /** Functions of the body that it calls or hands on. */
  readonly calls: readonly number[];
  /** Its calls with what they are given. */
  readonly invokes: readonly CallFact[];
  readonly sends: readonly SendFact[];
  readonly hears: readonly HearFact[];
  /** When it runs without anybody calling it, in words: `when level is given`; absent where nothing but its kind says so. */
  readonly when?: string;
  /** It runs once, at the start of a life, and is not meant to follow anything. */
  readonly runsOnce?: true;
  /** The declared dependencies of an effect or a memo; absent where none are declared. */
  readonly follows?: readonly Reading[];
  /** Stretches of it that run when it has returned for the first time: after an await, in promises and timers; absent for none. */
  readonly late?: readonly Span[];
  /** What it should follow is handed to it as it is at that moment. */
  readonly followsByValue?: true;
  /** A comment says that the list of what is followed is short on purpose. */
  readonly unfollowedOnPurpose?: true;
  /** It surely gives nothing back. */
  readonly givesNothing?: true;
  /** What it does is done by the function that it makes, which stands as an action of its own where that is given. */
  readonly makesFunction?: true;
  /** It is marked to run on the server, wherever it is called. */
  readonly onServer?: true;
  /** Whenever it handles an event, it keeps it from going further. */
  readonly stops?: true;
  /** It answers the event that it handles: what it puts into it, or hands to a function in it. */
  readonly answers?: readonly Reading[];
  /** A reducer: the kinds of action it tells apart, each with its lines. */
  readonly cases?: readonly { readonly actionType: string; readonly span: Span }[];
  readonly cleansUp: boolean;
  /** It is asynchronous, so that what would end it comes in a promise, which nobody calls. */
  readonly endsInPromise?: true;
  /** What it returns would end it, and it can return something: a block, and not asynchronous. */
  readonly takesEnding?: true;
  /** What it returns, where that is one of the body's values or made from them. */
  readonly returns: readonly Reading[];
};

export type ChangeFact = {
  /** Index of the state that is changed. */
  readonly value: number;
  readonly span: Span;
  readonly how: 'set' | 'assign' | 'in-place';
  /** How a list grows, where the text tells. */
  readonly order?: 'append' | 'reorder';
  readonly from: readonly Reading[];
  /** It is written to the object of all props, which takes no change. */
  readonly toProps?: true;
  /** What is read is put there in another form: a text of its own, a copy of a list. */
  readonly converted?: true;
  /** It adds to what was there, or stands in a function within, so that it is no first value. */
  readonly isLater?: true;
  /** Another object is put in the place of the one that is followed. */
  readonly replaces?: true;
  /** A method of what is there changes it, and nothing is put in its place. */
  readonly byMethod?: true;
  /** It is written through a local that is another name for the same object. */
  readonly byAlias?: true;
  /** Members of the value that change; empty for the whole. */
  readonly path?: readonly string[];
  /** The name of the action that is dispatched, where the text tells. */
  readonly actionType?: string;
};

export type RaiseFact = {
  /** The member by which it is heard. */
  readonly member: MemberKey;
  /** Index of the callback prop's value, where it is one. */
  readonly value?: number;
  /** `optional`: nothing happens when nobody listens. */
  readonly optional: boolean;
  readonly span: Span;
  /** What it hands to the handler. */
  readonly args?: readonly ArgFact[];
  /** It is an event of the document, which goes on by itself; absent where only the owner hears it. */
  readonly travel?: Travel;
};

/** How far an event of the document goes from where it is raised: outward at all, and out of the shadow tree in which it is raised. */
export type Travel = { readonly bubbles: boolean; readonly composed: boolean };

export type Direction = 'in' | 'out' | 'two-way';

/** What a binding is to: a member of a component, or something of an element. */
export type BindingTarget =
  | Member
  | { readonly kind: 'attribute' | 'property' | 'class' | 'style' | 'variable'; readonly name: string }
  /** An event of the platform, on the element itself, the window or the document. */
  | { readonly kind: 'listener'; readonly name: string; readonly on: 'self' | 'window' | 'document' }
  /** Behaviour that is put on an element: an action, a directive, a transition. */
  | { readonly kind: 'directive'; readonly name: string; readonly argument?: string };

/** One attribute on an element or a use of a component. */
export type Binding = {
  readonly to: BindingTarget;
  /** The name as the file has it, for showing and editing; never compared. */
  readonly written: string;
  /** `once`, `capture`, `stop`, `prevent`, `lazy`, …; absent for none. */
  readonly modifiers?: readonly string[];
  readonly span: Span;
  readonly nameSpan: Span;
  readonly direction: Direction;
  /** It is the half of a two-way binding that goes up, by an event: what is written is one binding. */
  readonly isUp?: true;
  readonly readings: readonly Reading[];
  /** A constant, as written. */
  readonly constant?: string;
  /** A function written in place. */
  readonly action?: number;
  /** Markup given as a value; with `hands`, by a function. */
  readonly markup?: readonly TemplateNode[];
  /** It stands between the tags, and reaches the component as a prop all the same. */
  readonly between?: true;
  readonly slotProps?: readonly number[];
  /** It is given as an attribute, which is a text: a flag that is there or not, or what the property makes of the text. */
  readonly asAttribute?: 'text' | 'flag';
  /** No element of the platform has a property of this name: something on the element must take it. */
  readonly foreign?: string;
  /** What is made in place of a value: a list, an object, a function. */
  readonly made?: 'list' | 'object' | 'function';
  /** What is made in place holds something that is lost where only plain data is sent. */
  readonly unsendable?: Unsendable;
  /** A component given as a value: its module name. */
  readonly component?: string;
  /** A function is named where it should be called: nothing runs. */
  readonly uncalled?: NameFact;
  /** A function that gives nothing is called in its place, so that there is nothing to run later. */
  readonly called?: NameFact;
  /** What is given is what a call gives: of a function of a module, or of one that a hook gave. */
  readonly call?: GivenCall;
};

/** A call in place of a value: what is called, and the call as a whole. */
export type GivenCall = NameFact & Pick<Reading, 'value' | 'path'>;

export type SpreadFact = {
  readonly span: Span;
  readonly readings: readonly Reading[];
  /** The members it gives, where the text tells all of them. */
  readonly keys?: readonly MemberKey[];
  /** Its members are handlers by the names of events. */
  readonly ofEvents?: true;
  /** Nobody wrote it: the framework hands on what its owner is given and does not declare. */
  readonly fallsThrough?: true;
};

export type KeyFact =
  { readonly kind: 'none' } | { readonly kind: 'position' | 'constant' | 'value' | 'spread'; readonly span: Span; readonly text: string };

/** An element of the platform; without a tag, a layer that groups what is in it. */
export type TemplateElement = {
  readonly kind: 'element';
  readonly tag: string;
  readonly span: Span;
  readonly nameSpan: Span;
  readonly bindings: readonly Binding[];
  readonly spreads: readonly SpreadFact[];
  readonly children: readonly TemplateNode[];
  readonly key: KeyFact;
  /** What is given the handle of the element, and the member that then holds it. */
  readonly ref?: Reading;
  /** What is in it stands at the end of the document, and not where it is written. */
  readonly apart?: true;
  /** A fragment around one element or one other fragment, and nothing else. */
  readonly aroundOne?: true;
  /** Names that the markup gives it, each for what it is itself, or for what is put on it under another name (`as`); absent for none. */
  readonly names?: readonly (NameFact & { readonly as?: string })[];
  /** A text stands directly in it. */
  readonly hasText?: true;
  /** It is no element, and holds what somebody else may show, as the binding of a slot. */
  readonly isTemplate?: true;
};

export type TemplateNode =
  | TemplateElement
  | TemplateUse
  | {
      /** Where given content shows: a slot, children, or a prop that may hold markup. */
      readonly kind: 'outlet';
      readonly slot: MemberKey;
      readonly reading?: Reading;
      readonly span: Span;
      /** Values handed to the content, one list of readings for each parameter. */
      readonly slotProps: readonly (readonly Reading[])[];
      /** Names of the members, where one object is handed out and the text tells all of them. */
      readonly names?: readonly string[];
      /** It throws unless it is given exactly one child. */
      readonly only?: true;
      /** What is given stands where the component itself does. */
      readonly onHost?: true;
      /** What shows where no content is given. */
      readonly fallback?: readonly TemplateNode[];
      /** A constant text shows where no content is given. */
      readonly fallbackText?: true;
    }
  | { readonly kind: 'text'; readonly readings: readonly Reading[]; readonly span: Span }
  | {
      readonly kind: 'repeat';
      /** What it repeats over, as written. */
      readonly over: string;
      /** Index of the value that stands for one item; absent where the text gives it no name. */
      readonly value?: number;
      readonly readings: readonly Reading[];
      readonly span: Span;
      /** Name of one item, where it has one. */
      readonly item: string;
      /**
       * Constant: always the same items in the same order. Shuffled: filtered or sorted while
       * rendering. Platform: the framework itself tells the items apart.
       */
      readonly order: 'constant' | 'shuffled' | 'unknown' | 'platform';
      readonly children: readonly TemplateNode[];
    }
  | {
      readonly kind: 'branch';
      /** The condition as written. */
      readonly when: string;
      readonly negated: boolean;
      readonly readings: readonly Reading[];
      readonly span: Span;
      readonly children: readonly TemplateNode[];
    };

/** A use of a component in a template. */
export type TemplateUse = {
  readonly kind: 'use';
  /** Module name of the component as written; empty when the tag is a value of the body. */
  readonly tag: string;
  /** What the expression of the tag reads, where it is no module name: what holds the component, or chooses it. */
  readonly dynamic?: readonly Reading[];
  readonly span: Span;
  readonly nameSpan: Span;
  readonly bindings: readonly Binding[];
  readonly spreads: readonly SpreadFact[];
  /** Content between the tags; with `hands`, given by a function. */
  readonly children: readonly TemplateNode[];
  readonly slotProps?: readonly number[];
  readonly key: KeyFact;
  /** What stands between the tags. */
  readonly content: 'none' | 'markup' | 'text' | 'value' | 'function';
  /** Of what is given to all below: who gives it asks itself first. */
  readonly toSelf?: true;
  /** Of what is given to all below: content that comes from outside is not among these. */
  readonly ofMarkup?: true;
  /** Of what is given to all below: asked when no element has answered. */
  readonly isAround?: true;
  /** Of what is given to all below: something else that is given is made of it. */
  readonly isUsed?: true;
  /** It shares its element with what stands in it, and is no place of its own. */
  readonly onHost?: true;
  /** The tag of the element that it is found by, where that is not its own name. */
  readonly element?: string;
  /** The mark by which it is started in the browser, where the page around it is made on a server alone. */
  readonly startedBy?: NameFact;
  /** It is made in the browser alone, where that mark starts it. */
  readonly isOnlyStarted?: true;
  /** The component is handed on as a value, to be used elsewhere: `icon={Star}`. */
  readonly asValue?: true;
  /** Its component registers tags, and not this one: what the file declares is not meant by it. */
  readonly unregistered?: true;
  /** What is given the handle of the component, and the member that then holds it: `ref={form}`, `form.current`. */
  readonly ref?: Reading;
};

export type SharedFact =
  | {
      readonly kind: 'context';
      readonly name: string;
      /** What it is called by the text that it is made with; absent where there is none. */
      readonly said?: string;
      readonly span: Span;
      /** `none`: taking it without a provider gives nothing usable. */
      readonly fallback: 'none' | 'given' | 'unknown';
    }
  | HookFact
  | {
      readonly kind: 'value';
      readonly name: string;
      readonly span: Span;
      /** What it says, where it is a text. */
      readonly text?: string;
      /** Who asks for it by its name gets one where nobody provides it. */
      readonly givesItself?: true;
      /** The texts that it holds, by member or position, where it is a list or a table of texts. */
      readonly texts?: Readonly<Record<string, string>>;
      /** The keys of queries that it stands for, by the members that lead to them; its own under no name. */
      readonly keys?: Readonly<Record<string, readonly KeyPart[]>>;
    };

/** A hook of the project. */
export type HookFact = BodyFacts & {
  readonly kind: 'hook';
  readonly name: string;
  readonly span: Span;
  /** What it gives, each with the member that it becomes (`held`). */
  readonly returns: readonly Reading[];
  /** What it gives to all below the component that calls it; absent for nothing. */
  readonly provides?: readonly ProvideFact[];
};

/**
 * What the module itself holds and does outside components and hooks: variables that functions
 * change, stores, channels, functions. Its values bear the module's own names.
 */
export type ModuleFacts = BodyFacts;

/** Markup that stands in the module itself: put on the screen (`mounts`), or kept in a constant. */
export type RootFact = {
  readonly span: Span;
  readonly mounts: boolean;
  /** The name of the module that holds the markup; absent for what is mounted. */
  readonly of?: string;
  /** What is provided around it; absent for nothing. */
  readonly provisions?: readonly ProvisionFact[];
  /** The module name of the group that is started. */
  readonly group?: string;
} & BodyFacts & { readonly template: readonly TemplateNode[] };

/** What a router gives to what it shows, out of the address: the values are those that the bindings and spreads read. */
export type GivenByRouter = Pick<TemplateUse, 'bindings' | 'spreads'> & {
  readonly values: readonly ValueFact[];
  /** What some module of the project must import for it to be given; absent where the route alone says so. */
  readonly by?: { readonly name: string; readonly from: string };
};

/** An entry of a route table, wherever it is written. */
export type RouteFact = {
  /** As the router takes it; what is computed in it stands as `:name`. Empty where there is none. */
  readonly path: string;
  readonly span: Span;
  /** The names it is written under, from the module's own to the innermost: `routes`, `makeRoutes/own`; empty for one written in place. */
  readonly table: string;
  /** Module name of the component, or the markup, that it shows. */
  readonly component?: string;
  /** What the router itself gives to that component; absent where the route tells nothing. */
  readonly given?: GivenByRouter;
  readonly template: readonly TemplateNode[];
  readonly values: readonly ValueFact[];
  readonly actions: readonly ActionFact[];
  readonly children: readonly RouteFact[];
  /** Names of tables whose routes are among its children; absent for none. */
  readonly tables?: readonly string[];
  /** What is provided to all that it shows; absent for nothing. */
  readonly provisions?: readonly ProvisionFact[];
  /** The name of the outlet that shows it; absent for the page's own. */
  readonly outlet?: string;
  /** What is shown with it in outlets of other names; absent for nothing. */
  readonly beside?: readonly RouteFact[];
  /** Its path says what it stands within: the route of the longest path that begins it; absent where its table does. */
  readonly byPath?: true;
};
