import Columns2 from 'lucide-react/icons/columns-2';
import Diff from 'lucide-react/icons/diff';
import Droplet from 'lucide-react/icons/droplet';
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
import {
  type Constant,
  childrenOf,
  constantsOf,
  isBound,
  type Part,
  prefixOf,
  propertyOf,
} from '../../../core/templates';
import { Heading } from '../../shared/controls/controls';
import { goWithin } from '../../shared/session/route';
import type { Selection } from './selection';

/** The template's parts as a tree. */
export function Outline({ selection }: { readonly selection: Selection }) {
  return (
    <section
      aria-label="Parts"
      className="max-h-[45%] overflow-y-auto border-t border-rule py-1 in-data-[windows=two]:opacity-0 in-data-[windows=two]:group-focus-within/values:opacity-100 in-data-[windows=two]:group-hover/values:opacity-100"
    >
      <div className="ps-3">
        <Heading>Parts of “{selection.template.name}”</Heading>
      </div>
      <ul>
        <PartLine part={selection.template.row} depth={0} chosen={selection.part.id} />
      </ul>
    </section>
  );
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
  readonly chosen: string;
}

function PartLine({ part, depth, chosen }: PartLineProps) {
  const Icon = part.part === 'stack' ? icons[part.direction ?? 'across'] : icons[part.part];
  return (
    <li>
      <button
        type="button"
        aria-current={part.id === chosen ? 'true' : undefined}
        className="flex w-full items-center gap-2 py-0.5 pe-3 text-start hover:bg-paper aria-[current=true]:bg-chosen aria-[current=true]:font-semibold"
        style={{ paddingInlineStart: 12 + depth * 14 }}
        onClick={() => goWithin({ part: part.id }, 'replace')}
      >
        <Icon size={13} className="shrink-0 text-ash" aria-hidden="true" />
        <span className="max-w-[65%] shrink-0 truncate">
          {part.id.slice(prefixOf(part.id).length)}
        </span>
        <span className="truncate text-sm font-normal text-ash">{about(part)}</span>
      </button>
      {childrenOf(part).length > 0 && (
        <ul>
          {childrenOf(part).map((child) => (
            <PartLine key={child.id} part={child} depth={depth + 1} chosen={chosen} />
          ))}
        </ul>
      )}
    </li>
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
