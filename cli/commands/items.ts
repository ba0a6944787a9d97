import { basename } from 'node:path';
import { readItems } from '../input';
import { decodedItems, known } from '../known';
import { flush, line, report } from '../output';

interface ItemsOptions {
  readonly at?: string;
  readonly decoded?: boolean;
}

/** The items as they are read; `decoded`: dates, numbers and the like that the values settle, as such. */
export async function items(file: string, options: ItemsOptions): Promise<void> {
  const read = await readItems(file, options.at);
  report(read.findings);
  const all = options.decoded ? decodedItems(known(basename(file), read)) : read.items;
  for (const item of all) line(JSON.stringify(item));
  flush();
}
