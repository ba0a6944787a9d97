import { freeId } from '../../../core/base';
import type { Rule } from '../../../core/items';
import { edits } from '../../../core/project';
import { showSet } from '../../shared/arrivals';
import type { Current } from '../../shared/current';
import { make } from '../../shared/editing';
import { engine, useSession } from '../../shared/session';

/** As many items as one likes, like those that are there or by rules, in a set of their own. */
export async function makeUp(
  { source }: Current,
  count: number,
  seed: number,
  rules: Readonly<Record<string, Rule>>,
): Promise<void> {
  const set = setId(source.sets, `made-${seed}`);
  useSession.setState({ reading: { file: `${count} made-up items`, share: 0 } });
  const made = await engine()
    .make({ source: source.id, set, count, seed, rules })
    .finally(() => useSession.setState({ reading: undefined }));
  if (made.ok) await addSet(source.id, set, `made, seed ${seed}`, made.value);
  else useSession.setState({ notice: made.error });
}

/** A few items that are hard to show. */
export async function makeNasty({ source }: Current): Promise<void> {
  const revision = await engine().nasty(source.id, 'nasty');
  await addSet(source.id, 'nasty', 'nasty', revision);
}

/** No items at all. */
export async function makeEmpty({ source }: Current): Promise<void> {
  const revision = await engine().change(source.id, 'empty', { kind: 'empty' });
  await addSet(source.id, 'empty', 'empty', revision);
}

async function addSet(source: string, set: string, name: string, revision: number): Promise<void> {
  if (make(edits.addSet(source, set, name, revision)) === undefined) await showSet(source, set);
}

const setId = (sets: readonly { readonly id: string }[] | undefined, wish: string): string =>
  freeId(
    wish,
    (sets ?? []).map((each) => each.id),
  );
