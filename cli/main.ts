import { giveUp, runCommand, unforeseen } from './command-line';

/** What went wrong beneath us, in words. Source of the codes: POSIX, errno.h. */
function whyNotWritten(code: string | undefined): string {
  if (code === 'ENOSPC' || code === 'EDQUOT') return 'there is no room left to write to';
  if (code === 'EIO') return 'the device that is written to failed';
  return `the output could not be written (${code ?? 'unknown'})`;
}

function leave(words: string): never {
  giveUp(words);
  process.exit(2);
}

// A reader that has seen enough (`| head`) closes the pipe; that is no error.
process.stdout.on('error', ({ code }: NodeJS.ErrnoException) => {
  if (code === 'EPIPE') process.exit(process.exitCode ?? 0);
  leave(`${whyNotWritten(code)}.`);
});
process.stderr.on('error', () => process.exit(2));
process.on('uncaughtException', (error) => leave(unforeseen(error)));

process.exitCode = await runCommand(process.argv.slice(2), {
  input: process.stdin,
  print: (text) => process.stdout.write(text),
  printError: (text) => process.stderr.write(text),
});
