import { deflateSync } from 'node:zlib';
import { PHOTO_LIMITS } from '@steady-scatter/contract';
import type { Express } from 'express';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openHarness, type Harness } from '../testing/harness.ts';
import { cleaned, jpegOrientation, typeOf } from './clean.ts';

let harness: Harness;
let app: Express;
beforeAll(async () => {
  harness = await openHarness();
  ({ app } = harness);
});
afterAll(() => harness.close());

const chunk = (name: string, data: Buffer): Buffer => {
  const head = Buffer.alloc(8);
  head.writeUInt32BE(data.length, 0);
  head.write(name, 4, 'latin1');
  return Buffer.concat([head, data, Buffer.alloc(4)]);
};
/** A grey PNG of a size, with a text beside it. */
function png(width = 4, height = 3): Buffer {
  const size = Buffer.alloc(13);
  size.writeUInt32BE(width, 0);
  size.writeUInt32BE(height, 4);
  size[8] = 8;
  const raw = width * height > 1e6 ? Buffer.alloc(0) : Buffer.alloc((width + 1) * height);
  return Buffer.concat([Buffer.from('\u0089PNG\r\n\u001A\n', 'latin1'), chunk('IHDR', size), chunk('tEXt', Buffer.from('Where\0Tarn Hollow')), chunk('IDAT', deflateSync(raw)), chunk('IEND', Buffer.alloc(0))]);
} // prettier-ignore

const segment = (marker: number, data: Buffer): Buffer => {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(data.length + 2, 2);
  return Buffer.concat([head, data]);
};
/** Exif of a camera: how it is turned, and where it was. */
const exif = (orientation: number): Buffer => {
  const table = Buffer.alloc(14 + 2 + 12 + 4);
  table.write('Exif\0\0MM', 0, 'latin1');
  table.writeUInt16BE(42, 8);
  table.writeUInt32BE(8, 10);
  table.writeUInt16BE(1, 14);
  table.writeUInt16BE(0x0112, 16);
  table.writeUInt16BE(3, 18);
  table.writeUInt32BE(1, 20);
  table.writeUInt16BE(orientation, 24);
  return Buffer.concat([table, Buffer.from('GPS 54.1 N')]);
};
/** As much of a JPEG as says what it is, with what a camera writes beside it. */
function jpeg(orientation = 1): Buffer {
  const frame = Buffer.from([8, 0, 3, 0, 4, 1, 1, 0x11, 0]);
  return Buffer.concat([Buffer.from([0xff, 0xd8]), segment(0xe0, Buffer.from('JFIF\0\u0001\u0001\0\0\u0001\0\u0001\0\0', 'latin1')), segment(0xe1, exif(orientation)), segment(0xfe, Buffer.from('by J. Alder')), segment(0xc0, frame), segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])), Buffer.from([1, 2, 3, 0xff, 0xd9])]);
} // prettier-ignore
/** A WebP whose head says that Exif is there. */
function webp(): Buffer {
  const part = (name: string, data: Buffer) => {
    const head = Buffer.alloc(8);
    head.write(name, 0, 'latin1');
    head.writeUInt32LE(data.length, 4);
    return Buffer.concat([head, data, Buffer.alloc(data.length % 2)]);
  };
  const canvas = Buffer.from([0x0c, 0, 0, 0, 3, 0, 0, 2, 0, 0]);
  const body = Buffer.concat([part('VP8X', canvas), part('EXIF', Buffer.from('GPS 54.1 N'))]);
  const head = Buffer.from('RIFF\0\0\0\0WEBP', 'latin1');
  head.writeUInt32LE(body.length + 4, 4);
  return Buffer.concat([head, body]);
}

const put = (id: string, bytes: Buffer, type = 'image/jpeg') => request(app).put(`/api/photos/${id}`).set('Content-Type', type).send(bytes); // prettier-ignore

describe('what a camera writes beside a picture', () => {
  it('goes, and the picture with how it is turned stays', () => {
    const clean = cleaned('image/jpeg', jpeg(6))!;
    expect(clean.includes('GPS')).toBe(false);
    expect(clean.includes('Alder')).toBe(false);
    expect(jpegOrientation(clean)).toBe(6);
    expect(clean.subarray(-5)).toEqual(Buffer.from([1, 2, 3, 0xff, 0xd9]));
    expect(cleaned('image/jpeg', jpeg(1))!.includes('Exif')).toBe(false);
    expect(cleaned('image/png', png())!.includes('Tarn')).toBe(false);
    expect(cleaned('image/webp', webp())!.includes('GPS')).toBe(false);
    expect(cleaned('image/webp', webp())![20]! & 0x0c).toBe(0);
  });

  it('what is cut off is no picture', () => {
    expect(cleaned('image/jpeg', jpeg().subarray(0, 40))).toBeNull();
    expect(cleaned('image/png', png().subarray(0, 40))).toBeNull();
    expect(cleaned('image/webp', webp().subarray(0, 24))).toBeNull();
    expect(typeOf(Buffer.from('<!doctype html>'))).toBeNull();
  });
});

describe('a photo', () => {
  it.each([
    ['JPEG', jpeg(), 'image/jpeg'],
    ['PNG', png(), 'image/png'],
    ['WebP', webp(), 'image/webp'],
  ])('%s is taken in, told by its content whatever it is called, and handed over clean', async (_, bytes, type) => {
    const id = v7();
    const { body } = await put(id, bytes, 'application/octet-stream').expect(200);
    expect(body).toMatchObject({ id, type, width: 4, height: 3, removedAt: null });
    const got = await request(app).get(`/api/photos/${id}`).expect(200);
    expect(got.headers).toMatchObject({ 'content-type': type, 'content-security-policy': "default-src 'none'; sandbox" });
    expect(Buffer.from(got.body as Buffer).includes('GPS')).toBe(false);
  }); // prettier-ignore

  it('twice is harmless; another one under its id is refused', async () => {
    const id = v7();
    const first = await put(id, jpeg()).expect(200);
    expect((await put(id, jpeg()).expect(200)).body).toEqual(first.body);
    expect((await put(id, png()).expect(409)).body.type).toBe('/problems/id-taken');
  });

  it.each([
    ['HTML that says it is a JPEG', Buffer.from('<script>alert(1)</script>'), 415, /no JPEG, PNG or WebP/],
    ['nothing', Buffer.alloc(0), 415, /no JPEG/],
    ['80 megapixels', png(10_000, 8000), 413, /80 megapixels; at most 40/],
    ['11 MB', Buffer.alloc(PHOTO_LIMITS.bytes + 1), 413, /./],
  ])('%s is refused, with what would be right', async (_, bytes, status, words) => {
    const { body } = await put(v7(), bytes).expect(status);
    expect(body.detail).toMatch(words);
  });

  it('is removed with a reason by the lead: its hash stays, and it does not come back', async () => {
    const id = v7();
    const { body } = await put(id, jpeg()).expect(200);
    await request(app).delete(`/api/photos/${id}`).send({ why: '' }).expect(400);
    await request(app).delete(`/api/photos/${id}`).send({ why: 'A face is on it' }).expect(200);
    expect((await request(app).get(`/api/photos/${id}`).expect(404)).body.detail).toBe('The picture was removed: A face is on it');
    const { body: facts } = await request(app).get(`/api/photos/${id}/facts`).expect(200);
    expect(facts).toMatchObject({ sha256: body.sha256, removedWhy: 'A face is on it' });
    expect((await put(id, jpeg()).expect(200)).body.removedAt).toBe(facts.removedAt);
  }); // prettier-ignore

  it('of another crew is none', async () => {
    const id = v7();
    await put(id, jpeg()).expect(200);
    const other = await harness.otherCrew();
    await request(other).get(`/api/photos/${id}`).expect(404);
    await request(other).delete(`/api/photos/${id}`).send({ why: 'x' }).expect(404);
  });
});
