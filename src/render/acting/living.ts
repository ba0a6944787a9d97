import type { Gesture } from '../../core/actions';
import type { Entry, PartPlan, RowPlan } from '../../core/lists';
import { knownId } from '../../core/templates';
import type { PressedEntry } from '../presses';
import {
  type ActingPorts,
  actionsOf,
  type GesturePlace,
  hasMenu,
  menuPlaces,
  tapped,
} from './acts';
import { changedBy, isControl, type PressedAt } from './changes';
import { Lift, type LiftList } from './lift';
import { ActionMenu } from './menu';
import { Pull } from './pull';
import {
  holdMs,
  idle,
  type Offers,
  type PointerInput,
  type Recognized,
  type Recognizing,
  recognize,
  type Side,
} from './recognizer';
import { actionPx, Swipe } from './swipe';

/** The list that rows live in. */
export interface LivingList {
  /** What a row is carried over. */
  readonly lift: Omit<LiftList, 'say'>;
  entryAt(target: Element): PressedEntry | undefined;
  planOf(pressed: PressedEntry): RowPlan | undefined;
  /** Draws a row as if its entry was another; undefined: as it is. */
  preview(index: number, entry: Entry | undefined): void;
  /** The row after the one at a place, or before it, with the focus. */
  focusFrom(index: number, by: 1 | -1): void;
}

/** What a pointer is on. */
interface On {
  readonly pressed: PressedEntry;
  readonly plan: RowPlan;
  readonly row: HTMLElement;
  readonly target: Element;
  /** Of the pointer in the page; undefined: keys. */
  readonly x: number | undefined;
}

const liftKeys: ReadonlySet<string> = new Set([
  ...['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'PageUp', 'PageDown', 'Home', 'End'],
]);

const isGoing = ({ is }: Recognizing): boolean =>
  is === 'down' || is === 'sliding' || is === 'turning' || is === 'lifted';

const gestureOfSide: Readonly<Record<Side, Gesture>> = { start: 'swipeStart', end: 'swipeEnd' };

/** Gestures on the rows of a list, by touch, mouse, pen and keys, where the list lives. */
export class Living {
  private state: Recognizing = idle;
  private on: On | undefined;
  /** Where the pointer went down, in the page. */
  private from = { x: 0, y: 0 };
  private isFinger = false;
  /** A mouse that stands for a finger scrolls: how far that was when it began, undefined: it does not. */
  private panFrom: number | undefined;
  private holdTimer: ReturnType<typeof setTimeout> | undefined;
  private readonly swipe = new Swipe();
  private readonly lift: Lift;
  private readonly menu: ActionMenu;
  /** What was moved aside last, and what the menu is of. */
  private swiped: On | undefined;
  private menuOf: On | undefined;
  private readonly stopped = new AbortController();

  constructor(
    private readonly host: HTMLElement,
    private readonly list: LivingList,
    private readonly ports: ActingPorts,
  ) {
    this.menu = new ActionMenu(host);
    new Pull(host, ports, this.stopped.signal);
    this.lift = new Lift({ ...list.lift, say: (words) => ports.say(words) });
    const { signal } = this.stopped;
    host.addEventListener('pointerdown', this.onDown, { signal });
    host.addEventListener('pointermove', this.onMove, { signal });
    host.addEventListener('pointerup', this.onUp, { signal });
    host.addEventListener('pointercancel', () => this.end(), { signal });
    host.addEventListener('scroll', this.onScroll, { signal, passive: true });
    // Before who presses rows to look at them.
    host.addEventListener('click', this.onClick, { signal, capture: true });
    host.addEventListener('contextmenu', this.onContextMenu, { signal });
    // A picture or a link that is dragged off would end every gesture on it.
    host.addEventListener('dragstart', this.onDragStart, { signal });
    host.addEventListener('keydown', this.onKey, { signal });
    host.addEventListener('focusout', () => this.isByKey && this.putBack(), { signal });
  }

  stop(): void {
    this.leave();
    this.lift.putBack();
    this.stopped.abort();
  }

  /** A row that keys are in: what in it can be pressed is reached by Tab. */
  enter(row: HTMLElement, plan: RowPlan): void {
    row.tabIndex = -1;
    for (const part of row.querySelectorAll<HTMLElement>('[data-part]'))
      if (part !== row && tapped(part, plan).id === part.dataset['part']) part.tabIndex = 0;
  }

  /** A row that is taken up keeps its element for as long as it is of the same item. */
  drawn(): void {
    const { row } = this.lift;
    const entry = row && this.list.entryAt(row)?.entry;
    if (row !== undefined && entry?.key !== this.on?.pressed.entry.key) this.putBack();
    else void this.lift.follow();
    if (!this.isStill(this.on)) clearTimeout(this.holdTimer);
    if (this.isStill(this.swiped)) this.swipe.follow();
    else this.swipe.close();
    if (!this.isStill(this.menuOf)) this.menu.close();
  }

  /** Whether a row is of the same item as when something was begun on it. */
  private isStill(on: On | undefined): boolean {
    return on !== undefined && this.list.entryAt(on.row)?.entry.key === on.pressed.entry.key;
  }

  /** Another list is drawn, or another project: no row carries what another was in the midst of. */
  leave(): void {
    clearTimeout(this.holdTimer);
    this.swipe.close();
    this.menu.close();
  }

  private readonly onDown = (event: PointerEvent): void => {
    const on = this.onAt(event.target, event.clientX);
    if (!this.ports.isLiving()) return;
    if (event.button !== 0) {
      this.end();
      return;
    }
    if (event.target instanceof Node && this.swipe.has(event.target)) return;
    if (on === undefined || this.swipe.movedPx(on.row) === 0) this.swipe.close();
    this.on = on;
    this.isFinger = event.pointerType !== 'mouse' || this.ports.hands() === 'touch';
    this.from = { x: event.clientX, y: event.clientY };
    if (on === undefined) return;
    const { x, y } = this.placeOf(event);
    const offers = this.offersOf(on);
    this.take({ kind: 'down', x, y, at: event.timeStamp, offers });
    if (offers.isLifted !== 'no') this.holdScroll();
    clearTimeout(this.holdTimer);
    this.holdTimer = setTimeout(() => this.take({ kind: 'hold' }), holdMs);
  };

  private readonly onMove = (event: PointerEvent): void => {
    if (this.panFrom !== undefined)
      this.host.scrollTop = this.panFrom + this.from.y - event.clientY;
    if (!isGoing(this.state)) return;
    const isBegun = this.state.is === 'down';
    this.take({ kind: 'move', ...this.placeOf(event), at: event.timeStamp });
    const isPanned = isBegun && this.state.is === 'spent' && event.pointerType === 'mouse';
    if (isPanned && this.isFinger) this.panFrom = this.host.scrollTop;
    if (this.panFrom !== undefined || (isGoing(this.state) && this.state.is !== 'down'))
      this.host.setPointerCapture(event.pointerId);
  };

  private readonly onUp = (event: PointerEvent): void => {
    this.panFrom = undefined;
    clearTimeout(this.holdTimer);
    this.take({ kind: 'up', ...this.placeOf(event), at: event.timeStamp });
  };

  /** Whatever was begun comes to nothing. */
  private end(): void {
    this.panFrom = undefined;
    this.take({ kind: 'cancel' });
    this.state = idle;
  }

  private readonly onScroll = (): void => {
    this.take({ kind: 'scroll' });
    if (this.lift.row === undefined) this.leave();
  };

  private readonly onClick = (event: MouseEvent): void => {
    const on = this.onAt(event.target, event.clientX);
    // What is no row's, such as its menu, has its own.
    if (!this.ports.isLiving() || on === undefined) return;
    if (event.detail === 0) this.on = on;
    if (on.pressed.entry.isFolded !== undefined) return;
    event.stopPropagation();
    // What leads elsewhere is the app's to follow.
    event.preventDefault();
    this.take({ kind: 'click', isByPointer: event.detail !== 0 });
  };

  private readonly onDragStart = (event: DragEvent): void => {
    if (this.ports.isLiving()) event.preventDefault();
  };

  private readonly onContextMenu = (event: MouseEvent): void => {
    const on = this.onAt(event.target);
    if (!this.ports.isLiving() || on === undefined) return;
    event.preventDefault();
    // A finger that stays asks for it, too: then the long press has done its own.
    if (this.state.is === 'spent' || isGoing(this.state)) return;
    this.openMenu(on, { x: event.clientX, y: event.clientY });
  };

  private readonly onKey = (event: KeyboardEvent): void => {
    const { key, shiftKey, target } = event;
    if (!this.ports.isLiving() || !(target instanceof HTMLElement)) return;
    const on = this.onAt(target);
    if (this.liftByKey(event, on)) return;
    if (key === 'ArrowDown' || key === 'ArrowUp') {
      event.preventDefault();
      this.list.focusFrom(on?.pressed.index ?? -1, key === 'ArrowDown' ? 1 : -1);
    }
    if (on === undefined || on.pressed.entry.isFolded !== undefined) return;
    if (key === 'ContextMenu' || (key === 'F10' && shiftKey)) {
      event.preventDefault();
      const { left, bottom } = on.row.getBoundingClientRect();
      this.openMenu(on, { x: left + 12, y: bottom - 8 });
    } else if (key === 'Enter' || key === ' ') {
      event.preventDefault();
      this.on = on;
      this.found({ kind: 'tap' });
    } else if (key === 'ArrowLeft' || key === 'ArrowRight') {
      const part = tapped(target, on.plan);
      if (!isControl(part)) return;
      event.preventDefault();
      this.change(on, part, { by: (key === 'ArrowRight') !== this.isRtl ? 1 : -1 });
    }
  };

  private take(input: PointerInput): void {
    const { next, found } = recognize(this.state, input);
    this.state = next;
    if (found !== undefined) this.found(found);
  }

  private found(found: Recognized): void {
    const { on } = this;
    if (on === undefined) return;
    switch (found.kind) {
      case 'tap':
        this.tap(on);
        break;
      case 'press':
        this.press(on);
        break;
      case 'slide':
        this.slide(on, found.px);
        break;
      case 'open': {
        const px = this.offersOf(on).roomPx[found.side];
        this.swipe.open(on.row, found.side === 'start' ? px : -px, this.isRtl);
        break;
      }
      case 'full': {
        this.swipe.close();
        const gesture = gestureOfSide[found.side];
        const [first] = actionsOf(on.plan.row, gesture);
        if (first !== undefined) this.ports.act(this.place(on, gesture), first);
        break;
      }
      case 'close':
        this.swipe.close();
        break;
      case 'turn':
        this.turn(on, found.x);
        break;
      case 'turned':
        this.change(on, tapped(on.target, on.plan), this.pressedAt(on, found.x));
        break;
      case 'turnBack':
        this.list.preview(on.pressed.index, undefined);
        break;
      case 'lift':
        void this.lift.take(on.row, { at: on.pressed.index, key: on.pressed.entry.key }, this.from);
        break;
      case 'carry':
        this.lift.carry({ x: this.isRtl ? -found.x : found.x, y: found.y });
        break;
      case 'drop':
        this.drop(on);
        break;
      case 'putBack':
        this.putBack();
    }
  }

  /** Whether a key was about a row that is taken up, or takes it up. */
  private liftByKey(event: KeyboardEvent, on: On | undefined): boolean {
    const { key } = event;
    const isRow = on !== undefined && event.target === on.row && on.pressed.entry.kind === 'row';
    if (key === 'Escape' && this.state.is === 'lifted') this.take({ kind: 'cancel' });
    else if (!this.isByKey) {
      if (key !== ' ' || !isRow || !this.ports.reorders()) return false;
      this.on = on;
      void this.lift.take(on.row, { at: on.pressed.index, key: on.pressed.entry.key });
    } else if (key === 'Escape') this.putBack();
    else if ((key === ' ' || key === 'Enter') && this.on !== undefined) this.drop(this.on);
    else if (liftKeys.has(key)) void this.lift.step(key);
    else return false;
    event.preventDefault();
    event.stopPropagation();
    return true;
  }

  /** It is taken up, and no pointer has it. */
  private get isByKey(): boolean {
    return this.lift.row !== undefined && this.state.is !== 'lifted';
  }

  private drop({ pressed }: On): void {
    void this.lift.drop().then((dropped) => {
      if (dropped === undefined) this.ports.say(`${pressed.entry.key} stays where it was`);
      else this.ports.move(pressed.entry, dropped.to);
    });
  }

  private putBack(): void {
    if (this.lift.row === undefined) return;
    this.lift.putBack();
    this.ports.say(`${this.on?.pressed.entry.key} stays where it was`);
  }

  /** While a finger has a row, it scrolls nothing: that has to be said of each of its moves. */
  private holdScroll(): void {
    const ended = new AbortController();
    const { signal } = ended;
    const hold = (event: TouchEvent) => {
      if (this.state.is === 'lifted') event.preventDefault();
    };
    this.host.addEventListener('touchmove', hold, { signal, passive: false });
    for (const end of ['touchend', 'touchcancel', 'pointerup', 'pointercancel'] as const)
      window.addEventListener(end, () => ended.abort(), { signal });
  }

  private tap(on: On): void {
    const part = tapped(on.target, on.plan);
    if (isControl(part)) this.change(on, part, this.pressedAt(on));
    else this.ports.act(this.place(on, 'tap', part.id));
  }

  private change(on: On, part: PartPlan, at: PressedAt): void {
    const value = changedBy(part, { plan: on.plan, entry: on.pressed.entry }, at);
    if (value !== undefined) this.ports.change(this.place(on, 'change', part.id), value);
  }

  /** What a control would become is seen at once; it is said when it is let go. */
  private turn(on: On, x: number): void {
    const part = tapped(on.target, on.plan);
    const { entry, index } = on.pressed;
    const value = changedBy(part, { plan: on.plan, entry }, this.pressedAt(on, x));
    const slot = on.plan.slots.findIndex((own) => own.part === part.id && own.property === 'value');
    if (value !== undefined && slot >= 0)
      this.list.preview(index, { ...entry, values: entry.values.with(slot, value) });
  }

  /**
   * Where in a control the pointer is, as gestures count; undefined: where it went down. One that is
   * pressed by a key is so in its middle.
   */
  private pressedAt({ target, plan, x: downX }: On, movedX?: number): PressedAt {
    const { id } = tapped(target, plan);
    const control = target.closest(`[data-part="${CSS.escape(id)}"]`);
    const x = movedX === undefined ? downX : this.isRtl ? -movedX : movedX;
    if (control === null || x === undefined) return { share: 0.5 };
    const { left, width } = control.getBoundingClientRect();
    const share = width === 0 ? 0.5 : Math.max(0, Math.min(1, (x - left) / width));
    return { share: this.isRtl ? 1 - share : share };
  }

  /** A row without an action for it opens its menu: who has no other way to it finds it so. */
  private press(on: On): void {
    this.lift.putBack();
    if (actionsOf(on.plan.row, 'press').length > 0) {
      this.ports.act(this.place(on, 'press'));
      return;
    }
    const { left, top } = on.row.getBoundingClientRect();
    this.openMenu(on, { x: left + 24, y: top + 24 });
  }

  private slide(on: On, px: number): void {
    const before = this.swipe.movedPx(on.row);
    this.swiped = on;
    this.swipe.move(on.row, px, this.isRtl);
    if (before === 0 || before > 0 !== px > 0) this.offerSide(on);
  }

  private offerSide(on: On): void {
    const place = this.place(on, gestureOfSide[this.swipe.openSide]);
    void this.ports.offered(place).then((offered) =>
      this.swipe.offer(on.row, offered, ({ id }) => {
        this.swipe.close();
        this.ports.act(place, id);
      }),
    );
  }

  private openMenu(on: On, at: { readonly x: number; readonly y: number }): void {
    if (!hasMenu(on.plan)) return;
    const places = menuPlaces(on.pressed.entry, on.plan);
    void Promise.all(
      places.map(async (place) =>
        (await this.ports.offered(place)).map((action) => ({ place, action })),
      ),
    ).then((offered) => {
      const byId = new Map(offered.flat().map((each) => [each.action.id, each]));
      const actions = [...byId.values()].map(({ action }) => action);
      this.menuOf = on;
      this.menu.open(at, actions, ({ id }) => {
        const own = byId.get(id);
        if (own !== undefined) this.ports.act(own.place, id);
      });
    });
  }

  private place({ pressed, plan }: On, gesture: Gesture, part = plan.row.id): GesturePlace {
    return { entry: pressed.entry, part: knownId(part), gesture };
  }

  private onAt(target: EventTarget | null, x?: number): On | undefined {
    if (!(target instanceof Element)) return undefined;
    const row = target.closest<HTMLElement>('.yc-row');
    const pressed = this.list.entryAt(target);
    const plan = pressed && this.list.planOf(pressed);
    return row === null || pressed === undefined || plan === undefined
      ? undefined
      : { pressed, plan, row, target, x };
  }

  private offersOf({ plan, row, pressed, target }: On): Offers {
    const canBeLifted = pressed.entry.kind === 'row' && this.ports.reorders();
    const room = (side: Side) => actionPx * actionsOf(plan.row, gestureOfSide[side]).length;
    return {
      hasPress: hasMenu(plan),
      hasKnob: tapped(target, plan).part === 'slider',
      isLifted: canBeLifted ? (this.isFinger ? 'held' : 'dragged') : 'no',
      roomPx: { start: room('start'), end: room('end') },
      widthPx: row.offsetWidth,
      movedPx: this.swipe.movedPx(row),
    };
  }

  private get isRtl(): boolean {
    return getComputedStyle(this.host).direction === 'rtl';
  }

  private placeOf({ clientX, clientY }: PointerEvent) {
    return { x: this.isRtl ? -clientX : clientX, y: clientY };
  }
}
