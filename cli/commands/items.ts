import { readItems } from '../input';
import { flush, line, report } from '../output';

export async function items(file: string, options: { readonly at?: string }): Promise<void> {
  const read = await readItems(file, options.at);
  report(read.findings);
  for (const item of read.items) line(JSON.stringify(item));
  flush();
}
