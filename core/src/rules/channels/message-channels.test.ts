import { describe, expect, test } from 'vitest';
import { type Bundle, bundles } from '../../../../testing/src/bundles';
import { analyseFiles, type Files } from '../../../../testing/src/project';

const imports = (channel: string): string =>
  `import { MessageContext, publish, subscribe, unsubscribe } from 'lightning/messageService';\nimport CHANNEL from '@salesforce/messageChannel/${channel}';\n`;
const sender = (channel: string): Bundle => ({
  head: imports(channel),
  js: '  @wire(MessageContext) context;\n  raise() { publish(this.context, CHANNEL, { lock: 1 }); }',
  html: '<button onclick={raise}>x</button>',
});
const hearer = (channel: string): Bundle => ({
  head: imports(channel),
  js: '  lock;\n  @wire(MessageContext) context;\n  connectedCallback() { this.subscription = subscribe(this.context, CHANNEL, (message) => { this.lock = message.lock; }); }\n  disconnectedCallback() { unsubscribe(this.subscription); }',
  html: '<b>{lock}</b>',
});
const project = (parts: Readonly<Record<string, Bundle>>): Files => {
  const tags = Object.keys(parts).map((name) => `c-${name}`);
  return bundles({ board: { exposed: true, html: tags.map((tag) => `<${tag}></${tag}>`).join('') }, ...parts });
};
const messages = (files: Files): string[] =>
  analyseFiles(files).findings.flatMap(({ rule, message }) => (rule === 'channel-unpaired' ? [message] : []));

describe('message channels of which the project has one end', () => {
  test.each<[name: string, parts: Readonly<Record<string, Bundle>>, said: string[]]>([
    [
      'the other end has nearly the same name',
      { one: sender('LocksAlarm__c'), other: hearer('LockAlarm__c') },
      ['other waits for LockAlarm__c, and nothing in the project sends it; LocksAlarm__c is sent.'],
    ],
    [
      'other channels have both, and nobody hears',
      { one: sender('LockAlarm__c'), two: hearer('LockAlarm__c'), three: sender('ShiftSwapped__c') },
      ['three sends ShiftSwapped__c, and nothing in the project waits for it.'],
    ],
    [
      'other channels have both, and nobody sends',
      { one: sender('LockAlarm__c'), two: hearer('LockAlarm__c'), three: hearer('ShiftSwapped__c') },
      ['three waits for ShiftSwapped__c, and nothing in the project sends it.'],
    ],
    [
      'the only two ends do not meet',
      { one: sender('LockPicked__c'), other: hearer('BoatChosen__c') },
      ['other waits for BoatChosen__c, and nothing in the project sends it.'],
    ],
    ['two ends wait, and nobody sends', { one: hearer('LockPicked__c'), other: hearer('BoatChosen__c') }, []],
    ['both ends are there', { one: sender('LockAlarm__c'), two: hearer('LockAlarm__c') }, []],
    ['another package may have the other end', { one: sender('LockAlarm__c') }, []],
    [
      'the channel comes with a package',
      { one: sender('LockAlarm__c'), two: hearer('LockAlarm__c'), three: hearer('towpath__Shift__c') },
      [],
    ],
  ])('%s', (_, parts, said) => {
    expect(messages(project(parts))).toEqual(said);
  });
});
