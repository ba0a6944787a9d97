import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { idle, type Offers, type PointerInput, type Recognized, recognize } from './recognizer';

const both: Offers = {
  hasPress: true,
  hasKnob: false,
  isLifted: 'no',
  roomPx: { start: 80, end: 160 },
  widthPx: 360,
  movedPx: 0,
};

function all(inputs: readonly PointerInput[]): readonly Recognized[] {
  let state = idle;
  return inputs.flatMap((input) => {
    const { next, found } = recognize(state, input);
    state = next;
    return found === undefined ? [] : [found];
  });
}

const kinds = (inputs: readonly PointerInput[]) => all(inputs).map(({ kind }) => kind);
const down = (offers: Offers = both): PointerInput => ({
  kind: 'down',
  x: 100,
  y: 20,
  at: 0,
  offers,
});
const to = (x: number, y = 20, at = 200): PointerInput => ({ kind: 'move', x, y, at });
const up = (x: number, at = 400): PointerInput => ({ kind: 'up', x, y: 20, at });
const click: PointerInput = { kind: 'click', isByPointer: true };
const key: PointerInput = { kind: 'click', isByPointer: false };

describe('a pointer on a row', () => {
  test('that goes down and up taps, once the click comes', () => {
    expect(kinds([down(), to(104), up(104), click])).toEqual(['tap']);
    expect(kinds([key])).toEqual(['tap']);
    expect(kinds([down(), to(40), up(40), key])).toEqual(['slide', 'close', 'tap']);
  });

  test('that stays presses long, and the click after is none', () => {
    expect(kinds([down(), { kind: 'hold' }, up(100), click])).toEqual(['press']);
    const noPress = { ...both, hasPress: false };
    expect(kinds([down(noPress), { kind: 'hold' }, up(100), click])).toEqual(['tap']);
  });

  test('that goes across far enough opens a side, further acts at once, little closes it', () => {
    const swiped = (x: number) =>
      all([down(), to(100 + x / 2), to(100 + x), up(100 + x), click]).at(-1);
    expect(swiped(-100)).toEqual({ kind: 'open', side: 'end' });
    expect(swiped(60)).toEqual({ kind: 'open', side: 'start' });
    expect(swiped(-240)).toEqual({ kind: 'full', side: 'end' });
    expect(swiped(-40)).toEqual({ kind: 'close' });
    const flicked = [down(), to(88, 20, 10), to(60, 20, 30), up(50, 40)];
    expect(all(flicked).at(-1)).toEqual({ kind: 'open', side: 'end' });
  });

  test('that goes down the list, or is taken away, does nothing', () => {
    expect(kinds([down(), to(104, 60), up(104), click])).toEqual([]);
    expect(kinds([down(), { kind: 'cancel' }])).toEqual([]);
    expect(kinds([down(), { kind: 'scroll' }, up(100), click])).toEqual([]);
    expect(kinds([down(), to(40), { kind: 'cancel' }])).toEqual(['slide', 'close']);
  });

  test('finds nothing on a side that has no actions', () => {
    const none = { ...both, roomPx: { start: 0, end: 160 } };
    expect(kinds([down(none), to(160), up(160), click])).toEqual([]);
  });

  test('that stays on a row that can be moved takes it up; let go elsewhere it is dropped', () => {
    const moved = { ...both, isLifted: 'held' as const };
    const hold: PointerInput = { kind: 'hold' };
    expect(kinds([down(moved), hold, to(100, 90), { kind: 'scroll' }, up(100), click])).toEqual([
      ...['lift', 'carry', 'drop'],
    ]);
    expect(kinds([down(moved), hold, up(100), click])).toEqual(['lift', 'press']);
    expect(kinds([down(moved), hold, to(100, 90), { kind: 'cancel' }])).toEqual([
      ...['lift', 'carry', 'putBack'],
    ]);
    expect(kinds([down(moved), to(100, 90), up(100), click])).toEqual([]);
  });

  test('of a mouse takes it up by going down the list, and swipes by going across', () => {
    const moved = { ...both, isLifted: 'dragged' as const };
    expect(kinds([down(moved), to(100, 60), to(100, 90), up(100), click])).toEqual([
      ...['lift', 'carry', 'drop'],
    ]);
    expect(kinds([down(moved), to(160), up(160)])).toEqual(['slide', 'open']);
  });

  test('on a knob turns it by going across, and by nothing else', () => {
    const knob = { ...both, hasKnob: true };
    expect(all([down(knob), to(120), to(150), up(160), click])).toEqual([
      { kind: 'turn', x: 120 },
      { kind: 'turn', x: 150 },
      { kind: 'turned', x: 160 },
    ]);
    expect(kinds([down(knob), to(120), { kind: 'cancel' }])).toEqual(['turn', 'turnBack']);
    expect(kinds([down(knob), to(104, 60), up(104), click])).toEqual([]);
  });

  test('on a row that is open closes it, and says nothing else', () => {
    const open = { ...both, movedPx: -160 };
    expect(kinds([down(open), up(100), click])).toEqual(['close']);
    expect(all([down(open), to(250), up(250)]).at(-1)).toEqual({ kind: 'close' });
  });
});

/** What does nothing by itself. */
const onTheWay: ReadonlySet<Recognized['kind']> = new Set([
  ...(['slide', 'close', 'turn', 'turnBack', 'lift', 'carry', 'putBack'] as const),
]);

test('from down to up at most one thing is done, whatever comes between', () => {
  const at = fc.integer({ min: 0, max: 2_000 });
  const where = {
    x: fc.integer({ min: -300, max: 500 }),
    y: fc.integer({ min: -200, max: 300 }),
    at,
  };
  const offers = fc.record({
    hasPress: fc.boolean(),
    hasKnob: fc.boolean(),
    isLifted: fc.constantFrom('no' as const, 'held' as const, 'dragged' as const),
    roomPx: fc.record({ start: fc.constantFrom(0, 80), end: fc.constantFrom(0, 160) }),
    widthPx: fc.constant(360),
    movedPx: fc.constantFrom(0, 80, -160),
  });
  const input = fc.oneof<fc.Arbitrary<PointerInput>[]>(
    fc.record({ kind: fc.constant('down' as const), ...where, offers }),
    fc.record({ kind: fc.constantFrom('move' as const, 'up' as const), ...where }),
    fc.constant(click),
    fc.record({ kind: fc.constantFrom('hold' as const, 'cancel' as const, 'scroll' as const) }),
  );
  fc.assert(
    fc.property(fc.array(input, { maxLength: 40 }), (inputs) => {
      let state = idle;
      let mayDo = false;
      for (const each of inputs) {
        const { next, found } = recognize(state, each);
        if (each.kind === 'down')
          mayDo = !['down', 'sliding', 'turning', 'lifted'].includes(state.is);
        const isDone = found !== undefined && !onTheWay.has(found.kind);
        if (isDone) expect(mayDo).toBe(true);
        const isScrolled = each.kind === 'scroll' && state.is !== 'lifted';
        if (isDone || each.kind === 'cancel' || isScrolled) mayDo = false;
        state = next;
      }
    }),
    { numRuns: 2_000 },
  );
});
