import { actionsNamed, gestures } from '../../actions';
import { itemOptions, type NamedFormat } from '../../formats';
import { rawPathOf } from '../../items';
import { type List, listSources, plainHeightPx, rowPlanOf } from '../../lists';
import type {
  PackedExpression,
  PackedList,
  PackedProject,
  PackedScope,
  PackedSlot,
  PackedSource,
  PackedTemplate,
} from '../../packed';
import {
  compileFor,
  conditionOf,
  fieldWritten,
  isChanged,
  localeOf,
  type Project,
  rawDiscriminator,
  rawKey,
  readyAction,
  type Source,
  scopeFor,
  sortExpression,
  tokensOf,
  typesOf,
} from '../../project';
import {
  type BoundSlot,
  type CompiledTemplate,
  constantsOf,
  environmentToRun,
  isBound,
  kindOfPart,
  mayLeave,
  type Part,
  partsOf,
  partWithId,
  propertyOf,
  type Scope,
  SeenIn,
  type Template,
  wordsOf,
  writesStandIn,
} from '../../templates';
import {
  computedOrder,
  type Expression,
  type Field,
  fieldsBeside,
  heldFields,
  makeExpression,
  type ValueType,
} from '../../values';

/** A project as the element of its pack has it. `pictures`: the address of each picture's file. */
export function packedProject(
  project: Project,
  pictures: PackedProject['pictures'],
): PackedProject {
  return {
    name: project.name,
    tokens: tokensOf(project),
    sources: project.sources.map((source) => packedSource(project, source)),
    templates: project.templates.map((template) => packedTemplate(project, template)),
    formats: project.formats ?? [],
    lists: project.lists.map((list) => packedList(project, list)),
    actions: project.actions ?? [],
    looks: (project.looks ?? []).map(({ id }) => id),
    locales: project.locales ?? [localeOf(project)],
    pictures,
  };
}

const packed = (expression: Pick<Expression, 'checked'> | undefined): PackedExpression =>
  expression?.checked ?? null;

function packedSource(project: Project, source: Source): PackedSource {
  const { id, name, key } = source;
  const types = typesOf(project, id).map(({ id: own, value, fields }) => ({
    ...{ id: own, value },
    held: heldFields(fields).filter(isReshaped),
    computed: computedIn(fields),
  }));
  const raw = { rawKey: rawKey(project, source), discriminator: rawDiscriminator(project, source) };
  return { id, name, key, ...raw, types };
}

/** Whether values of a field are decoded or called otherwise, or any within them. */
function isReshaped({ name, from = name, decode, ...type }: Field): boolean {
  return from !== name || decode !== undefined || isReshapedWithin(type);
}

const isReshapedWithin = (type: ValueType): boolean =>
  type.type === 'record'
    ? type.fields.some(isReshaped)
    : type.type === 'list' && isReshapedWithin(type.of);

function computedIn(fields: readonly Field[]): PackedSource['types'][number]['computed'] {
  const { names, circles } = computedOrder(fields);
  const sound = new Set(names);
  return [...names, ...circles.flat()].map((name) => {
    const expr = fields.find((field) => field.name === name)?.expr ?? '';
    const beside = fieldsBeside(fields, name);
    return [name, sound.has(name) ? packed(makeExpression(expr, beside)) : null];
  });
}

function packedList(project: Project, list: List): PackedList {
  const known = listSources(list).length > 0;
  const by = (expr: string) => (known ? packed(sortExpression(project, list, expr)) : null);
  return {
    list,
    conditions: list.choices.map((choice) => {
      const condition = conditionOf(project, list, choice);
      return condition === undefined ? undefined : packed(condition);
    }),
    order: (list.order ?? []).map((key) => by(key.by)),
    by: list.sections?.by === undefined ? null : by(list.sections.by),
  };
}

function packedTemplate(project: Project, template: Template): PackedTemplate {
  const compiled = compileFor(project, template);
  const around = scopeFor(project, template.type, () => undefined, localeOf(project));
  const { tokens: _, ...plan } = rowPlanOf(compiled.template, compiled.tokens);
  const scopes = new PackedScopes(
    new SeenIn(around.fields, environmentToRun(around)),
    (expr, fields) => packed(makeExpression(expr, fields, 'any', environmentToRun(around))),
  );
  const slots = compiled.slots.map((slot) => packedSlot(slot, compiled, scopes));
  const read = ([name, expr]: readonly [string, string]) =>
    [name, packed(makeExpression(expr, around.fields, 'text', environmentToRun(around)))] as const;
  const withOptions = (format: NamedFormat) => itemOptions(format).length > 0;
  return {
    plan: { ...plan, heightPx: plainHeightPx({ ...plan, tokens: compiled.tokens }) },
    slots,
    scopes: scopes.all,
    actions: actionsIn(project, compiled.template, around.fields),
    writes: writesIn(compiled.template, around.fields),
    formatOptions: (project.formats ?? [])
      .filter(withOptions)
      .map((format) => [format.id, itemOptions(format).map(read)] as const),
  };
}

/** The actions that gestures on a template's parts name. */
function actionsIn(
  project: Project,
  { row }: Template,
  fields: readonly Field[],
): PackedTemplate['actions'] {
  const gesturesOf = (part: Part) =>
    Object.keys(gestures).flatMap((gesture) => actionsNamed(propertyOf(part, gesture)));
  const named = new Set([...partsOf(row)].flatMap(gesturesOf));
  return (project.actions ?? [])
    .filter(({ id }) => named.has(id))
    .map((action) => {
      const { when, payload, written } = readyAction(project, action, fields);
      const { effect } = action;
      return [
        action.id,
        {
          ...(when && { when: packed(when) }),
          ...(payload && { payload: packed(payload) }),
          ...(written &&
            effect?.does === 'write' && {
              written: { expr: packed(written), path: rawPathOf(fields, [effect.field]) },
            }),
        },
      ] as const;
    });
}

/** The fields that its controls write. */
const writesIn = ({ row }: Template, fields: readonly Field[]): PackedTemplate['writes'] =>
  [...partsOf(row)].filter(isChanged).flatMap((part) => {
    const field = fieldWritten(part, fields);
    return field.ok ? [[part.id, rawPathOf(fields, field.value)] as const] : [];
  });

/** The scopes of a template, each once. */
class PackedScopes {
  readonly all: PackedScope[] = [];
  private readonly known = new Map<Scope, number>();

  constructor(
    private readonly seen: SeenIn,
    private readonly read: (expr: string, fields: readonly Field[]) => PackedExpression,
  ) {}

  at(scope: Scope | undefined): number {
    if (scope === undefined) return -1;
    const before = this.known.get(scope);
    if (before !== undefined) return before;
    const outer = this.at(scope.outer);
    this.all.push(this.made(scope, outer));
    this.known.set(scope, this.all.length - 1);
    return this.all.length - 1;
  }

  private made(scope: Scope, outer: number): PackedScope {
    const { fields } = this.seen.at(scope.outer);
    if (scope.kind === 'inputs') {
      const fed = Object.entries(scope.use.inputs ?? {});
      return {
        ...{ kind: 'inputs', outer },
        fed: fed.map(([name, { expr }]) => [name, this.read(expr, fields)] as const),
      };
    }
    const { over, as, max } = scope.repeat;
    return { kind: 'element', over: this.read(over.expr, fields), as, max, at: scope.at, outer };
  }
}

function packedSlot(
  slot: BoundSlot,
  { template, tokens }: CompiledTemplate,
  scopes: PackedScopes,
): PackedSlot {
  const { declared, property, binding } = slot;
  const part = partWithId(template.row, slot.part);
  const leaves = part !== undefined && mayLeave(part, property, binding);
  const { shape: _, words: __, isBindable: ___, isRequired: ____, ...takes } = declared;
  const names = wordsOf(declared, tokens);
  const { finish, shows } = part === undefined ? {} : kindOfPart(part);
  const finishes =
    part !== undefined && finish !== undefined && property === shows
      ? { name: finish, constants: constantsOf(part) }
      : undefined;
  return {
    takes: leaves ? { ...takes, default: undefined } : takes,
    ...(names !== undefined && { names }),
    ...(slot.scope !== undefined && { scope: scopes.at(slot.scope) }),
    ...(slot.scope !== undefined && property === 'leaves' && { gone: true }),
    ...(finishes && { finish: finishes }),
    ...(isBound(binding) && binding.once === true && { once: true }),
    from: isBound(binding) ? boundFrom(slot, binding) : { is: 'words', words: binding },
  };
}

function boundFrom(slot: BoundSlot, binding: BoundSlot['binding'] & object): PackedSlot['from'] {
  const { expression, standIn, format, options } = slot;
  const instead = typeof binding.else === 'string' ? binding.else : standIn && packed(standIn);
  const isSound = expression?.evaluate !== undefined;
  return {
    is: 'value',
    expr: isSound ? packed(expression) : null,
    ...(instead !== undefined && { instead }),
    ...(binding.emptyIsMissing === true && { emptyIsMissing: true }),
    ...(format !== undefined && { format: format.id }),
    ...(options.length > 0 && {
      options: options.map(([name, expr]) => [name, packed(expr)] as const),
    }),
    ...(writesStandIn(slot) && { writesInstead: true }),
  };
}
