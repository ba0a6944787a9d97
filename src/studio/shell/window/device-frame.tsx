import { type CSSProperties, type PointerEvent, type ReactNode, useRef } from 'react';
import type { TextDirection } from '../../../core/base';
import { densities } from '../../../core/lists';
import { MenuButton } from '../../shared/controls/controls';
import {
  type Device,
  devices,
  handsOf,
  isNamed,
  madeAsHigh,
  madeAsWide,
  maxHeightPx,
  maxWidthPx,
  minHeightPx,
  minWidthPx,
  safeAreas,
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

const isSaid = (words: string | undefined): words is string => words !== undefined;
const percent = (textSize: number): string => `${Math.round(textSize * 100)} %`;
const safeHint = ({ family }: Device): string => {
  const { above, below } = safeAreas[family];
  return `${above} px above, ${below} px below`;
};
const directions = { ltr: 'from left to right', rtl: 'from right to left' } as const;

/** What a window is: its device, its scheme, how large its text is and where its rows begin. */
export function DeviceMenus({ of = '', settings, ofLocale, onChange }: SettingsProps) {
  const { device, scheme, textSize, direction, density } = settings;
  const ofFamily = handsOf({ device, hands: undefined });
  const others = [direction, density === 'usual' ? undefined : density].filter(isSaid);
  return (
    <>
      <MenuButton
        givesWay
        label={`Device${of}`}
        words={isNamed(device) ? device.name : `${device.widthPx} × ${device.heightPx}`}
        entries={[
          ...devices.map((each) => ({
            words: each.name,
            hint: `${each.widthPx} × ${each.heightPx}`,
            isChosen: each === device,
            onChoose: () => onChange({ device: each }),
          })),
          ...(['touch', 'pointer'] as const).map((each) => ({
            words: `by ${each}`,
            hint: each === ofFamily ? 'as its family has it' : undefined,
            isChosen: handsOf(settings) === each,
            onChoose: () => onChange({ hands: each }),
          })),
          {
            words: 'safe areas',
            hint: safeHint(device),
            isChosen: settings.hasSafeAreas,
            onChoose: () => onChange({ hasSafeAreas: !settings.hasSafeAreas }),
          },
        ]}
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
        words={[
          ...(textSize === 1 && others.length > 0 ? [] : [percent(textSize)]),
          ...others,
        ].join(' ')}
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
          ...(['compact', 'usual', 'roomy'] as const).map((each) => ({
            words: `space ${each === 'usual' ? 'as templates say' : each}`,
            hint: each === 'usual' ? undefined : `${percent(densities[each])} of it`,
            isChosen: each === density,
            onChoose: () => onChange({ density: each }),
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
  const { device, scheme, textSize, hasSafeAreas } = settings;
  const style: CSSProperties & { readonly '--row-text-size': number } = {
    width: device.widthPx + 2,
    maxHeight: device.heightPx,
    paddingTop: hasSafeAreas ? safeAreas[device.family].above : 0,
    '--row-text-size': textSize,
  };
  return (
    <div className="flex min-h-0 flex-1 overflow-auto p-4 pb-0 max-[1100px]:px-1 in-data-[windows=two]:px-1">
      <div className="mx-auto flex shrink-0">
        <div className="flex min-h-0 flex-col">
          <div
            dir={direction}
            data-hands={handsOf(settings)}
            className={`scheme-${scheme} relative flex min-h-0 flex-1 shrink-0 flex-col overflow-hidden rounded-t-[18px] border border-b-0 border-ash`}
            style={style}
          >
            <h2 className="truncate border-b border-(--row-rule) px-4 py-3 text-lg leading-6 font-semibold [font-family:var(--row-face)]">
              {title}
            </h2>
            {children}
          </div>
          <Edge
            label={`Height of the device${of}`}
            way="height"
            device={device}
            onChange={(made) => onChange({ device: made })}
          />
        </div>
        <Edge
          label={`Width of the device${of}`}
          way="width"
          device={device}
          onChange={(made) => onChange({ device: made })}
        />
      </div>
    </div>
  );
}

interface EdgeProps {
  readonly label: string;
  readonly way: keyof typeof ways;
  readonly device: Device;
  readonly onChange: (device: Device) => void;
}

/** What each edge of a device is moved along, and by which keys. */
const ways = {
  width: {
    ...{ least: minWidthPx, most: maxWidthPx, made: madeAsWide, words: 'wide' },
    ...{ more: 'ArrowRight', less: 'ArrowLeft' },
    orientation: 'vertical',
    look: '-me-1.5 w-1.5 cursor-ew-resize',
  },
  height: {
    ...{ least: minHeightPx, most: maxHeightPx, made: madeAsHigh, words: 'high' },
    ...{ more: 'ArrowDown', less: 'ArrowUp' },
    orientation: 'horizontal',
    look: '-mb-1.5 h-1.5 cursor-ns-resize',
  },
} as const;

/** The edge of a device: dragged, or stepped by the arrow keys, it is of any width, or height. */
function Edge({ label, way, device, onChange }: EdgeProps) {
  const { least, most, made, words, more, less, orientation, look } = ways[way];
  const isWide = way === 'width';
  const px = isWide ? device.widthPx : device.heightPx;
  const begun = useRef({ at: 0, px: 0 });
  const at = ({ clientX, clientY }: PointerEvent) => (isWide ? clientX : clientY);
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    // The frame stands in the middle: it grows on both sides.
    onChange(made(device, begun.current.px + at(event) - begun.current.at));
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a separator that can be moved is not a rule
    <div
      role="separator"
      tabIndex={0}
      aria-orientation={orientation}
      aria-label={label}
      aria-valuenow={px}
      aria-valuemin={least}
      aria-valuemax={most}
      title={`${px} px ${words}: drag, or press the arrow keys`}
      className={`${look} shrink-0 touch-none rounded-full hover:bg-woad focus-visible:bg-woad`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        // A device that is higher than the page is seen as far as that goes: from there on it is made lower.
        const seen = event.currentTarget.previousElementSibling?.clientHeight ?? px;
        begun.current = { at: at(event), px: isWide ? px : Math.min(px, seen) };
      }}
      onPointerMove={drag}
      onKeyDown={({ key, shiftKey }) => {
        const step = shiftKey ? 10 : 1;
        if (key === more) onChange(made(device, px + step));
        if (key === less) onChange(made(device, px - step));
      }}
    />
  );
}
