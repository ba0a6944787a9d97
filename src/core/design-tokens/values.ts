import { isRecord, type Json, ownValue } from '../base';

/** A value that a token has, or why it is none that is understood. */
export type Understood<T> = { readonly value: T } | { readonly why: string };

const no = (why: string) => ({ why });

/** A color (Color Module): an sRGB object, or a hex text as older files have it; as #RRGGBB or #RRGGBBAA. */
export function colorOf(value: Json | undefined): Understood<string> {
  if (typeof value === 'string') return hexOf(value) ?? no('it is no colour as #RRGGBB');
  if (!isRecord(value)) return no('it is no colour');
  const space = ownValue(value, 'colorSpace');
  const alpha = ownValue(value, 'alpha') ?? 1;
  const own = ownValue(value, 'components');
  const channels = Array.isArray(own) ? own.map((each) => (each === 'none' ? 0 : each)) : [];
  const isOf = (each: Json): each is number => typeof each === 'number' && each >= 0 && each <= 1;
  if (space === 'srgb' && channels.length === 3 && channels.every(isOf) && isOf(alpha)) {
    const all = alpha < 1 ? [...channels, alpha] : channels;
    return { value: `#${all.map((each) => twoDigits(each * 255)).join('')}` };
  }
  const hex = ownValue(value, 'hex');
  const nearest = typeof hex === 'string' ? hexOf(hex) : undefined;
  return nearest ?? no(`its colour space is ${String(space)}, and it gives no nearest hex`);
}

function hexOf(text: string): { readonly value: string } | undefined {
  const digits = /^#([0-9a-f]{3}|[0-9a-f]{6}|[0-9a-f]{8})$/i.exec(text)?.[1]?.toLowerCase();
  if (digits === undefined) return undefined;
  return { value: `#${digits.length === 3 ? digits.replace(/./g, '$&$&') : digits}` };
}

const twoDigits = (channel: number): string => Math.round(channel).toString(16).padStart(2, '0');

/** How the format writes a colour of ours. */
export function colorValue(hex: string): Json {
  const channel = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255;
  const round = (share: number) => Math.round(share * 10_000) / 10_000;
  return {
    colorSpace: 'srgb',
    components: [1, 3, 5].map((at) => round(channel(at))),
    ...(hex.length === 9 && { alpha: round(channel(7)) }),
    hex: hex.slice(0, 7),
  };
}

const remPx = 16;

/** A dimension: `{ "value": 8, "unit": "px" }`, or `8px` as older files have it; in px. */
export function pxOf(value: Json | undefined): Understood<number> {
  const [, number, unit] =
    typeof value === 'string'
      ? (/^(-?\d+(?:\.\d+)?)(px|rem)$/.exec(value) ?? [])
      : isRecord(value)
        ? [undefined, ownValue(value, 'value'), ownValue(value, 'unit')]
        : [];
  const own = typeof number === 'string' ? Number(number) : number;
  if (typeof own !== 'number' || (unit !== 'px' && unit !== 'rem'))
    return no('it is no length in px or rem');
  return { value: unit === 'rem' ? own * remPx : own };
}

export const dimensionValue = (px: number): Json => ({ value: px, unit: 'px' });

const weights: Readonly<Record<string, number>> = {
  ...{ thin: 100, hairline: 100, 'extra-light': 200, 'ultra-light': 200, light: 300 },
  ...{ normal: 400, regular: 400, book: 400, medium: 500, 'semi-bold': 600, 'demi-bold': 600 },
  ...{ bold: 700, 'extra-bold': 800, 'ultra-bold': 800, black: 900, heavy: 900 },
  ...{ 'extra-black': 900, 'ultra-black': 900 },
};

/** A font weight: a number from 1 to 1000, or a word; from 100 to 900. */
export function weightOf(value: Json | undefined): Understood<number> {
  const own = typeof value === 'string' ? ownValue(weights, value) : value;
  return typeof own === 'number' && own >= 1 && own <= 1000
    ? { value: Math.max(100, Math.min(own, 900)) }
    : no('it is no font weight');
}
