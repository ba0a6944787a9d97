/** A text at one size and weight. Lengths in whole 1/64 device px. */
export interface TextMeasure {
  readonly isEmpty: boolean;
  /** The width on one line. */
  readonly width: number;
  /** How many lines it takes in a width, counted up to `max` and one more. */
  lineCount(width: number, max: number): number;
}
