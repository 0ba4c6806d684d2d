import { runCarve } from './carve-command';

process.exitCode = await runCarve(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
