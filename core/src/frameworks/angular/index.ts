import { directives } from './directives';
import { eventKey, memberOf } from '../../model/member';
import { parseScriptBare } from '../../read/script/parse';
import type { Adapter } from '../adapter';
import { plainConventions } from '../conventions';
import { registeredTags } from './link';
import { loadCompiler, parseTemplate } from './parser';
import { routeOutlet } from './tags';
import { angularSkeleton } from './write/skeleton';
import { filesBeside, isAngularScript, readAngularScript, readAngularTemplate } from './read';

const byClass: Readonly<Record<string, string>> = {
  AsyncPipe: 'async',
  UpperCasePipe: 'uppercase',
  LowerCasePipe: 'lowercase',
  TitleCasePipe: 'titlecase',
  JsonPipe: 'json',
  DatePipe: 'date',
  CurrencyPipe: 'currency',
  PercentPipe: 'percent',
  DecimalPipe: 'number',
  SlicePipe: 'slice',
  KeyValuePipe: 'keyvalue',
  I18nPluralPipe: 'i18nPlural',
  I18nSelectPipe: 'i18nSelect',
};

/** The pipes of the framework by what brings each into reach; modules bring all. */
const pipes = new Map<string, readonly string[]>([
  ...Object.entries(byClass).map(([name, pipe]): [string, readonly string[]] => [name, [pipe]]),
  ...['CommonModule', 'BrowserModule', 'BrowserAnimationsModule', 'NoopAnimationsModule'].map((name): [string, readonly string[]] => [
    name,
    Object.values(byClass),
  ]),
]);

export const angular: Adapter = {
  id: 'angular',
  name: 'Angular',
  files: /\.component\.html$/,
  ownPackages: /^@angular\//,
  readsScript: (_, text) => isAngularScript(text),
  beside: filesBeside,
  needs: (file, text) => /\.[cm]?[jt]s$/.test(file) && isAngularScript(text),
  read: (file, text, beside) => (file.endsWith('.html') ? readAngularTemplate(file) : readAngularScript(file, text, beside)),
  load: loadCompiler,
  parseBare: (file, text) => {
    if (file.endsWith('.html')) parseTemplate(text, { start: 0, end: text.length, isEscaped: false });
    else parseScriptBare(file, text);
  },
  link: {
    ...plainConventions,
    changesOf: (prop) => [eventKey(`${prop}Change`)],
    registeredTags,
    selectors: {
      ownModules: /^@angular\/(?:common|core|forms|router|platform-browser|platform-browser-dynamic|animations|localize)(?:\/|$)/,
      pipes,
      directives,
      ownBindings: /^(?:ng[A-Z]\w*|form(?:Group|Control|Array)?(?:Name)?|routerLink\w*|class|style|queryParams\w*|fragment|ngModel\w*)$/,
    },
    plainBases: { modules: /^@angular\//, names: /^$/ },
    givesRoute: (module, name) => module === '@angular/router' && name === 'ActivatedRoute',
    routeParams: /^(?:params|paramMap)$/,
  },
  traits: {
    markup: 'blocks',
    propsByDeclaration: true,
    endOfLife: /^ngOnDestroy$/,
    startOfLife: /^(?:constructor|ngOnInit)$/,
    beforeMarkup: /^(?:constructor|ngOnInit|ngOnChanges)$/,
    handingSlotsApart: true,
    givenOneWay: true,
    routeOutlet,
    tableOutlet: routeOutlet,
    rerender: 'reading',
    rendersOn: 'reading',
    slotsRunLate: false,
    mutation: 'seen',
    storesComeApart: false,
    stateByName: false,
    contextsByText: false,
    effects: 'tracked',
    keys: 'given',
    flagsFromText: false,
    onlyProps: false,
    controlledFields: false,
    followedProps: true,
    focusBubbles: false,
    fallThrough: false,
    registeredTags: true,
    twoWay: 'event',
    namedSlots: true,
    areElements: false,
    fragments: true,
    fragmentTag: 'ng-container',
    selectors: true,
    contentAsksWhereWritten: true,
    followsBoxes: true,
    checksMarkup: true,
  },
  write: {
    member: (key) => {
      const { kind, name } = memberOf(key);
      return kind === 'event' ? `(${name})` : kind === 'prop' ? `[${name}]` : name;
    },
    listener: (event, code) => `(${event})="${code}"`,
    content: 'content between its tags',
    attribute: (name, expression) => `[${name}]="${expression}"`,
    shown: (expression) => `{{ ${expression} }}`,
    givesSeveral: /^$/,
    givesCode: (attribute) => /^[[(*]/.test(attribute),
    beforeName: `(?<![\\w$.'"])(?:this\\.)?`,
    package: '@angular/core',
  },
  skeleton: angularSkeleton,
};
