import { describe, expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { openShop } from '../../../tests/support/shop';
import { contrastOn } from '../base';
import { rowPlanOf } from '../lists';
import { draftLabel, neutralColours, neutralStyles, partWithId, propertyOf } from '../templates';
import { edits } from './edits';
import { readProject } from './file/read';
import { writeProject } from './file/write';
import { startingSets } from './looks-to-start-from';
import { usesOfName } from './named-uses';
import { brokenReferences, problemsIn } from './problems';
import { coloursOf, drawnStyles, type Project, stylesOf, tokensOf } from './project';

const bound = { expr: 'price.length > 4 ? "low" : name == "Sock" ? \'title\' : "body"' };

/** A shop whose template has a label in one style, and one in a style by value. */
function shop(): Project {
  const fixed = draftLabel('fixed', { expr: 'name' }, 'low');
  const followed = { ...draftLabel('followed', { expr: 'name' }, 'body'), style: bound };
  return edited(
    openShop().project(),
    edits.addStyle({ name: 'low', size: 13, lineHeight: 18, weight: 700, colour: 'ink' }),
    edits.insert('stock-plain', { beside: 'title', side: 'after' }, fixed),
    edits.insert('stock-plain', { beside: 'title', side: 'after' }, followed),
  );
}

const styleOf = ({ templates }: Project, part: string) => {
  const own = templates[0] && partWithId(templates[0].row, part);
  return own && propertyOf(own, 'style');
};
const names = (project: Project) => stylesOf(project).map(({ name }) => name);

describe('text styles', () => {
  test('a project that has said none has a neutral set; the first change makes it its own', () => {
    const project = openShop().project();
    expect(stylesOf(project)).toBe(neutralStyles);
    const changed = edited(project, edits.changeStyle('small', { size: 11, letterSpacing: 0.2 }));
    expect(stylesOf(changed).find(({ name }) => name === 'small')).toMatchObject({
      ...{ size: 11, lineHeight: 16, letterSpacing: 0.2 },
    });
    expect(edited(changed, edits.changeStyle('small', { letterSpacing: undefined }))).toEqual(
      edited(project, edits.changeStyle('small', { size: 11 })),
    );
  });

  test('a new name is followed by all parts that name it, in expressions too', () => {
    const renamed = edited(shop(), edits.renameStyle('low', 'nearly "gone"'));
    expect(names(renamed)).toEqual(['title', 'body', 'small', 'value', 'nearly "gone"']);
    expect(styleOf(renamed, 'fixed')).toBe('nearly "gone"');
    expect(styleOf(renamed, 'followed')).toEqual({
      expr: bound.expr.replace('"low"', '"nearly \\"gone\\""'),
    });
    expect(styleOf(edited(shop(), edits.renameStyle('title', 'head')), 'followed')).toEqual({
      expr: bound.expr.replace("'title'", '"head"'),
    });
  });

  test('its uses are all that name it', () => {
    const parts = (name: string) => usesOfName(shop(), 'style', name).map(({ part }) => part);
    expect(parts('low').sort()).toEqual(['fixed', 'followed']);
    expect(parts('body')).toEqual(['followed']);
    expect(parts('value')).toEqual([]);
  });

  test('what had a style that is removed is drawn as its kind says; the last one stays', () => {
    expect(styleOf(edited(shop(), edits.removeStyle('low')), 'fixed')).toBeUndefined();
    const one = edited(shop(), ...['title', 'body', 'small', 'value'].map(edits.removeStyle));
    expect(edits.removeStyle('low').apply(one)).toMatchObject({ ok: false });
  });

  test.each([
    [edits.addStyle({ ...neutralStyles[0], name: 'low' } as never), 'There is a style "low"'],
    [edits.renameStyle('low', ' title '), 'There is a style "title"'],
    [edits.renameStyle('low', ' '), 'A style needs a name'],
    [edits.changeStyle('gone', { size: 3 }), 'There is no style "gone"'],
    [edits.renameFont('Hand', 'Hand 2'), 'There is a font "Hand 2"'],
    [edits.renameFont('Hand', ''), 'A font needs a name'],
  ])('%#: %o is refused in words', (edit, words) => {
    const both = edits.addFonts([
      { name: 'Hand', content: 'a' },
      { name: 'Hand 2', content: 'b' },
    ]);
    const made = edit.apply(edited(shop(), both));
    expect(made.ok ? '' : made.error).toContain(words);
  });
});

describe('fonts of a project’s own', () => {
  const hand = { name: 'Hand', content: 'abc' };
  const inHand = edited(
    shop(),
    edits.addFonts([hand]),
    edits.changeStyle('low', { family: 'Hand' }),
  );
  const family = (project: Project) => stylesOf(project).at(-1)?.family;

  test('styles name them, and follow a new name; what is drawn is their file', () => {
    expect(drawnStyles(inHand).at(-1)?.family).toBe('abc');
    const renamed = edited(inHand, edits.renameFont('Hand', 'Pen'));
    expect([family(renamed), drawnStyles(renamed).at(-1)?.family]).toEqual(['Pen', 'abc']);
    expect(edited(renamed, edits.addFonts([{ name: 'Pen', content: 'new' }])).fonts).toEqual([
      { name: 'Pen', content: 'new' },
    ]);
  });

  test('a style of one that is taken out is drawn in the faces of every project', () => {
    const without = edited(inHand, edits.removeFont('Hand'));
    expect([family(without), without.fonts]).toEqual([undefined, undefined]);
    const { fonts: _, ...lost } = inHand;
    expect(brokenReferences(lost)).toMatchObject([{ code: 'font-unknown', severity: 'warning' }]);
    expect(drawnStyles(lost).at(-1)?.family).toBeUndefined();
  });
});

describe('colours', () => {
  const bound = { expr: 'price.length > 4 ? "woad" : "#b00"' };
  const coloured = edited(
    shop(),
    edits.addColour({ name: 'brick', light: '#aa3311', dark: '#ff9977' }),
    edits.set({ template: 'stock-plain', part: 'fixed', property: 'colour' }, 'brick'),
    edits.bind({ template: 'stock-plain', part: 'followed', property: 'colour' }, bound),
    edits.set({ template: 'stock-plain', part: 'row', property: 'background' }, 'soft'),
  );
  const colourAt = ({ templates }: Project, part: string, property = 'colour') => {
    const own = templates[0] && partWithId(templates[0].row, part);
    return own && propertyOf(own, property);
  };

  test('a new name is followed by parts, expressions and text styles', () => {
    const renamed = edited(
      coloured,
      edits.renameColour('brick', 'clay'),
      edits.renameColour('woad', 'sea'),
      edits.renameColour('soft', 'felt'),
      edits.renameColour('ash', 'smoke'),
    );
    expect(colourAt(renamed, 'fixed')).toBe('clay');
    expect(colourAt(renamed, 'followed')).toEqual({ expr: bound.expr.replace('woad', 'sea') });
    expect(colourAt(renamed, 'row', 'background')).toBe('felt');
    expect(stylesOf(renamed).find(({ name }) => name === 'small')?.colour).toBe('smoke');
    expect(renamed.templates.flatMap((each) => problemsIn(renamed, each))).toEqual([]);
    expect(brokenReferences(renamed)).toEqual([]);
  });

  test('what had one that is removed says nothing of it; styles take the first of the others', () => {
    const without = edited(coloured, edits.removeColour('brick'), edits.removeColour('ink'));
    expect(colourAt(without, 'fixed')).toBeUndefined();
    expect(stylesOf(without)[0]?.colour).toBe('ash');
    expect(brokenReferences(without)).toEqual([]);
  });

  test('a name that nobody has is told of, where it stands and in styles', () => {
    const lost = edited(
      coloured,
      edits.set({ template: 'stock-plain', part: 'row', property: 'background' }, 'sof'),
      edits.bind(
        { template: 'stock-plain', part: 'followed', property: 'colour' },
        {
          expr: 'name == "" ? "wod" : "#fff"',
        },
      ),
    );
    const [template] = lost.templates;
    expect(template && problemsIn(lost, template)).toMatchObject([
      { code: 'look-unknown', hint: 'Did you mean soft?', place: { property: 'background' } },
      { code: 'word-unknown', place: { property: 'colour', from: 13, to: 18 } },
    ]);
    const styles = edited(coloured, edits.changeStyle('low', { colour: 'gone' }));
    expect(brokenReferences(styles)).toMatchObject([{ code: 'look-unknown' }]);
  });

  test.each([
    [
      edits.addColour({ name: 'ink', light: '#000000', dark: '#ffffff' }),
      'There is a colour "ink"',
    ],
    [edits.renameColour('ink', 'ash'), 'There is a colour "ash"'],
    [edits.renameColour('ink', ' '), 'A colour needs a name'],
    [edits.changeColour('gone', { light: '#000000' }, 'x'), 'There is no colour "gone"'],
  ])('%#: is refused in words', (edit, words) => {
    const made = edit.apply(coloured);
    expect(made.ok ? '' : made.error).toContain(words);
  });
});

describe('what a kind of part names though nobody said it', () => {
  const place = { template: 'stock-plain', part: 'mark' };
  const badged = edited(
    shop(),
    edits.insert(
      'stock-plain',
      { beside: 'title', side: 'after' },
      {
        ...{ part: 'badge', id: 'mark', text: { expr: 'name' } },
      },
    ),
    edits.insert(
      'stock-plain',
      { beside: 'title', side: 'after' },
      {
        ...{ part: 'label', id: 'plain', text: { expr: 'name' } },
      },
    ),
  );
  const saidBy = ({ templates }: Project, part: string, property: string) => {
    const own = templates[0] && partWithId(templates[0].row, part);
    return own && propertyOf(own, property);
  };

  test('is among the uses, and follows a new name', () => {
    expect(usesOfName(badged, 'colour', 'madder')).toContainEqual({ ...place, property: 'tint' });
    expect(usesOfName(badged, 'style', 'body')).toContainEqual({
      ...{ template: 'stock-plain', part: 'plain', property: 'style' },
    });
    const renamed = edited(
      badged,
      edits.renameColour('madder', 'brick'),
      edits.renameStyle('body', 'running'),
    );
    expect(saidBy(renamed, 'mark', 'tint')).toBe('brick');
    expect(saidBy(renamed, 'plain', 'style')).toBe('running');
  });

  test('is the first of the others once it is removed; nothing is drawn in no colour', () => {
    const without = edited(badged, edits.removeColour('madder'), edits.removeStyle('body'));
    expect(saidBy(without, 'mark', 'tint')).toBe('ink');
    expect(saidBy(without, 'plain', 'style')).toBe('title');
    const none = edited(badged, edits.set({ ...place, property: 'tint' }, undefined));
    const [template] = none.templates;
    const tokens = {
      styles: neutralStyles,
      colours: [{ name: 'x', light: '#000000', dark: '#ffffff' }],
      spacing: [],
    };
    const plan = template && rowPlanOf(template, tokens);
    expect(JSON.stringify(plan?.row)).toContain('"tint":"x"');
  });
});

describe('a set to start from', () => {
  test.each(startingSets.map((each) => [each.name, each] as const))(
    '%s has all names that projects begin with, and texts that can be read in both schemes',
    (_, { styles, colours }) => {
      const names = (all: readonly { readonly name: string }[]) => all.map(({ name }) => name);
      expect(names(styles)).toEqual(names(neutralStyles));
      expect(names(colours)).toEqual(names(neutralColours));
      const behind = colours.filter(({ name }) => ['ground', 'soft'].includes(name));
      for (const { name, ...of } of colours) {
        if (['ground', 'soft', 'rule'].includes(name)) continue;
        for (const ground of behind)
          for (const scheme of ['light', 'dark'] as const)
            expect([
              ...[name, ground.name, scheme],
              (contrastOn(of[scheme], [ground[scheme]]) ?? 0) >= 4.5,
            ]).toEqual([name, ground.name, scheme, true]);
      }
    },
  );

  test('changes what has its names, and leaves what has others', () => {
    const own = edited(
      shop(),
      edits.addColour({ name: 'brick', light: '#aa3311', dark: '#ee8866' }),
    );
    const [, slate] = startingSets;
    if (slate === undefined) throw new Error('there are several');
    const after = edited(own, edits.takeSet(slate));
    expect(coloursOf(after).find(({ name }) => name === 'brick')?.light).toBe('#aa3311');
    expect(coloursOf(after).find(({ name }) => name === 'ink')).toEqual(
      slate.colours.find(({ name }) => name === 'ink'),
    );
    expect(after.templates).toEqual(own.templates);
  });
});

describe('spacing steps', () => {
  /** A row whose gap and padding are named. */
  const spaced = () =>
    edited(
      shop(),
      edits.set({ template: 'stock-plain', part: 'row', property: 'gap' }, 'large'),
      edits.set({ template: 'stock-plain', part: 'row', property: 'padding' }, 'wide'),
    );
  const lengths = (project: Project) => {
    const [template] = project.templates;
    const values = template && rowPlanOf(template, tokensOf(project)).row.values;
    return [values?.['gap'], values?.['padding']];
  };
  const all = (px: number) => ({ start: px, end: px, top: px, bottom: px });

  test('are lengths for all that names them, changed in one place', () => {
    expect(lengths(spaced())).toEqual([12, all(16)]);
    const changed = edited(spaced(), edits.changeStep('large', 10), edits.changeStep('wide', 20));
    expect(lengths(changed)).toEqual([10, all(20)]);
    expect(usesOfName(changed, 'spacing', 'large')).toEqual([
      { template: 'stock-plain', part: 'row', property: 'gap' },
    ]);
  });

  test('are followed under another name; what named one that is removed keeps its length', () => {
    const renamed = edited(spaced(), edits.renameStepOf('large', 'roomy'));
    expect(lengths(renamed)).toEqual([12, all(16)]);
    expect(usesOfName(renamed, 'spacing', 'roomy')).toHaveLength(1);
    const removed = edited(renamed, edits.removeStep('roomy'), edits.removeStep('wide'));
    expect(lengths(removed)).toEqual([12, all(16)]);
    expect(usesOfName(removed, 'spacing', 'roomy')).toEqual([]);
    expect(edits.renameStepOf('hair', 'small').apply(removed).ok).toBe(false);
    expect(edits.renameStepOf('hair', ' ').apply(removed).ok).toBe(false);
    expect(edits.addStep({ name: 'small', px: 1 }).apply(removed).ok).toBe(false);
  });

  test('a name that no step has is told of, and is as if nothing were said', () => {
    const lost = edited(
      shop(),
      edits.set({ template: 'stock-plain', part: 'row', property: 'gap' }, 'gone'),
    );
    const [template] = lost.templates;
    expect(template && problemsIn(lost, template).map(({ code }) => code)).toContain(
      'look-unknown',
    );
    expect(lengths(lost)[0]).toBe(0);
  });

  test('are in the file, with what names them', async () => {
    const project = edited(spaced(), edits.addStep({ name: 'huge', px: 48 }));
    const file = [...writeProject(project, new Map([['stock', []]]))].join('');
    const read = await readProject(file, 'x.yarncard.json');
    expect(read.ok && read.value.project).toEqual(project);
  });
});
