import type { Proposal as ExampleProposal, Pin, Text } from '../../core/by-example';
import { propose, type Sample, type Source, sourcesOf } from '../../core/by-example';
import { withId } from '../../core/project';
import { type Field, fieldsBeside } from '../../core/values';
import type { Scene } from '../scene';

/** Words that are wanted for some items of a type. */
export interface ExampleTask {
  readonly type: string;
  /** A computed property that is not proposed: the one that is being made. */
  readonly without?: string | undefined;
  readonly examples: readonly {
    /** Position of the item. */
    readonly item: number;
    readonly text: string;
    readonly pins?: readonly Pin[];
  }[];
}

export interface ExampleAnswer {
  /** The likeliest first. */
  readonly proposals: readonly Omit<ExampleProposal, 'texts' | 'isOpenAt'>[];
  readonly isTwoRules: boolean;
  /** Where nothing gives all the words: what gives the first, and what it gives for the others. */
  readonly nearest: Nearest | undefined;
  /** The item whose words would settle it. */
  readonly next: number | undefined;
  /** What each proposal gives for some items: first the one that is asked for, then where they differ. */
  readonly rows: readonly {
    readonly item: number;
    readonly texts: readonly Text[];
    /** Whether the words are in a form that no example has shown: guessed, if they are all there. */
    readonly isOpen: readonly boolean[];
  }[];
}

interface Nearest {
  readonly proposal: Omit<ExampleProposal, 'texts' | 'isOpenAt'>;
  readonly misses: readonly {
    readonly item: number;
    readonly wanted: string;
    readonly text: string | null;
  }[];
}

const sampleCount = 200;
/** Items on which proposals are shown beside each other. */
const shownCount = 4;

/** What the fields of a type offer, and some of its items: found once as long as both stay. */
interface Known {
  readonly of: readonly unknown[];
  readonly fields: readonly Field[];
  readonly sources: readonly Source[];
  readonly chosen: readonly Omit<Sample, 'context'>[];
}

/** Proposes bindings for words that are wanted. */
export class ByExample {
  private known: Known | undefined;

  constructor(private readonly scene: Scene) {}

  propose({ type, without, examples }: ExampleTask): ExampleAnswer {
    const { fields, sources, chosen } = this.knownOf(type, without);
    const items = this.scene.shownItems();
    const context = { now: this.scene.contextOf(0).now };
    const samples = chosen.map((each) => ({ ...each, context }));
    const wanted = examples.map(({ item, text, pins }) => ({
      item: items[item] ?? {},
      context,
      position: item,
      text,
      ...(pins !== undefined && { pins }),
    }));
    const locale = this.scene.localeNow();
    const world = { fields, sources, locale, formats: this.scene.project?.formats ?? [] };
    const { proposals, next, isTwoRules } = propose({ ...world, samples, examples: wanted });
    const columns = proposals.map(({ texts }) => texts);
    const told = [...(next === undefined ? [] : [next]), ...tellingApart(columns)];
    // Items for which all proposals give the same as for another one show nothing new.
    const seen = new Set<string>();
    const shown = told.filter((at) => {
      const texts = JSON.stringify(columns.map((column) => column[at]));
      return !seen.has(texts) && seen.add(texts);
    });
    return {
      proposals: proposals.map(({ texts: _, isOpenAt: __, ...proposal }) => proposal),
      isTwoRules,
      nearest: isTwoRules ? nearestOf(world, wanted) : undefined,
      next: next === undefined ? undefined : samples[next]?.position,
      rows: shown.slice(0, shownCount).flatMap((at) => {
        const sample = samples[at];
        if (sample === undefined) return [];
        return [
          {
            item: sample.position,
            texts: proposals.map(({ texts }) => texts[at] ?? null),
            isOpen: proposals.map(({ isOpenAt }) => isOpenAt[at] ?? false),
          },
        ];
      }),
    };
  }

  private fieldsOf(type: string): readonly Field[] {
    return withId(this.scene.project?.types ?? [], type)?.fields ?? [];
  }

  private knownOf(type: string, without: string | undefined): Known {
    const all = this.fieldsOf(type);
    // A project that crossed from the page is another object each time.
    const of = [JSON.stringify(all), without, this.scene.shownItems()];
    if (this.known === undefined || of.some((each, at) => each !== this.known?.of[at])) {
      const fields = without === undefined ? all : fieldsBeside(all, without);
      const chosen = this.choose(type);
      const sources = sourcesOf(
        fields,
        chosen.map(({ item }) => item),
      );
      this.known = { of, fields, sources, chosen };
    }
    return this.known;
  }

  /** Items of a type, evenly from all of them. */
  private choose(type: string): Known['chosen'] {
    const typeOf = this.scene.typesShown();
    const own = this.scene
      .shownItems()
      .flatMap((item, position) => (typeOf(position) === type ? [{ item, position }] : []));
    const step = Math.max(1, own.length / sampleCount);
    const count = Math.min(own.length, sampleCount);
    return Array.from({ length: count }, (_, at) => own[Math.floor(at * step)] ?? []).flat();
  }
}

/** What gives the words of the first example and of most of the others. */
function nearestOf(
  world: Omit<Task, 'samples' | 'examples'>,
  [first, ...others]: Task['examples'],
): Nearest | undefined {
  if (first === undefined) return undefined;
  const { proposals } = propose({ ...world, samples: others, examples: [first] });
  const missesOf = ({ texts }: ExampleProposal) =>
    others.flatMap(({ position, text }, at) =>
      texts[at] === text ? [] : [{ item: position, wanted: text, text: texts[at] ?? null }],
    );
  const [best] = proposals.toSorted((one, other) => missesOf(one).length - missesOf(other).length);
  if (best === undefined) return undefined;
  const { texts: _, isOpenAt: __, ...proposal } = best;
  return { proposal, misses: missesOf(best) };
}

type Task = Parameters<typeof propose>[0];

/** Samples for which the proposals differ, those with most differences first, then others. */
function tellingApart(columns: readonly (readonly (string | null)[])[]): number[] {
  const [first] = columns;
  const differences = (at: number) => new Set(columns.map((column) => column[at])).size;
  return (first ?? []).map((_, at) => at).sort((a, b) => differences(b) - differences(a) || a - b);
}
