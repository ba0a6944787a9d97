import { spawnSync } from 'node:child_process';
import { runCommand } from '../../cli/command-line';

export interface Done {
  readonly stdout: string;
  readonly stderr: string;
  readonly status: number | null;
  readonly lines: readonly string[];
}

/** What a command prints and how it ends, without a process of its own. */
export async function yarncard(
  args: readonly string[],
  input: string | Buffer = '',
): Promise<Done> {
  let stdout = '';
  let stderr = '';
  const status = await runCommand(args, {
    input: (async function* () {
      yield Buffer.from(input);
    })(),
    print: (text) => {
      stdout += text;
    },
    printError: (text) => {
      stderr += text;
    },
  });
  return { stdout, stderr, status, lines: stdout.trimEnd().split('\n') };
}

/** The same of what was built, in a process: for what is read from beside it, and for pipes. */
export function yarncardBuilt(args: readonly string[], input: string | Buffer = ''): Done {
  const { stdout, stderr, status } = spawnSync(process.execPath, ['bin/yarncard', ...args], {
    input,
    encoding: 'utf8',
  });
  return { stdout, stderr, status, lines: stdout.trimEnd().split('\n') };
}
