import { readFileSync } from 'node:fs';
import { loadCompilers } from './core/src/index';
import { readFile } from './core/src/frameworks/read-file';
await loadCompilers([process.argv[2]!]);
const f = process.argv[2]!;
const strip = (k: string, v: any) => (k === 'span' || k === 'nameSpan' ? undefined : v);
console.log(JSON.stringify(readFile(f, readFileSync(f,'utf8')), strip, 0));
