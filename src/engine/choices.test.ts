import { describe, expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, quiet } from '../../tests/support/shop';
import { atOnce } from '../core/base';
import { type Item, infer } from '../core/items';
import { type Edit, edits, makeProject, type Project } from '../core/project';
import { Engine } from './engine';

const items: readonly Item[] = Array.from({ length: 40 }, (_, at) => ({
  kind: at % 4 === 3 ? 'tool' : 'skein',
  id: `i-${at}`,
  name: `Item ${at}`,
  ...(at % 4 === 3 ? { wood: 'ash' } : { stock: at % 10 }),
}));

const drafted = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items },
  atOnce(infer(items, 'stock.json')),
);

function engineFor(project: Project): Engine {
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', items);
  engine.update(project, everything);
  return engine;
}

const at = (place: number) => ({ list: 'stock', at: place });
const low = edits.addChoice('stock', { type: 'skein', when: 'stock < 5' }, 0);
const rich = [edits.addLook('rich'), edits.choose(at(1), { look: 'rich' }, 'skein-plain')];

const templatesOf = (engine: Engine): readonly (string | undefined)[] => {
  const { entries, plans } = engine.view(everything);
  return entries.map(({ plan }) => plans[plan]?.template);
};

describe('choices', () => {
  test('with a condition take the items for which it holds, and count them', () => {
    const project = edited(drafted, low, edits.choose(at(0), 'all looks', null));
    const engine = engineFor(project);
    const left = items.filter(({ kind, stock }) => kind === 'tool' || Number(stock) >= 5);
    expect(engine.view(everything).entries.map(({ key }) => key)).toEqual(left.map(({ id }) => id));
    const lowCount = items.length - left.length;
    expect(engine.choiceTable()?.counts).toEqual([[lowCount, 30 - lowCount, 10, 0]]);
    // A type has as many items as ever, whichever choice takes them.
    expect(engine.view(everything).typeCounts).toEqual([
      ['skein', 30],
      ['tool', 10],
    ]);
  });

  test('differ by look, and a condition may ask for it; all are counted', () => {
    const project = edited(
      drafted,
      ...rich,
      low,
      edits.ask(at(0), { type: 'skein', when: 'look === "rich" && stock < 5' }),
      edits.choose(at(0), { look: 'rich' }, null),
      edits.choose(at(0), { look: 'usual' }, 'tool-plain'),
    );
    const engine = engineFor(project);
    expect(templatesOf(engine)).toHaveLength(40);
    expect(engine.lookNow()).toBe('usual');
    engine.showLook('rich');
    const lowCount = 40 - templatesOf(engine).length;
    expect(lowCount).toBeGreaterThan(0);
    expect(engine.choiceTable()?.counts).toEqual([
      [0, 30, 10, 0],
      [lowCount, 30 - lowCount, 10, 0],
    ]);
    engine.showLook('gone');
    expect(engine.lookNow()).toBe('usual');
  });

  test('say for an item which of them were asked, and what their conditions gave', () => {
    const engine = engineFor(edited(drafted, low));
    expect(engine.whyChosen(7)).toEqual([
      { at: 0, isOfType: false, isTaken: false, gives: undefined },
      { at: 1, isOfType: false, isTaken: false, gives: undefined },
      { at: 2, isOfType: true, isTaken: true, gives: undefined },
    ]);
    expect(engine.whyChosen(5)).toEqual([
      { at: 0, isOfType: true, isTaken: false, gives: 'false' },
      { at: 1, isOfType: true, isTaken: true, gives: undefined },
    ]);
    expect(engine.whyChosen(4).at(-1)).toMatchObject({ at: 0, gives: 'true' });
  });

  test('that choose nothing for items, or a template of another type, are told with how many', () => {
    const open = engineFor(edited(drafted, edits.choose(at(0), 'all looks', undefined)));
    expect(open.surveyNow().findings).toMatchObject([
      { code: 'choice-nothing-chosen', place: { path: 'lists/stock/choices/0' } },
    ]);
    expect(open.surveyNow().findings[0]?.message).toContain('30 items');
    const all = [edits.addChoice('stock', {}, 0), edits.choose(at(0), 'all looks', 'skein-plain')];
    const unfit = engineFor(edited(drafted, ...all)).surveyNow().findings;
    expect(unfit.map(({ code, message }) => [code, message])).toEqual([
      ['choice-unfit', expect.stringContaining('10 items of the type tool')],
    ]);
  });

  test('are asked anew where something changed that they hang on, and are as if it were new', () => {
    const steps: readonly Edit[] = [
      low,
      edits.ask(at(0), { type: 'skein', when: 'stock < 2' }),
      edits.renameField({ type: 'skein', path: ['stock'] }, 'left'),
      edits.moveChoice(at(0), 1),
      edits.moveChoice(at(1), 0),
      edits.addComputed('skein', 'low', 'left < 7'),
      edits.ask(at(0), { when: 'low', type: 'skein' }),
      edits.compute({ type: 'skein', path: ['low'] }, 'left < 8'),
      edits.ask(at(0), { when: 'now >= now' }),
      edits.removeChoice(at(0)),
    ];
    let project = drafted;
    const engine = engineFor(project);
    for (const step of steps) {
      project = edited(project, step);
      const shown = engine.update(project, everything);
      const fresh = engineFor(project);
      expect([engine.choiceTable(), shown.entries]).toEqual([
        fresh.choiceTable(),
        fresh.view(everything).entries,
      ]);
    }
    expect(engine.tick()).toBe(false);
    engine.update(edited(project, edits.ask(at(0), { when: 'now >= now' })), everything);
    expect(engine.tick()).toBe(true);
  });

  test('leave the row that is looked at where it was to be kept', () => {
    const engine = engineFor(edited(drafted, ...rich, edits.choose(at(1), { look: 'rich' }, null)));
    const before = engine.view(everything);
    const { id, heightsId } = before.sequence;
    engine.showLook('rich');
    const asked = {
      from: 18,
      to: 24,
      sequence: { id, heightsId },
      keep: [{ key: 'i-20', at: 20 }],
    };
    const { kept: row, entries, places } = engine.view(asked);
    const kept = row?.at ?? -1;
    expect(engine.entryOfKey('i-20')).toBe(kept);
    expect(entries[places.indexOf(kept)]?.key).toBe('i-20');
    expect([kept, places[0]]).toEqual([15, 13]);
  });
});
