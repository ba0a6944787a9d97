import { goWithin, useRoute } from './route';
import { engine, useSession } from './session';

/** Makes an item the one at hand, everywhere. Positions past the ends stop at the ends. */
export async function handItem(item: number): Promise<void> {
  const last = (useSession.getState().view?.itemCount ?? 0) - 1;
  const wished = Math.max(0, Math.min(last, item));
  const atHand = await engine().itemAtHand(wished);
  useSession.setState({ atHand });
  const { route } = useRoute.getState();
  if (route.page === 'project' && (route.item ?? 0) !== wished)
    goWithin({ item: wished }, 'replace');
}
