import { Command } from 'commander';
import { FolderError, readFolder } from './folder';
import { analyseFolder, makeReport, summarise } from './report';

const program = new Command('analyse')
  .description('Reads the source in a folder and prints its components, pages and findings.')
  .argument('<dir>', 'the folder')
  .option('--json', 'print one JSON object instead of a summary')
  .action(async (directory: string, options: { json?: boolean }) => {
    try {
      const folder = await readFolder(directory);
      const report = makeReport(folder, analyseFolder(folder));
      process.stdout.write(`${options.json ? JSON.stringify(report, undefined, 2) : summarise(report)}\n`);
    } catch (error) {
      if (!(error instanceof FolderError)) throw error;
      process.stderr.write(`${error.message}\n`);
      process.exitCode = 2;
    }
  });

await program.parseAsync();
