/** Words of a text that look alike. */
export interface Bit {
  readonly words: string;
  readonly look: 'plain' | 'emphasis' | 'strong' | 'code' | 'link';
  /** Where a link leads, as it was written. */
  readonly address?: string;
}

/** Each sign stands beside words, and within one line; what is within it has no signs of its own. */
const signs =
  /\*\*(?=\S)([^*\n]*[^*\s])\*\*|\*(?=\S)([^*\n]*[^*\s])\*|`([^`\n]+)`|\[([^\][\n]+)\]\(([^()\s]+)\)/g;

/**
 * Inline markup: `*emphasis*`, `**strong**`, `` `code` ``, `[words](address)`. Anything else is
 * text, as it stands.
 */
export function bitsOf(text: string): readonly Bit[] {
  const bits: Bit[] = [];
  let from = 0;
  for (const match of text.matchAll(signs)) {
    const [whole, strong, emphasis, code, words, address = ''] = match;
    if (match.index > from) bits.push({ words: text.slice(from, match.index), look: 'plain' });
    from = match.index + whole.length;
    if (strong !== undefined) bits.push({ words: strong, look: 'strong' });
    else if (emphasis !== undefined) bits.push({ words: emphasis, look: 'emphasis' });
    else if (code !== undefined) bits.push({ words: code, look: 'code' });
    else bits.push({ words: words ?? '', look: 'link', address });
  }
  if (from < text.length || bits.length === 0)
    bits.push({ words: text.slice(from), look: 'plain' });
  return bits;
}
