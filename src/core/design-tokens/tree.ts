import { isRecord, type Json, type JsonRecord, ownValue } from '../base';

/** A token as its file has it: where it stands, and what its groups say of its type. */
export interface Token {
  readonly path: readonly string[];
  readonly type: string | undefined;
  readonly token: JsonRecord;
}

/** The tokens of a file in their order (Design Tokens Format Module, 6: groups). */
export function* tokensOf(
  group: JsonRecord,
  path: readonly string[] = [],
  inherited?: string,
): Generator<Token, void> {
  const own = ownValue(group, '$type');
  const type = typeof own === 'string' ? own : inherited;
  if (ownValue(group, '$value') !== undefined) {
    yield { path, type, token: group };
    return;
  }
  for (const [name, member] of Object.entries(group))
    if (!name.startsWith('$') && isRecord(member)) yield* tokensOf(member, [...path, name], type);
}

/** Reads references, `{group.token}`, as far as they lead somewhere (module, 7: aliases). */
export class References {
  private readonly known: ReadonlyMap<string, Token>;

  constructor(tokens: readonly Token[]) {
    this.known = new Map(tokens.map((token) => [token.path.join('.'), token]));
  }

  /** The value behind a reference, and behind those in it; or why there is none. */
  resolved(
    value: Json | undefined,
    through: readonly string[] = [],
  ):
    | { readonly value: Json | undefined; readonly type?: string | undefined }
    | { readonly why: string } {
    const [, path] = (typeof value === 'string' && /^\{([^{}]+)\}$/.exec(value)) || [];
    if (path === undefined) return { value };
    const target = this.known.get(path);
    if (target === undefined) return { why: `there is no token ${path}` };
    if (through.includes(path)) return { why: `${[...through, path].join(' leads to ')}` };
    const found = this.resolved(ownValue(target.token, '$value'), [...through, path]);
    return 'why' in found ? found : { value: found.value, type: found.type ?? target.type };
  }
}
