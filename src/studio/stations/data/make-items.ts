import { freeId } from '../../../core/base';
import type { Rule } from '../../../core/items';
import { edits } from '../../../core/project';
import { showSet } from '../../shared/opening/arrivals';
import type { Current } from '../../shared/session/current';
import { changeItems, make, refused } from '../../shared/session/editing';
import { engine, useSession } from '../../shared/session/session';

/** As many items as one likes, like those that are there or by rules, in a set of their own. */
export async function makeUp(
  { source }: Current,
  count: number,
  seed: number,
  rules: Readonly<Record<string, Rule>>,
): Promise<void> {
  if (refused(`Make ${count} items`)) return;
  const set = setId(source.sets, `made-${seed}`);
  useSession.setState({ reading: { file: `${count} made-up items`, share: 0 } });
  const made = await engine()
    .make({ source: source.id, set, count, seed, rules })
    .finally(() => useSession.setState({ reading: undefined }));
  if (!made.ok) return useSession.setState({ notice: made.error });
  const edit = edits.addSet(source.id, set, `made, seed ${seed}`, made.value);
  if (make(edit) === undefined) await showSet(source.id, set);
}

/** A few items that are hard to show. */
export async function makeNasty({ source }: Current): Promise<void> {
  await newSet(source.id, 'nasty', () => engine().nasty(source.id, 'nasty'));
}

/** No items at all. */
export async function makeEmpty({ source }: Current): Promise<void> {
  await newSet(source.id, 'empty', () => engine().change(source.id, 'empty', { kind: 'empty' }));
}

async function newSet(source: string, set: string, ask: () => Promise<number>): Promise<void> {
  const isMade = await changeItems(source, `Add set ${set}`, ask, (revision) =>
    edits.addSet(source, set, set, revision),
  );
  if (isMade) await showSet(source, set);
}

const setId = (sets: readonly { readonly id: string }[] | undefined, wish: string): string =>
  freeId(
    wish,
    (sets ?? []).map((each) => each.id),
  );
