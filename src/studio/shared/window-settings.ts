import { create } from 'zustand';

/** The devices that the window can be; sizes in CSS px. */
export const devices = [
  { name: 'small phone', widthPx: 320, heightPx: 568 },
  { name: 'narrow phone', widthPx: 360, heightPx: 740 },
  { name: 'wide phone', widthPx: 412, heightPx: 860 },
  { name: 'tablet', widthPx: 768, heightPx: 1024 },
] as const;

export type Device = (typeof devices)[number];

interface WindowSettings {
  readonly device: Device;
  readonly scheme: 'light' | 'dark';
}

export const useWindow = create<WindowSettings>()(() => ({ device: devices[1], scheme: 'light' }));
