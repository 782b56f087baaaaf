// What a camera writes beside the picture, where it was and whose it is, is taken out; the picture stays as it is.
import type { PhotoType } from '@steady-scatter/contract';

const ascii = (bytes: Buffer, at: number, length: number): string =>
  bytes.toString('latin1', at, at + length);

/** Markers of JPEG that stand alone, and those that hold no picture: application data but JFIF's and the colours', and comments. */
const START = 0xd8;
const SCAN = 0xda;
const isLeftOut = (marker: number): boolean => (marker >= 0xe1 && marker <= 0xef && marker !== 0xee && marker !== 0xe2) || marker === 0xfe; // prettier-ignore

/** How a JPEG is to be turned, 1 to 8, as its Exif says; 1: not at all. */
export function jpegOrientation(bytes: Buffer): number {
  for (let index = 2; index + 4 <= bytes.length && bytes[index] === 0xff && bytes[index + 1] !== SCAN; index += 2 + bytes.readUInt16BE(index + 2)) {
    if (bytes[index + 1] !== 0xe1 || ascii(bytes, index + 4, 6) !== 'Exif\0\0') continue;
    const base = index + 10;
    const isLittle = ascii(bytes, base, 2) === 'II';
    const [short, long] = [(i: number) => (isLittle ? bytes.readUInt16LE(i) : bytes.readUInt16BE(i)), (i: number) => (isLittle ? bytes.readUInt32LE(i) : bytes.readUInt32BE(i))];
    try {
      const table = base + long(base + 4);
      for (let entry = 0; entry < short(table); entry += 1)
        if (short(table + 2 + entry * 12) === 0x0112) return Math.min(8, Math.max(1, short(table + 10 + entry * 12)));
    } catch {
      return 1;
    }
  }
  return 1;
} // prettier-ignore

/** Exif that says how a picture is turned, and nothing else. */
const exifOf = (orientation: number): Buffer => {
  const exif = Buffer.alloc(36);
  exif.writeUInt16BE(0xffe1, 0);
  exif.writeUInt16BE(34, 2);
  exif.write('Exif\0\0MM', 4, 'latin1');
  exif.writeUInt16BE(42, 12);
  exif.writeUInt32BE(8, 14);
  exif.writeUInt16BE(1, 18);
  exif.writeUInt16BE(0x0112, 20);
  exif.writeUInt16BE(3, 22);
  exif.writeUInt32BE(1, 24);
  exif.writeUInt16BE(orientation, 28);
  return exif;
};

function cleanJpeg(bytes: Buffer): Buffer | null {
  const turned = jpegOrientation(bytes);
  const kept: Buffer[] = [bytes.subarray(0, 2), ...(turned === 1 ? [] : [exifOf(turned)])];
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1]!;
    if (marker === SCAN) return Buffer.concat([...kept, bytes.subarray(at)]);
    if (marker === START || marker === 0xff) return null;
    const end = at + 2 + bytes.readUInt16BE(at + 2);
    if (end > bytes.length) return null;
    if (!isLeftOut(marker)) kept.push(bytes.subarray(at, end));
    at = end;
  }
  return null;
}

/** Chunks of PNG that make the picture; texts, times and Exif are others. */
const PNG_KEPT = new Set([
  'IHDR',
  'PLTE',
  'IDAT',
  'IEND',
  'tRNS',
  'gAMA',
  'cHRM',
  'sRGB',
  'iCCP',
  'pHYs',
  'bKGD',
  'sBIT',
]);

function cleanPng(bytes: Buffer): Buffer | null {
  const kept: Buffer[] = [bytes.subarray(0, 8)];
  for (let index = 8; index + 12 <= bytes.length; ) {
    const name = ascii(bytes, index + 4, 4);
    const end = index + 12 + bytes.readUInt32BE(index);
    if (end > bytes.length) return null;
    if (PNG_KEPT.has(name)) kept.push(bytes.subarray(index, end));
    if (name === 'IEND') return Buffer.concat(kept);
    index = end;
  }
  return null;
}

const WEBP_LEFT_OUT = new Set(['EXIF', 'XMP ']);
/** Flags of a WebP that say that Exif, XMP are there. */
const WEBP_FLAGS = 0x08 | 0x04;

function cleanWebp(bytes: Buffer): Buffer | null {
  const kept: Buffer[] = [];
  for (let index = 12; index + 8 <= bytes.length; ) {
    const name = ascii(bytes, index, 4);
    const size = bytes.readUInt32LE(index + 4);
    const end = index + 8 + size + (size % 2);
    if (index + 8 + size > bytes.length) return null;
    const chunk = Buffer.from(bytes.subarray(index, end));
    if (name === 'VP8X') chunk[8]! &= ~WEBP_FLAGS;
    if (!WEBP_LEFT_OUT.has(name)) kept.push(chunk);
    index = end;
  }
  if (kept.length === 0) return null;
  const body = Buffer.concat(kept);
  const head = Buffer.from(bytes.subarray(0, 12));
  head.writeUInt32LE(body.length + 4, 4);
  return Buffer.concat([head, body]);
}

const CLEANERS: Readonly<Record<PhotoType, (bytes: Buffer) => Buffer | null>> = {
  'image/jpeg': cleanJpeg,
  'image/png': cleanPng,
  'image/webp': cleanWebp,
};

/** What a file is by its first bytes, whatever it is called; null: none of what is taken. */
export function typeOf(bytes: Buffer): PhotoType | null {
  if (bytes.length > 4 && bytes.readUInt16BE(0) === 0xffd8 && bytes[2] === 0xff) return 'image/jpeg';
  if (ascii(bytes, 0, 8) === '\u0089PNG\r\n\u001A\n') return 'image/png';
  return ascii(bytes, 0, 4) === 'RIFF' && ascii(bytes, 8, 4) === 'WEBP' ? 'image/webp' : null;
}

/** The picture without what a camera wrote beside it; null: it is cut off, or something else than it seems. */
export const cleaned = (type: PhotoType, bytes: Buffer): Buffer | null => CLEANERS[type](bytes);
