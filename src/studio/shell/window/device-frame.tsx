import type { ReactNode } from 'react';
import { MenuButton } from '../../shared/controls/controls';
import { type Device, devices, type Scheme, useBeside } from '../../shared/window/window-settings';

interface SettingsProps {
  /** What tells the settings of two windows apart to those who hear them. */
  readonly of?: string;
  readonly device: Device;
  readonly scheme: Scheme;
  readonly onChange: (changed: { readonly device?: Device; readonly scheme?: Scheme }) => void;
}

/** What a window is: its device and its scheme. */
export function DeviceMenus({ of = '', device, scheme, onChange }: SettingsProps) {
  const isBeside = useBeside((beside) => beside.isOpen);
  return (
    <>
      <MenuButton
        label={`Device${of}`}
        words={isBeside ? device.name : `${device.name} ${device.widthPx} × ${device.heightPx}`}
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
    </>
  );
}

interface FrameProps {
  readonly device: Device;
  readonly scheme: Scheme;
  readonly title: string;
  readonly children: ReactNode;
}

/** A frame as large as the device. */
export function DeviceFrame({ device, scheme, title, children }: FrameProps) {
  return (
    <div className="flex min-h-0 flex-1 overflow-auto p-4 pb-0 max-[1100px]:px-1 in-data-[windows=two]:px-1">
      <div
        className={`scheme-${scheme} mx-auto flex shrink-0 flex-col overflow-hidden rounded-t-[18px] border border-b-0 border-ash`}
        style={{ width: device.widthPx + 2, maxHeight: device.heightPx }}
      >
        <h2 className="truncate border-b border-(--row-rule) px-4 py-3 text-lg leading-6 font-semibold [font-family:var(--row-face)]">
          {title}
        </h2>
        {children}
      </div>
    </div>
  );
}
