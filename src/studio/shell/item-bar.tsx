import ChevronLeft from 'lucide-react/icons/chevron-left';
import ChevronRight from 'lucide-react/icons/chevron-right';
import { count, grouped } from '../../core/base';
import { Button } from '../shared/controls/controls';
import { handItem } from '../shared/session/at-hand';
import { useCurrent } from '../shared/session/current';
import { engine, surveysOf, useKept, useSession } from '../shared/session/session';

/** The item that every screen speaks of: step, or ask for a telling one. */
export function ItemBar() {
  const atHand = useSession((session) => session.atHand);
  const view = useKept((session) => session.view);
  const surveys = useKept(surveysOf);
  const current = useCurrent();
  const itemCount = view?.itemCount ?? 0;
  const survey = surveys.find((each) => each.itemCount > 0);
  const blank = surveys.flatMap((each) => each.slots).find((slot) => slot.firstMissing >= 0);
  const asks = [
    { words: 'first', item: itemCount > 0 ? 0 : -1 },
    { words: 'last', item: itemCount - 1 },
    { words: 'longest', item: survey?.longest ?? -1 },
    { words: 'shortest', item: survey?.shortest ?? -1 },
    { words: `no ${blank?.part ?? ''}`, item: blank?.firstMissing ?? -1 },
  ];
  const types = current !== undefined && current.types.length > 1 ? current.types : [];
  return (
    <footer className="col-span-2 flex items-center gap-2 overflow-x-auto overflow-y-hidden border-t border-rule bg-paper px-3 whitespace-nowrap">
      <Button onPress={() => void handItem((atHand?.item ?? 0) - 1)} label="Item before">
        <ChevronLeft size={14} aria-hidden="true" />
      </Button>
      <span className="tabular-nums">
        {itemCount === 0 ? (
          'no item'
        ) : (
          <>
            item <b>{grouped((atHand?.item ?? 0) + 1)}</b> of {grouped(itemCount)}
          </>
        )}
      </span>
      <Button onPress={() => void handItem((atHand?.item ?? 0) + 1)} label="Next item">
        <ChevronRight size={14} aria-hidden="true" />
      </Button>
      <bdi className="max-w-72 min-w-24 shrink truncate font-semibold">{atHand?.title}</bdi>
      {asks
        .filter((ask) => ask.item >= 0)
        .map((ask) => (
          <Ask key={ask.words} words={ask.words} onPress={() => void handItem(ask.item)} />
        ))}
      {types.map((type) => (
        <Ask key={type.id} words={`a ${type.name}`} onPress={() => void handFirstOf(type.id)} />
      ))}
      <span className="ms-auto text-sm text-ash tabular-nums">
        {count(itemCount, 'item')} · {count(view?.sequence.entryCount ?? 0, 'entry', 'entries')}
      </span>
    </footer>
  );
}

async function handFirstOf(type: string): Promise<void> {
  const [item = -1] = await engine().itemsOfType(type, 1);
  if (item >= 0) await handItem(item);
}

function Ask({ words, onPress }: { readonly words: string; readonly onPress: () => void }) {
  return (
    <button
      type="button"
      className="h-6 shrink-0 rounded-full border border-rule bg-wool px-2.5 text-sm hover:border-ash"
      onClick={onPress}
    >
      {words}
    </button>
  );
}
