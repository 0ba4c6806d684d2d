import { runAnalyse } from './analyse-command';

process.exitCode = await runAnalyse(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
