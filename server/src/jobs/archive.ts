import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';

/** Bytes that are packed in one go, so that nothing else waits for it. */
const PIECE = 64 * 1024;
/** Bytes that are handed on at once. */
const CHUNK = 2 * 1024 * 1024;

/** Writes a zip archive piece by piece, so that it is never in memory as a whole. */
export class Archive {
  readonly #zip: Zip;
  readonly #write: (bytes: Buffer) => Promise<void>;
  #ready: Uint8Array[] = [];
  #size = 0;
  #failed: Error | undefined;

  /** @param write takes the archive's bytes, in order */
  constructor(write: (bytes: Buffer) => Promise<void>) {
    this.#write = write;
    this.#zip = new Zip((error, bytes) => {
      if (error) this.#failed = error;
      else {
        this.#ready.push(bytes);
        this.#size += bytes.length;
      }
    });
  }

  async #flush(least: number): Promise<void> {
    if (this.#failed) throw this.#failed;
    if (this.#size < least || this.#size === 0) return;
    const bytes = Buffer.concat(this.#ready);
    this.#ready = [];
    this.#size = 0;
    for (let at = 0; at < bytes.length; at += CHUNK) await this.#write(bytes.subarray(at, at + CHUNK));
  }

  /** Adds a file; `packed` for what is packed already. */
  async add(name: string, pieces: AsyncIterable<Uint8Array> | Iterable<Uint8Array>, packed = false): Promise<void> {
    const file = packed ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
    this.#zip.add(file);
    for await (const bytes of pieces)
      for (let at = 0; at < bytes.length; at += PIECE) {
        file.push(bytes.subarray(at, at + PIECE));
        await this.#flush(CHUNK);
        // Others have their turn between two pieces.
        await new Promise((r) => setImmediate(r));
      }
    file.push(new Uint8Array(0), true);
    await this.#flush(CHUNK);
  }

  async end(): Promise<void> {
    this.#zip.end();
    await this.#flush(0);
  }
}
