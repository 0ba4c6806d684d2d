import { runCompare } from './compare-command';

process.exitCode = await runCompare(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
