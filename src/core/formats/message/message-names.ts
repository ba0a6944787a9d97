/** A variable of a message and where its name stands, without the `$`. */
export interface MessageName {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

const variable = /\$([\p{L}_+][\p{L}\p{M}\p{N}._-]*)/uy;

/**
 * The variables of a message, found without reading it whole: what stands in braces and before the
 * patterns of variants, but not in texts and quotes. Standard: LDML 48, part 9, syntax.
 */
export function messageNames(source: string): readonly MessageName[] {
  const names: MessageName[] = [];
  // What is open, the innermost last: texts of patterns, or code between braces.
  const open: ('text' | 'code')[] = [/^\s*(?:\.\p{L}|\{\{)/u.test(source) ? 'code' : 'text'];
  for (let at = 0; at < source.length; at += 1) {
    const char = source[at];
    if (open.at(-1) === 'text') {
      if (char === '\\') at += 1;
      else if (char === '{') open.push('code');
      else if (char === '}' && open.length > 1) {
        open.pop();
        at += 1;
      }
    } else if (char === '|') at = endOfQuote(source, at);
    else if (char === '}') open.pop();
    else if (char === '{') {
      const isPattern = source[at + 1] === '{';
      open.push(isPattern ? 'text' : 'code');
      if (isPattern) at += 1;
    } else if (char === '$') {
      variable.lastIndex = at;
      const name = variable.exec(source)?.[1];
      if (name !== undefined) names.push({ name, from: at + 1, to: at + 1 + name.length });
    }
    if (open.length === 0) break;
  }
  return names;
}

function endOfQuote(source: string, from: number): number {
  let at = from + 1;
  while (at < source.length && source[at] !== '|') at += source[at] === '\\' ? 2 : 1;
  return at;
}

/** Whether a name can stand in a message after `$`. */
export const isMessageName = (name: string): boolean =>
  /^[\p{L}_+][\p{L}\p{M}\p{N}._-]*$/u.test(name);
