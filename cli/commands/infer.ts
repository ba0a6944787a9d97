import { atOnce, count, type Json } from '../../src/core/base';
import { type Inference, type Item, type ItemsRead, infer } from '../../src/core/items';
import { typeInWords } from '../../src/core/values';
import { readItems } from '../input';
import { flush, line, report } from '../output';

export async function inferTypes(
  files: readonly string[],
  options: { readonly at?: string; readonly json?: boolean },
): Promise<void> {
  for (const file of files) {
    const read = await readItems(file, options.at);
    const inference = atOnce(infer(read.items, file));
    report([...read.findings, ...inference.findings]);
    if (options.json) line(JSON.stringify(asJson(file, read, inference)));
    else tell(file, read, inference);
  }
  flush();
}

function asJson(file: string, read: ItemsRead, inference: Inference) {
  return {
    file,
    format: read.format,
    at: read.at,
    count: read.items.length,
    key: inference.key ?? null,
    types: inference.types.map((type) => ({
      name: type.value ?? null,
      count: type.count,
      fields: type.fields.map(({ name, missingCount, ...field }) => ({
        path: name,
        type: typeInWords(field),
        required: field.required,
        missing: missingCount,
        distinct: distinctCount(itemsOf(read.items, inference.discriminator, type.value), name),
        decoding: null,
      })),
    })),
  };
}

function tell(file: string, read: ItemsRead, inference: Inference): void {
  const key = inference.key === undefined ? 'no key' : `key ${inference.key}`;
  line(`${file}: ${count(read.items.length, 'item')} at ${read.at}, ${read.format}, ${key}`);
  for (const type of inference.types) {
    const told =
      inference.discriminator === undefined ? '' : `${inference.discriminator} "${type.value}", `;
    line(`  ${told}${count(type.count, 'item')}`);
    for (const field of type.fields) {
      const missing = field.missingCount > 0 ? `, missing in ${field.missingCount}` : '';
      line(`    ${field.name}: ${typeInWords(field)}${missing}`);
    }
  }
}

function itemsOf(
  items: readonly Item[],
  discriminator: string | undefined,
  value: string | undefined,
) {
  return discriminator === undefined
    ? items
    : items.filter((item) => item[discriminator] === value);
}

function distinctCount(items: readonly Item[], name: string): number {
  const seen = new Set<Json | undefined>();
  for (const item of items) {
    const value = Object.hasOwn(item, name) ? item[name] : undefined;
    if (value === undefined || value === null) continue;
    seen.add(typeof value === 'object' ? JSON.stringify(value) : value);
  }
  return seen.size;
}
