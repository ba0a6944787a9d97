import { edits } from '../../core/project';
import { handItem } from '../shared/at-hand';
import { currentNow } from '../shared/current';
import { make, stepBack, stepForward } from '../shared/editing';
import { go, goWithin } from '../shared/route';
import { saveAsFile } from '../shared/save-file';
import { useSession } from '../shared/session';
import { usePalette } from './palette-state';
import { stations } from './stations';

/** Something that can be done from anywhere, by its name or its key. */
export interface Command {
  readonly name: string;
  /** As people write it; `keys.ts` reads the same words. */
  readonly key?: string;
  readonly needsProject: boolean;
  run(): void;
}

const item = () => useSession.getState().atHand?.item ?? 0;

const arrange = (kind: 'list' | 'grid') => {
  const list = currentNow()?.list;
  if (list === undefined) return;
  const { gap, edge } = list.arrangement;
  make(
    edits.arrangeAs(
      list.id,
      kind === 'grid'
        ? { kind, columns: 3, gap: 8, edge: 12 }
        : { kind, gap, edge, separators: true },
    ),
  );
};

export const commands: readonly Command[] = [
  {
    name: 'Find or do',
    key: 'Ctrl K',
    needsProject: false,
    run: () => usePalette.setState({ isOpen: true }),
  },
  { name: 'Undo', key: 'Ctrl Z', needsProject: true, run: stepBack },
  { name: 'Redo', key: 'Ctrl Shift Z', needsProject: true, run: stepForward },
  { name: 'Save as a file', key: 'Ctrl S', needsProject: true, run: () => void saveAsFile() },
  ...stations.map(({ name, words }, index) => ({
    name: `Go to ${words}`,
    key: `Alt ${index + 1}`,
    needsProject: true,
    run: () => goWithin({ station: name }),
  })),
  {
    name: 'Next item',
    key: 'Alt ArrowDown',
    needsProject: true,
    run: () => void handItem(item() + 1),
  },
  {
    name: 'Item before',
    key: 'Alt ArrowUp',
    needsProject: true,
    run: () => void handItem(item() - 1),
  },
  { name: 'Arrange as a list', needsProject: true, run: () => arrange('list') },
  { name: 'Arrange as a grid', needsProject: true, run: () => arrange('grid') },
  { name: 'All projects', needsProject: true, run: () => go({ page: 'start' }) },
  {
    name: 'Show the keys',
    key: '?',
    needsProject: false,
    run: () => usePalette.setState({ isOpen: true, showsKeys: true }),
  },
];
