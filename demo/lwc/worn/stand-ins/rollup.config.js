import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import lwc from '@lwc/rollup-plugin';

const here = (file) => fileURLToPath(new URL(file, import.meta.url));
const mode = process.env.NODE_ENV ?? 'production';
const bundles = here('../force-app/main/default/lwc');

/** Modules of the platform, which a build outside of it stands in for. */
const standIns = {
  'lightning/messageService': here('./messageService.js'),
  '@salesforce/messageChannel/LockAlarm__c': here('./lockAlarm.js'),
  '@salesforce/messageChannel/LocksAlarm__c': here('./locksAlarm.js'),
  '@salesforce/apex/LockDay.read': here('./readDay.js'),
};

/** `c/lockCard` is the class of the bundle of that name; where there is none, a part that shows nothing. */
function bundleOf(name) {
  const [, bundle] = /^c\/(\w+)$/.exec(name) ?? [];
  const file = bundle && `${bundles}/${bundle}/${bundle}.js`;
  return file === undefined || existsSync(file) ? file : here('./missing.js');
}

export default {
  input: here('./main.js'),
  output: { file: 'dist/main.js', format: 'esm', intro: `globalThis.process ??= { env: { NODE_ENV: '${mode}' } };` },
  plugins: [{ name: 'stand-ins', resolveId: (name) => standIns[name] ?? bundleOf(name) }, lwc({ rootDir: here('..') })],
};
