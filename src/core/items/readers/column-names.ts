import type { Finding } from '../../base';
import { itemFindings } from '../findings';

export interface Columns {
  readonly names: readonly string[];
  readonly findings: readonly Finding[];
}

/** One name a column: trimmed, made up where empty, told apart where they repeat. */
export function columnNames(heading: readonly string[], file: string): Columns {
  const names = new Set<string>();
  const findings: Finding[] = [];
  for (const [index, cell] of heading.entries()) {
    const wish = cell.trim() === '' ? `column ${index + 1}` : cell.trim();
    let name = wish;
    for (let n = 2; names.has(name); n += 1) name = `${wish} ${n}`;
    if (name !== wish) findings.push(itemFindings.headingRepeats(file, wish, name));
    names.add(name);
  }
  return { names: [...names], findings };
}
