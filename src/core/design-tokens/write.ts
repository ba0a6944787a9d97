import { isRecord, type Json, ownValue } from '../base';
import type { Colour, SpacingStep, TextStyle } from '../templates';
import { type JsonSpan, jsonSpans } from './json-spans';
import { extension, type Named, type ReadTokens, readTokens } from './read';
import { colorValue, dimensionValue } from './values';

/** What a project has that design tokens can say. */
export interface Looks {
  readonly colours: readonly Colour[];
  readonly styles: readonly TextStyle[];
  readonly spacing: readonly SpacingStep[];
}

/** Groups that new tokens come into, and the type that their groups say. */
const groups = { colours: 'colour', styles: 'text', spacing: 'spacing' } as const;

/**
 * A file of design tokens with the looks of a project. `before`: the file that they came from; what
 * is as it was there stays byte for byte, with all that nothing here understands.
 */
export function writeTokens(looks: Looks, before = '{}'): string {
  const read = readTokens(before);
  const known = read.ok ? read.value : noTokens;
  // A file that is none has nothing to be kept.
  const patch = new Patch(read.ok ? before : '{}');
  const fresh: Fresh = new Map();
  for (const colour of looks.colours) {
    const own = known.colours.find(({ name }) => name === colour.name);
    if (own === undefined) inGroup(fresh, groups.colours, colour.name, colourToken(colour));
    else changeColour(patch, own, colour);
  }
  for (const step of looks.spacing) {
    const own = known.spacing.find(({ name }) => name === step.name);
    if (own === undefined)
      inGroup(fresh, groups.spacing, step.name, {
        $type: 'dimension',
        $value: dimensionValue(step.px),
      });
    else if (own.px !== step.px) patch.put([...own.path, '$value'], dimensionValue(step.px));
  }
  for (const style of looks.styles) {
    const own = known.styles.find(({ name }) => name === style.name);
    if (own === undefined) inGroup(fresh, groups.styles, style.name, styleToken(style));
    else changeStyle(patch, own, style);
  }
  for (const [group, tokens] of fresh)
    for (const [name, token] of tokens) patch.put([group, name], token);
  return patch.text();
}

const noTokens: ReadTokens = { colours: [], styles: [], spacing: [], others: [] };

/** New tokens by their group. */
type Fresh = Map<string, Map<string, Json>>;

function inGroup(fresh: Fresh, group: string, name: string, token: Json): void {
  // A name of the format has no dots or brackets, and begins with no $ (module, 5.1.1).
  const key = name.replace(/[.{}]/g, '-').replace(/^\$+/, '');
  fresh.set(group, new Map([...(fresh.get(group) ?? []), [key, token]]));
}

const ofOurs = (of: Json): Json => ({ [extension]: of });

const colourToken = ({ light, dark }: Colour): Json => ({
  $type: 'color',
  $value: colorValue(light),
  $extensions: ofOurs({ dark: colorValue(dark) }),
});

function changeColour(patch: Patch, own: Named<Colour>, { light, dark }: Colour): void {
  if (own.light !== light) patch.put([...own.path, '$value'], colorValue(light));
  if (own.dark !== dark)
    patch.put([...own.path, '$extensions', extension, 'dark'], colorValue(dark));
}

const typographyOf = ({ size, lineHeight, weight, letterSpacing = 0 }: TextStyle) => ({
  fontSize: dimensionValue(size),
  fontWeight: weight,
  letterSpacing: dimensionValue(letterSpacing),
  lineHeight: Math.round((lineHeight / size) * 10_000) / 10_000,
});

const styleToken = (style: TextStyle): Json => ({
  $type: 'typography',
  $value: { fontFamily: style.family ?? 'Noto Sans', ...typographyOf(style) },
  $extensions: ofOurs({ colour: style.colour }),
});

function changeStyle(patch: Patch, own: Named<TextStyle>, style: TextStyle): void {
  const [before, after] = [typographyOf(own), typographyOf(style)];
  const isSame = JSON.stringify(before) === JSON.stringify(after);
  // One that refers to another one has values of its own from now on.
  if (!isSame && !patch.isObject([...own.path, '$value']))
    patch.put([...own.path, '$value'], { fontFamily: 'Noto Sans', ...after });
  else
    for (const name of ['fontSize', 'fontWeight', 'letterSpacing', 'lineHeight'] as const)
      if (JSON.stringify(before[name]) !== JSON.stringify(after[name]))
        patch.put([...own.path, '$value', name], after[name]);
  if (own.colour !== style.colour)
    patch.put([...own.path, '$extensions', extension, 'colour'], style.colour);
}

/** Changes of a JSON text that leave all else in it as it is. */
class Patch {
  private readonly root: JsonSpan;
  private readonly replaced: {
    readonly from: number;
    readonly to: number;
    readonly words: string;
  }[] = [];
  /** By object, what is new in it. */
  private readonly added = new Map<JsonSpan, Record<string, Json>>();

  constructor(private readonly before: string) {
    this.root = jsonSpans(before);
  }

  isObject(path: readonly string[]): boolean {
    let span: JsonSpan | undefined = this.root;
    for (const name of path) span = span?.members.get(name);
    return span !== undefined && this.before[span.from] === '{';
  }

  /** Puts a value at a path: objects that are not there are made; what is no object gives way. */
  put(path: readonly string[], value: Json): void {
    let span = this.root;
    for (const [at, name] of path.entries()) {
      const inside = span.members.get(name);
      const rest = path.slice(at + 1);
      if (inside === undefined) {
        const made = this.added.get(span) ?? {};
        this.added.set(span, { ...made, [name]: within(ownValue(made, name), rest, value) });
        return;
      }
      if (rest.length === 0 || this.before[inside.from] !== '{') {
        const words = JSON.stringify(within(undefined, rest, value));
        this.replaced.push({ from: inside.from, to: inside.to, words });
        return;
      }
      span = inside;
    }
  }

  text(): string {
    const changes = [
      ...this.replaced,
      ...[...this.added].map(([span, members]) => {
        const words = Object.entries(members)
          .map(([name, value]) => `${JSON.stringify(name)}: ${JSON.stringify(value, null, 2)}`)
          .join(',\n');
        const end = this.before.slice(0, span.to - 1).trimEnd().length;
        const sign = span.members.size === 0 ? '\n' : ',\n';
        return {
          from: end,
          to: end,
          words: `${sign}${words}${span.members.size === 0 ? '\n' : ''}`,
        };
      }),
    ].sort((one, other) => other.from - one.from);
    return changes.reduce(
      (text, { from, to, words }) => text.slice(0, from) + words + text.slice(to),
      this.before,
    );
  }
}

/** A value within objects of these names, beside what stands in them. */
function within(beside: Json | undefined, [name, ...rest]: readonly string[], value: Json): Json {
  if (name === undefined) return value;
  const own = isRecord(beside) ? beside : {};
  return { ...own, [name]: within(ownValue(own, name), rest, value) };
}
