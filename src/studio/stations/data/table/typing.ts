import { rawPathOf } from '../../../../core/items';
import type { ItemType, Source } from '../../../../core/project';
import { valueTyped } from '../../../../engine';
import { changeItems } from '../../../shared/session/editing';
import { engine } from '../../../shared/session/session';
import type { Column } from './columns';

interface Typed {
  readonly source: Source;
  readonly set: string;
  readonly column: Column;
  readonly position: number;
  readonly text: string;
  readonly type: ItemType | undefined;
}

/** What was typed into a cell becomes the item's value. */
export async function typeInto({
  source,
  set,
  column,
  position,
  text,
  type,
}: Typed): Promise<void> {
  const { path, field } = column;
  await changeItems(source.id, `Type ${path.join('.')}`, () =>
    engine().change(source.id, set, {
      kind: 'value',
      position,
      path: rawPathOf(type?.fields ?? [], path),
      value: valueTyped(text, field),
    }),
  );
}
