/** Direct-mapped: a place is overwritten, never searched or cleared. */
const places = 16_384;

const noNumbers = new Float64Array();
/** Formats that are only looked at, or tried, take no memory. */
const callsBefore = 256;

/** The same function, quick for values that come again. */
export function rememberNumbers<T>(make: (value: number) => T): (value: number) => T {
  let keys = noNumbers;
  let texts: T[] = [];
  let calls = 0;
  return (value) => {
    if (keys.length === 0) {
      calls += 1;
      if (calls <= callsBefore) return make(value);
      keys = new Float64Array(places).fill(Number.NaN);
      texts = new Array<T>(places);
    }
    const place = hashOf(value);
    const known = texts[place];
    // Zero and minus zero are equal, and may read differently.
    if (keys[place] === value && known !== undefined && value !== 0) return known;
    const text = make(value);
    keys[place] = value;
    texts[place] = text;
    return text;
  };
}

function hashOf(value: number): number {
  // Whole numbers and hundredths, which most values are, spread over neighbouring places.
  const scaled = value * 100;
  const whole = scaled < 2 ** 31 && scaled > -(2 ** 31) ? Math.round(scaled) : value % 2 ** 31;
  return (whole ^ (whole >> 14)) & (places - 1);
}

export function rememberTexts<T>(make: (value: string) => T): (value: string) => T {
  const keys: string[] = [];
  const texts: T[] = [];
  let calls = 0;
  return (value) => {
    if (keys.length === 0) {
      calls += 1;
      if (calls <= callsBefore) return make(value);
      keys.length = places;
      texts.length = places;
    }
    const place = hashOfText(value);
    const known = texts[place];
    if (keys[place] === value && known !== undefined) return known;
    const text = make(value);
    keys[place] = value;
    texts[place] = text;
    return text;
  };
}

/** Dates differ in their first sixteen characters. */
function hashOfText(value: string): number {
  let hash = value.length;
  const to = Math.min(value.length, 24);
  for (let at = 0; at < to; at += 1) hash = (hash * 31 + value.charCodeAt(at)) | 0;
  return (hash ^ (hash >> 15)) & (places - 1);
}
