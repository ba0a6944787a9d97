import { failed, isRecord, ok, placesInJson, type TextSpan } from '../../base';
import { type Part, partsOf, type StackPart, type Template } from '../../templates';
import type { Edit } from '../edits/edit';
import { editById, type Project, withId } from '../project';

/** A template's piece of the project file. */
export const templateText = ({ id, name, type, row }: Template): string =>
  JSON.stringify({ id, name, type, row }, null, 2);

/** What a text says a template's row is, or what is wrong with it, and where. */
export type TemplateRead =
  | { readonly row: StackPart; readonly name: string }
  | { readonly why: string; readonly span: TextSpan };

export async function readTemplateText(text: string): Promise<TemplateRead> {
  const read = placesInJson(text);
  if (!('value' in read)) return { why: read.message, span: { from: read.at, to: read.at + 1 } };
  const { value, places } = read;
  const whole = { from: 0, to: text.length };
  if (!isRecord(value)) return { why: 'A template is an object in braces.', span: whole };
  const { heldTemplate } = await import('./piece-shape');
  const held = heldTemplate(value);
  if (!held.ok) return { why: held.error.why, span: spanAt(places, held.error.path) ?? whole };
  const twice = firstTwice([...partsOf(held.value.row)]);
  if (twice !== undefined)
    return { why: `Two parts are called ${twice}.`, span: partSpan(text, twice) ?? whole };
  return { row: held.value.row, name: held.value.name };
}

/** Where a path stands, or what is around it. */
function spanAt(places: ReadonlyMap<string, TextSpan>, path: string): TextSpan | undefined {
  for (let part = path; part !== ''; part = part.replace(/\.?[^.[]+$|\[[^[]*$/, '')) {
    const own = places.get(part);
    if (own !== undefined) return own;
  }
  return places.get('');
}

function firstTwice(parts: readonly Part[]): string | undefined {
  const known = new Set<string>();
  for (const { id } of parts) {
    if (known.has(id)) return id;
    known.add(id);
  }
  return undefined;
}

/** All parts of a text that reads, the innermost last, with where they stand. */
function partsIn(text: string): readonly { readonly id: string; readonly span: TextSpan }[] {
  const read = placesInJson(text);
  if (!('value' in read)) return [];
  return [...read.places].flatMap(([path, span]) => {
    const id = /^row(?:\.children\[\d+\]|\.runs\[\d+\])*$/.test(path)
      ? read.places.get(`${path}.id`)
      : undefined;
    return id === undefined ? [] : [{ id: text.slice(id.from + 1, id.to - 1), span }];
  });
}

/** Where a part stands in a template's text; undefined: nowhere, or the text does not read. */
export const partSpan = (text: string, id: string): TextSpan | undefined =>
  partsIn(text).find((part) => part.id === id)?.span;

/** The innermost part around a place in the text. */
export function partAtPlace(text: string, at: number): string | undefined {
  const around = partsIn(text).filter(({ span }) => span.from <= at && at <= span.to);
  return around.toSorted((a, b) => a.span.to - a.span.from - (b.span.to - b.span.from))[0]?.id;
}

/** A template as its text has it; `joins`: the typing that it belongs to. */
export function writeTemplate(
  id: string,
  { row, name }: { readonly row: StackPart; readonly name: string },
  joins: string,
): Edit {
  return {
    name: `Write template ${id}`,
    joins,
    apply(project: Project) {
      const own = withId(project.templates, id);
      if (own === undefined) return failed(`There is no template "${id}".`);
      if (JSON.stringify([own.row, own.name]) === JSON.stringify([row, name])) return ok(project);
      return ok({
        ...project,
        templates: editById(project.templates, id, () => ({ ...own, row, name })),
      });
    },
  };
}
