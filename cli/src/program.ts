import { type Command, CommanderError } from 'commander';

/** What a command prints to. */
export type Output = { readonly out: (text: string) => void; readonly err: (text: string) => void };

/** Runs a command with its arguments; the code that the parser ends it with, undefined where it ran. */
export async function parsed(program: Command, args: readonly string[]): Promise<number | undefined> {
  try {
    await program.parseAsync([...args], { from: 'user' });
    return undefined;
  } catch (error) {
    if (!(error instanceof CommanderError)) throw error;
    return error.exitCode;
  }
}
