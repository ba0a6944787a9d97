import type { MouseEvent } from 'react';
import { create } from 'zustand';
import { forgetTold } from '../living/events';
import {
  type BesideSettings,
  forgetProjectSettings,
  readWindows,
  useBeside,
  useWindow,
  type WindowSettings,
  writeWindows,
} from '../window/window-settings';

const stationNames = ['data', 'templates', 'choices', 'list', 'hand-off'] as const;
export type StationName = (typeof stationNames)[number];

const panels = [
  'pictures',
  'styles',
  'colours',
  'drafts',
  'compare',
  'text',
  'picture',
  'actions',
] as const;
type Panel = (typeof panels)[number];

/** What a list is made of, in the order in which it stands. */
export const listPieces = [
  'above',
  'filter',
  'header',
  'heading',
  'row',
  'separator',
  'insert',
  'footing',
  'footer',
  'below',
  'states',
  'reader',
] as const;
export type ListPiece = (typeof listPieces)[number];

/** Where the reader is: everything that back, forward, reload and a shared link bring back. */
export type Route =
  | { readonly page: 'start' }
  | {
      readonly page: 'project';
      readonly id: string;
      readonly station: StationName;
      readonly template?: string | undefined;
      readonly part?: string | undefined;
      /** Parts that are selected with it. */
      readonly also?: readonly string[] | undefined;
      readonly source?: string | undefined;
      /** The list that is shown; undefined: the first of the source. */
      readonly list?: string | undefined;
      /** What of the list is looked at; undefined: its rows. */
      readonly piece?: ListPiece | undefined;
      readonly field?: string | undefined;
      /** The file of the pack that is looked at. */
      readonly file?: string | undefined;
      /** What a station shows in the place of what it mostly does. */
      readonly panel?: Panel | undefined;
      /** The text style that is looked at. */
      readonly style?: string | undefined;
      readonly item?: number | undefined;
    };

const isStation = (name: string | undefined): name is StationName =>
  stationNames.some((each) => each === name);

function routeOf(address: URL): Route {
  const [, page, id, station] = address.pathname.split('/');
  if (page !== 'p' || id === undefined || id === '') return { page: 'start' };
  const item = Number(address.searchParams.get('item') ?? '0');
  return {
    page: 'project',
    id,
    station: isStation(station) ? station : 'templates',
    template: address.searchParams.get('template') ?? undefined,
    part: address.searchParams.get('part') ?? undefined,
    also: address.searchParams.getAll('also'),
    source: address.searchParams.get('source') ?? undefined,
    list: address.searchParams.get('list') ?? undefined,
    piece: listPieces.find((piece) => piece === address.searchParams.get('piece')),
    field: address.searchParams.get('field') ?? undefined,
    file: address.searchParams.get('file') ?? undefined,
    panel: panels.find((panel) => panel === address.searchParams.get('panel')),
    style: address.searchParams.get('style') ?? undefined,
    item: Number.isInteger(item) && item > 0 ? item - 1 : undefined,
  };
}

function addressOf(route: Route): string {
  if (route.page === 'start') return '/';
  const query = new URLSearchParams();
  if (route.template !== undefined) query.set('template', route.template);
  if (route.part !== undefined) query.set('part', route.part);
  for (const part of route.also ?? []) query.append('also', part);
  if (route.source !== undefined) query.set('source', route.source);
  if (route.list !== undefined) query.set('list', route.list);
  if (route.piece !== undefined) query.set('piece', route.piece);
  if (route.field !== undefined) query.set('field', route.field);
  if (route.file !== undefined) query.set('file', route.file);
  if (route.panel !== undefined) query.set('panel', route.panel);
  if (route.style !== undefined) query.set('style', route.style);
  if (route.item !== undefined) query.set('item', String(route.item + 1));
  writeWindows(query);
  const text = query.toString();
  return `/p/${route.id}/${route.station}${text === '' ? '' : `?${text}`}`;
}

export const useRoute = create<{ readonly route: Route }>()(() => ({ route: { page: 'start' } }));

/** Takes up what the address says. */
function readAddress(): void {
  const address = new URL(location.href);
  const route = routeOf(address);
  if (route.page === 'project') readWindows(address.searchParams);
  useRoute.setState({ route });
}

readAddress();
window.addEventListener('popstate', readAddress);
/** Goes somewhere; `replace` where a step back should not stop here. */
export function go(route: Route, how: 'push' | 'replace' = 'push'): void {
  const { route: before } = useRoute.getState();
  const isOther = before.page === 'project' && (route.page === 'start' || route.id !== before.id);
  if (isOther) {
    forgetProjectSettings();
    forgetTold();
  }
  const address = addressOf(route);
  if (address !== location.pathname + location.search) {
    if (how === 'push') history.pushState(null, '', address);
    else history.replaceState(null, '', address);
  }
  useRoute.setState({ route });
}

/** Sets what the window is, in the address too. */
export function setWindow(change: Partial<WindowSettings>): void {
  useWindow.setState(change);
  go(useRoute.getState().route, 'replace');
}

/** The same for the second window. */
export function setBeside(change: Partial<BesideSettings>): void {
  useBeside.setState(change);
  go(useRoute.getState().route, 'replace');
}

type Within = Partial<Extract<Route, { page: 'project' }>>;

/** Changes what is selected within the project that is open. */
export function goWithin(change: Within, how: 'push' | 'replace' = 'push'): void {
  const { route } = useRoute.getState();
  if (route.page === 'project') go({ ...route, ...change }, how);
}

/** The address of a place within the project that is open, for a link. */
export const hrefWithin = (route: Route, change: Within): string =>
  addressOf(route.page === 'project' ? { ...route, ...change } : route);

/** A plain press on a link stays in this page; with a key or another button the browser opens it. */
export function goOnPress(event: MouseEvent, change: Within): void {
  if (event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
    return;
  event.preventDefault();
  goWithin(change);
}
