import { basename } from 'node:path';
import { atOnce, count } from '../../src/core/base';
import {
  dataClasses,
  declarations,
  decodingInWords,
  fieldsWithin,
  gatherEvidence,
  itemsSchema,
  keyFields,
  type Language,
  languages,
  readingInWords,
  seenIn,
  valueAt,
} from '../../src/core/items';
import { type Field, typeInWords } from '../../src/core/values';
import { largestSchemaBytes, schemaIn } from '../../src/engine';
import { type ItemsOptions, inputFile, readItems } from '../input';
import { type KnownItems, known, readSo } from '../known';
import { excludes, flush, json, line, report, WrongUse } from '../output';

interface InferOptions extends ItemsOptions {
  readonly json?: boolean;
  readonly schema?: boolean;
  readonly types?: string;
  readonly decoded?: boolean;
}

/** Where the items are and what they are; as a schema or as declarations where that is asked for. */
export async function inferTypes(files: readonly string[], options: InferOptions): Promise<void> {
  excludes('--schema', options.schema, '--types', options.types);
  excludes('--schema', options.schema, '--json', options.json);
  excludes('--types', options.types, '--json', options.json);
  for (const file of files) {
    const declared = options.at === undefined ? await declaredIn(file) : undefined;
    const read = declared?.read ?? (await readItems(file, options));
    const found = declared ?? known(basename(file), read);
    const all = options.decoded ? readSo(found) : found;
    report([...read.findings, ...all.inference.findings]);
    if (options.schema) json(schemaOf(file, all), 2);
    else if (options.types !== undefined) line(await declarationsOf(file, all, options.types));
    else if (options.json) json(asJson(file, all));
    else tell(file, all);
  }
  flush();
}

/** What a schema says instead of items; undefined: it is none. */
async function declaredIn(file: string): Promise<KnownItems | undefined> {
  if (file === '-') return undefined;
  const { name, bytes } = await inputFile(file);
  if (bytes.length > largestSchemaBytes) return undefined;
  const schema = await schemaIn(new Blob([new Uint8Array(bytes)]), name);
  if (schema === undefined) return undefined;
  if (!schema.ok) throw new WrongUse(schema.error.message);
  const { types, discriminator } = schema.value;
  return {
    read: { format: 'json', at: '', items: [], findings: [] },
    inference: {
      ...{ types: [], key: undefined, unique: undefined, findings: [] },
      discriminator: discriminator ?? undefined,
    },
    types: types.map((type) => ({ ...type, count: 0, items: [] })),
    better: [],
  };
}

const titleOf = (file: string): string =>
  file === '-' ? 'items' : basename(file).replace(/\.[a-z0-9]+$/i, '');

const schemaOf = (file: string, { types, inference }: KnownItems) =>
  itemsSchema(titleOf(file), types, inference.discriminator ?? null);

async function declarationsOf(file: string, all: KnownItems, language: string): Promise<string> {
  const own = [titleOf(file), all.types, all.inference.discriminator ?? null] as const;
  if (language === 'ts') return declarations(...own, all.types.flatMap(seenOf));
  if (!isLanguage(language))
    throw new WrongUse(
      `There are no types in "${language}". It can be ts, ${Object.keys(languages).join(', ')}.`,
    );
  return dataClasses(language, ...own);
}

/** What a schema alone declares has no items that would say more. */
const seenOf = ({ fields, items }: KnownItems['types'][number]) =>
  items.length === 0 ? [] : [seenIn(fields, items)];

const isLanguage = (name: string): name is Language => Object.hasOwn(languages, name);

function asJson(file: string, { read, inference, types, better }: KnownItems) {
  return {
    file,
    format: read.format,
    at: read.at,
    count: read.items.length,
    key: inference.key ?? null,
    types: types.map((type) => ({
      name: type.value,
      count: type.count,
      fields: fieldsWithin(type.fields).map(({ path, field }) => ({
        path: path.join('.'),
        type: typeInWords(field),
        required: field.required,
        ...evidenceOf(type.items, path, field),
        decoding: field.decode ?? null,
        better: betterAt(better, path)?.ways.map(({ decoding }) => decoding) ?? [],
      })),
    })),
  };
}

const betterAt = (better: KnownItems['better'], path: readonly string[]) =>
  better.find((each) => JSON.stringify(each.path) === JSON.stringify(path));

function evidenceOf(items: KnownItems['read']['items'], path: readonly string[], field: Field) {
  const { itemCount, presentCount, distinctCount } = atOnce(gatherEvidence(items, path, field));
  return { missing: itemCount - presentCount, distinct: distinctCount };
}

function tell(file: string, { read, inference, types, better }: KnownItems): void {
  const key =
    inference.key === undefined ? 'no key' : `key ${keyFields(inference.key).join(' and ')}`;
  const where = `${count(read.items.length, 'item')} at ${read.at}, ${read.format}, ${key}`;
  line(`${file}: ${read.at === '' ? 'types that a schema declares' : where}`);
  for (const type of types) {
    const told =
      inference.discriminator === undefined ? '' : `${inference.discriminator} "${type.value}", `;
    line(`  ${told}${count(type.count, 'item')}`);
    for (const { path, field } of fieldsWithin(type.fields)) {
      const missing = type.items.filter((item) => (valueAt(item, path) ?? null) === null).length;
      const gone = missing > 0 ? `, missing in ${missing}` : '';
      const decoding =
        field.decode === undefined ? '' : `, read as ${decodingInWords(field.decode)}`;
      const reading = betterAt(better, path);
      const other = reading === undefined ? '' : `, reads better as ${readingInWords(reading)}`;
      line(`    ${path.join('.')}: ${typeInWords(field)}${gone}${decoding}${other}`);
    }
  }
}
