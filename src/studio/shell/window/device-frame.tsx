import { type CSSProperties, type PointerEvent, type ReactNode, useRef } from 'react';
import type { TextDirection } from '../../../core/base';
import { MenuButton } from '../../shared/controls/controls';
import {
  type Device,
  devices,
  isNamed,
  madeAsWide,
  maxWidthPx,
  minWidthPx,
  textSizes,
  type WindowSettings,
} from '../../shared/window/window-settings';

type Change = (changed: Partial<WindowSettings>) => void;

interface SettingsProps {
  /** What tells the settings of two windows apart to those who hear them. */
  readonly of?: string;
  readonly settings: WindowSettings;
  /** Where rows of the locale begin. */
  readonly ofLocale: TextDirection;
  readonly onChange: Change;
}

const percent = (textSize: number): string => `${Math.round(textSize * 100)} %`;
const directions = { ltr: 'from left to right', rtl: 'from right to left' } as const;

/** What a window is: its device, its scheme, how large its text is and where its rows begin. */
export function DeviceMenus({ of = '', settings, ofLocale, onChange }: SettingsProps) {
  const { device, scheme, textSize, direction } = settings;
  return (
    <>
      <MenuButton
        givesWay
        label={`Device${of}`}
        words={isNamed(device) ? device.name : `${device.widthPx} px wide`}
        entries={devices.map((each) => ({
          words: each.name,
          hint: `${each.widthPx} × ${each.heightPx}`,
          isChosen: each === device,
          onChoose: () => onChange({ device: each }),
        }))}
      />
      <MenuButton
        label={`Scheme${of}`}
        words={scheme}
        entries={(['light', 'dark'] as const).map((each) => ({
          words: each,
          isChosen: each === scheme,
          onChoose: () => onChange({ scheme: each }),
        }))}
      />
      <MenuButton
        label={`Text${of}`}
        words={direction === undefined ? percent(textSize) : `${percent(textSize)} ${direction}`}
        entries={[
          ...textSizes.map((each) => ({
            words: percent(each),
            hint: each === 1 ? 'as styles say' : undefined,
            isChosen: each === textSize,
            onChoose: () => onChange({ textSize: each }),
          })),
          ...([undefined, 'ltr', 'rtl'] as const).map((each) => ({
            words: each === undefined ? 'rows as the locale says' : `rows ${directions[each]}`,
            hint: each === undefined ? directions[ofLocale] : undefined,
            isChosen: each === direction,
            onChoose: () => onChange({ direction: each }),
          })),
        ]}
      />
    </>
  );
}

interface FrameProps {
  /** What its edge is called to those who hear it. */
  readonly of?: string;
  readonly settings: WindowSettings;
  readonly direction: TextDirection;
  readonly title: string;
  readonly onChange: Change;
  readonly children: ReactNode;
}

/** A frame as large as the device. */
export function DeviceFrame(props: FrameProps) {
  const { of = '', settings, direction, title, onChange, children } = props;
  const { device, scheme, textSize } = settings;
  const style: CSSProperties & { readonly '--row-text-size': number } = {
    width: device.widthPx + 2,
    maxHeight: device.heightPx,
    '--row-text-size': textSize,
  };
  return (
    <div className="flex min-h-0 flex-1 overflow-auto p-4 pb-0 max-[1100px]:px-1 in-data-[windows=two]:px-1">
      <div className="mx-auto flex shrink-0">
        <div
          dir={direction}
          className={`scheme-${scheme} flex shrink-0 flex-col overflow-hidden rounded-t-[18px] border border-b-0 border-ash`}
          style={style}
        >
          <h2 className="truncate border-b border-(--row-rule) px-4 py-3 text-lg leading-6 font-semibold [font-family:var(--row-face)]">
            {title}
          </h2>
          {children}
        </div>
        <Edge
          label={`Width of the device${of}`}
          device={device}
          onChange={(made) => onChange({ device: made })}
        />
      </div>
    </div>
  );
}

interface EdgeProps {
  readonly label: string;
  readonly device: Device;
  readonly onChange: (device: Device) => void;
}

/** The edge of a device: dragged, or stepped by the arrow keys, it is of any width. */
function Edge({ label, device, onChange }: EdgeProps) {
  const begun = useRef({ x: 0, widthPx: 0 });
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    // The frame stands in the middle: it grows on both sides.
    const { x, widthPx } = begun.current;
    onChange(madeAsWide(device, widthPx + event.clientX - x));
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a separator that can be moved is not a rule
    <div
      role="separator"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={label}
      aria-valuenow={device.widthPx}
      aria-valuemin={minWidthPx}
      aria-valuemax={maxWidthPx}
      title={`${device.widthPx} px wide: drag, or press the arrow keys`}
      className="-me-1.5 w-1.5 shrink-0 cursor-ew-resize touch-none rounded-full hover:bg-woad focus-visible:bg-woad"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        begun.current = { x: event.clientX, widthPx: device.widthPx };
      }}
      onPointerMove={drag}
      onKeyDown={({ key, shiftKey }) => {
        const step = shiftKey ? 10 : 1;
        if (key === 'ArrowRight') onChange(madeAsWide(device, device.widthPx + step));
        if (key === 'ArrowLeft') onChange(madeAsWide(device, device.widthPx - step));
      }}
    />
  );
}
