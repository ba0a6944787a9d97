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

export interface WindowSettings {
  readonly device: Device;
  readonly scheme: Scheme;
  /** Undefined: the project's first. */
  readonly locale: string | undefined;
}

export const useWindow = create<WindowSettings>()(() => ({
  device: narrowPhone,
  scheme: 'light',
  locale: undefined,
}));

/** What the view of the second window is called. */
export const besideId = 'beside';

export interface BesideSettings extends WindowSettings {
  readonly isOpen: boolean;
  /** Undefined: the project's first. */
  readonly list: string | undefined;
  /** Undefined: the set that the first window shows. */
  readonly set: string | undefined;
}

/** The second window: whatever differs from the first. */
export const useBeside = create<BesideSettings>()(() => ({
  isOpen: false,
  device: narrowPhone,
  scheme: 'dark',
  locale: undefined,
  list: undefined,
  set: undefined,
}));

/** What the second window shows now. */
export const useBesideFrame = create<{ readonly frame: Frame | undefined }>()(() => ({
  frame: undefined,
}));

/** What of the windows is a project's own: another project begins without it. */
export function forgetProjectSettings(): void {
  useWindow.setState({ locale: undefined });
  useBeside.setState({ locale: undefined, list: undefined, set: undefined });
}

const slugOf = ({ name }: Device): string => name.replaceAll(' ', '-');

const deviceOf = (slug: string | null): Device =>
  devices.find((device) => slugOf(device) === slug) ?? narrowPhone;

/** Puts the settings that are not the usual ones into an address. */
export function writeWindows(query: URLSearchParams): void {
  const write = (name: string, value: string | undefined, usual?: string) => {
    if (value !== undefined && value !== usual) query.set(name, value);
  };
  const first = useWindow.getState();
  write('device', slugOf(first.device), slugOf(narrowPhone));
  write('scheme', first.scheme, 'light');
  write('locale', first.locale);
  const beside = useBeside.getState();
  if (!beside.isOpen) return;
  write('beside', slugOf(beside.device));
  write('beside-scheme', beside.scheme, 'dark');
  write('beside-locale', beside.locale);
  write('beside-list', beside.list);
  write('beside-set', beside.set);
}

/** Takes the settings out of an address. */
export function readWindows(query: URLSearchParams): void {
  const read = (name: string) => query.get(name) ?? undefined;
  useWindow.setState({
    device: deviceOf(query.get('device')),
    scheme: query.get('scheme') === 'dark' ? 'dark' : 'light',
    locale: read('locale'),
  });
  useBeside.setState({
    isOpen: query.has('beside'),
    device: deviceOf(query.get('beside')),
    scheme: query.get('beside-scheme') === 'light' ? 'light' : 'dark',
    locale: read('beside-locale'),
    list: read('beside-list'),
    set: read('beside-set'),
  });
}
