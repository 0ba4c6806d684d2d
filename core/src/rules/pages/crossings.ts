import type { Unsendable } from '../../model/facts';
import type { Words } from '../entry';
import { ownValue } from '../../model/own-value';

type Crossing = {
  readonly message: (words: Words) => string;
  readonly consequence: (words: Words) => string;
  readonly fix: (words: Words) => string;
};

/** What something is that is lost where only plain data is sent. */
export const lostWords: Readonly<Record<Unsendable, string>> = {
  function: 'is a function or holds one',
  instance: 'is an instance of a class or holds one',
  symbol: 'is a symbol or holds one',
};

/** The ways in which something is used where its kind cannot run, by the word that a rule gives for it; the last for those that give none. */
const crossings: Readonly<Record<string, Crossing>> = {
  once: {
    message: ({ component, what, page }) =>
      `The script of ${component} asks for the first ${what}, and ${component} stands on ${page} more than once.`,
    consequence: ({ component, what }) => `What the script does with ${what}, it does in the first ${component} alone.`,
    fix: ({ component }) => `Ask for all of them, or make an element of ${component} that starts itself.`,
  },
  marked: {
    message: ({ component, what, mark }) => `${component} marks ${what} with ${mark}, and ${what} is a component that cannot be started.`,
    consequence: () => 'The mark does nothing: the component is markup before the browser has it.',
    fix: ({ what, mark }) => `Take ${mark} off, and mark the parts of other frameworks in ${what}.`,
  },
  unmarked: {
    message: ({ component, what }) => `${what} answers to people, and ${component} does not start it in the browser here.`,
    consequence: ({ what }) => `The markup of ${what} is on the page, and none of its handlers runs.`,
    fix: ({ what }) => `Start ${what} with a client mark, or make of it a link or a form.`,
  },
  given: {
    message: ({ component, what, lost }) =>
      `${component} is started in the browser, and what it is given for ${what} ${lostWords[lost as Unsendable]}, which does not come there${lost === 'instance' ? ' as what it is' : ''}.`,
    consequence: ({ lost }) =>
      lost === 'instance'
        ? 'On the server it is what it is; in the browser a plain object without the methods of its class stands in its place.'
        : 'On the server it is what it is; in the browser null stands in its place.',
    fix: ({ component, what }) => `Let ${component} hold or import what ${what} needs, or hear an event of the document.`,
  },
  handler: {
    message: ({ component, what }) => `${component} puts ${what}, a function of the server, on an element.`,
    consequence: () => 'Its text stands in the attribute, and nothing happens when the event comes.',
    fix: () => 'Listen for the event in a script of the markup.',
  },
  absent: {
    message: ({ component, what }) => `${component} reads ${what} where the page is made, and only a browser has it.`,
    consequence: () => 'The page cannot be made: the name is not defined there.',
    fix: ({ what }) => `Read ${what} in a script of the markup, or in a part that is started in the browser.`,
  },
  older: {
    message: ({ component, what }) => `${component} uses ${what}, which is a bundle of the older framework.`,
    consequence: () =>
      `A bundle of the older framework may hold a newer one, and not the other way round: the template cannot be compiled.`,
    fix: ({ component, what }) => `Write ${what} anew as a bundle of the newer framework, or put ${component} into it.`,
  },
  data: {
    message: ({ component, what }) => `The server hands the function ${what} to ${component}, and functions do not cross to the browser.`,
    consequence: () => 'The framework refuses it, and the page fails when it is asked for.',
    fix: ({ what }) => `Hand over plain data, and put ${what} into a module that both halves import.`,
  },
  unstarted: {
    message: ({ component, what }) => `${what} answers to people, and ${component} is never started in the browser.`,
    consequence: ({ what }) => `The markup of ${what} is on the page, and none of its handlers runs.`,
    fix: ({ what }) => `Let the page start in the browser, or make of ${what} a link or a form.`,
  },
  async: {
    message: ({ component, what }) => `${component} runs in the browser and renders ${what}, which is async.`,
    consequence: () => 'Only a server waits for a component; in the browser the framework refuses it.',
    fix: ({ component, what }) => `Render ${what} on the server, and give it to ${component} as content.`,
  },
  onServer: {
    message: ({ component, what }) => `${component} runs on the server and has ${what}.`,
    consequence: () => 'The framework refuses it: functions cannot be sent to the browser, and the server keeps no state.',
    fix: ({ component }) =>
      `Move this part of ${component} into a file that begins with 'use client', or mark the function with 'use server'.`,
  },
};

/** What is said of one of them. */
export const crossing =
  (say: keyof Crossing) =>
  (words: Words): string =>
    (ownValue(crossings, words['how'] ?? 'onServer') as Crossing)[say](words);
