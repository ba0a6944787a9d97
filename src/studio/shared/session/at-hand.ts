import { goWithin, useRoute } from './route';
import { engine, useSession } from './session';

let wished = 0;

/** Makes an item the one at hand, everywhere. Positions past the ends stop at the ends; the newest wish counts. */
export async function handItem(item: number): Promise<void> {
  wished = item;
  const atHand = await engine().itemAtHand(item);
  if (wished !== item) return;
  useSession.setState({ atHand });
  const at = atHand?.item ?? 0;
  const { route } = useRoute.getState();
  if (route.page === 'project' && (route.item ?? 0) !== at) goWithin({ item: at }, 'replace');
}

/** The items or the project changed: the item that was asked for last is looked at anew. */
export const handAgain = (): Promise<void> => handItem(wished);
