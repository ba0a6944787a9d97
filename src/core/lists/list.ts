/** Which template an item of a type gets; `template` null: left out on purpose. */
export interface Choice {
  /** Id of an item type. */
  readonly type: string;
  readonly template: string | null;
}

/** How entries are placed. Edges and gaps in px. */
export type Arrangement =
  | {
      readonly kind: 'list';
      readonly gap: number;
      readonly edge: number;
      readonly separators: boolean;
    }
  | {
      readonly kind: 'grid';
      readonly columns: number;
      readonly gap: number;
      readonly edge: number;
    };

/** A source with its choices and its arrangement. */
export interface List {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  readonly choices: readonly Choice[];
  /** The template of items that no choice takes; null: they are left out. */
  readonly otherwise: string | null;
  readonly arrangement: Arrangement;
}

export function columnsOf(arrangement: Arrangement): number {
  return arrangement.kind === 'grid' ? arrangement.columns : 1;
}
