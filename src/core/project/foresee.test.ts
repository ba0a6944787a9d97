import { describe, expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { atOnce } from '../base';
import { infer } from '../items';
import { slotsOf } from '../templates';
import { edits } from './edits';
import { foresee, withMends } from './foresee';
import { makeProject } from './make';
import type { Project } from './project';

const shop = [
  { id: 'a', name: 'Lace', names: 'Laces', maker: { town: 'Ousby' } },
  { id: 'b', name: 'Sock', names: 'Socks', maker: { town: 'Ings' } },
];

function shopShowing(expr: string): Project {
  const project = makeProject(
    'stock.json',
    { format: 'json', at: '$[*]', items: shop },
    atOnce(infer(shop, 'stock')),
  );
  const [template] = project.templates;
  const part = (template && slotsOf(template.row)[0]?.part) ?? '';
  const place = { template: template?.id ?? '', part, property: 'text' } as const;
  return edited(project, edits.bind(place, { expr }));
}

const placeOf = (project: Project, ...path: string[]) => ({
  type: project.types[0]?.id ?? '',
  path,
});

describe('what an edit makes wrong', () => {
  test('is known before it is made: the reader of a field that is retyped', () => {
    const project = shopShowing('maker.town');
    const edit = edits.retypeField(placeOf(project, 'maker'), 'text');
    expect(foresee(project, edit)).toMatchObject({
      value: [{ place: { in: 'part', property: 'text' } }],
    });
  });

  test('is nothing where nobody reads what changes, or it was wrong before', () => {
    const project = shopShowing('nmae');
    expect(foresee(project, edits.removeField(placeOf(project, 'maker')))).toEqual({
      ok: true,
      value: [],
    });
  });

  test('can be mended in the same step', () => {
    const project = shopShowing('names');
    const after = edited(project, withMends(edits.removeField(placeOf(project, 'names'))));
    const [template] = after.templates;
    expect(template && slotsOf(template.row)[0]?.binding).toEqual({ expr: 'name' });
  });

  test('cannot be told of an edit that is refused', () => {
    const project = shopShowing('name');
    expect(foresee(project, edits.mergeTypes(project.sources[0]?.id ?? ''))).toMatchObject({
      ok: false,
    });
  });
});
