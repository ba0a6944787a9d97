import X from 'lucide-react/icons/x';
import { useEffect, useRef } from 'react';
import { localeOf, withId } from '../../../core/project';
import type { Frame } from '../../../engine';
import type { ListView } from '../../../render';
import { MenuButton } from '../../shared/controls/controls';
import { engine, onBeside, useProject, useSession, withLines } from '../../shared/session/session';
import { besideId, useBeside } from '../../shared/window/window-settings';
import { DeviceFrame, DeviceMenus } from './device-frame';
import { NoRows, Rows } from './rows';
import { windows } from './scroll-along';

const firstRange = { from: 0, to: 40 };

/** A second window beside the first: the same items, any setting of its own, scrolling along. */
export function BesidePane() {
  const project = useProject();
  const { device, scheme, locale, list, frame } = useBeside();
  const atHand = useSession((session) => session.atHand);
  const hasRows = (frame?.sequence.entryCount ?? 0) > 0;
  const view = useRef<ListView>(undefined);
  useFrames();
  useEffect(() => {
    windows.second = view.current;
    return () => {
      windows.second = undefined;
    };
  });
  if (project === undefined) return null;
  const shownList =
    (list === undefined ? undefined : withId(project.lists, list)) ?? project.lists[0];
  const locales = project.locales ?? [localeOf(project)];
  return (
    <section
      aria-label="Window beside"
      className="flex h-full flex-col border-s border-rule bg-chosen/50"
    >
      <div className="flex min-h-10 flex-wrap items-center gap-1.5 border-b border-rule bg-wool px-3 py-1.5">
        <DeviceMenus of=" beside" device={device} scheme={scheme} onChange={useBeside.setState} />
        <MenuButton
          label="Locale beside"
          words={locale ?? localeOf(project)}
          entries={locales.map((each) => ({
            words: each,
            isChosen: each === (locale ?? localeOf(project)),
            onChoose: () => useBeside.setState({ locale: each }),
          }))}
        />
        {project.lists.length > 1 && (
          <MenuButton
            label="List beside"
            words={shownList?.name ?? ''}
            entries={project.lists.map((each) => ({
              words: each.name,
              isChosen: each === shownList,
              onChoose: () => useBeside.setState({ list: each.id }),
            }))}
          />
        )}
        <button
          type="button"
          aria-label="Close the window beside"
          className="ms-auto rounded-sm p-0.5 hover:bg-chosen"
          onClick={() => useBeside.setState({ isOpen: false })}
        >
          <X size={14} aria-hidden="true" />
        </button>
      </div>
      <DeviceFrame device={device} scheme={scheme} title={shownList?.name ?? ''}>
        {frame !== undefined && hasRows ? (
          <Rows
            label="Rows beside"
            view={besideId}
            frame={frame}
            scheme={scheme}
            item={atHand?.item ?? -1}
            entry={-1}
            list={view}
          />
        ) : (
          <NoRows frame={frame} />
        )}
      </DeviceFrame>
    </section>
  );
}

const take = (frame: Frame) =>
  useBeside.setState((before) => ({ frame: withLines(frame, before.frame) }));

/** Asks for the view as it is set; what comes of edits is told by the engine itself. */
function useFrames(): void {
  const { locale, list } = useBeside();
  const id = useSession((session) => session.id);
  const hasItems = useSession((session) => session.view !== undefined);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another project is another view
  useEffect(() => {
    if (!hasItems) return;
    void engine().showBeside(besideId, { locale, list }, firstRange).then(take);
  }, [locale, list, id, hasItems]);
  useEffect(() => onBeside(take), []);
  useEffect(
    () => () => {
      void engine().closeBeside(besideId);
      useBeside.setState({ frame: undefined });
    },
    [],
  );
}
