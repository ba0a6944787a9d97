import { failed, isDeeperThan, isRecord, type Json, ok, ownValue, type Result } from '../base';
import type { Colour, SpacingStep, TextStyle } from '../templates';
import { References, type Token, tokensOf } from './tree';
import { colorOf, pxOf, type Understood, weightOf } from './values';

/** What a file of design tokens has for a project, and what it has besides. */
export interface ReadTokens {
  readonly colours: readonly Named<Colour>[];
  readonly styles: readonly Named<TextStyle>[];
  readonly spacing: readonly Named<SpacingStep>[];
  /** Tokens that nothing here takes, with why. They stay in the file. */
  readonly others: readonly { readonly path: string; readonly why: string }[];
}

/** With the place that it comes from. */
export type Named<T> = T & { readonly path: readonly string[] };

/** Where a colour keeps what it is in the dark, a style its colour: the format has no such things. */
export const extension = 'studio.yarncard';

const largestChars = 2_000_000;
const deepest = 30;
const most = { colours: 200, styles: 100, spacing: 50 } as const;

/**
 * Reads a file of the Design Tokens Format Module (Design Tokens Community Group, 2025.10; hex
 * colours and `8px` of older files too). Fails where it is no such file at all.
 */
export function readTokens(text: string): Result<ReadTokens, string> {
  if (text.length > largestChars) return failed('It is larger than 2 MB.');
  const document = parsed(text);
  if (!isRecord(document)) return failed('It is no JSON object.');
  if (isDeeperThan(document, deepest)) return failed(`Its groups are deeper than ${deepest}.`);
  const tokens = [...tokensOf(document)];
  if (tokens.length === 0) return failed('It has no design tokens: nothing in it has a $value.');
  return ok(new Reading(tokens).all());
}

function parsed(text: string): Json | undefined {
  try {
    const document: Json = JSON.parse(text);
    return document;
  } catch {
    return undefined;
  }
}

class Reading {
  private readonly references: References;
  private readonly colours: Named<Colour>[] = [];
  private readonly styles: Named<TextStyle>[] = [];
  private readonly spacing: Named<SpacingStep>[] = [];
  private readonly others: { path: string; why: string }[] = [];

  constructor(private readonly tokens: readonly Token[]) {
    this.references = new References(tokens);
  }

  all(): ReadTokens {
    for (const token of this.tokens) {
      const why = this.take(token);
      if (why !== undefined) this.others.push({ path: token.path.join('.'), why });
    }
    const { colours, styles, spacing, others } = this;
    return { colours, styles, spacing, others };
  }

  /** Why a token is not taken; undefined: it is. */
  private take({ path, type: own, token }: Token): string | undefined {
    const found = this.references.resolved(ownValue(token, '$value'));
    if ('why' in found) return found.why;
    const type = own ?? found.type;
    switch (type) {
      case 'color':
        return this.takeColour(path, token, found.value);
      case 'dimension': {
        const px = pxOf(found.value);
        if ('why' in px) return px.why;
        if (px.value < 0 || px.value > 200) return 'it is no length from 0 to 200 px';
        return this.put(this.spacing, most.spacing, path, (name) => ({
          ...{ name, path },
          px: px.value,
        }));
      }
      case 'typography':
        return this.takeStyle(path, token, found.value);
      case undefined:
        return 'nothing says its $type';
      default:
        return `nothing here is a ${type}`;
    }
  }

  private takeColour(
    path: readonly string[],
    token: Token['token'],
    value: Json | undefined,
  ): string | undefined {
    const light = colorOf(value);
    if ('why' in light) return light.why;
    const dark = colorOf(ownExtension(token, 'dark'));
    const own = { light: light.value, dark: 'why' in dark ? light.value : dark.value };
    return this.put(this.colours, most.colours, path, (name) => ({ name, path, ...own }));
  }

  private takeStyle(
    path: readonly string[],
    token: Token['token'],
    value: Json | undefined,
  ): string | undefined {
    if (!isRecord(value)) return 'it is no typography';
    const member = (name: string): Json | undefined => {
      const found = this.references.resolved(ownValue(value, name));
      return 'why' in found ? undefined : found.value;
    };
    const size = pxOf(member('fontSize'));
    if ('why' in size || size.value < 4 || size.value > 200)
      return 'its fontSize is no length that can be read';
    const lines = member('lineHeight') ?? 1.4;
    const lineHeight = typeof lines === 'number' ? lines * size.value : orElse(pxOf(lines), 0);
    const spacing = orElse(pxOf(member('letterSpacing')), 0);
    const colour = ownExtension(token, 'colour');
    return this.put(this.styles, most.styles, path, (name) => ({
      ...{ name, path },
      size: size.value,
      lineHeight: Math.max(4, Math.min(400, Math.round(lineHeight * 100) / 100)),
      weight: orElse(weightOf(member('fontWeight')), 400),
      colour: typeof colour === 'string' ? colour : 'ink',
      ...(spacing !== 0 && { letterSpacing: Math.max(-10, Math.min(spacing, 40)) }),
    }));
  }

  private put<T extends { readonly name: string; readonly path: readonly string[] }>(
    all: T[],
    max: number,
    path: readonly string[],
    made: (name: string) => T,
  ): string | undefined {
    if (all.length >= max) return `there are more than ${max} of its kind`;
    const name = nameOf(
      path,
      all.map((each) => each.name),
    );
    if (name === undefined) return 'it has no name that can be taken';
    all.push(made(name));
    return undefined;
  }
}

/** What a token says of ours in its extensions (module, 5.2.3). */
function ownExtension(token: Token['token'], name: string): Json | undefined {
  const extensions = ownValue(token, '$extensions');
  const ours = isRecord(extensions) ? ownValue(extensions, extension) : undefined;
  return isRecord(ours) ? ownValue(ours, name) : undefined;
}

const orElse = <T>(found: Understood<T>, otherwise: T): T =>
  'why' in found ? otherwise : found.value;

/** What stands behind its first group, or all of its path where that is taken; undefined: it is too long. */
function nameOf(path: readonly string[], taken: readonly string[]): string | undefined {
  const wishes = [path.slice(path.length > 1 ? 1 : 0).join('-'), path.join('-')];
  return wishes.find((wish) => wish !== '' && wish.length <= 60 && !taken.includes(wish));
}
