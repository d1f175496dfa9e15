import { randomUUID } from 'node:crypto';
import { HEADERS, MOST_PHOTO_BYTES, routes } from '@iron-patch/contract';
import sharp from 'sharp';
import request from 'supertest';
import { caller, makeJob, readingBody, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
let made: MadeJob;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  made = await makeJob(call);
});
afterAll(() => shop.close());

const plain = (widthPx: number, heightPx: number) =>
  sharp({ create: { width: widthPx, height: heightPx, channels: 3, background: '#7a4b21' } });
const send = (file: Buffer, type = 'image/jpeg', id: string = randomUUID(), jobId = made.jobId) =>
  request(shop.app)
    .post(routes.photos(jobId))
    .set(HEADERS.person, 'ines')
    .set(HEADERS.idempotencyKey, id)
    .set('Content-Type', type)
    .send(file);

describe('a photograph', () => {
  it.each(['jpeg', 'png', 'webp'] as const)('is taken as %s, scaled, and served as JPEG', async (format) => {
    const res = await send(await plain(2600, 1300).toFormat(format).toBuffer(), `image/${format}`);
    expect(res.status).toBe(201);
    expect(res.body).toMatchObject({ widthPx: 2000, heightPx: 1000, personId: 'ines', markers: [], version: 1 });
    const small = await call.get(routes.photoPixels(res.body.id, 'small'));
    expect(small.headers['content-type']).toBe('image/jpeg');
    expect(await sharp(small.body as Buffer).metadata()).toMatchObject({ width: 400, height: 200, format: 'jpeg' });
  });

  it('loses its position and everything else that the camera wrote, and stands upright', async () => {
    const file = await plain(300, 200)
      .withExif({ IFD0: { Make: 'Somebody' }, IFD3: { GPSLatitude: '51/1 30/1 0/1', GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(file).metadata()).exif).toBeDefined();
    const { body } = await send(file);
    expect(body).toMatchObject({ widthPx: 200, heightPx: 300 });
    const kept = await sharp((await call.get(routes.photoPixels(body.id, 'large'))).body as Buffer).metadata();
    expect([kept.exif, kept.xmp, kept.iptc, kept.orientation]).toEqual([undefined, undefined, undefined, undefined]);
  });

  it('is judged by what it holds, not by what it is called', async () => {
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
    for (const junk of [Buffer.from('not a picture'), svg, Buffer.alloc(0), (await plain(9, 9).gif().toBuffer()) as Buffer]) {
      const res = await send(junk);
      expect([res.status, res.body.problems?.[0].path]).toEqual([422, 'picture']);
    }
    const half = (await plain(900, 900).jpeg().toBuffer()).subarray(0, 700);
    expect((await send(half)).status).toBe(422);
  });

  it('of more than 15 MB is refused', async () => {
    const res = await send(Buffer.alloc(MOST_PHOTO_BYTES + 1));
    expect(res.status).toBe(413);
  });

  it('sent twice is kept once', async () => {
    const file = await plain(40, 30).jpeg().toBuffer();
    const id = randomUUID();
    await send(file, 'image/jpeg', id);
    expect((await send(file, 'image/jpeg', id)).body.id).toBe(id);
    const { photos } = (await call.get(routes.sheet(made.jobId))).body;
    expect(photos.filter((p: { id: string }) => p.id === id)).toHaveLength(1);
    expect((await send(file, 'image/jpeg', randomUUID(), randomUUID())).status).toBe(404);
    expect((await send(file, 'image/jpeg', 'no-id')).status).toBe(400);
  });

  it('gets caption and markers tied to places of its job, at the version that was read, and can be taken off', async () => {
    const { body } = await send(await plain(40, 30).png().toBuffer(), 'image/png');
    const path = routes.photo(body.id);
    const marker = { id: randomUUID(), x: 0.4, y: 0.6, placeId: made.bodyId, text: 'scored here' };
    const marked = await call.put(path, { caption: 'As it came', markers: [marker] }, '"v1"');
    expect(marked.body).toMatchObject({ caption: 'As it came', markers: [marker], version: 2 });
    const strange = await call.put(path, { caption: '', markers: [{ ...marker, placeId: randomUUID() }] }, '"v2"');
    expect(strange.body.problems).toMatchObject([{ path: 'markers.0.placeId' }]);
    expect((await call.put(path, { caption: 'Late', markers: [] }, '"v1"')).status).toBe(412);
    expect((await call.delete(path, '"v1"')).status).toBe(412);
    expect((await call.delete(path, '"v2"')).status).toBe(204);
    expect((await call.get(routes.photoPixels(body.id, 'small'))).status).toBe(404);
    expect((await call.put(path, { caption: '', markers: [] }, '"v2"')).status).toBe(404);
  });
});

it('many large ones at once leave the database to the others', async () => {
  const noise = await sharp({
    create: { width: 5000, height: 3600, channels: 3, noise: { type: 'gaussian', mean: 128, sigma: 60 } },
  } as never)
    .jpeg({ quality: 60 })
    .toBuffer();
  const pictures = Array.from({ length: 14 }, () => send(noise).then((r) => r.status));
  for (let i = 0; i < 8; i++) {
    const { status } = await call.post(routes.readings(made.jobId), readingBody(made.bodyId, '39.9'));
    expect(status).toBe(201);
    await new Promise((r) => setTimeout(r, 60));
  }
  expect(await Promise.all(pictures)).toEqual(pictures.map(() => 201));
});
