import Trash2 from 'lucide-react/icons/trash-2';
import { ownValue } from '../../../core/base';
import { type Edit, edits, freePartId } from '../../../core/project';
import {
  allKinds,
  draftStack,
  insertedKinds,
  kinds,
  labelAround,
  likelyPart,
  prefixOf,
  type SharedPart,
  type Side,
  type StandingPart,
} from '../../../core/templates';
import { type Field, fieldAtPath, isShowable, pathText } from '../../../core/values';
import { Button, MenuButton } from '../../shared/controls/controls';
import { make, whyNot } from '../../shared/session/editing';
import { goWithin } from '../../shared/session/route';
import { useSession } from '../../shared/session/session';
import { fieldsSeen, pathsShown, type Selection } from './selection';

const sides: readonly (readonly [Side, where: string])[] = [
  ['below', 'under'],
  ['above', 'above'],
  ['before', 'before'],
  ['after', 'after'],
];

/** Labels and images are put anywhere at once; others are few in a row. */
const sidesOf = (kind: string) =>
  kind === 'label' || kind === 'image'
    ? sides
    : sides.filter(([side]) => side === 'below' || side === 'after');

const sentence = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1);

/** New parts beside and under the selected one, fed by the next value that nothing shows yet. */
export function InsertMenu({ selection }: { readonly selection: Selection }) {
  const { part, template } = selection;
  const label = part.part === 'label' ? part.id : labelAround(template.row, part.id)?.id;
  const name = part.id === template.row.id ? 'the row' : part.id;
  const entries = insertedKinds().flatMap((kind) =>
    sidesOf(kind.part).map(([side, where]) => ({
      words: `${sentence(kind.part)} ${where} ${name}`,
      side,
      kind: kind.part,
    })),
  );
  return (
    <MenuButton
      words="Insert"
      entries={[
        ...entries.map(({ words, side, kind }) => ({
          words,
          onChoose: () => insertNew(selection, part.id, side, kind),
        })),
        ...(label === undefined
          ? []
          : [{ words: `Run at the end of ${label}`, onChoose: () => addRun(selection, label) }]),
        ...sharedEntries(selection, name),
        ...listsOf(selection).map((field) => ({
          words: `${sentence(field.name)}, each under ${name}`,
          onChoose: () => insertRepeated(selection, field),
        })),
        {
          words: 'Value at the end of the row',
          onChoose: () => insertNew(selection, template.row.id, 'after', 'label'),
        },
        {
          words: 'Image at the start of the row',
          onChoose: () => insertNew(selection, template.row.id, 'before', 'image'),
        },
      ]}
    />
  );
}

export function RemoveButton({ selection }: { readonly selection: Selection }) {
  const { part, template } = selection;
  const edit: Edit = edits.remove({ template: template.id, parts: [part.id] });
  const why = whyNot(edit);
  return (
    <Button
      label={part.id === template.row.id ? 'The row itself stays' : `Remove ${part.id}`}
      isDisabled={why !== undefined}
      onPress={() => {
        if (make(edit) === undefined) goWithin({ part: undefined }, 'replace');
      }}
    >
      <Trash2 size={14} aria-hidden="true" />
    </Button>
  );
}

/** Each shared part under and after the selected one. */
const sharedEntries = (selection: Selection, beside: string) =>
  (selection.project.sharedParts ?? []).flatMap((shared) =>
    sidesOf('shared').map(([side, where]) => ({
      words: `Shared part ${shared.name} ${where} ${beside}`,
      onChoose: () => insertShared(selection, shared, side),
    })),
  );

/** A use of a shared part: inputs are fed by values of their names. */
function insertShared(selection: Selection, { id: of, inputs }: SharedPart, side: Side): void {
  const { part, template } = selection;
  const fields = fieldsSeen(selection, { part: part.id, property: '' });
  const fed = inputs.flatMap(({ name }) =>
    fields.some((field) => field.name === name)
      ? [[name, { expr: pathText([name]) }] as const]
      : [],
  );
  insert(selection, part.id, side, {
    ...{ part: 'shared', id: freePartId(template, part.id, of), of },
    ...(fed.length > 0 && { inputs: Object.fromEntries(fed) }),
  });
}

/** A new part for a value that was dropped: an image or a label, by its type, name and values. */
export function insertPath(
  selection: Selection,
  anchor: string,
  side: Side,
  path: readonly string[],
): void {
  const field = fieldAtPath(selection.type?.fields ?? [], path);
  if (field === undefined) return;
  const sample = ownValue(useSession.getState().atHand?.value ?? {}, field.name);
  const kind = likelyPart(field, typeof sample === 'string' ? sample : undefined);
  insert(selection, anchor, side, drafted(selection, anchor, { kind, path, side }));
}

function insertNew(selection: Selection, anchor: string, side: Side, kind: string): void {
  const path = nextUnused(selection, anchor, kind);
  insert(selection, anchor, side, drafted(selection, anchor, { kind, path, side }));
}

function insert({ template }: Selection, anchor: string, side: Side, part: StandingPart): void {
  if (make(edits.insert(template.id, { beside: anchor, side }, part)) === undefined)
    goWithin({ part: prefixOf(anchor) + part.id }, 'replace');
}

interface Draft {
  readonly kind: string;
  readonly path: readonly string[] | undefined;
  readonly side: Side;
}

function drafted(selection: Selection, anchor: string, { kind, path, side }: Draft): StandingPart {
  const { id, binding } = named(selection, anchor, kind, path);
  const where = side === 'below' || side === 'above' ? 'under' : 'beside';
  const drafting = insertedKinds().find(({ part }) => part === kind) ?? kinds.label;
  return drafting.draft(id, binding, where);
}

/** What a new part is called, and what feeds it. */
function named(
  { template }: Selection,
  anchor: string,
  kind: string,
  path: readonly string[] | undefined,
) {
  const last =
    path
      ?.at(-1)
      ?.toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^[^a-z]+|-+$/g, '') ?? '';
  const id = freePartId(template, anchor, last === '' ? kind : last);
  return { id, binding: path === undefined ? 'New words' : { expr: pathText(path) } };
}

type ListField = Field & { readonly type: 'list' };

const listsOf = (selection: Selection): readonly ListField[] =>
  fieldsSeen(selection, { part: selection.part.id, property: '' }).filter(
    (field): field is ListField => field.type === 'list',
  );

/** A stack that stands for the elements of a list, each with what tells most of it. */
function insertRepeated(selection: Selection, { name, of }: ListField): void {
  const { part } = selection;
  const inner = of.type === 'record' ? of.fields.find(isShowable) : undefined;
  const expr = inner === undefined ? 'each' : `each${inPath(inner.name)}`;
  const { id } = named(selection, part.id, 'badge', [name, 'each']);
  const badge = { ...kinds.badge.draft(id, { expr }, 'beside'), tint: 'soft', colour: 'ink' };
  const stack = draftStack(named(selection, part.id, 'stack', [name]).id, 'across', [badge], 'fit');
  insert(selection, part.id, 'below', {
    ...stack,
    ...{ gap: 4, over: { expr: pathText([name]) }, more: { expr: '`+${rest}`' } },
  });
}

const inPath = (name: string): string => pathText(['each', name]).slice('each'.length);

/** Has the selected label, or that of the selected run, go on with the next value that nothing shows yet. */
function addRun(selection: Selection, label: string): void {
  const { template } = selection;
  const { id, binding } = named(selection, label, 'run', nextUnused(selection, label, 'run'));
  if (
    make(edits.addRunTo(template.id, label, kinds.run.draft(id, binding, 'beside'))) === undefined
  )
    goWithin({ part: prefixOf(label) + id }, 'replace');
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
