import type { Turns } from '../core/base';
import { propose, type Sample, type Source, sourcesOf } from '../core/by-example';
import type { Item } from '../core/items';
import { withId } from '../core/project';
import { type Field, fieldsBeside, makeExpression } from '../core/values';
import type { ExampleAnswer, ExampleTask, Trying } from './protocol';
import type { Scene } from './scene';

const sampleCount = 200;
/** Items on which proposals are shown beside each other. */
const shownCount = 4;
const itemsATurn = 5_000;

/** Proposes bindings for words that are wanted; what the fields offer is found once for a type. */
export class ByExample {
  private known:
    | { readonly fields: readonly Field[]; readonly sources: readonly Source[] }
    | undefined;

  constructor(private readonly scene: Scene) {}

  propose({ type, without, examples }: ExampleTask): ExampleAnswer {
    const fields = this.fieldsOf(type, without);
    const items = this.scene.shownItems();
    const samples = this.samplesOf(type);
    const context = { now: this.scene.contextOf(0).now };
    const { proposals, next, isTwoRules } = propose({
      fields,
      sources: this.sourcesOf(fields, samples),
      samples,
      examples: examples.map(({ item, text, pins }) => ({
        item: items[item] ?? {},
        context,
        position: item,
        text,
        ...(pins !== undefined && { pins }),
      })),
      locale: this.scene.localeNow(),
      formats: this.scene.project?.formats ?? [],
    });
    const told = tellingApart(proposals.map(({ texts }) => texts));
    const shown = [...new Set([...(next === undefined ? [] : [next]), ...told])];
    return {
      proposals: proposals.map(({ texts: _, ...proposal }) => proposal),
      isTwoRules,
      next: next === undefined ? undefined : samples[next]?.position,
      rows: shown.slice(0, shownCount).flatMap((at) => {
        const sample = samples[at];
        if (sample === undefined) return [];
        return [{ item: sample.position, texts: proposals.map(({ texts }) => texts[at] ?? null) }];
      }),
    };
  }

  /** How many items of a type have no value for one of these expressions. */
  *missing({ type, exprs }: Trying): Turns<number> {
    const fields = this.fieldsOf(type);
    const reads = exprs.flatMap((expr) => makeExpression(expr, fields).evaluate ?? []);
    const items = this.scene.shownItems();
    let count = 0;
    for (let at = 0; at < items.length; at += 1) {
      const item = items[at];
      if (item !== undefined && this.scene.typeAt(at) === type)
        if (reads.some((read) => read(item) === undefined)) count += 1;
      if (at % itemsATurn === itemsATurn - 1) yield at / items.length;
    }
    return count;
  }

  private fieldsOf(type: string, without?: string): readonly Field[] {
    const fields = withId(this.scene.project?.types ?? [], type)?.fields ?? [];
    return without === undefined ? fields : fieldsBeside(fields, without);
  }

  private sourcesOf(fields: readonly Field[], samples: readonly Sample[]): readonly Source[] {
    if (this.known?.fields !== fields)
      this.known = {
        fields,
        sources: sourcesOf(
          fields,
          samples.map(({ item }) => item),
        ),
      };
    return this.known.sources;
  }

  /** Items of a type, evenly from all of them. */
  private samplesOf(type: string): readonly Sample[] {
    const items = this.scene.shownItems();
    const own: { readonly item: Item; readonly position: number }[] = [];
    for (let position = 0; position < items.length; position += 1) {
      const item = items[position];
      if (item !== undefined && this.scene.typeAt(position) === type) own.push({ item, position });
    }
    const step = Math.max(1, own.length / sampleCount);
    const context = { now: this.scene.contextOf(0).now };
    return Array.from(
      { length: Math.min(own.length, sampleCount) },
      (_, at) => own[Math.floor(at * step)],
    ).flatMap((each) => (each === undefined ? [] : [{ ...each, context }]));
  }
}

/** Samples for which the proposals differ, those with most differences first, then others. */
function tellingApart(columns: readonly (readonly (string | null)[])[]): number[] {
  const [first] = columns;
  const differences = (at: number) => new Set(columns.map((column) => column[at])).size;
  return (first ?? []).map((_, at) => at).sort((a, b) => differences(b) - differences(a) || a - b);
}
