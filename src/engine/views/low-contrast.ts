import { count, type Finding, grouped, nearestReadable } from '../../core/base';
import {
  type Reading,
  readingKey,
  readingOf,
  rowPlanOf,
  type TextOnGround,
  textsOnGrounds,
} from '../../core/lists';
import type { CompiledTemplate, EntryValue } from '../../core/templates';

/** More ways to look are not told apart. */
const maxLooks = 1_000;

interface Look {
  itemCount: number;
  /** Position of the first item that has it. */
  readonly first: number;
  readonly reading: Reading | undefined;
}

/** The contrast of each text of a template's rows, counted over all items. */
export class ContrastCount {
  private readonly texts: readonly {
    readonly text: TextOnGround;
    readonly looks: Map<string, Look>;
  }[];

  constructor(private readonly of: CompiledTemplate) {
    this.texts = textsOnGrounds(rowPlanOf(of.template, of.tokens)).map((text) => ({
      text,
      looks: new Map(),
    }));
  }

  add(item: number, values: readonly EntryValue[]): void {
    for (const { text, looks } of this.texts) {
      const key = readingKey(text, values);
      const known = looks.get(key);
      if (known !== undefined) known.itemCount += 1;
      else if (looks.size < maxLooks)
        looks.set(key, {
          ...{ itemCount: 1, first: item },
          reading: readingOf(text, values, this.of.tokens),
        });
    }
  }

  /** Texts that are hard to read, each with its worst reading and in how many rows it is. */
  findings(itemCount: number): Finding[] {
    return this.texts.flatMap(({ text, looks }): Finding[] => {
      const low = [...looks.values()].flatMap(({ reading, ...look }) =>
        reading !== undefined && reading.contrast < reading.least ? [{ ...look, reading }] : [],
      );
      const [worst] = low.toSorted((one, other) => one.reading.contrast - other.reading.contrast);
      if (worst === undefined) return [];
      const rows = low.reduce((sum, each) => sum + each.itemCount, 0);
      return [inWords(this.of.template.id, text, worst, { rows, of: itemCount })];
    });
  }
}

function inWords(
  template: string,
  { part, property }: TextOnGround,
  { reading, first }: { readonly reading: Reading; readonly first: number },
  { rows, of }: { readonly rows: number; readonly of: number },
): Finding {
  const { contrast, least, scheme, colour, grounds } = reading;
  const nearest = nearestReadable(colour, grounds, least);
  // Never shown as what is enough.
  const shown = Math.floor(contrast * 100) / 100;
  return {
    code: 'look-contrast',
    severity: 'warning',
    place: { in: 'part', template, part, property, from: 0, to: 0, item: first },
    message: `“${part}” of “${template}” is hard to read in ${grouped(rows)} of ${count(of, 'row')}: in the ${scheme} scheme it has ${shown} to 1 on what lies behind it, where ${least} is needed.`,
    hint:
      nearest === undefined
        ? 'No colour is readable on what lies behind it: change that.'
        : `Instead of ${colour}, ${nearest} is the nearest colour that passes there.`,
  };
}
