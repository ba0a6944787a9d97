import { isRecord, type Json, ownValue } from '../../../../core/base';
import { type Edit, edits, freePartId } from '../../../../core/project';
import {
  allKinds,
  draftStack,
  insertedKinds,
  kinds,
  type Landing,
  labelAround,
  likelyPart,
  nameAfter,
  prefixOf,
  type SharedPart,
  type StandingPart,
} from '../../../../core/templates';
import { type Field, fieldAtPath, isShowable, pathText, shown } from '../../../../core/values';
import { useSession } from '../../../shared/session/session';
import { fieldsSeen, pathsShown, type Selection } from '../selection';

/** Something that can be put into a row. */
export interface NewPart {
  readonly key: string;
  readonly words: string;
  readonly about: string;
  /** The value that the item at hand has there. */
  readonly hint?: string;
  /** Where it lands; undefined: it has a place of its own. */
  readonly edit: (landing: Landing) => Edit | string;
  /** Where it most likely goes; undefined: it has a place of its own. */
  readonly likely: Landing | undefined;
}

/** All that can come in beside the selected part, fed by the next value that nothing shows yet. */
export function newParts(selection: Selection): readonly NewPart[] {
  const { part, template, project } = selection;
  const label = part.part === 'label' ? part.id : labelAround(template.row, part.id)?.id;
  const under: Landing = { beside: part.id, side: 'below' };
  const atStart: Landing = { beside: template.row.id, side: 'before' };
  const atEnd: Landing = { beside: template.row.id, side: 'after' };
  const put = (made: (landing: Landing) => StandingPart) => (landing: Landing) =>
    edits.insert(template.id, landing, made(landing));
  return [
    ...insertedKinds().map((kind) => ({
      key: kind.part,
      words: kind.part,
      about: kind.about,
      edit: put((landing) => newOfKind(selection, kind.part, landing)),
      likely: kind.part === 'image' ? atStart : under,
    })),
    ...(label === undefined
      ? []
      : [
          {
            key: 'run',
            words: 'run',
            about: `Words that go on in ${label}, with a look of their own`,
            edit: () => edits.addRunTo(template.id, label, newRun(selection, label)),
            likely: undefined,
          },
        ]),
    ...(project.sharedParts ?? []).map((shared) => ({
      key: `shared ${shared.id}`,
      words: shared.name,
      about: 'A part that the project keeps',
      edit: put(() => newUse(selection, shared)),
      likely: under,
    })),
    ...listsOf(selection).map((field) => ({
      key: `each ${field.name}`,
      words: `each of ${field.name}`,
      about: 'Parts for each element of the list',
      edit: put(() => newRepeated(selection, field)),
      likely: under,
    })),
    ...valuesOf(selection).map(({ path, field }) => ({
      key: `value ${pathText(path)}`,
      words: path.join(' › '),
      about: 'A part that shows this value',
      hint: shownAt(path),
      edit: (landing: Landing) => newForPath(selection, path, landing),
      likely: isImage(field) ? atStart : isFigure(field) ? atEnd : under,
    })),
  ];
}

/** The values that a part beside the selected one could show, those in records too. */
function valuesOf(selection: Selection) {
  const fields = fieldsSeen(selection, { part: selection.part.id, property: '' });
  return fields.flatMap((field) =>
    field.type === 'record'
      ? field.fields.map((inner) => ({ path: [field.name, inner.name], field: inner }))
      : [{ path: [field.name], field }],
  );
}

/** As the item at hand has it. */
function shownAt(path: readonly string[]): string {
  let found: Json | undefined = useSession.getState().atHand?.value;
  for (const step of path) found = isRecord(found) ? ownValue(found, step) : undefined;
  return shown(found ?? undefined).replace(/^"|"$/g, '');
}

const isFigure = ({ type }: Field): boolean => type === 'number' || type === 'integer';

function isImage(field: Field): boolean {
  const sample = ownValue(useSession.getState().atHand?.value ?? {}, field.name);
  return likelyPart(field, typeof sample === 'string' ? sample : undefined) === 'image';
}

/** A use of a shared part: inputs are fed by values of their names. */
function newUse(selection: Selection, { id: of, inputs }: SharedPart): StandingPart {
  const { part, template } = selection;
  const fields = fieldsSeen(selection, { part: part.id, property: '' });
  const fed = inputs.flatMap(({ name }) =>
    fields.some((field) => field.name === name)
      ? [[name, { expr: pathText([name]) }] as const]
      : [],
  );
  return {
    ...{ part: 'shared', id: freePartId(template, part.id, of), of },
    ...(fed.length > 0 && { inputs: Object.fromEntries(fed) }),
  };
}

const targetOf = (landing: Landing): string =>
  'within' in landing ? landing.within : landing.beside;

const isUnder = (landing: Landing): boolean =>
  'side' in landing && (landing.side === 'below' || landing.side === 'above');

function newOfKind(selection: Selection, kind: string, landing: Landing): StandingPart {
  return drafted(selection, kind, nextUnused(selection, targetOf(landing), kind), landing);
}

/** A new part for a value that is dropped: an image or a label, by its type, name and values. */
export function newForPath(
  selection: Selection,
  path: readonly string[],
  landing: Landing,
): Edit | string {
  const field = fieldAtPath(selection.type?.fields ?? [], path);
  if (field === undefined) return 'There is no such value.';
  const kind = isImage(field) ? 'image' : 'label';
  return edits.insert(selection.template.id, landing, drafted(selection, kind, path, landing));
}

function drafted(
  selection: Selection,
  kind: string,
  path: readonly string[] | undefined,
  landing: Landing,
): StandingPart {
  const { id, binding } = named(selection, targetOf(landing), kind, path);
  const drafting = insertedKinds().find(({ part }) => part === kind) ?? kinds.label;
  return drafting.draft(id, binding, isUnder(landing) ? 'under' : 'beside');
}

/** What a new part is called, and what feeds it. */
function named(
  { template }: Selection,
  beside: string,
  kind: string,
  path: readonly string[] | undefined,
) {
  const binding = path === undefined ? 'New words' : { expr: pathText(path) };
  return { id: freePartId(template, beside, nameAfter(binding, kind)), binding };
}

type ListField = Field & { readonly type: 'list' };

const listsOf = (selection: Selection): readonly ListField[] =>
  fieldsSeen(selection, { part: selection.part.id, property: '' }).filter(
    (field): field is ListField => field.type === 'list',
  );

/** A stack that stands for the elements of a list, each with what tells most of it. */
function newRepeated(selection: Selection, { name, of }: ListField): StandingPart {
  const { part, template } = selection;
  const inner = of.type === 'record' ? of.fields.find(isShowable) : undefined;
  const expr = inner === undefined ? 'each' : `each${inPath(inner.name)}`;
  const own = freePartId(template, part.id, nameAfter({ expr }, 'each'));
  const badge = { ...kinds.badge.draft(own, { expr }, 'beside'), tint: 'soft', colour: 'ink' };
  const stack = draftStack(named(selection, part.id, 'stack', [name]).id, 'across', [badge], 'fit');
  return {
    ...stack,
    ...{ gap: 4, over: { expr: pathText([name]) }, more: { expr: '`+${rest}`' } },
  };
}

const inPath = (name: string): string => pathText(['each', name]).slice('each'.length);

/** A run for the next value that nothing shows yet. */
function newRun(selection: Selection, label: string) {
  const { id, binding } = named(selection, label, 'run', nextUnused(selection, label, 'run'));
  return kinds.run.draft(id, binding, 'beside');
}

/** The first showable field that no part reads yet; for an image, one whose name speaks of pictures. */
function nextUnused(
  selection: Selection,
  beside: string,
  kind: string,
): readonly string[] | undefined {
  const fields = fieldsSeen(selection, { part: beside, property: '' });
  const used = new Set(pathsShown(selection, prefixOf(beside)).map((path) => path[0]));
  const { project } = selection;
  const source = project.sources.find((each) => each.id === selection.type?.source);
  const free = fields.filter((field) => isShowable(field) && !used.has(field.name));
  const telling = free.filter(
    (field) => field.name !== source?.key && field.name !== source?.discriminator,
  );
  const named = (field: Field | undefined) => (field === undefined ? undefined : [field.name]);
  if (kind === 'image') return named(free.find(isPicture));
  const shown = allKinds().find(({ part }) => part === kind);
  if (shown?.shows === undefined) return undefined;
  const declared = ownValue(shown.properties, shown.shows);
  if (declared?.kind === 'condition') return named(free.find(({ type }) => type === 'boolean'));
  if (declared?.kind === 'number') return named(free.find(({ type }) => type === 'number'));
  if (declared?.kind === 'colour') return named(free.find(({ name }) => /colou?r|hex/i.test(name)));
  const words = telling.filter((field) => !isPicture(field));
  const first = words[0] ?? free[0];
  return first === undefined ? undefined : [first.name];
}

const isPicture = (field: Field): boolean => likelyPart(field, undefined) === 'image';
