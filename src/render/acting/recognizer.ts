/** Where a swipe comes from; the end of a line is at the right, or at the left where words go so. */
export type Side = 'start' | 'end';

/** What a row lets a pointer do. */
export interface Offers {
  readonly hasPress: boolean;
  /** It is on something that is turned by going across. */
  readonly hasKnob: boolean;
  /** It can be taken up: by a finger that stays, by a mouse that drags. */
  readonly isLifted: 'no' | 'held' | 'dragged';
  /** How wide the actions are that a swipe brings out from each side, in px; 0: there are none. */
  readonly roomPx: Readonly<Record<Side, number>>;
  /** Of the row. */
  readonly widthPx: number;
  /** How far it is moved already, towards the end; less than 0: towards the start. */
  readonly movedPx: number;
}

/** Pointers as they come; `x` grows towards the end of lines, `at` in ms. */
export type PointerInput =
  | {
      readonly kind: 'down';
      readonly x: number;
      readonly y: number;
      readonly at: number;
      readonly offers: Offers;
    }
  | { readonly kind: 'move' | 'up'; readonly x: number; readonly y: number; readonly at: number }
  /** It has been down for as long as a long press takes. */
  | { readonly kind: 'hold' }
  /** Keys, and who speaks for them, click without a pointer. */
  | { readonly kind: 'click'; readonly isByPointer: boolean }
  /** Taken away by the browser, by another finger, or by what it was on. */
  | { readonly kind: 'cancel' }
  | { readonly kind: 'scroll' };

export type Recognized =
  | { readonly kind: 'tap' }
  | { readonly kind: 'press' }
  | { readonly kind: 'slide'; readonly px: number }
  | { readonly kind: 'open'; readonly side: Side }
  | { readonly kind: 'full'; readonly side: Side }
  | { readonly kind: 'close' }
  /** What has a knob is turned, so far for now; let go, it stays so, or is as it was. */
  | { readonly kind: 'turn' | 'turned'; readonly x: number }
  | { readonly kind: 'turnBack' }
  /** It is taken up; from then on it is carried, and let go or put back. */
  | { readonly kind: 'lift' }
  | { readonly kind: 'carry'; readonly x: number; readonly y: number }
  | { readonly kind: 'drop' }
  | { readonly kind: 'putBack' };

interface Moved {
  readonly x: number;
  readonly at: number;
}

interface Begun {
  readonly x: number;
  readonly y: number;
  readonly offers: Offers;
}

export type Recognizing =
  | { readonly is: 'idle' }
  | ({ readonly is: 'down' } & Begun)
  | ({ readonly is: 'sliding'; readonly moves: readonly Moved[] } & Begun)
  | ({ readonly is: 'turning' } & Begun)
  /** Taken up: once it was carried anywhere, letting it go is no press. */
  | ({ readonly is: 'lifted'; readonly isCarried: boolean } & Begun)
  /** It came to something, or to nothing: what comes until it is up again, and the click after, says nothing. */
  | { readonly is: 'spent' }
  /** It is up, without having moved: a click is about to come. */
  | { readonly is: 'up'; readonly isOpen: boolean };

export interface Step {
  readonly next: Recognizing;
  readonly found?: Recognized;
}

export const idle: Recognizing = { is: 'idle' };
const spent: Recognizing = { is: 'spent' };

export const holdMs = 500;
/** So far a finger may wander and still press. */
const slackPx = 10;
/** So much further across than down is a swipe. */
const slope = 1.2;
/** A move that is older says nothing of how fast it was let go. */
const freshMs = 80;
const flickPxPerMs = 0.5;
const fullShare = 0.6;

/** What a pointer's next move makes of it, and the gesture that it is, at most one from down to up. */
export function recognize(state: Recognizing, input: PointerInput): Step {
  if (input.kind === 'down') return begun(state, input);
  if (input.kind === 'click') return clicked(state, input);
  switch (state.is) {
    case 'idle':
      return { next: state };
    case 'up':
      return { next: input.kind === 'scroll' || input.kind === 'cancel' ? spent : state };
    case 'spent':
      return { next: input.kind === 'cancel' ? idle : state };
    case 'down':
      return fromDown(state, input);
    case 'sliding':
      return fromSliding(state, input);
    case 'turning':
      return fromTurning(state, input);
    case 'lifted':
      return fromLifted(state, input);
  }
}

type Others = Exclude<PointerInput, { readonly kind: 'down' | 'click' }>;

function begun(state: Recognizing, input: Extract<PointerInput, { kind: 'down' }>): Step {
  const { x, y, offers } = input;
  // A second finger ends what the first began.
  if (state.is === 'sliding') return { next: spent, found: { kind: 'close' } };
  if (state.is === 'lifted') return { next: spent, found: { kind: 'putBack' } };
  if (state.is === 'turning') return { next: spent, found: { kind: 'turnBack' } };
  if (state.is === 'down') return { next: spent };
  return { next: { is: 'down', x, y, offers } };
}

function clicked(
  state: Recognizing,
  { isByPointer }: Extract<PointerInput, { kind: 'click' }>,
): Step {
  if (!isByPointer) return { next: state, found: { kind: 'tap' } };
  return state.is === 'up'
    ? { next: idle, found: { kind: state.isOpen ? 'close' : 'tap' } }
    : { next: idle };
}

function fromDown(state: Extract<Recognizing, { is: 'down' }>, input: Others): Step {
  const { offers } = state;
  switch (input.kind) {
    case 'move': {
      const [across, down] = [input.x - state.x, input.y - state.y];
      if (Math.hypot(across, down) <= slackPx) return { next: state };
      const canSlide = offers.movedPx !== 0 || offers.roomPx[sideOf(across)] > 0;
      const isAcross = Math.abs(across) > slope * Math.abs(down);
      if (isAcross && offers.hasKnob)
        return { next: { ...state, is: 'turning' }, found: { kind: 'turn', x: input.x } };
      if (!(canSlide && isAcross) && offers.isLifted === 'dragged') return lifted(state, true);
      if (!canSlide || !isAcross) return { next: spent };
      const next = { ...state, is: 'sliding', moves: [{ x: input.x, at: input.at }] } as const;
      return { next, found: { kind: 'slide', px: slidPx(state, input.x) } };
    }
    case 'up':
      return { next: { is: 'up', isOpen: offers.movedPx !== 0 } };
    case 'hold':
      if (offers.isLifted !== 'no') return lifted(state, false);
      return offers.hasPress ? { next: spent, found: { kind: 'press' } } : { next: state };
    case 'cancel':
      return { next: idle };
    case 'scroll':
      return { next: spent };
  }
}

const lifted = ({ x, y, offers }: Begun, isCarried: boolean): Step => ({
  next: { is: 'lifted', x, y, offers, isCarried },
  found: { kind: 'lift' },
});

function fromTurning(state: Extract<Recognizing, { is: 'turning' }>, input: Others): Step {
  switch (input.kind) {
    case 'move':
      return { next: state, found: { kind: 'turn', x: input.x } };
    case 'up':
      return { next: spent, found: { kind: 'turned', x: input.x } };
    case 'cancel':
      return { next: idle, found: { kind: 'turnBack' } };
    case 'scroll':
      return { next: spent, found: { kind: 'turnBack' } };
    case 'hold':
      return { next: state };
  }
}

/** The list is scrolled beneath what is carried: that ends nothing. */
function fromLifted(state: Extract<Recognizing, { is: 'lifted' }>, input: Others): Step {
  switch (input.kind) {
    case 'move': {
      const { x, y } = input;
      const isFar = Math.hypot(x - state.x, y - state.y) > slackPx;
      if (!state.isCarried && !isFar) return { next: state };
      return { next: { ...state, isCarried: true }, found: { kind: 'carry', x, y } };
    }
    case 'up':
      if (state.isCarried) return { next: spent, found: { kind: 'drop' } };
      return { next: spent, found: { kind: state.offers.hasPress ? 'press' : 'putBack' } };
    case 'cancel':
      return { next: idle, found: { kind: 'putBack' } };
    case 'hold':
    case 'scroll':
      return { next: state };
  }
}

function fromSliding(state: Extract<Recognizing, { is: 'sliding' }>, input: Others): Step {
  switch (input.kind) {
    case 'move': {
      const moves = [...state.moves.slice(-5), { x: input.x, at: input.at }];
      return { next: { ...state, moves }, found: { kind: 'slide', px: slidPx(state, input.x) } };
    }
    case 'up':
      return { next: spent, found: letGo(state, input) };
    case 'cancel':
      return { next: idle, found: { kind: 'close' } };
    case 'scroll':
      return { next: spent, found: { kind: 'close' } };
    case 'hold':
      return { next: state };
  }
}

function letGo(
  state: Extract<Recognizing, { is: 'sliding' }>,
  { x, at }: { readonly x: number; readonly at: number },
): Recognized {
  const { offers, moves } = state;
  const px = slidPx(state, x);
  const side = sideOf(px);
  const first = moves.find((move) => at - move.at <= freshMs);
  const speed = first === undefined || at <= first.at ? 0 : (x - first.x) / (at - first.at);
  const outwards = side === 'start' ? speed : -speed;
  if (px === 0 || outwards < -flickPxPerMs) return { kind: 'close' };
  if (Math.abs(px) > fullShare * offers.widthPx) return { kind: 'full', side };
  const isFar = Math.abs(px) > offers.roomPx[side] / 2;
  return isFar || outwards > flickPxPerMs ? { kind: 'open', side } : { kind: 'close' };
}

/** Nothing comes out of a side without actions. */
function slidPx({ x: from, offers }: Begun, x: number): number {
  const px = offers.movedPx + x - from;
  return offers.roomPx[sideOf(px)] > 0 ? px : 0;
}

const sideOf = (px: number): Side => (px >= 0 ? 'start' : 'end');
