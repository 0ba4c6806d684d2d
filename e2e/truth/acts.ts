import type { Page } from '@playwright/test';
import type { Interaction } from './check';

export type PageName = 'TodayPage' | 'LockPage' | 'RosterPage';
/** Something that a user does on a page of the demo, whatever the framework. */
export type Act = Omit<Interaction, 'at' | 'page' | 'events'> & {
  readonly page: PageName;
  readonly event: 'click' | 'input' | 'submit' | 'mouseenter';
  /** The only demos that have it. */
  readonly in?: readonly string[];
};

export const paths = { TodayPage: '/', LockPage: '/locks/aldermoor', RosterPage: '/roster' };
const select = (page: Page): Promise<void> => page.getByRole('button', { name: 'Quarry Rise', exact: true }).first().click();

/** The same acts in each demo; `event` is what the platform raises. */
export const acts: readonly Act[] = [
  {
    name: 'a notice is dismissed',
    page: 'TodayPage',
    component: 'NoticeStrip',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Dismiss' }).click(),
  },
  { name: 'a lock is selected', page: 'TodayPage', component: 'LockCard', event: 'click', act: select },
  {
    name: 'a lock is filled',
    page: 'TodayPage',
    component: 'GateSwitch',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Fill' }).first().click(),
  },
  {
    name: 'a lock is drained',
    page: 'TodayPage',
    component: 'GateSwitch',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Drain' }).last().click(),
  },
  {
    name: 'a boat’s name is typed',
    quietIn: ['svelte'],
    page: 'TodayPage',
    component: 'PassageForm',
    event: 'input',
    act: (page) => page.getByLabel('Boat').fill('Grey Wagtail'),
  },
  {
    name: 'another lock is chosen in the form',
    quietIn: ['svelte'],
    page: 'TodayPage',
    component: 'PassageForm',
    event: 'input',
    act: async (page) => void (await page.getByRole('combobox').selectOption('quarry')),
  },
  {
    name: 'the time is changed',
    quietIn: ['svelte'],
    page: 'TodayPage',
    component: 'DateField',
    event: 'input',
    act: (page) => page.getByLabel('Arrives').fill('13:30'),
  },
  {
    name: 'a passage is booked',
    page: 'TodayPage',
    component: 'PassageForm',
    event: 'submit',
    before: (page) => page.getByLabel('Boat').fill('Grey Wagtail'),
    act: (page) => page.getByRole('button', { name: 'Book' }).click(),
  },
  {
    name: 'a passage is cleared',
    page: 'TodayPage',
    component: 'StatusPill',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Clear' }).first().click(),
  },
  {
    name: 'the keeper signs off',
    page: 'TodayPage',
    component: 'KeeperMenu',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Sign off' }).click(),
  },
  {
    name: 'a lock is chosen on the map',
    in: ['react'],
    page: 'TodayPage',
    component: 'CanalMap',
    event: 'click',
    before: select,
    act: (page) => page.getByRole('button', { name: 'Saltings Gate' }).last().click(),
  },
  {
    name: 'the alarm is raised',
    page: 'TodayPage',
    component: 'AlarmButton',
    event: 'click',
    before: select,
    act: (page) => page.getByRole('button', { name: 'Raise the alarm' }).click(),
  },
  {
    name: 'a hint is opened',
    in: ['vue', 'svelte', 'elements'],
    page: 'TodayPage',
    component: 'HintBubble',
    event: 'click',
    before: select,
    act: (page) => page.getByRole('button', { name: '?' }).click(),
  },
  {
    name: 'a hint is pointed at',
    in: ['react'],
    page: 'TodayPage',
    component: 'HintBubble',
    event: 'mouseenter',
    before: select,
    act: (page) => page.getByText(/^\d+ waiting$/).hover(),
  },
  {
    name: 'the lock of the page is filled',
    in: ['react', 'vue', 'svelte'],
    page: 'LockPage',
    component: 'GateSwitch',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Fill' }).click(),
  },
  {
    name: 'a passage of the lock is cleared by the reducer',
    in: ['react', 'vue', 'svelte'],
    page: 'LockPage',
    component: 'StatusPill',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Clear' }).first().click(),
  },
  {
    name: 'a shift is swapped',
    page: 'RosterPage',
    component: 'ShiftCell',
    event: 'click',
    act: (page) => page.getByRole('button', { name: 'Swap' }).first().click(),
  },
  {
    name: 'a note is written into the class',
    page: 'RosterPage',
    component: 'NoteField',
    event: 'input',
    act: (page) => page.getByRole('textbox').first().fill('late'),
  },
];

/** An act by its name, page, component and event. */
type OwnAct = readonly [name: string, page: PageName, component: string, event: string, act: Interaction['act']];

const press =
  (name: string): Interaction['act'] =>
  (page) =>
    page.getByRole('button', { name }).first().click();

const inAngular: readonly OwnAct[] = [
  ['a notice is dismissed', 'TodayPage', 'NoticeStrip', 'click', press('Dismiss')],
  ['a lock is picked', 'TodayPage', 'LockCard', 'click', select],
  ['a lock is filled', 'TodayPage', 'GateSwitch', 'click', press('Fill')],
  ['only who waits is shown', 'TodayPage', 'TodayPage', 'change', (page) => page.getByRole('checkbox').check()],
  ['a boat’s name is typed', 'TodayPage', 'PassageForm', 'input', (page) => page.getByLabel('Boat').fill('Grey Wagtail')],
  ['a passage is cleared', 'TodayPage', 'StatusPill', 'click', press('Clear')],
  ['a shift is taken over', 'RosterPage', 'ShiftCell', 'click', press('Take over')],
  ['the keeper hands over', 'RosterPage', 'KeeperMenu', 'click', press('Hand over')],
  ['the keeper signs off', 'RosterPage', 'KeeperMenu', 'click', press('Sign off')],
  ['a note is written', 'RosterPage', 'NoteField', 'input', (page) => page.getByRole('textbox').first().fill('late')],
];

/** What can be done in the demo of Angular, which has fewer parts than the others, and some of its own. */
export const angularActs: readonly Interaction[] = [
  ...inAngular.map(([name, page, component, event, act]): Interaction => ({
    name,
    at: paths[page],
    page,
    component,
    events: [event],
    act,
    // What goes from the page, and what a field holds by itself, leaves no mark; nor does what stands in a template.
    ...(/dismissed|typed/.test(name) ? { quietIn: ['angular'] } : {}),
  })),
  {
    name: 'a passage is booked',
    at: paths.TodayPage,
    page: 'TodayPage',
    component: 'PassageForm',
    events: ['submit'],
    before: (page) => page.getByLabel('Boat').fill('Grey Wagtail'),
    act: press('Book'),
  },
];

const inAstro: readonly OwnAct[] = [
  ['a lock is filled', 'TodayPage', 'GateSwitch', 'click', press('Fill')],
  ['a lock is drained', 'TodayPage', 'GateSwitch', 'click', (page) => page.getByRole('button', { name: 'Drain' }).last().click()],
  ['a boat’s name is typed', 'TodayPage', 'PassageDesk', 'input', (page) => page.getByLabel('Boat').fill('Grey Wagtail')],
  [
    'another lock is chosen',
    'TodayPage',
    'PassageDesk',
    'change',
    async (page) => void (await page.getByRole('combobox').selectOption('quarry')),
  ],
  ['a passage is cleared', 'TodayPage', 'PassageRow', 'click', press('Clear')],
  ['the lock of the page is filled', 'LockPage', 'GateSwitch', 'click', press('Fill')],
];
const astroPages: Readonly<Record<PageName, string>> = { TodayPage: 'index', LockPage: '[id]', RosterPage: 'roster' };

/** What can be done in the demo of Astro: in parts of three frameworks that share a store and hear each other. */
export const astroActs: readonly Interaction[] = [
  ...inAstro.map(([name, page, component, event, act]): Interaction => ({
    name,
    at: paths[page],
    page: astroPages[page],
    component,
    events: [event],
    act,
  })),
  {
    name: 'a passage is booked',
    at: paths.TodayPage,
    page: astroPages.TodayPage,
    component: 'PassageDesk',
    events: ['submit'],
    before: (page) => page.getByLabel('Boat').fill('Grey Wagtail'),
    act: press('Book'),
  },
];

const inLwc: readonly OwnAct[] = [
  ['a notice is dismissed', 'TodayPage', 'noticeStrip', 'click', press('Dismiss')],
  ['a lock is picked', 'TodayPage', 'lockCard', 'click', select],
  ['a lock is filled', 'TodayPage', 'gateSwitch', 'click', press('Fill')],
  ['a boat’s name is typed', 'TodayPage', 'passageForm', 'input', (page) => page.getByLabel('Boat').fill('Grey Wagtail')],
  [
    'another lock is chosen',
    'TodayPage',
    'passageForm',
    'change',
    async (page) => void (await page.getByRole('combobox').selectOption('quarry')),
  ],
  ['the time is changed', 'TodayPage', 'dateField', 'input', (page) => page.getByLabel('Arrives').fill('13:30')],
  ['a passage is cleared', 'TodayPage', 'statusPill', 'click', press('Clear')],
  ['the keeper signs off', 'TodayPage', 'keeperMenu', 'click', press('Sign off')],
  ['a hint is opened', 'RosterPage', 'hintBubble', 'click', (page) => page.getByRole('button', { name: '?' }).click()],
  ['a shift is swapped', 'RosterPage', 'shiftCell', 'click', press('Swap')],
  ['a note is written', 'RosterPage', 'noteField', 'input', (page) => page.getByRole('textbox').first().fill('late')],
];
const lwcPages: Readonly<Record<PageName, string>> = { TodayPage: 'todayPage', LockPage: 'lockPage', RosterPage: 'rosterPage' };

/** What can be done in the demo of Lightning web components: events that cross shadow roots, a message channel, requests that are answered. */
export const lwcActs: readonly Interaction[] = [
  ...inLwc.map(([name, page, component, event, act]): Interaction => ({
    name,
    at: paths[page],
    page: lwcPages[page],
    component,
    events: [event],
    act,
  })),
  {
    name: 'the alarm is raised',
    at: paths.TodayPage,
    page: lwcPages.TodayPage,
    component: 'alarmButton',
    events: ['click'],
    before: select,
    act: press('Raise the alarm'),
  },
  {
    name: 'a passage is booked',
    at: paths.TodayPage,
    page: lwcPages.TodayPage,
    component: 'passageForm',
    events: ['submit'],
    before: (page) => page.getByLabel('Boat').fill('Grey Wagtail'),
    act: press('Book'),
  },
];
