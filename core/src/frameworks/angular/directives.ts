const words = (text: string): string[] => text.split(' ');

/** Directives of the framework that stand on a template, and what else they take. */
const common: Readonly<Record<string, readonly string[]>> = {
  NgIf: words('ngIf ngIfThen ngIfElse'),
  NgFor: words('ngFor ngForOf ngForTrackBy ngForTemplate'),
  NgForOf: words('ngFor ngForOf ngForTrackBy ngForTemplate'),
  NgSwitch: words('ngSwitch'),
  NgSwitchCase: words('ngSwitchCase'),
  NgSwitchDefault: words('ngSwitchDefault'),
  NgClass: words('ngClass class'),
  NgStyle: words('ngStyle'),
  NgPlural: words('ngPlural'),
  NgPluralCase: words('ngPluralCase'),
  NgTemplateOutlet: words('ngTemplateOutlet ngTemplateOutletContext ngTemplateOutletInjector'),
  NgComponentOutlet: words(
    'ngComponentOutlet ngComponentOutletInputs ngComponentOutletInjector ngComponentOutletEnvironmentInjector ngComponentOutletContent ngComponentOutletNgModule ngComponentOutletNgModuleFactory',
  ),
};

const inFields = words('required minlength maxlength pattern email min max ngValue value disabled name');
const link = words(
  'routerLink queryParams fragment queryParamsHandling state info relativeTo preserveFragment skipLocationChange replaceUrl browserUrl',
);

/** The attributes and properties that directives of the framework take, by what brings these into reach. */
export const directives: ReadonlyMap<string, readonly string[]> = new Map([
  ...Object.entries(common),
  ...['CommonModule', 'BrowserModule', 'BrowserAnimationsModule', 'NoopAnimationsModule'].map((name): [string, readonly string[]] => [
    name,
    Object.values(common).flat(),
  ]),
  [
    'NgOptimizedImage',
    words(
      'ngSrc ngSrcset sizes width height decoding loading priority loaderParams disableOptimizedSrcset fill placeholder placeholderConfig src srcset',
    ),
  ],
  ['FormsModule', [...words('ngModel ngModelOptions ngModelGroup ngFormOptions'), ...inFields]],
  ['ReactiveFormsModule', [...words('formGroup formControl formControlName formGroupName formArrayName formArray'), ...inFields]],
  ['RouterLink', link],
  ['RouterLinkWithHref', link],
  ['RouterLinkActive', words('routerLinkActive routerLinkActiveOptions ariaCurrentWhenActive')],
  ['RouterOutlet', words('router-outlet routerOutletData name')],
  [
    'RouterModule',
    [...link, ...words('routerLinkActive routerLinkActiveOptions ariaCurrentWhenActive router-outlet routerOutletData name')],
  ],
]);

/** Directives of the framework that decide whether and how often a template is shown, by the name before all else of it. */
export const structural: ReadonlyMap<string, string> = new Map(
  Object.entries(common).flatMap(([name, [first = '']]): [string, string][] =>
    /^(?:NgIf|NgForOf|NgSwitchCase|NgSwitchDefault|NgTemplateOutlet|NgComponentOutlet)$/.test(name) ? [[first, name]] : [],
  ),
);
