import { grouped, type Json } from '../../base';
import type { Decoding, Field, ScalarName } from '../../values';
import { decoder, decodingInWords, typeDecoded } from './decode';
import { otherReadings, proposeDecodings } from './propose';

/** A field whose values would be more than texts or counts if they were read so. */
export interface BetterReading {
  readonly path: readonly string[];
  /** The likeliest first; several where the values do not settle what is meant. */
  readonly ways: readonly { readonly decoding: Decoding; readonly gives: string }[];
  /** How many of the values the first of them reads. */
  readonly readCount: number;
  readonly valueCount: number;
}

/** So many values tell how a field is written. */
const maxSample = 2_000;
const minSample = 200;

/** The values of a field that are there, as they were read. */
interface FieldValues {
  readonly itemCount: number;
  /** Of all items, or of one in so many. */
  readonly of: (every: number) => Iterable<Json>;
}

/** How a field would read better; undefined: it is well as it is. */
export function betterReading(
  path: readonly string[],
  type: ScalarName | undefined,
  values: FieldValues,
): BetterReading | undefined {
  const sample = sampleOf(values);
  const proposals = proposeDecodings(path.at(-1) ?? '', sample, type);
  const [first] = proposals;
  const made = first && decoder(first.decoding);
  if (first === undefined || !made?.ok) return undefined;
  let [readCount, valueCount] = [0, 0];
  for (const raw of values.of(1)) {
    valueCount += 1;
    if (made.value(raw).ok) readCount += 1;
  }
  const ways = [first, ...otherReadings(proposals, sample)].flatMap(({ decoding }) => {
    const gives = typeDecoded(decoding);
    return gives === undefined ? [] : [{ decoding, gives }];
  });
  return { path, ways, readCount, valueCount };
}

/** Values from all over: what stands at the beginning may be all alike. */
function sampleOf({ itemCount, of }: FieldValues): readonly Json[] {
  const every = Math.ceil(itemCount / maxSample);
  const sample = [...of(Math.max(1, every))];
  // A field that few items have is looked at in all of them.
  return every > 1 && sample.length < minSample ? [...of(1)].slice(0, maxSample) : sample;
}

/** The reading that nobody needs to be asked about; undefined: several may be meant. */
export function settledWay({ ways }: BetterReading): Decoding | undefined {
  const [way, ...others] = ways;
  return others.length === 0 ? way?.decoding : undefined;
}

/** Whether it was left open how the field is read: a text or a number about which nobody has said anything. */
export const isReadAsFound = (field: Field): boolean =>
  ['text', 'number', 'integer'].includes(field.type) &&
  field.decode === undefined &&
  field.expr === undefined &&
  field.given === undefined;

/** The field read so; undefined: the decoding can't be used. */
export function fieldReadSo(
  { name, required, from, said }: Field,
  decoding: Decoding,
): Field | undefined {
  const type = typeDecoded(decoding);
  if (type === undefined) return undefined;
  // Where a text stands for no value, the field may be missing.
  const isRequired = required && (decoding.none ?? []).length === 0;
  const own = {
    name,
    required: isRequired,
    ...(from !== undefined && { from }),
    ...(said && { said }),
  };
  return { type, ...own, decode: decoding };
}

/** `date (dd.MM.yyyy), 388 of 400`: what would come of a reading and of how many values, for messages. */
export function readingInWords({ ways, readCount, valueCount }: BetterReading): string {
  const gives = ways.map(({ decoding, gives }) => `${gives} (${decodingInWords(decoding)})`);
  const of = readCount === valueCount ? 'all' : `${grouped(readCount)} of`;
  return `${gives.join(' or ')}, ${of} ${grouped(valueCount)}`;
}
