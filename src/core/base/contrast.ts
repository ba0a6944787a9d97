/** Red, green and blue from 0 to 255, and how opaque from 0 to 1. */
type Channels = readonly [red: number, green: number, blue: number, alpha: number];

/** A colour as #RGB, #RRGGBB or #RRGGBBAA (CSS Color 4, 5.2); undefined: it is none. */
function channelsOf(hex: string): Channels | undefined {
  const digits = /^#(?:[0-9a-f]{3}|[0-9a-f]{6}|[0-9a-f]{8})$/i.test(hex) ? hex.slice(1) : undefined;
  if (digits === undefined) return undefined;
  const each = digits.length === 3 ? [...digits].map((one) => one + one) : digits.match(/../g);
  const [red = 0, green = 0, blue = 0, alpha = 255] = (each ?? []).map((two) =>
    Number.parseInt(two, 16),
  );
  return [red, green, blue, alpha / 255];
}

/** One colour seen through another one (Compositing and Blending 1, 5.1). */
function over([red, green, blue, alpha]: Channels, [r, g, b]: Channels): Channels {
  const mixed = (own: number, behind: number) => own * alpha + behind * (1 - alpha);
  return [mixed(red, r), mixed(green, g), mixed(blue, b), 1];
}

/** WCAG 2.2, relative luminance. */
function luminance([red, green, blue]: Channels): number {
  const [r = 0, g = 0, b = 0] = [red, green, blue].map((channel) => {
    const share = channel / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function ratioOf(one: Channels, other: Channels): number {
  const [a, b] = [luminance(one), luminance(other)];
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

const black: Channels = [0, 0, 0, 1];
const white: Channels = [255, 255, 255, 1];

/** What lies behind, the farthest first, as one opaque colour; what is no colour counts for nothing. */
const groundOf = (grounds: readonly string[]): Channels =>
  grounds.reduce((ground, each) => over(channelsOf(each) ?? [0, 0, 0, 0], ground), white);

/**
 * The contrast of a colour on what lies behind it, the farthest first, from 1 to 21 (WCAG 2.2,
 * contrast ratio); undefined: it is no colour.
 */
export function contrastOn(colour: string, grounds: readonly string[]): number | undefined {
  const own = channelsOf(colour);
  if (own === undefined) return undefined;
  const ground = groundOf(grounds);
  return ratioOf(over(own, ground), ground);
}

const steps = 64;

/** The colour nearest to one, darker or lighter, that has enough contrast, as #RRGGBB; undefined: none has. */
export function nearestReadable(
  colour: string,
  grounds: readonly string[],
  least: number,
): string | undefined {
  const ground = groundOf(grounds);
  const own = over(channelsOf(colour) ?? black, ground);
  for (let step = 0; step <= steps; step += 1)
    for (const end of [black, white]) {
      const mixed = rounded(over([end[0], end[1], end[2], step / steps], own));
      if (ratioOf(mixed, ground) >= least) return hexOf(mixed);
    }
  return undefined;
}

const rounded = ([red, green, blue]: Channels): Channels => [
  ...([Math.round(red), Math.round(green), Math.round(blue)] as const),
  1,
];

const hexOf = ([red, green, blue]: Channels): string =>
  `#${[red, green, blue].map((channel) => channel.toString(16).padStart(2, '0')).join('')}`;
