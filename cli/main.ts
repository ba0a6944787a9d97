import { Command } from 'commander';
import { WrongUse } from './output';

/**
 * The command line: the same core as the application, for a team's CI. Each command's code is
 * loaded when it is called, so that starting costs little.
 */
const program = new Command('yarncard')
  .description('Items, their types, expressions and finished rows, without a browser.')
  .showHelpAfterError('(yarncard --help tells how it is used)')
  .exitOverride();

program
  .command('items')
  .description('the items as they are read, one JSON value a line')
  .argument('[file]', 'JSON, NDJSON or CSV; - reads standard input', '-')
  .option('--at <jsonpath>', 'where the items are in the document (RFC 9535)')
  .option('--json', 'the same: items are JSON already')
  .action(async (file: string, options: { at?: string }) => {
    const { items } = await import('./commands/items');
    await items(file, options);
  });

program
  .command('infer')
  .description('where the items are, and the item types with evidence')
  .argument('[files...]', 'JSON, NDJSON or CSV; - reads standard input', ['-'])
  .option('--at <jsonpath>', 'where the items are in the document (RFC 9535)')
  .option('--json', 'one JSON value a file')
  .action(async (files: string[], options: { at?: string; json?: boolean }) => {
    const { inferTypes } = await import('./commands/infer');
    await inferTypes(files, options);
  });

program
  .command('eval')
  .description('the value of an expression for each item')
  .argument('[expression]', 'such as maker.town ?? "unknown"')
  .requiredOption('--items <file>', 'JSON, NDJSON or CSV; - reads standard input')
  .option('--at <jsonpath>', 'where the items are in the document (RFC 9535)')
  .option('--key <field>', 'show this field of each item before its value')
  .option('--from <file>', 'many expressions, one a line')
  .option('--explain', 'each step on the way to the value')
  .option('--json', 'one JSON value an expression')
  .action(async (expression: string | undefined, options) => {
    const { evaluate } = await import('./commands/eval');
    await evaluate(expression, options);
  });

program
  .command('resolve')
  .description('every entry of every list with its words, in order')
  .argument('<file>', 'a project; - reads standard input')
  .option('--list <id>', 'only this list')
  .option('--json', 'one JSON value an entry')
  .action(async (file: string, options: { list?: string; json?: boolean }) => {
    const { resolve } = await import('./commands/resolve');
    await resolve(file, options);
  });

// A reader that has seen enough (`| head`) closes the pipe; that is no error.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
  throw error;
});

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof WrongUse) {
    process.stderr.write(`yarncard: ${error.message}\n`);
    process.exitCode = 2;
  } else if (error instanceof Error && 'exitCode' in error) {
    process.exitCode = error.exitCode === 0 ? 0 : 2;
  } else throw error;
}
