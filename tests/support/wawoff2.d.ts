declare module 'wawoff2/decompress.js' {
  /** Unwraps a WOFF2 file; rejected where it is none. */
  const decompress: (bytes: Uint8Array) => Promise<Uint8Array>;
  export default decompress;
}
