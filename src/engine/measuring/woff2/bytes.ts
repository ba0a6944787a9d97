/** Reads numbers, highest byte first, one after the other; throws past the end. */
export class Bytes {
  private at = 0;
  private readonly view: DataView;

  constructor(private readonly bytes: Uint8Array) {
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  }

  get left(): number {
    return this.bytes.length - this.at;
  }

  byte(): number {
    this.at += 1;
    return this.view.getUint8(this.at - 1);
  }

  word(): number {
    this.at += 2;
    return this.view.getUint16(this.at - 2);
  }

  signed(): number {
    this.at += 2;
    return this.view.getInt16(this.at - 2);
  }

  long(): number {
    this.at += 4;
    return this.view.getUint32(this.at - 4);
  }

  /** The next so many bytes, not copied. */
  take(count: number): Uint8Array {
    if (count > this.left) throw new Error('The font ends too early.');
    this.at += count;
    return this.bytes.subarray(this.at - count, this.at);
  }

  /** 255UInt16 (WOFF 2.0, section 4.1). */
  short(): number {
    const code = this.byte();
    if (code === 253) return this.word();
    if (code === 254) return this.byte() + 506;
    return code === 255 ? this.byte() + 253 : code;
  }

  /** UIntBase128 (the same). */
  base128(): number {
    let value = 0;
    for (let i = 0; i < 5; i += 1) {
      const code = this.byte();
      value = value * 128 + (code & 0x7f);
      if ((code & 0x80) === 0) return value;
    }
    throw new Error('A length of the font is not written as one.');
  }
}

/** Writes numbers, highest byte first, into room that grows. */
export class Written {
  private bytes = new Uint8Array(4_096);
  length = 0;

  word(value: number): void {
    this.need(2);
    this.bytes[this.length] = (value >> 8) & 0xff;
    this.bytes[this.length + 1] = value & 0xff;
    this.length += 2;
  }

  byte(value: number): void {
    this.need(1);
    this.bytes[this.length] = value;
    this.length += 1;
  }

  put(bytes: Uint8Array): void {
    this.need(bytes.length);
    this.bytes.set(bytes, this.length);
    this.length += bytes.length;
  }

  /** Up to whole 32 bits. */
  pad(): void {
    this.need(3);
    while (this.length % 4 !== 0) this.byte(0);
  }

  get all(): Uint8Array {
    return this.bytes.slice(0, this.length);
  }

  private need(count: number): void {
    if (this.length + count <= this.bytes.length) return;
    const larger = new Uint8Array(2 * this.bytes.length + count);
    larger.set(this.bytes);
    this.bytes = larger;
  }
}
