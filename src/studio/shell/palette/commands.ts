import { type Arrangement, asKind } from '../../../core/lists';
import { edits } from '../../../core/project';
import { saveAsFile } from '../../shared/keeping/save-file';
import { refreshList } from '../../shared/living/asking';
import { arrive } from '../../shared/opening/arrivals';
import { standInAddress } from '../../shared/opening/stand-in';
import { handItem } from '../../shared/session/at-hand';
import { currentNow } from '../../shared/session/current';
import { make, stepBack, stepForward } from '../../shared/session/editing';
import { go, goWithin, type StationName, useRoute } from '../../shared/session/route';
import { useSession } from '../../shared/session/session';
import { stations } from '../stations';
import { usePalette } from './palette-state';

/** Something that can be done from anywhere, by its name or its key. */
export interface Command {
  readonly name: string;
  /** As people write it; `keys.ts` reads the same words. */
  readonly key?: string;
  readonly needsProject: boolean;
  /** The stations where it is likeliest wanted. */
  readonly fits?: readonly StationName[];
  /** Why it can't be done now; undefined: it can. */
  whyNot?(): string | undefined;
  run(): void;
}

const stepsOf = (side: 'done' | 'undone'): number =>
  useSession.getState().history?.[side].length ?? 0;

export function stationNow(): StationName | undefined {
  const { route } = useRoute.getState();
  return route.page === 'project' ? route.station : undefined;
}

const item = () => useSession.getState().atHand?.item ?? 0;

/** A station's code may still be on its way. */
function focusWhenThere(selector: string, tries = 60): void {
  const element = document.querySelector<HTMLElement>(selector);
  if (element !== null) element.focus();
  else if (tries > 0) requestAnimationFrame(() => focusWhenThere(selector, tries - 1));
}

const arrange = (kind: Arrangement['kind']) => {
  const list = currentNow()?.list;
  if (list !== undefined) make(edits.arrangeAs(list.id, asKind(list.arrangement, kind)));
};

export const commands: readonly Command[] = [
  {
    name: 'Find or do',
    key: 'Ctrl K',
    needsProject: false,
    run: () => usePalette.setState({ isOpen: true }),
  },
  {
    name: 'Undo',
    key: 'Ctrl Z',
    needsProject: true,
    whyNot: () => (stepsOf('done') === 0 ? 'nothing to undo' : undefined),
    run: stepBack,
  },
  {
    name: 'Redo',
    key: 'Ctrl Shift Z',
    needsProject: true,
    whyNot: () => (stepsOf('undone') === 0 ? 'nothing to redo' : undefined),
    run: stepForward,
  },
  {
    name: 'Save as a file',
    key: 'Ctrl S',
    needsProject: true,
    fits: ['hand-off'],
    run: () => void saveAsFile(),
  },
  {
    name: 'Bring items of the stand-in service',
    needsProject: false,
    fits: ['data'],
    run: () => void arrive({ address: standInAddress() }),
  },
  {
    name: 'Ask for the items of the list anew',
    needsProject: true,
    fits: ['data'],
    run: () => void refreshList(currentNow()?.list),
  },
  ...stations.map(({ name, words }, index) => ({
    name: `Go to ${words}`,
    key: `Alt ${index + 1}`,
    needsProject: true,
    whyNot: () => (stationNow() === name ? 'here' : undefined),
    run: () => goWithin({ station: name }),
  })),
  {
    name: 'Next item',
    key: 'Alt PageDown',
    needsProject: true,
    fits: ['data', 'templates'],
    run: () => void handItem(item() + 1),
  },
  {
    name: 'Item before',
    key: 'Alt PageUp',
    needsProject: true,
    fits: ['data', 'templates'],
    run: () => void handItem(item() - 1),
  },
  {
    name: 'Go to the bench',
    key: 'Alt B',
    needsProject: true,
    fits: ['templates'],
    run: () => {
      goWithin({ station: 'templates', panel: undefined });
      focusWhenThere('[data-keys="bench"]');
    },
  },
  { name: 'Arrange as a list', needsProject: true, fits: ['list'], run: () => arrange('list') },
  { name: 'Arrange as a grid', needsProject: true, fits: ['list'], run: () => arrange('grid') },
  { name: 'Arrange as a strip', needsProject: true, fits: ['list'], run: () => arrange('strip') },
  {
    name: 'All pictures',
    needsProject: true,
    fits: ['data'],
    run: () => goWithin({ station: 'data', panel: 'pictures' }),
  },
  {
    name: 'Text styles and fonts',
    needsProject: true,
    fits: ['templates'],
    run: () => goWithin({ station: 'templates', panel: 'styles' }),
  },
  { name: 'All projects', needsProject: true, run: () => go({ page: 'start' }) },
  {
    name: 'Show the keys',
    key: '?',
    needsProject: false,
    run: () => usePalette.setState({ isOpen: true, showsKeys: true }),
  },
];
