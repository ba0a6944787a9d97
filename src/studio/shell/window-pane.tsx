import { useEffect, useRef, useState } from 'react';
import { ListView, type PoolReadout } from '../../render';
import { handItem } from '../shared/at-hand';
import { MenuButton } from '../shared/controls';
import { useCurrent } from '../shared/current';
import { usePictures } from '../shared/pictures';
import { go, useRoute } from '../shared/route';
import { engine, setWantedRange, useProject, useSession } from '../shared/session';
import { devices, useWindow } from '../shared/window-settings';
import { LocaleMenu } from './locale-menu';

/** The real list on all items, in a frame as large as the device. */
export function WindowPane() {
  const { device, scheme } = useWindow();
  const list = useCurrent()?.list;
  const hasRows = useSession((session) => (session.view?.sequence.entryCount ?? 1) > 0);
  const listName = list?.name ?? '';
  return (
    <div className="flex h-full flex-col bg-chosen/50">
      <div className="flex min-h-10 flex-wrap items-center gap-1.5 border-b border-rule bg-wool px-3 py-1.5">
        <MenuButton
          label="Device"
          words={`${device.name} ${device.widthPx} × ${device.heightPx}`}
          entries={devices.map((each) => ({
            words: each.name,
            hint: `${each.widthPx} × ${each.heightPx}`,
            isChosen: each === device,
            onChoose: () => useWindow.setState({ device: each }),
          }))}
        />
        <MenuButton
          label="Scheme"
          words={scheme}
          entries={(['light', 'dark'] as const).map((each) => ({
            words: each,
            isChosen: each === scheme,
            onChoose: () => useWindow.setState({ scheme: each }),
          }))}
        />
        <LocaleMenu />
      </div>
      <div className="flex min-h-0 flex-1 overflow-auto p-4 pb-0 max-[1100px]:px-1">
        <div
          className={`scheme-${scheme} mx-auto flex shrink-0 flex-col overflow-hidden rounded-t-[18px] border border-b-0 border-ash`}
          style={{ width: device.widthPx + 2, maxHeight: device.heightPx }}
        >
          <h2 className="truncate border-b border-(--row-rule) px-4 py-3 text-lg leading-6 font-semibold [font-family:var(--row-face)]">
            {listName}
          </h2>
          {hasRows ? <Rows /> : <NoRows />}
        </div>
      </div>
    </div>
  );
}

function Rows() {
  const host = useRef<HTMLElement>(null);
  const list = useRef<ListView>(undefined);
  const [readout, setReadout] = useState<PoolReadout>();
  const { view, atHand } = useSession();
  const project = useProject();
  const { scheme } = useWindow();
  const pictures = usePictures(project?.pictures, scheme);
  const latestPictures = useRef(pictures);
  latestPictures.current = pictures;

  useEffect(() => {
    if (host.current === null) return;
    const made = new ListView(host.current, {
      entries: (version, range) => engine().entries(version, range),
      pictures: (name) => latestPictures.current(name),
      pressed: (entry, part) => {
        void handItem(entry.item).then(() => part !== undefined && selectPart(entry.plan, part));
      },
    });
    list.current = made;
    setWantedRange(() => made.wanted());
    const timer = setInterval(() => setReadout(made.readout()), 500);
    return () => {
      clearInterval(timer);
      made.destroy();
    };
  }, []);

  // biome-ignore lint/correctness/useExhaustiveDependencies: other pictures want the same rows bound again
  useEffect(() => {
    if (view !== undefined) list.current?.show(view);
  }, [view, pictures]);

  const item = atHand?.item ?? -1;
  const entry = atHand?.entry ?? -1;
  useEffect(() => {
    list.current?.select(item);
    if (entry >= 0) list.current?.reveal(entry);
  }, [item, entry]);

  return (
    <>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard */}
      <section ref={host} tabIndex={0} aria-label="Rows" className="h-full min-h-0 flex-1" />
      <p className="border-t border-(--row-rule) px-4 py-1 text-xs text-(--row-ash) tabular-nums">
        {readout === undefined
          ? ''
          : `${readout.inUse} rows in use, ${readout.made} made, ${readout.bound} bindings`}
      </p>
    </>
  );
}

function selectPart(plan: number, part: string): void {
  const { route } = useRoute.getState();
  const template = useSession.getState().view?.plans[plan]?.template;
  if (route.page !== 'project' || template === undefined) return;
  go({ ...route, template, part }, 'replace');
}

function NoRows() {
  const { view } = useSession();
  const leftOut = view?.itemCount ?? 0;
  return (
    <p className="p-4 [font-family:var(--row-face)]">
      {leftOut === 0
        ? 'There are no items. Drop a JSON, NDJSON or CSV file anywhere on this page.'
        : 'All items are left out: no choice gives them a template. Choose one in Choices.'}
    </p>
  );
}
