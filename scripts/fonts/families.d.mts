export interface FaceFile {
  readonly file: string;
  readonly unicodeRange: string;
  readonly ranges: readonly (readonly [number, number])[];
}
export function families(): readonly {
  readonly family: string;
  readonly slices: readonly FaceFile[];
}[];
