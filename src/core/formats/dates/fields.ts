import { makeExpression, renameStep } from '../../values';
import type { Format } from '../format';
import { isMessageName, messageNames } from '../message/message-names';
import { itemOptions } from '../options';

/** Whether a format reads something of the item itself: an option that follows from it, a field in a message. */
export const readsField = (format: Format, path: readonly string[]): boolean =>
  itemOptions(format).some(([, expr]) =>
    makeExpression(expr, []).paths.some((own) => path.every((step, at) => own[at] === step)),
  ) ||
  (format.as === 'message' &&
    path.length === 1 &&
    path[0] !== 'value' &&
    messageNames(format.message).some(({ name }) => name === path[0]));

/** The format reading the last step of a path under its new name. */
export function renamedInFormat<F extends Format>(
  format: F,
  path: readonly string[],
  name: string,
): F {
  const options = itemOptions(format).map(
    ([option, expr]) => [option, { expr: renameStep(expr, path, name) }] as const,
  );
  const message =
    format.as === 'message' && path.length === 1 && isMessageName(name)
      ? { message: renamedInMessage(format.message, path[0] ?? '', name) }
      : {};
  return { ...format, ...Object.fromEntries(options), ...message };
}

function renamedInMessage(message: string, before: string, name: string): string {
  return messageNames(message)
    .filter((each) => each.name === before && before !== 'value')
    .reduceRight((text, { from, to }) => text.slice(0, from) + name + text.slice(to), message);
}
