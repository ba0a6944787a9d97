import { create } from 'zustand';
import type { TextDirection } from '../../../core/base';
import { type Density, densities, type ListState, listStates } from '../../../core/lists';
import type { DeviceFamily } from '../../../core/pictures';
import type { Frame } from '../../../engine';

export interface Device {
  readonly name: string;
  readonly family: DeviceFamily;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** What devices of a family keep for themselves at their ends, in CSS px: rows and bars stay clear of it. */
export const safeAreas: Readonly<Record<DeviceFamily, { above: number; below: number }>> = {
  phone: { above: 36, below: 28 },
  tablet: { above: 24, below: 20 },
  desktop: { above: 0, below: 0 },
};

/** What a person acts with. */
export type Hands = 'touch' | 'pointer';

/** What it is with devices of a family, unless it is said otherwise. */
export const handsOf = ({ device, hands }: Pick<WindowSettings, 'device' | 'hands'>): Hands =>
  hands ?? (device.family === 'desktop' ? 'pointer' : 'touch');

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
  { name: 'phone', family: 'phone', widthPx: 390, heightPx: 844 },
  { name: 'wide phone', family: 'phone', widthPx: 412, heightPx: 860 },
  { name: 'lying phone', family: 'phone', widthPx: 740, heightPx: 360 },
  { name: 'small tablet', family: 'tablet', widthPx: 600, heightPx: 960 },
  { name: 'tablet', family: 'tablet', widthPx: 768, heightPx: 1024 },
  { name: 'lying tablet', family: 'tablet', widthPx: 1024, heightPx: 768 },
  { name: 'side of a desktop', family: 'desktop', widthPx: 480, heightPx: 900 },
];

/** Whether it is one of them, not one of any width. */
export const isNamed = (device: Device): boolean => devices.includes(device);

/** How wide a window may be made, in CSS px. */
export const minWidthPx = 120;
export const maxWidthPx = 2_000;

/** A device of any width, otherwise as another one. */
export const madeAsWide = (device: Device, widthPx: number): Device => ({
  ...device,
  name: 'any width',
  widthPx: Math.max(minWidthPx, Math.min(maxWidthPx, Math.round(widthPx))),
});

/** How high it may be made, in CSS px. */
export const minHeightPx = 160;
export const maxHeightPx = 2_000;

/** The same of any height. */
export const madeAsHigh = (device: Device, heightPx: number): Device => ({
  ...device,
  name: 'any height',
  heightPx: Math.max(minHeightPx, Math.min(maxHeightPx, Math.round(heightPx))),
});

/** How much space there is in rows and at the bottom of a window, as rows take it. */
export const roomOf = ({ device, density, hasSafeAreas }: WindowSettings) => ({
  density: densities[density],
  safeBelow: hasSafeAreas ? safeAreas[device.family].below : 0,
});

export type Scheme = 'light' | 'dark';

/** How many times as large as styles say text may be. */
export const textSizes: readonly number[] = [0.8, 1, 1.2, 1.35, 1.5, 2];

/** Where rows begin; undefined: as the locale says. */
export type Direction = TextDirection | undefined;

export interface WindowSettings {
  readonly device: Device;
  readonly scheme: Scheme;
  readonly textSize: number;
  readonly direction: Direction;
  /** How much space there is in rows. */
  readonly density: Density;
  /** Undefined: as with devices of its family. */
  readonly hands: Hands | undefined;
  /** What the device keeps for itself is seen. */
  readonly hasSafeAreas: boolean;
  /** Where it is undefined, the project's first locale holds. */
  readonly locale: string | undefined;
  /** Id of a look; where it is undefined, or the project has none such, its first one holds. */
  readonly look: string | undefined;
  /** What is to be seen whatever items there are; undefined: as it is. */
  readonly state: ListState | undefined;
  /** What is typed in the filter box. */
  readonly filter: string;
  /** Sections whose rows a reader has folded away, or shown again; by `sectionOf`. */
  readonly toggled: readonly string[];
  /** Presses are the app user's: rows do what they would do in the app. */
  readonly lives: boolean;
}

const usual: Omit<WindowSettings, 'scheme'> = {
  ...{ device: narrowPhone, textSize: 1, direction: undefined, hasSafeAreas: false },
  ...{ density: 'usual', hands: undefined },
  ...{
    locale: undefined,
    look: undefined,
    state: undefined,
    filter: '',
    toggled: [],
    lives: false,
  },
};

export const useWindow = create<WindowSettings>()(() => ({ ...usual, scheme: 'light' }));

/** What the view of the second window is called. */
export const besideId = 'beside';

export interface BesideSettings extends WindowSettings {
  readonly isOpen: boolean;
  /** Where it is undefined, the project's first list is shown. */
  readonly list: string | undefined;
  /** Undefined: the set that the first window shows. */
  readonly set: string | undefined;
}

/** The second window: whatever differs from the first. */
export const useBeside = create<BesideSettings>()(() => ({
  ...usual,
  isOpen: false,
  scheme: 'dark',
  list: undefined,
  set: undefined,
}));

/** What the second window shows now. */
export const useBesideFrame = create<{ readonly frame: Frame | undefined }>()(() => ({
  frame: undefined,
}));

/** What of the windows is a project's own: another project begins without it. */
export function forgetProjectSettings(): void {
  const none = { locale: undefined, look: undefined, state: undefined, filter: '', toggled: [] };
  useWindow.setState(none);
  useBeside.setState({ ...none, list: undefined, set: undefined });
}

/** What an address calls a device: by its name, or as wide and as high as it is. */
const slugOf = (device: Device): string =>
  isNamed(device)
    ? device.name.replaceAll(' ', '-')
    : `${device.family}-${device.widthPx}x${device.heightPx}`;

function deviceOf(slug: string | null): Device {
  const named = devices.find((device) => slugOf(device) === slug);
  if (named !== undefined) return named;
  const made = /^(phone|tablet|desktop)-(\d{2,4})x(\d{3,4})$/.exec(slug ?? '');
  const like = devices.find(({ family }) => family === made?.[1]);
  return like === undefined
    ? narrowPhone
    : madeAsWide({ ...like, heightPx: Number(made?.[3]) }, Number(made?.[2]));
}

const percent = (textSize: number): string => String(Math.round(textSize * 100));
const textSizeOf = (text: string | null): number =>
  textSizes.find((each) => percent(each) === text) ?? 1;
const directionIn = (text: string | null): Direction =>
  text === 'ltr' || text === 'rtl' ? text : undefined;

const densityIn = (text: string | null): Density =>
  text === 'compact' || text === 'roomy' ? text : 'usual';
const handsIn = (text: string | null): Hands | undefined =>
  text === 'touch' || text === 'pointer' ? text : undefined;

const stateIn = (text: string | null): ListState | undefined =>
  listStates.find((state) => state === text);

/** So many letters of folded sections go into an address: the latest. */
const mostOfToggled = 2_000;

const latestOf = (toggled: readonly string[]): readonly string[] => {
  let room = mostOfToggled;
  return toggled.toReversed().filter((section) => {
    room -= section.length;
    return room >= 0;
  });
};

/** Puts the settings that are not the usual ones into an address. */
export function writeWindows(query: URLSearchParams): void {
  const write = (name: string, value: string | undefined, usual?: string) => {
    if (value !== undefined && value !== usual) query.set(name, value);
  };
  const first = useWindow.getState();
  write('device', slugOf(first.device), slugOf(narrowPhone));
  write('scheme', first.scheme, 'light');
  write('text-size', percent(first.textSize), '100');
  write('direction', first.direction);
  write('density', first.density, 'usual');
  write('hands', first.hands);
  write('safe-areas', first.hasSafeAreas ? 'seen' : undefined);
  write('locale', first.locale);
  write('look', first.look);
  write('state', first.state);
  for (const section of latestOf(first.toggled)) query.append('fold', section);
  write('lives', first.lives ? 'yes' : undefined);
  const beside = useBeside.getState();
  if (!beside.isOpen) return;
  write('beside', slugOf(beside.device));
  write('beside-scheme', beside.scheme, 'dark');
  write('beside-text-size', percent(beside.textSize), '100');
  write('beside-direction', beside.direction);
  write('beside-density', beside.density, 'usual');
  write('beside-hands', beside.hands);
  write('beside-safe-areas', beside.hasSafeAreas ? 'seen' : undefined);
  write('beside-locale', beside.locale);
  write('beside-look', beside.look);
  write('beside-state', beside.state);
  for (const section of latestOf(beside.toggled)) query.append('beside-fold', section);
  write('beside-lives', beside.lives ? 'yes' : undefined);
  write('beside-list', beside.list);
  write('beside-set', beside.set);
}

/** Takes the settings out of an address. */
export function readWindows(query: URLSearchParams): void {
  const read = (name: string) => query.get(name) ?? undefined;
  useWindow.setState({
    device: deviceOf(query.get('device')),
    scheme: query.get('scheme') === 'dark' ? 'dark' : 'light',
    textSize: textSizeOf(query.get('text-size')),
    direction: directionIn(query.get('direction')),
    density: densityIn(query.get('density')),
    hands: handsIn(query.get('hands')),
    hasSafeAreas: query.get('safe-areas') === 'seen',
    locale: read('locale'),
    look: read('look'),
    state: stateIn(query.get('state')),
    toggled: query.getAll('fold').toReversed(),
    lives: query.get('lives') === 'yes',
  });
  useBeside.setState({
    isOpen: query.has('beside'),
    device: deviceOf(query.get('beside')),
    scheme: query.get('beside-scheme') === 'light' ? 'light' : 'dark',
    textSize: textSizeOf(query.get('beside-text-size')),
    direction: directionIn(query.get('beside-direction')),
    density: densityIn(query.get('beside-density')),
    hands: handsIn(query.get('beside-hands')),
    hasSafeAreas: query.get('beside-safe-areas') === 'seen',
    locale: read('beside-locale'),
    look: read('beside-look'),
    state: stateIn(query.get('beside-state')),
    toggled: query.getAll('beside-fold').toReversed(),
    lives: query.get('beside-lives') === 'yes',
    list: read('beside-list'),
    set: read('beside-set'),
  });
}
