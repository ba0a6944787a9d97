/** A file of what is handed off. */
export interface PackFile {
  /** Names of folders and, last, of the file, with `/` between; never absolute, never `..`. */
  readonly path: string;
  /** What it is, for people. */
  readonly about: string;
  /** Its text, or what is in it as base64. */
  readonly text: string;
  readonly isBase64?: true;
}
