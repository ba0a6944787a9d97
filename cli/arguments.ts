import type { Command } from 'commander';

/**
 * The arguments with those that begin with a minus sign and are no option of the command (an
 * expression such as `-girth`, a value such as `-5`) behind `--`, where they are no options.
 */
export function withMinusSigns(all: readonly string[], program: Command): string[] {
  const [name, ...rest] = all;
  const command = program.commands.find((each) => each.name() === name);
  if (name === undefined || command === undefined || rest.includes('--')) return [...all];
  const options: string[] = [];
  const values: string[] = [];
  let isValue = false;
  for (const argument of rest) {
    const option = command.options.find((each) => each.long === argument.replace(/=.*$/, ''));
    const isOption = option !== undefined || /^--?h(?:elp)?$/.test(argument);
    if (isValue || isOption) options.push(argument);
    else values.push(argument);
    isValue = !isValue && option?.required === true && !argument.includes('=');
  }
  const hasMinus = values.some((value) => /^-./.test(value) && !/^--[a-z]/.test(value));
  return hasMinus ? [name, ...options, '--', ...values] : [...all];
}
