import { freeId } from '../../base';
import { type Format, type NamedFormat, proposeFormats } from '../../formats';
import type { Item } from '../../items';
import {
  type Binding,
  draftImage,
  draftLabel,
  draftStack,
  kinds,
  nameAfter,
  type StackPart,
  type StandingPart,
} from '../../templates';
import { type Field, pathText } from '../../values';
import type { ItemType, Project } from '../project';
import { type Candidate, type Roles, rolesOf } from './roles';

/** A row, or a card for a grid, as it may be for the items of a type. */
export interface Draft {
  readonly name: string;
  readonly about: string;
  readonly row: StackPart;
  /** What the row writes values with and the project does not have yet. */
  readonly formats: readonly NamedFormat[];
}

/** Three rows and a card, by what the fields of a type are and what some of its items have in them. */
export function draftsFor(
  project: Project,
  type: ItemType,
  items: readonly Item[],
): readonly Draft[] {
  const roles = rolesOf(type, items, discriminatorsIn(project, type));
  return [plain, withPicture, detailed, card].map((make) => {
    const formats = new Formats(project.formats ?? [], type.fields);
    const { name, about, parts } = make(roles, formats);
    return { name, about, row: parts, formats: formats.added };
  });
}

const discriminatorsIn = ({ sources }: Project, { source }: ItemType): readonly string[] =>
  sources.flatMap(({ id, key, discriminator }) => {
    if (id !== source) return [];
    return [
      ...(typeof key === 'string' ? [key] : []),
      ...(discriminator === null ? [] : [discriminator]),
    ];
  });

/** The formats that rows write with: the project's own where it has such a one. */
class Formats {
  readonly added: NamedFormat[] = [];

  constructor(
    private readonly known: readonly NamedFormat[],
    private readonly fields: readonly Field[],
  ) {}

  /** The value as it is written, with what stands in where it is missing. */
  bound({ field, path, isMissing }: Candidate, standIn: string | null): Binding {
    const id = field.type === 'text' ? undefined : this.idFor(field, path);
    return {
      expr: pathText(path),
      ...(id !== undefined && { format: id }),
      ...(isMissing && { else: standIn }),
    };
  }

  private idFor(field: Field, path: readonly string[]): string | undefined {
    const [proposal] = proposeFormats(path, field, this.fields);
    if (proposal === undefined) return undefined;
    const wanted = JSON.stringify(proposal.format);
    const all = [...this.known, ...this.added];
    const own = all.find((format) => JSON.stringify(bare(format)) === wanted);
    if (own !== undefined) return own.id;
    const id = freeId(
      nameAfter({ expr: pathText([proposal.name]) }, 'format'),
      all.map((each) => each.id),
    );
    this.added.push({ id, name: proposal.name, ...proposal.format });
    return id;
  }
}

const bare = ({ id: _, name: __, ...format }: NamedFormat): Format => format;

interface Made {
  readonly name: string;
  readonly about: string;
  readonly parts: StackPart;
}

const rowPadding = { start: 16, end: 16, top: 10, bottom: 10 } as const;

/** Each part is called after what it shows, and is there if that is. */
class Names {
  private readonly taken = new Set(['row', 'words', 'figures']);

  label(
    of: Candidate | undefined,
    binding: Binding,
    style: string,
    share = false,
  ): readonly StandingPart[] {
    if (of === undefined) return [];
    return [draftLabel(this.free(binding, 'label'), binding, style, share ? { share: 1 } : 'fit')];
  }

  free(binding: Binding, otherwise: string): string {
    const id = freeId(nameAfter(binding, otherwise), this.taken);
    this.taken.add(id);
    return id;
  }
}

const titleBinding = ({ title }: Roles, formats: Formats): Binding =>
  title === undefined ? 'No field to show' : formats.bound(title, '—');

function titleLabel(roles: Roles, formats: Formats, names: Names): ReturnType<typeof draftLabel> {
  const binding = titleBinding(roles, formats);
  return draftLabel(names.free(binding, 'title'), binding, 'title', { share: 1 });
}

function valueLabel({ value }: Roles, formats: Formats, names: Names): readonly StandingPart[] {
  return value === undefined ? [] : names.label(value, formats.bound(value, '—'), 'value');
}

function smallLabel(
  of: Candidate | undefined,
  formats: Formats,
  names: Names,
): readonly StandingPart[] {
  return of === undefined ? [] : names.label(of, formats.bound(of, null), 'small', true);
}

function badgeFor({ badge }: Roles, formats: Formats, names: Names): readonly StandingPart[] {
  if (badge === undefined) return [];
  const binding = formats.bound(badge, null);
  return [
    {
      ...kinds.badge.draft(names.free(binding, 'badge'), binding, 'beside'),
      tint: 'soft',
      colour: 'ink',
    },
  ];
}

function imageFor({ picture }: Roles, names: Names): readonly StandingPart[] {
  if (picture === undefined) return [];
  const expr = pathText(picture.path);
  return [draftImage(names.free({ expr }, 'image'), { expr })];
}

function plain(roles: Roles, formats: Formats): Made {
  const names = new Names();
  const children = [titleLabel(roles, formats, names), ...valueLabel(roles, formats, names)];
  return {
    name: 'plain',
    about: 'One line: what it is called, and a value at the end',
    parts: { ...draftStack('row', 'across', children), padding: rowPadding },
  };
}

function withPicture(roles: Roles, formats: Formats): Made {
  const names = new Names();
  const image = imageFor(roles, names);
  const words = draftStack('words', 'down', [
    titleLabel(roles, formats, names),
    ...smallLabel(roles.second, formats, names),
  ]);
  const children = [...image, words, ...valueLabel(roles, formats, names)];
  return {
    name: image.length > 0 ? 'with picture' : 'two lines',
    about: 'Two lines, the picture before them, a value at the end',
    parts: { ...draftStack('row', 'across', children), padding: rowPadding },
  };
}

function detailed(roles: Roles, formats: Formats): Made {
  const names = new Names();
  const image = imageFor(roles, names);
  const title = { ...titleLabel(roles, formats, names), lines: 2 };
  const words = draftStack('words', 'down', [
    title,
    ...smallLabel(roles.second, formats, names),
    ...smallLabel(roles.third, formats, names),
  ]);
  const figures = [...valueLabel(roles, formats, names), ...badgeFor(roles, formats, names)];
  const end =
    figures.length < 2
      ? figures
      : [{ ...draftStack('figures', 'down', figures, 'fit'), gap: 4, align: 'end' as const }];
  return {
    name: 'detailed',
    about: 'Title of two lines, what else there is beneath, value and badge at the end',
    parts: {
      ...draftStack('row', 'across', [...image, words, ...end]),
      align: 'start',
      padding: rowPadding,
    },
  };
}

function card(roles: Roles, formats: Formats): Made {
  const names = new Names();
  const image = imageFor(roles, names).map(
    (part): StandingPart =>
      part.part === 'image'
        ? { ...part, width: { share: 1 }, height: { fixed: 120 }, radius: 6 }
        : part,
  );
  const last = [...valueLabel(roles, formats, names), ...badgeFor(roles, formats, names)];
  const children: readonly StandingPart[] = [
    ...image,
    { ...titleLabel(roles, formats, names), lines: 2 },
    ...smallLabel(roles.second, formats, names),
    ...(last.length < 2
      ? last
      : [{ ...draftStack('figures', 'across', last), distribute: 'between' as const }]),
  ];
  return {
    name: 'card',
    about: 'A cell of a grid: the picture above, words and figures beneath',
    parts: {
      ...draftStack('row', 'down', children),
      gap: 6,
      padding: { start: 12, end: 12, top: 12, bottom: 12 },
    },
  };
}
