import Columns2 from 'lucide-react/icons/columns-2';
import Diff from 'lucide-react/icons/diff';
import Droplet from 'lucide-react/icons/droplet';
import Eye from 'lucide-react/icons/eye';
import EyeOff from 'lucide-react/icons/eye-off';
import Gauge from 'lucide-react/icons/gauge';
import ImageIcon from 'lucide-react/icons/image';
import Layers from 'lucide-react/icons/layers';
import LinkIcon from 'lucide-react/icons/link';
import Minus from 'lucide-react/icons/minus';
import MoveHorizontal from 'lucide-react/icons/move-horizontal';
import RectangleEllipsis from 'lucide-react/icons/rectangle-ellipsis';
import RectangleHorizontal from 'lucide-react/icons/rectangle-horizontal';
import Rows2 from 'lucide-react/icons/rows-2';
import SlidersHorizontal from 'lucide-react/icons/sliders-horizontal';
import SquareCheck from 'lucide-react/icons/square-check';
import Stamp from 'lucide-react/icons/stamp';
import Star from 'lucide-react/icons/star';
import Tag from 'lucide-react/icons/tag';
import TextCursor from 'lucide-react/icons/text-cursor';
import ToggleRight from 'lucide-react/icons/toggle-right';
import Type from 'lucide-react/icons/type';
import { type KeyboardEvent, useEffect, useRef } from 'react';
import { edits } from '../../../core/project';
import {
  type Constant,
  childrenOf,
  constantsOf,
  isBound,
  type Part,
  partsOf,
  prefixOf,
  propertyOf,
} from '../../../core/templates';
import { Heading } from '../../shared/controls/controls';
import { writesText } from '../../shared/controls/writes-text';
import { partEvents } from './bench/part-events';
import { makeAndSelect } from './commands/does';
import { hiddenKey, toggleHidden, useHidden } from './commands/hiding';
import { endNaming, startNaming, useNaming } from './commands/naming';
import { type Selection, select, selectAlso } from './selection';

/** The template's parts as a tree: keys as on the bench, up and down through the lines. */
export function Outline({ selection }: { readonly selection: Selection }) {
  const { template, part } = selection;
  const tree = useRef<HTMLUListElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the focus goes with what is selected
  useEffect(() => {
    if (tree.current?.contains(document.activeElement)) focusLine(tree.current);
  }, [part.id]);
  const events = partEvents(selection);
  return (
    <section
      aria-label="Parts"
      className="max-h-[45%] overflow-y-auto border-t border-rule py-1 in-data-[windows=two]:opacity-0 in-data-[windows=two]:group-focus-within/values:opacity-100 in-data-[windows=two]:group-hover/values:opacity-100"
      {...events}
      onKeyDown={(event) => {
        if (!writesText(event.nativeEvent)) goInLines(event, selection);
        events.onKeyDown(event);
      }}
    >
      <div className="ps-3">
        <Heading>Parts of “{template.name}”</Heading>
      </div>
      <ul ref={tree}>
        <PartLine part={template.row} depth={0} selection={selection} />
      </ul>
    </section>
  );
}

const focusLine = (tree: HTMLElement): void =>
  tree.querySelector<HTMLElement>('[aria-current=true]')?.focus();

/** Up and down through all lines, whatever they are within. */
function goInLines(event: KeyboardEvent, { template, part }: Selection): void {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (by === 0 || event.altKey || event.ctrlKey || event.shiftKey) return;
  event.preventDefault();
  const all = [...partsOf(template.row)];
  const next = all[all.findIndex(({ id }) => id === part.id) + by];
  if (next !== undefined) select([next.id]);
}

const icons = {
  label: Type,
  run: TextCursor,
  badge: Tag,
  button: RectangleEllipsis,
  link: LinkIcon,
  slider: SlidersHorizontal,
  stepper: Diff,
  switch: ToggleRight,
  checkbox: SquareCheck,
  progress: RectangleHorizontal,
  meter: Gauge,
  rating: Star,
  swatch: Droplet,
  shared: Stamp,
  space: MoveHorizontal,
  line: Minus,
  image: ImageIcon,
  across: Columns2,
  down: Rows2,
  over: Layers,
} as const;

interface PartLineProps {
  readonly part: Part;
  readonly depth: number;
  readonly selection: Selection;
}

function PartLine({ part, depth, selection }: PartLineProps) {
  const { template, parts } = selection;
  const isNaming = useNaming((naming) => naming.part === part.id);
  const { hidden } = useHidden();
  const isHidden = hidden.has(hiddenKey(template.id, part.id));
  const isChosen = parts.some(({ id }) => id === part.id);
  const Icon = part.part === 'stack' ? icons[part.direction ?? 'across'] : icons[part.part];
  const name = part.id.slice(prefixOf(part.id).length);
  return (
    <li>
      <div
        className={`group/line flex items-center gap-1 pe-2 hover:bg-paper ${isChosen ? 'bg-chosen font-semibold' : ''}`}
        style={{ paddingInlineStart: 12 + depth * 14 }}
      >
        <Icon size={13} className="shrink-0 text-ash" aria-hidden="true" />
        {isNaming ? (
          <NameField
            name={name}
            onName={(wish) => {
              endNaming();
              if (wish !== undefined)
                makeAndSelect(selection, edits.renamePart(template.id, part.id, wish));
            }}
          />
        ) : (
          <button
            type="button"
            aria-current={isChosen ? 'true' : undefined}
            title={`${part.id}: press twice, or F2, to name it`}
            className="flex min-w-0 flex-1 items-center gap-2 py-0.5 ps-1 text-start"
            onClick={(event) =>
              event.shiftKey ? selectAlso(selection, part.id) : select([part.id])
            }
            onDoubleClick={() => startNaming(part.id)}
            onKeyDown={(event) => {
              if (event.key !== 'F2') return;
              event.stopPropagation();
              startNaming(part.id);
            }}
          >
            <span className="max-w-[65%] shrink-0 truncate">{name}</span>
            <span className="truncate text-sm font-normal text-ash">{about(part)}</span>
          </button>
        )}
        <button
          type="button"
          aria-label={`Hide ${name} while editing`}
          aria-pressed={isHidden}
          title="Hide while editing (Shift H). The project knows nothing of it."
          className="grid size-6 shrink-0 place-items-center text-ash opacity-0 group-hover/line:opacity-100 focus-visible:opacity-100 aria-pressed:text-weld aria-pressed:opacity-100"
          onClick={() => toggleHidden({ template, parts: [part] })}
        >
          {isHidden ? <EyeOff size={12} /> : <Eye size={12} />}
        </button>
      </div>
      {childrenOf(part).length > 0 && (
        <ul>
          {childrenOf(part).map((child) => (
            <PartLine key={child.id} part={child} depth={depth + 1} selection={selection} />
          ))}
        </ul>
      )}
    </li>
  );
}

interface NameFieldProps {
  readonly name: string;
  /** Undefined: it keeps its name. */
  readonly onName: (name: string | undefined) => void;
}

function NameField({ name, onName }: NameFieldProps) {
  return (
    <input
      aria-label={`Name of ${name}`}
      defaultValue={name}
      // biome-ignore lint/a11y/noAutofocus: who asked to name it types the name
      autoFocus
      onFocus={(event) => event.target.select()}
      className="h-6 min-w-0 flex-1 rounded-sm border border-woad bg-paper px-1"
      onBlur={(event) => onName(event.target.value === name ? undefined : event.target.value)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        else if (event.key === 'Escape') onName(undefined);
      }}
    />
  );
}

function about(part: Part): string {
  if (part.part === 'run') return 'goes on';
  if (part.part === 'shared') return `of ${part.of}`;
  const { width, height, direction, gap } = constantsOf(part);
  if (direction !== undefined) return `${direction} · gap ${gap}`;
  return typeof height === 'object'
    ? `${widthWords(part, width)} × ${sizeWords(height)}`
    : widthWords(part, width);
}

const widthWords = (part: Part, width: Constant | undefined): string =>
  isBound(propertyOf(part, 'width')) ? 'by value' : sizeWords(width);

function sizeWords(size: Constant | undefined): string {
  if (typeof size !== 'object') return 'fit';
  if ('share' in size) return `share ${size.share}`;
  return 'fixed' in size ? `${size.fixed} px` : '';
}
