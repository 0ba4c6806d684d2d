import type { Words } from '../entry';

type Crossing = {
  readonly message: (words: Words) => string;
  readonly consequence: (words: Words) => string;
  readonly fix: (words: Words) => string;
};

const lostWords: Readonly<Record<string, string>> = {
  function: 'is a function or holds one',
  instance: 'is an instance of a class or holds one',
  symbol: 'is a symbol or holds one',
};

/** The ways in which something is used where its kind cannot run, by the word that a rule gives for it; the last for those that give none. */
const crossings: Readonly<Record<string, Crossing>> = {
  once: {
    message: ({ component, what, page }) =>
      `The script of ${component} asks for the first ${what}, and ${component} stands on ${page} more than once.`,
    consequence: ({ component }) => `Only the first ${component} does anything.`,
    fix: ({ component }) => `Ask for all of them, or make an element of ${component} that starts itself.`,
  },
  marked: {
    message: ({ component, what, mark }) => `${component} marks ${what} with ${mark}, and nothing of ${what} runs in the browser.`,
    consequence: () => 'The mark does nothing: it is a component of the page, which is made before the browser has it.',
    fix: ({ what, mark }) => `Take ${mark} off, and mark the parts of other frameworks in ${what}.`,
  },
  unmarked: {
    message: ({ component, what }) => `${what} answers to people, and ${component} never starts it in the browser.`,
    consequence: ({ what }) => `The markup of ${what} is on the page, and none of its handlers runs.`,
    fix: ({ what }) => `Start ${what} with a client mark, or make of it a link or a form.`,
  },
  given: {
    message: ({ component, what, lost }) =>
      `${component} is started in the browser, and what it is given for ${what} ${lostWords[lost ?? ''] ?? 'is no plain data'}, which does not come there.`,
    consequence: ({ what, lost }) =>
      lost === 'instance'
        ? `What the server makes looks right, and in the browser ${what} has lost the methods of its class.`
        : 'What the server makes looks right, and in the browser it is undefined.',
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
    (crossings[words['how'] ?? 'onServer'] as Crossing)[say](words);
