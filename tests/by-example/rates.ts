import { atOnce } from '../../src/core/base';
import {
  type Asked,
  type Proposal,
  propose,
  type Sample,
  sourcesOf,
} from '../../src/core/by-example';
import { type Item, infer } from '../../src/core/items';
import { bindText } from '../../src/core/templates';
import type { Field, ScalarName } from '../../src/core/values';
import type { Target } from './targets';
import { now } from './writing';

/** How one target went: its place among the proposals, after one example and after the second. */
export interface Outcome {
  readonly target: Target;
  /** From 0; -1: not among the three. */
  readonly place: number;
  /** The same, forms that no example could have shown left aside. */
  readonly placeAsShown: number;
  readonly placeAfter: number;
  readonly isAsked: boolean;
  readonly milliseconds: readonly number[];
  /** The words of the one or two examples. */
  readonly typed: readonly string[];
  /** What was proposed after each. */
  readonly proposed: readonly (readonly string[])[];
}

const context = { now };
const sampleCount = 200;

/** Answers as a person would who has a target in mind: words for an item, then for the one asked for. */
export function trial(items: readonly Item[]) {
  const fields = fieldsOf(items);
  const sources = sourcesOf(fields, items.slice(0, 300));
  const step = Math.max(1, Math.floor(items.length / sampleCount));
  const samples: readonly Sample[] = items
    .map((item, position) => ({ item, position, context }))
    .filter((_, at) => at % step === 0)
    .slice(0, sampleCount);
  return {
    sourceCount: sources.length,
    run(target: Target, start: number): Outcome | undefined {
      const position = items.findIndex(
        (item, at) => at >= start && target.write(item) !== undefined,
      );
      const item = items[position];
      const text = item && target.write(item);
      if (item === undefined || text === undefined) return undefined;
      const example = { item, context, text, position };
      const milliseconds: number[] = [];
      const ask = (examples: Asked['examples']) => {
        const from = performance.now();
        const proposed = propose({
          fields,
          sources,
          samples,
          examples,
          locale: target.locale,
          formats: [],
        });
        milliseconds.push(performance.now() - from);
        return proposed;
      };
      const placeIn = (proposals: readonly Proposal[]) =>
        proposals.findIndex((each) => isRight(each, target, items, fields));
      const first = ask([example]);
      const place = placeIn(first.proposals);
      const placeAsShown = first.proposals.findIndex(
        (each) => isRight(each, target, items, fields) || isRightAsShown(each, target, samples),
      );
      const asked = first.next === undefined ? undefined : samples[first.next];
      const words = asked && target.write(asked.item);
      const second =
        asked === undefined || words === undefined
          ? first
          : ask([example, { ...asked, text: words }]);
      return {
        target,
        place,
        placeAsShown,
        placeAfter: placeIn(second.proposals),
        isAsked: second !== first,
        milliseconds,
        typed: [text, ...(second === first || words === undefined ? [] : [words])],
        proposed: [first, second].map(({ proposals }) => proposals.map(inWords)),
      };
    },
  };
}

const inWords = ({ expr, words, format, newFormats }: Proposal): string =>
  [expr ?? words, format, ...newFormats.map((each) => JSON.stringify(each))].join('  ');

const checkedCount = 400;

/** Whether a proposal, as the binding that it becomes, gives the wanted words for all items that have them. */
function isRight(
  proposal: Proposal,
  target: Target,
  items: readonly Item[],
  fields: readonly Field[],
): boolean {
  const { expr, format } = proposal;
  if (expr === undefined)
    return items
      .slice(0, checkedCount)
      .every((item) => (target.write(item) ?? proposal.words) === proposal.words);
  const bound = bindText(
    { expr, ...(format !== undefined && { format }) },
    {
      fields,
      sources: new Map(),
      formats: proposal.newFormats,
      tokens: { styles: [], colours: [], spacing: [] },
      hasPicture: () => true,
      locale: target.locale,
    },
  );
  return items.slice(0, checkedCount).every((item) => {
    const wanted = target.write(item);
    return (
      wanted === undefined ||
      bound.text(item, context)?.normalize('NFC') === wanted.normalize('NFC')
    );
  });
}

/** "12 reviews" says nothing of one review: such a proposal says that it is open, and what it shows is right. */
function isRightAsShown(
  { open, texts, isOpenAt }: Proposal,
  target: Target,
  samples: readonly Sample[],
): boolean {
  if (open.length === 0) return false;
  const closed = samples.flatMap(({ item }, at) => {
    const text = texts[at];
    const wanted = target.write(item);
    return text == null || wanted === undefined || isOpenAt[at] === true ? [] : [text === wanted];
  });
  return closed.length > 0 && closed.every((is) => is);
}

function fieldsOf(items: readonly Item[]): readonly Field[] {
  const [type] = atOnce(infer(items, 'orders')).types;
  if (type === undefined) throw new RangeError('There are no items.');
  return type.fields.map(({ name, required, ...own }) => ({
    ...(decoded[name] === undefined ? own : { type: decoded[name] }),
    name,
    required,
  }));
}

/** What a person reads these as, in Data. */
const decoded: Readonly<Record<string, ScalarName>> = {
  dyedOn: 'date',
  due: 'date',
  packedAt: 'datetime',
  opens: 'time',
  leaves: 'date',
  booked: 'date',
  startsAt: 'datetime',
};

export interface Rates {
  readonly count: number;
  readonly first: number;
  readonly firstThree: number;
  readonly firstThreeAsShown: number;
  readonly afterSecond: number;
}

/** Shares from 0 to 1. */
export function ratesOf(outcomes: readonly Outcome[]): Rates {
  const share = (is: (outcome: Outcome) => boolean) => outcomes.filter(is).length / outcomes.length;
  return {
    count: outcomes.length,
    first: share(({ place }) => place === 0),
    firstThree: share(({ place }) => place >= 0),
    firstThreeAsShown: share(({ placeAsShown }) => placeAsShown >= 0),
    afterSecond: share(({ placeAfter }) => placeAfter === 0),
  };
}
