import { Command } from 'commander';
import { version } from '../package.json';
import { clipped } from '../src/core/base';
import { withMinusSigns } from './arguments';
import { endWith, print, type Terminal, tellError, WrongUse, within } from './output';

/**
 * The command line: the same core as the application, for a team's CI. Each command's code is
 * loaded when it is called, so that starting costs little.
 */
const program = new Command('yarncard')
  .description('Items, their types, expressions and finished rows, without a browser.')
  .showHelpAfterError('(yarncard --help tells how it is used)')
  .version(version, '--version', 'the version')
  .configureOutput({
    writeOut: print,
    writeErr: (words) => tellError(clipped(words.trimEnd())),
  })
  .exitOverride();

const decoded = [
  '--decoded',
  'what reads better as a date, a number or yes and no, read so',
] as const;
const timeout = ['--timeout <seconds>', 'end SQLite queries after so long (60)'] as const;

program
  .command('items')
  .description('the items as they are read, one JSON value a line')
  .argument('[file]', 'JSON, NDJSON, CSV or SQLite; - reads standard input', '-')
  .option('--at <place>', 'where the items are: a JSONPath (RFC 9535), a table or a SELECT')
  .option(...timeout)
  .option(...decoded)
  .option('--json', 'the same: items are JSON already')
  .action(async (file: string, options: { at?: string; decoded?: boolean }) => {
    const { items } = await import('./commands/items');
    await items(file, options);
  });

program
  .command('infer')
  .description('where the items are, and the item types with evidence')
  .argument('[files...]', 'JSON, NDJSON, CSV or SQLite; - reads standard input', ['-'])
  .option('--at <jsonpath>', 'where the items are in the document (RFC 9535)')
  .option(...timeout)
  .option(...decoded)
  .option('--json', 'one JSON value a file')
  .option('--schema', 'as JSON Schema 2020-12')
  .option(
    '--types <language>',
    'as declarations: ts, kotlin, swift, java, csharp, dart, python, go, rust',
  )
  .action(async (files: string[], options) => {
    const { inferTypes } = await import('./commands/infer');
    await inferTypes(files, options);
  });

program
  .command('eval')
  .description('the value of an expression for each item')
  .argument('[expression]', 'such as maker.town ?? "unknown"')
  .requiredOption('--items <file>', 'JSON, NDJSON, CSV or SQLite; - reads standard input')
  .option('--at <jsonpath>', 'where the items are in the document (RFC 9535)')
  .option(...timeout)
  .option(...decoded)
  .option('--key <field>', 'show this field of each item before its value')
  .option('--from <file>', 'many expressions, one a line')
  .option('--explain', 'each step on the way to the value')
  .option('--json', 'one JSON value an expression')
  .action(async (expression: string | undefined, options) => {
    const { evaluate } = await import('./commands/eval');
    await evaluate(expression, options);
  });

program
  .command('format')
  .description('the text of a value in a format')
  .argument('<value>', 'a number, a date, a list as JSON; anything else is text')
  .requiredOption('--as <format>', 'as in the project file: {"as":"money","currency":"EUR"}')
  .option('--locale <locale>', 'a locale (BCP 47)', 'en')
  .option('--item <json>', 'the item that options and messages read')
  .option('--json', 'as JSON')
  .action(async (value: string, options) => {
    const { format } = await import('./commands/format');
    await format(value, options);
  });

program
  .command('explain')
  .description('how the words of one part of one row, or what an action hands over, came about')
  .argument('<file>', 'a project; - reads standard input')
  .requiredOption('--key <key>', 'the key of the item')
  .option('--part <part>', 'the part of its template')
  .option('--action <id>', 'in the place of a part: what this action would hand over')
  .option('--list <id>', 'the list; the first if it is not said')
  .option('--locale <locale>', 'another locale than the first of the project')
  .option('--json', 'as JSON')
  .action(async (file: string, options) => {
    const { explain } = await import('./commands/explain');
    await explain(file, options);
  });

program
  .command('resolve')
  .description('every entry of every list with its words, in order')
  .argument('<file>', 'a project; - reads standard input')
  .option('--list <id>', 'only this list')
  .option('--locale <locale>', 'another locale than the first of the project')
  .option('--look <id>', 'in this look, not the first of the project')
  .option('--set <id>', 'this set in the place of a source’s own items')
  .option('--width <px>', 'with the box of every part in a list so wide, as it is drawn')
  .option('--ratio <ratio>', 'device pixels in a px of the page, for the boxes; 1 if not said')
  .option('--text-size <per cent>', 'how large text is, for the boxes; 100 if not said')
  .option('--density <how>', 'compact, usual or roomy: how much space rows have, for the boxes')
  .option('--direction <ltr or rtl>', 'where rows begin, for the boxes; as the locale if not said')
  .option('--actions', 'with what the gestures of each row would hand over')
  .option(
    '--as <form>',
    'csv: a table, a column a part; ndjson: an entry a line; json: all in one list',
  )
  .option('--json', 'one JSON value an entry')
  .action(async (file: string, options) => {
    const { resolve } = await import('./commands/resolve');
    await resolve(file, options);
  });

program
  .command('check')
  .description('the findings over all items of a project')
  .argument('<file>', 'a project; - reads standard input')
  .option('--level <level>', 'exit with 1 from this level on: error or warning', 'error')
  .option('--items <file>', 'other items in the place of a source’s own')
  .option('--at <place>', 'where those items are in their document')
  .option(...timeout)
  .option('--source <id>', 'the source that they are for; the first if it is not said')
  .option('--json', 'one JSON value a finding')
  .action(async (file: string, options) => {
    const { check } = await import('./commands/check');
    await check(file, options);
  });

program
  .command('diff')
  .description('what is otherwise in a project, and which rows read otherwise')
  .argument('<old>', 'a project')
  .argument('<new>', 'the same project later')
  .option('--json', 'as JSON')
  .action(async (old: string, fresh: string, options) => {
    const { diff } = await import('./commands/diff');
    await diff(old, fresh, options);
  });

program
  .command('merge')
  .description('two people’s changes of a project together, as a merge driver of git')
  .argument('<base>', 'the project that both began with')
  .argument('<ours>', 'what one made of it; the result is written here')
  .argument('<theirs>', 'what the other made of it')
  .action(async (base: string, ours: string, theirs: string) => {
    const { merge } = await import('./commands/merge');
    await merge(base, ours, theirs);
  });

program
  .command('draw')
  .description('a row, or all rows of a list, as an SVG picture')
  .argument('<file>', 'a project; - reads standard input')
  .option('--key <key>', 'only the row of the item with this key')
  .option('--list <id>', 'the list; the first if it is not said')
  .option('--look <id>', 'in this look, not the first of the project')
  .option('--locale <locale>', 'another locale than the first of the project')
  .option('--scheme <scheme>', 'light or dark', 'light')
  .option('--width <px>', 'how wide the list is', '360')
  .option('--text-size <per cent>', 'how large text is', '100')
  .option('--letters <how>', 'text, with its fonts in the file, or outlines', 'outlines')
  .option('--out <file>', 'where it is written; standard output if it is not said')
  .action(async (file: string, options) => {
    const { draw } = await import('./commands/draw');
    await draw(file, options);
  });

program
  .command('expect')
  .description('what every sample item must show in each setting: expected.json')
  .argument('<file>', 'a project; - reads standard input')
  .option('--json', 'the same: it is JSON already')
  .action(async (file: string) => {
    const { expectRows } = await import('./commands/expect');
    await expectRows(file);
  });

program
  .command('compare')
  .description('what another renderer drew, held against what is expected')
  .argument('<expected>', 'expected.json')
  .argument('<actual>', 'what was drawn, in the same form; - reads standard input')
  .option('--tolerance <px>', 'so far off boxes may be', '1')
  .option('--json', 'one JSON value a finding')
  .action(async (expected: string, actual: string, options) => {
    const { compare } = await import('./commands/compare');
    await compare(expected, actual, options);
  });

program
  .command('pack')
  .description('the files that an app’s developer puts into a repository')
  .argument('<file>', 'a project; - reads standard input')
  .requiredOption('--out <folder>', 'where they are written; what is as it should be stays')
  .option('--dry-run', 'only tell what would be written')
  .option('--json', 'one JSON value a file')
  .action(async (file: string, options) => {
    const { pack } = await import('./commands/pack');
    await pack(file, options);
  });

program
  .command('schema')
  .description('the JSON Schema (2020-12) of project files')
  .option('--json', 'the same: it is JSON already')
  .action(async () => {
    const { schema } = await import('./commands/schema');
    schema();
  });

/**
 * Runs the command of these arguments in a terminal. Gives its exit status: 0, 1 for what the
 * command found, 2 for wrong use, with a line that says why.
 */
export const runCommand = (args: readonly string[], terminal: Terminal): Promise<0 | 1 | 2> =>
  within(terminal, async () => {
    try {
      await program.parseAsync(withMinusSigns(args, program), { from: 'user' });
    } catch (error) {
      if (error instanceof WrongUse) giveUp(error.message);
      else if (error instanceof Error && 'exitCode' in error) {
        // Help and version end with 0; what they say is out already.
        if (error.exitCode !== 0) endWith(2);
      } else giveUp(unforeseen(error));
    }
  });

/** Ends with 2 and a line that says why; a stack would tell nobody what to do. */
export function giveUp(words: string): void {
  tellError(`yarncard: ${clipped(words)}`);
  endWith(2);
}

export const unforeseen = (error: unknown): string =>
  `something failed that should not: ${error instanceof Error ? error.message : String(error)}. The input is as it was.`;
