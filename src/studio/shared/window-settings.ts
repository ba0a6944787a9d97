import { create } from 'zustand';
import type { DeviceFamily } from '../../core/pictures';

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

interface WindowSettings {
  readonly device: Device;
  readonly scheme: 'light' | 'dark';
}

export const useWindow = create<WindowSettings>()(() => ({
  device: narrowPhone,
  scheme: 'light',
}));
