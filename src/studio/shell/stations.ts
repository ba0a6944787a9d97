import ClipboardList from 'lucide-react/icons/clipboard-list';
import LayoutList from 'lucide-react/icons/layout-list';
import Rows3 from 'lucide-react/icons/rows-3';
import Send from 'lucide-react/icons/send';
import Split from 'lucide-react/icons/split';
import type { ComponentType } from 'react';
import type { Place } from '../../core/base';
import { onDemand } from '../shared/controls/on-demand';
import type { StationName } from '../shared/session/route';

interface Station {
  readonly name: StationName;
  readonly words: string;
  /** What it is for, in a line. */
  readonly about: string;
  readonly Icon: ComponentType<{ readonly size?: number }>;
  readonly Screen: ComponentType;
  /** Fetches the screen's code ahead. */
  readonly load: () => Promise<unknown>;
  /** What of it stands alone where there is no room for all: the first that is shown, then the others. */
  readonly panes: readonly Pane[];
  /** Whether it has the room of the window, too. */
  readonly isWide: boolean;
  /** The findings that are its own. */
  readonly owns: (place: Place) => boolean;
}

export interface Pane {
  readonly id: string;
  readonly words: string;
}

interface ScreenModule {
  readonly default: ComponentType;
}

const screen = (load: () => Promise<ScreenModule>) => ({ Screen: onDemand(load), load });

const pane = (id: string, words: string): Pane => ({ id, words });

/** The stations in the order of the work. */
export const stations: readonly Station[] = [
  {
    name: 'data',
    words: 'Data',
    about: 'Bring items; see what they are, and what is missing.',
    Icon: ClipboardList,
    ...screen(() => import('../stations/data/data')),
    panes: [pane('table', 'Items'), pane('sources', 'Sources'), pane('field', 'Field')],
    isWide: false,
    owns: (place) => place.in === 'document' || place.in === 'items',
  },
  {
    name: 'templates',
    words: 'Templates',
    about: 'Thread values to parts; watch the real rows change.',
    Icon: Rows3,
    ...screen(() => import('../stations/templates/templates')),
    panes: [pane('bench', 'Bench'), pane('values', 'Values'), pane('properties', 'Part')],
    isWide: false,
    owns: (place) =>
      place.in === 'part' || (place.in === 'project' && place.path.startsWith('templates/')),
  },
  {
    name: 'choices',
    words: 'Choices',
    about: 'Which item gets which template.',
    Icon: Split,
    ...screen(() => import('../stations/choices/choices')),
    panes: [pane('choices', 'Choices')],
    isWide: false,
    owns: (place) => place.in === 'project' && place.path.startsWith('lists/'),
  },
  {
    name: 'list',
    words: 'List',
    about: 'Rows or cells, gaps and edges.',
    Icon: LayoutList,
    ...screen(() => import('../stations/list/list')),
    panes: [pane('arrangement', 'Arrangement'), pane('sequence', 'Sequence')],
    isWide: false,
    owns: () => false,
  },
  {
    name: 'hand-off',
    words: 'Hand-off',
    about: 'Files that your app and your CI can use.',
    Icon: Send,
    ...screen(() => import('../stations/hand-off/hand-off')),
    panes: [pane('file', 'The file'), pane('written', 'Written'), pane('use', 'In use')],
    isWide: true,
    owns: () => false,
  },
];
