import { goWithin, useRoute } from './route';
import { engine, useSession } from './session';

let wished = 0;
let isWished = false;

/** Makes an item the one at hand, everywhere. Positions past the ends stop at the ends; the newest wish counts. */
export function handItem(item: number): Promise<void> {
  isWished = true;
  return hand(item);
}

/** Another project is being opened: what was wished for in the one before is of no account. */
export function forgetWish(): void {
  isWished = false;
}

/** What an opened project begins with, unless a person has asked for another item meanwhile. */
export const handFirst = (item: number): Promise<void> => hand(isWished ? wished : item);

async function hand(item: number): Promise<void> {
  wished = item;
  const atHand = await engine().itemAtHand(item);
  if (wished !== item) return;
  useSession.setState({ atHand });
  const at = atHand?.item ?? 0;
  const { route } = useRoute.getState();
  if (route.page === 'project' && (route.item ?? 0) !== at) goWithin({ item: at }, 'replace');
}

/** The same with what another window shows: an item that the first one has under the same key. */
export async function handKey(key: string, source: string | undefined): Promise<void> {
  const isSame = useSession.getState().atHand?.source === source;
  const item = isSame ? await engine().itemOfKey(key) : -1;
  if (item >= 0) return handItem(item);
  useSession.setState({
    notice: {
      code: 'not-in-first-window',
      severity: 'note',
      place: { in: 'project', path: '' },
      message: `“${key}” is not among the items that the first window shows.`,
      hint: isSame
        ? 'Show the same set there to make it the item at hand.'
        : 'Show the same source there to make it the item at hand.',
    },
  });
}

/** The items or the project changed: the item that was asked for last is looked at anew. */
export const handAgain = (): Promise<void> => hand(wished);
