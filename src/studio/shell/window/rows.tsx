import { type RefObject, useEffect, useRef, useState } from 'react';
import type { TextDirection } from '../../../core/base';
import { filterWords, haveOwnHeights, type List, type ListState } from '../../../core/lists';
import type { Frame } from '../../../engine';
import { ListView, type PoolReadout } from '../../../render';
import { actingIn } from '../../shared/living/acting';
import { wantMore } from '../../shared/living/asking';
import { useTold } from '../../shared/living/events';
import { handItem, handKey } from '../../shared/session/at-hand';
import { go, useRoute } from '../../shared/session/route';
import { engine, useProject } from '../../shared/session/session';
import { usePictures } from '../../shared/window/pictures';
import type { Hands, Scheme } from '../../shared/window/window-settings';
import { PoolLine } from './pool-line';
import { moveAlong } from './scroll-along';

export interface RowsProps {
  readonly label: string;
  /** The view that they are of; undefined: the first. */
  readonly view?: string;
  readonly frame: Frame;
  readonly scheme: Scheme;
  /** How many times as large as styles say text is. */
  readonly textSize: number;
  /** How many times as large as templates say the space in rows is. */
  readonly density: number;
  /** What the device keeps for itself at its bottom, in px. */
  readonly safeBelow: number;
  readonly direction: TextDirection;
  /** What its rows are written in. */
  readonly locale: string;
  /** Key of the item at hand, if it is of the source of this view. */
  readonly atHand: string | undefined;
  /** Where it stands here; -1: nowhere, or it is not brought into sight. */
  readonly entry: number;
  readonly list: RefObject<ListView | undefined>;
  /** What is typed in the filter box. */
  readonly filter: string;
  /** The box is of another width: asks for the frame anew. */
  readonly onResized: () => void;
  /** Rows do what they would do in the app. */
  readonly lives: boolean;
  readonly model: List | undefined;
  /** What a mouse stands for. */
  readonly hands: Hands;
  /** A section is to be folded, or shown again: its key. */
  readonly onFold: (section: string) => void;
}

/** The rows of a frame, pooled, with what practitioners ask of a pool beneath. */
export function Rows({
  label,
  view,
  frame,
  scheme,
  textSize,
  density,
  safeBelow,
  direction,
  locale,
  atHand,
  entry,
  list,
  onResized,
  onFold,
  lives,
  model,
  hands,
  filter,
}: RowsProps) {
  const host = useRef<HTMLElement>(null);
  const [readout, setReadout] = useState<PoolReadout>();
  const project = useProject();
  const pictures = usePictures(project?.pictures, scheme);
  const settings = {
    pictures,
    frame,
    textSize,
    density,
    safeBelow,
    direction,
    scheme,
    lives,
    list: model,
    hands,
  };
  const latest = useRef(settings);
  latest.current = settings;
  const latestFold = useRef(onFold);
  latestFold.current = onFold;

  // biome-ignore lint/correctness/useExhaustiveDependencies: `list` is where it is kept
  useEffect(() => {
    if (host.current === null) return;
    const made = new ListView(host.current, {
      entries: (version, places) => engine().entries(version, places, view),
      pictures: (name) => latest.current.pictures(name),
      acting: actingIn(() => ({
        ...latest.current,
        view,
        templateOf: ({ entry }) => latest.current.frame.plans[entry.plan]?.template,
      })),
      pressed: (pressed, part) => {
        if (pressed.item === undefined) return;
        const { frame: shown } = latest.current;
        const hand =
          view === undefined ? handItem(pressed.item) : handKey(pressed.key, shown.source);
        void hand.then(() => {
          const template = shown.plans[pressed.plan]?.template;
          if (part !== undefined && template !== undefined) selectPart(template, part);
        });
      },
      nearsEnd: () => wantMore(latest.current.frame, latest.current.list),
      folded: ({ key }) => latestFold.current(key),
      textSize: () => latest.current.textSize,
      density: () => latest.current.density,
      safeBelow: () => latest.current.safeBelow,
      direction: () => latest.current.direction,
      scrolled: () => moveAlong(made),
      resized: () => followsWidth(latest.current.frame) && onResized(),
    });
    list.current = made;
    const timer = setInterval(() => setReadout(made.readout()), 500);
    return () => {
      clearInterval(timer);
      list.current = undefined;
      made.destroy();
    };
  }, [view]);

  const hasOwnHeights = followsWidth(frame);
  const askedFor = useRef('1 1');
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows that hang on texts are asked for as wide as they are
  useEffect(() => {
    const sizes = `${textSize} ${density}`;
    const isAsked = hasOwnHeights || sizes !== askedFor.current;
    askedFor.current = sizes;
    // Those around take up the list, and with it how wide it is, in effects that come after this one.
    const asking = isAsked ? setTimeout(onResized) : undefined;
    return () => clearTimeout(asking);
  }, [hasOwnHeights, textSize, density]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: other pictures and places want the same rows bound again
  useEffect(() => list.current?.show(frame), [frame, pictures, direction, safeBelow]);

  const chosen = useTold((told) => told.chosen);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `list` is where it is kept
  useEffect(() => list.current?.choose(chosen), [chosen]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: `list` is where it is kept
  useEffect(() => list.current?.find(filterWords(filter)), [filter]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: `list` is where it is kept
  useEffect(() => {
    list.current?.select(atHand);
    if (entry >= 0) list.current?.reveal(entry);
  }, [atHand, entry]);

  return (
    <>
      <section
        ref={host}
        lang={locale}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard
        tabIndex={0}
        aria-label={label}
        data-lives={lives || undefined}
        className="h-full min-h-0 flex-1"
      />
      <PoolLine readout={readout} onMark={(isOn) => list.current?.markBound(isOn)} />
    </>
  );
}

/** Whether another width may give other heights, or other columns. */
function followsWidth({ plans, sequence: { arrangement } }: Frame): boolean {
  const isFitted = arrangement.kind === 'grid' && typeof arrangement.columns === 'object';
  return isFitted || haveOwnHeights(plans);
}

function selectPart(template: string, part: string): void {
  const { route } = useRoute.getState();
  if (route.page === 'project') go({ ...route, template, part }, 'replace');
}

interface NoRowsProps {
  readonly frame: Frame | undefined;
  /** The state that the window is to show; undefined: as it is. */
  readonly state: ListState | undefined;
}

/** What is said where a list shows nothing, and no template says it. */
export function NoRows({ frame, state }: NoRowsProps) {
  return <p className="p-4 [font-family:var(--row-face)]">{whyNoRows(frame, state)}</p>;
}

function whyNoRows(frame: Frame | undefined, wished: ListState | undefined): string {
  if (frame?.state === 'filtered') return 'No row has these words.';
  if (wished !== undefined)
    return `Nothing is set for this state (${wished}): choose a template in List, states.`;
  return (frame?.itemCount ?? 0) === 0
    ? 'There are no items. Drop a JSON, NDJSON or CSV file anywhere on this page.'
    : 'All items are left out: no choice gives them a template. Choose one in Choices.';
}
