const headChars = 20_000;

/**
 * What a text is that is no table, in words; undefined: it may be one. A file that is called a table
 * may hold whatever it likes in its one column, but for markup.
 */
export function otherFormat(text: string, file: string): string | undefined {
  const head = text.slice(0, headChars).trimStart();
  if (head.startsWith('%PDF-')) return 'PDF';
  if (/^<(?:!doctype html|html|head|body)\b/i.test(head)) return 'HTML';
  if (/^<(?:\?xml|[a-z][\w:.-]*(?:\s[^<>]*)?\/?>)/i.test(head)) return 'XML';
  if (/^\s*(?:[[{]|BEGIN:)/.test(head)) return undefined;
  const lines = head
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .slice(0, 40);
  if (lines.length < 2 || isTable(lines)) return undefined;
  if (lines.every(isOfYaml)) return 'YAML';
  const isCalledTable = /\.(?:csv|tsv|tab)$/i.test(file);
  return !isCalledTable && lines.filter(isSentence).length > lines.length / 2 ? 'prose' : undefined;
}

/** Whether the first lines have one of the signs between cells, and all about as often. */
const isTable = (lines: readonly string[]): boolean =>
  [',', ';', '\t', '|'].some((sign) => {
    const [first = 0, ...others] = lines.map((line) => line.split(sign).length - 1);
    return first > 0 && others.filter((count) => count >= first).length >= others.length / 2;
  });

const isOfYaml = (line: string): boolean =>
  /^(?:---|\.\.\.|#.*|\s*-\s.*|\s*(?:-\s+)?["']?[\w.$ -]+["']?:(?:\s.*)?|\s+\S.*)$/.test(line);

const isSentence = (line: string): boolean =>
  line.trim().split(/\s+/).length > 7 || /[\p{L}\d][.!?:]["'”’)]?$/u.test(line.trim());
