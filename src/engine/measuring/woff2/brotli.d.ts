declare module 'brotli/decompress.js' {
  /** Unpacks a Brotli stream (RFC 7932) into no more than so many bytes; throws where it is none. */
  const decompress: (bytes: Uint8Array, size?: number) => Uint8Array;
  export default decompress;
}
