import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { threadId } from 'node:worker_threads';
import { inflateSync } from 'node:zlib';

/** Sizes of the heads and records of both formats, bytes. */
const WOFF = { head: 44, entry: 20 } as const;
const SFNT = { head: 12, entry: 16 } as const;

const padded = (length: number): number => (length + 3) & ~3;

/**
 * A WOFF font as the plain font that it packs. Typesetting unpacks a packed font anew for every document; this is done once.
 * Source: WOFF File Format 1.0, sections 3 to 5.
 * @throws Error where the bytes are no WOFF font
 */
export const unpackWoff = (woff: Buffer): Buffer => {
  if (woff.length < WOFF.head || woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('This is no WOFF font.');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = WOFF.head + i * WOFF.entry;
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)];
    const bytes = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      // A table that would not get smaller is not packed.
      data: packed < length ? inflateSync(bytes) : bytes,
    };
  });
  const start = SFNT.head + count * SFNT.entry;
  const out = Buffer.alloc(tables.reduce((n, t) => n + padded(t.data.length), start));
  woff.copy(out, 0, 4, 8);
  const power = Math.floor(Math.log2(count));
  out.writeUInt16BE(count, 4);
  out.writeUInt16BE(16 * 2 ** power, 6);
  out.writeUInt16BE(power, 8);
  out.writeUInt16BE(16 * (count - 2 ** power), 10);
  let offset = start;
  tables.forEach((t, i) => {
    const at = SFNT.head + i * SFNT.entry;
    t.tag.copy(out, at);
    out.writeUInt32BE(t.checksum, at + 4);
    out.writeUInt32BE(offset, at + 8);
    out.writeUInt32BE(t.data.length, at + 12);
    t.data.copy(out, offset);
    offset += padded(t.data.length);
  });
  return out;
};

/** A font file unpacked, in the machine's own place for such: named by what is in it, written once for every process. */
export const unpackedFont = (file: string): string => {
  const woff = readFileSync(file);
  const folder = join(tmpdir(), 'rubbet-fonts');
  const path = join(folder, `${createHash('sha256').update(woff).digest('hex').slice(0, 24)}.ttf`);
  if (existsSync(path)) return path;
  try {
    mkdirSync(folder, { recursive: true });
    // Whoever reads it meanwhile never sees half of it.
    const half = `${path}.${process.pid}.${threadId}`;
    writeFileSync(half, unpackWoff(woff));
    renameSync(half, path);
    return path;
  } catch {
    // Where nothing may be written, the packed one does as well, only slower.
    return file;
  }
};
