import { Menu } from '@base-ui/react/menu';
import ArrowDown from 'lucide-react/icons/arrow-down';
import ArrowUp from 'lucide-react/icons/arrow-up';
import ChevronDown from 'lucide-react/icons/chevron-down';
import type { PointerEvent } from 'react';
import { namesInWords } from '../../../../core/base';
import { keyFields } from '../../../../core/items';
import type { Source } from '../../../../core/project';
import { typeInWords } from '../../../../core/values';
import type { TableLook } from '../../../../engine';
import { TypeMark } from '../../../shared/controls/typed';
import { goWithin, useRoute } from '../../../shared/session/route';
import { type Column, columnIdOf } from './columns';
import { HeadChart } from './head-chart';

interface ColumnHeadProps {
  readonly column: Column;
  readonly source: Source;
  readonly look: TableLook;
  readonly onLook: (look: TableLook) => void;
  readonly widthPx: number;
  readonly onWidth: (px: number) => void;
  readonly onHide: () => void;
  readonly onOpen: () => void;
  readonly onClose: (() => void) | undefined;
  readonly onShowAll: (() => void) | undefined;
}

const minPx = 56;

/** A field's name, type and how full it is; what can be done with its column. */
export function ColumnHead({
  column,
  source,
  look,
  onLook,
  widthPx,
  onWidth,
  onHide,
  onOpen,
  onClose,
  onShowAll,
}: ColumnHeadProps) {
  const { route } = useRoute();
  const chosen = route.page === 'project' ? route.field : undefined;
  const { id, path, field } = column;
  const words = namesInWords(path);
  const isChosen = id === chosen;
  const sorted =
    look.sort !== undefined && columnIdOf(look.sort.path) === id ? look.sort : undefined;
  const sort = (isDescending: boolean) => onLook({ ...look, sort: { path, isDescending } });
  const isKey = path.length === 1 && keyFields(source.key).includes(field.name);
  return (
    <th
      scope="col"
      aria-sort={
        sorted === undefined ? undefined : sorted.isDescending ? 'descending' : 'ascending'
      }
      className="relative border-b border-ink px-2 py-1 text-start align-top font-normal"
    >
      <button
        type="button"
        className="block w-full truncate pe-5 text-start"
        aria-pressed={isChosen}
        onClick={() => goWithin({ field: isChosen ? undefined : id }, 'replace')}
      >
        <span className={`font-semibold ${isChosen ? 'text-woad' : ''}`}>{words}</span>
        {sorted !== undefined && (
          <span className="ms-1 inline-block align-middle text-woad">
            {sorted.isDescending ? <ArrowDown size={12} /> : <ArrowUp size={12} />}
          </span>
        )}
        <span className="flex items-center gap-1.5 text-ash">
          <TypeMark type={field} />
          {isKey ? 'key, ' : ''}
          {field.expr !== undefined ? 'computed, ' : ''}
          {typeInWords(field)}
          {field.required ? '' : ', not in all'}
        </span>
        <HeadChart column={column} source={source} />
      </button>
      <Menu.Root modal={false}>
        <Menu.Trigger
          aria-label={`Column ${words}`}
          className="absolute end-1.5 top-1 grid size-5 place-items-center rounded-sm text-ash hover:bg-chosen"
        >
          <ChevronDown size={12} aria-hidden="true" />
        </Menu.Trigger>
        <Menu.Portal>
          <Menu.Positioner sideOffset={2} align="end" className="z-50">
            <Menu.Popup className="min-w-40 rounded-md border border-ash bg-paper py-1 text-sm text-ink outline-none">
              <Entry words="Sort upwards" onChoose={() => sort(false)} />
              <Entry words="Sort downwards" onChoose={() => sort(true)} />
              {look.sort !== undefined && (
                <Entry
                  words="As in the source"
                  onChoose={() => onLook({ ...look, sort: undefined })}
                />
              )}
              {field.type === 'record' && <Entry words="Open the record" onChoose={onOpen} />}
              {onClose !== undefined && <Entry words="Close the record" onChoose={onClose} />}
              <Entry words="Hide" onChoose={onHide} />
              {onShowAll !== undefined && <Entry words="Show all columns" onChoose={onShowAll} />}
              <Entry words="Wider" onChoose={() => onWidth(widthPx + 40)} />
              <Entry words="Narrower" onChoose={() => onWidth(Math.max(minPx, widthPx - 40))} />
            </Menu.Popup>
          </Menu.Positioner>
        </Menu.Portal>
      </Menu.Root>
      <Edge widthPx={widthPx} onWidth={onWidth} />
    </th>
  );
}

function Entry({ words, onChoose }: { readonly words: string; readonly onChoose: () => void }) {
  return (
    <Menu.Item
      onClick={onChoose}
      className="cursor-default px-3 py-1 outline-none data-highlighted:bg-chosen"
    >
      {words}
    </Menu.Item>
  );
}

/** The column's end, to be dragged; "Wider" and "Narrower" do it by keyboard. */
function Edge({
  widthPx,
  onWidth,
}: {
  readonly widthPx: number;
  readonly onWidth: (px: number) => void;
}) {
  const drag = (event: PointerEvent<HTMLSpanElement>) => {
    if (event.currentTarget.hasPointerCapture(event.pointerId))
      onWidth(Math.max(minPx, Math.round(widthPx + event.movementX)));
  };
  return (
    <span
      aria-hidden="true"
      className="absolute inset-y-0 end-0 w-1.5 cursor-col-resize touch-none hover:bg-woad/40"
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
    />
  );
}
