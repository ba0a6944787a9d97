import { create } from 'zustand';
import type { DeviceFamily } from '../../../core/pictures';
import type { Frame } from '../../../engine';

export interface Device {
  readonly name: string;
  readonly family: DeviceFamily;
  readonly widthPx: number;
  readonly heightPx: number;
}

const narrowPhone: Device = {
  name: 'narrow phone',
  family: 'phone',
  widthPx: 360,
  heightPx: 740,
};

/** The devices that the window can be; sizes in CSS px. */
export const devices: readonly Device[] = [
  { name: 'small phone', family: 'phone', widthPx: 320, heightPx: 568 },
  narrowPhone,
  { name: 'wide phone', family: 'phone', widthPx: 412, heightPx: 860 },
  { name: 'tablet', family: 'tablet', widthPx: 768, heightPx: 1024 },
];

export type Scheme = 'light' | 'dark';

interface WindowSettings {
  readonly device: Device;
  readonly scheme: Scheme;
}

export const useWindow = create<WindowSettings>()(() => ({
  device: narrowPhone,
  scheme: 'light',
}));

/** What the view of the second window is called. */
export const besideId = 'beside';

interface BesideSettings extends WindowSettings {
  readonly isOpen: boolean;
  /** Undefined: the project's first. */
  readonly locale: string | undefined;
  readonly list: string | undefined;
  readonly frame: Frame | undefined;
}

/** The second window: whatever differs from the first. */
export const useBeside = create<BesideSettings>()(() => ({
  isOpen: false,
  device: narrowPhone,
  scheme: 'dark',
  locale: undefined,
  list: undefined,
  frame: undefined,
}));
