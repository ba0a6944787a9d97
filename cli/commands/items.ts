import { basename } from 'node:path';
import { type ItemsOptions, readItems } from '../input';
import { decodedItems, known, readSo } from '../known';
import { flush, json, report } from '../output';

interface Options extends ItemsOptions {
  readonly decoded?: boolean;
}

/** The items as they are read; `decoded`: dates, numbers and the like that the values settle, as such. */
export async function items(file: string, options: Options): Promise<void> {
  const read = await readItems(file, options);
  report(read.findings);
  const all = options.decoded ? decodedItems(readSo(known(basename(file), read))) : read.items;
  for (const item of all) json(item);
  flush();
}
