import { PlanningContext } from '../../src/core/planning/planningContext.ts';
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { PerspectiveCamera, Vector3 } from 'three';
import { readPersonFile } from '../../src/core/formats/personFile.ts';
import { withHeldPoses } from '../../src/core/sessions/heldPoses.ts';
import { planSetUp } from '../../src/core/setup/planSetUp.ts';
import type { SetUp } from '../../src/core/setup/setUp.ts';
import { WARRIOR_TWO_PLACES } from '../support/posePlaces.ts';
import { answerFirst, expectAccessible, openDemo, markDrawnPicture } from './support.ts';

type Pixel = readonly [number, number];
const WIDTH = 1200;
const HEIGHT = 900;
const rad = (deg: number): number => (deg * Math.PI) / 180;

/** Pixels of a raised leg as three.js sees it, the camera square to the body and rolled. */
function project(deg: number, roll: number): Readonly<Record<'hip' | 'ankle' | 'other', Pixel>> {
  const camera = new PerspectiveCamera(48, WIDTH / HEIGHT, 0.1, 20);
  camera.position.set(0, 0, 3.2);
  camera.rotateZ(rad(roll));
  camera.updateMatrixWorld();
  const hip = new Vector3(-0.1, -0.4, 0);
  const leg = (at: number): Vector3 =>
    hip.clone().add(new Vector3(0.8 * Math.cos(rad(at)), 0.8 * Math.sin(rad(at)), 0));
  const px = (point: Vector3): Pixel => {
    const { x, y } = point.project(camera);
    return [((x + 1) / 2) * WIDTH, ((1 - y) / 2) * HEIGHT];
  };
  return { hip: px(hip.clone()), ankle: px(leg(deg)), other: px(leg(0)) };
}

/** A PNG of two legs, painted by the browser. */
async function paint(page: Page, { hip, ankle, other }: ReturnType<typeof project>) {
  const url = await page.evaluate(
    ([width, height, points]) => {
      const canvas = document.createElement('canvas');
      canvas.width = width;
      canvas.height = height;
      const context = canvas.getContext('2d')!;
      context.fillStyle = '#eee';
      context.fillRect(0, 0, width, height);
      context.lineWidth = 24;
      context.lineCap = 'round';
      context.beginPath();
      points.forEach(([x, y], i) => {
        if (i === 0) context.moveTo(x, y);
        else context.lineTo(x, y);
      });
      context.stroke();
      return canvas.toDataURL('image/png');
    },
    [WIDTH, HEIGHT, [other, hip, ankle]] as const,
  );
  return Buffer.from(url.split(',')[1]!, 'base64');
}

async function point(page: Page, at: Pixel, size: Pixel = [WIDTH, HEIGHT]): Promise<void> {
  const picture = page.getByRole('application');
  const box = (await picture.boundingBox())!;
  const by = Math.min(box.width / size[0], box.height / size[1]);
  const left = box.x + (box.width - size[0] * by) / 2;
  const top = box.y + (box.height - size[1] * by) / 2;
  await page.mouse.click(left + at[0] * by, top + at[1] * by);
}

const upload = (page: Page, name: string, mimeType: string, buffer: Buffer): Promise<void> =>
  page.getByLabel('Picture', { exact: true }).setInputFiles({ name, mimeType, buffer });

test('three drawn pictures go through the screen as pixels and give their angle', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/measure?id=bram-okelo&step=straight-leg-raise&by=photo');
  await answerFirst(page);
  for (const [deg, roll] of [
    [64, 0],
    [81, 4],
    [97, -5],
  ] as const) {
    const marks = project(deg, roll);
    await upload(page, 'leg.png', 'image/png', await paint(page, marks));
    await expect(page.getByText('1. Point at the ankle bone')).toBeVisible();
    await page.getByRole('application').scrollIntoViewIfNeeded();
    for (const each of [marks.other, marks.hip, marks.ankle]) await point(page, each);
    await expect(page.getByText('All marks are placed')).toBeVisible();
    const value = page.locator('[data-testid=photo] [data-testid=value]');
    const [, read, error] = /([\d.]+)° ± ([\d.]+)°/.exec((await value.textContent()) ?? '') ?? [];
    // A click lands on whole pixels of the screen; the picture is shown smaller than it is.
    expect(Math.abs(Number(read) - deg)).toBeLessThan(0.5);
    expect(Number(error)).toBeLessThan(4);
  }
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Save (left|right)/ }).click();
  await expect(page.getByLabel('left first')).toHaveValue(/^9[67](\.\d)?°$/);
  // Nobody agreed to pictures being kept.
  await expect(page.getByText(/is kept$/)).toHaveCount(0);
});

test('marks are placed and moved by keys alone', async ({ page }) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=straight-leg-raise&by=photo');
  await markDrawnPicture(page);
  const value = page.locator('[data-testid=photo] [data-testid=value]');
  const before = await value.textContent();
  await page.keyboard.press('3');
  for (let i = 0; i < 10; i += 1) await page.keyboard.press('Shift+ArrowLeft');
  await expect(value).not.toHaveText(before ?? '');
});

/** An EXIF block with a turned camera and a place in it, put into a JPEG. */
function addTags(jpeg: Buffer): Buffer {
  const tiff = Buffer.alloc(80);
  tiff.write('II*\0', 0, 'latin1');
  tiff.writeUInt32LE(8, 4);
  tiff.writeUInt16LE(2, 8);
  const entry = (at: number, tag: number, type: number, value: number): void => {
    tiff.writeUInt16LE(tag, at);
    tiff.writeUInt16LE(type, at + 2);
    tiff.writeUInt32LE(1, at + 4);
    tiff.writeUInt32LE(value, at + 8);
  };
  entry(10, 0x0112, 3, 6);
  entry(22, 0x8825, 4, 40);
  tiff.writeUInt32LE(0, 34);
  tiff.writeUInt16LE(1, 40);
  entry(42, 0x0001, 2, 'N'.charCodeAt(0));
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff]);
  return Buffer.concat([jpeg.subarray(0, 2), makeSegment(0xe1, body), jpeg.subarray(2)]);
}

/** One block of a JPEG's head. */
function makeSegment(marker: number, body: Buffer): Buffer {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
}

/** A JPEG of 400 × 300, red on its left. */
const paintJpeg = async (page: Page): Promise<Buffer> => {
  const address = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 400;
    canvas.height = 300;
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#f00';
    context.fillRect(0, 0, 200, 300);
    return canvas.toDataURL('image/jpeg');
  });
  return Buffer.from(address.split(',')[1]!, 'base64');
};

test('a picture opens with long metadata before its size, and with damaged tags', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=straight-leg-raise&by=photo');
  const plain = await paintJpeg(page);
  const profile = Array.from({ length: 12 }, () => makeSegment(0xe2, Buffer.alloc(65_000, 7)));
  const long = Buffer.concat([plain.subarray(0, 2), ...profile, plain.subarray(2)]);
  expect(long.length).toBeGreaterThan(700_000);
  await upload(page, 'long.jpg', 'image/jpeg', long);
  await expect(page.getByText('1. Point at')).toBeVisible();
  await page.reload();
  // An Exif block that points behind its own end.
  const broken = Buffer.concat([
    Buffer.from('Exif\0\0II*\0', 'latin1'),
    Buffer.from([0xff, 0xff, 0xff, 0x7f, 0xff, 0xff]),
  ]);
  const damaged = Buffer.concat([
    plain.subarray(0, 2),
    makeSegment(0xe1, broken),
    plain.subarray(2),
  ]);
  await upload(page, 'damaged.jpg', 'image/jpeg', damaged);
  await expect(page.getByText('1. Point at')).toBeVisible();
});

test('a picture is kept upright and without its tags, and can be deleted apart from its number', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/person?id=marit-sollen');
  await page.getByRole('button', { name: 'They agree to pictures' }).click();
  await expect(page.getByText(/^Pictures may be kept, since/)).toBeVisible();
  await page.goto('/measure?id=marit-sollen&step=straight-leg-raise&by=photo');
  const plain = await paintJpeg(page);
  const tagged = addTags(plain);
  expect(tagged.includes('Exif')).toBe(true);
  await upload(page, 'turned.jpg', 'image/jpeg', tagged);
  await expect(page.getByText('1. Point at')).toBeVisible();
  for (const each of [
    [250, 350],
    [100, 350],
    [150, 100],
  ] as const) {
    await point(page, each, [300, 400]);
  }
  await page.getByRole('button', { name: /^Save (left|right)/ }).click();
  await expect(page.getByText('One picture is kept')).toBeVisible();
  const kept = await page.evaluate(async () => {
    const open = indexedDB.open('stillwater');
    await new Promise((resolve) => {
      open.onsuccess = resolve;
    });
    const all = open.result.transaction('pictures').objectStore('pictures').getAll();
    await new Promise((resolve) => {
      all.onsuccess = resolve;
    });
    const [{ blob, width, height }] = all.result as [{ blob: Blob; width: number; height: number }];
    const bytes = new Uint8Array(await blob.arrayBuffer());
    const bitmap = await createImageBitmap(blob, { imageOrientation: 'none' });
    const canvas = document.createElement('canvas');
    const context = canvas.getContext('2d')!;
    context.drawImage(bitmap, 0, 0);
    return {
      text: Array.from(bytes, (each) => String.fromCharCode(each)).join(''),
      size: [width, height, bitmap.width, bitmap.height],
      top: [...context.getImageData(150, 40, 1, 1).data],
    };
  });
  expect(kept.text).not.toContain('Exif');
  // Turned by a quarter: what was its red left half is now its upper half.
  expect(kept.size).toEqual([300, 400, 300, 400]);
  expect(kept.top[0]).toBeGreaterThan(200);
  expect(kept.top[1]).toBeLessThan(60);
  const reading = page.getByLabel('left first');
  await expect(reading).toHaveValue(/^\d/);
  const number = await reading.inputValue();
  await page.getByText('One picture is kept').click();
  await page.getByRole('button', { name: /^delete the picture/ }).click();
  await expect(page.getByText('One picture is kept')).toHaveCount(0);
  await expect(reading).toHaveValue(number);
});

test('what is no picture, or one too large, is refused by name', async ({ page }) => {
  await openDemo(page);
  await page.goto('/measure?id=marit-sollen&step=straight-leg-raise&by=photo');
  await upload(page, 'notes.jpg', 'image/jpeg', Buffer.from('not a picture at all'));
  await expect(
    page.getByText('notes.jpg is not a picture that this browser can open.'),
  ).toBeVisible();
  // The head of a PNG of 10,000 × 6,000 pixels.
  const head = Buffer.alloc(64);
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]).copy(head);
  head.writeUInt32BE(13, 8);
  head.write('IHDR', 12, 'latin1');
  head.writeUInt32BE(10_000, 16);
  head.writeUInt32BE(6_000, 20);
  await upload(page, 'huge.png', 'image/png', head);
  await expect(page.getByText('huge.png has 60 megapixels; at most 40 are opened.')).toBeVisible();
});

/** What the drawn picture shows: the demo's warrior II, at the end of what was measured. */
function planDrawnWarriorTwo(): SetUp {
  const read = readPersonFile(readFileSync('public/demo/marit-sollen.json', 'utf8'), null);
  if (!read.ok) throw new Error('not read');
  const { file } = read.value;
  const rules = { depth: 'deepest', limitMarginSem: 0 } as const;
  const planned = planSetUp(
    new PlanningContext(withHeldPoses(file, file.sessions)),
    'warrior-two',
    'right',
    rules,
  );
  if (!planned.ok) throw new Error('not planned');
  return planned.value;
}

test('a pose on a picture is compared with its plan, and what differs is named', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/pose-photo?id=marit-sollen&pose=warrior-two&side=right');
  // The drawn picture goes to the end of what was measured, which bends the knee more than the plan.
  await page.getByRole('button', { name: 'or try it on a drawing' }).click();
  const picture = page.getByRole('application');
  await expect(picture).toBeVisible();
  await page.waitForTimeout(500);
  await expect(
    page.getByText('The comparison appears here once all marks are placed.'),
  ).toBeVisible();
  await picture.scrollIntoViewIfNeeded();
  const box = (await picture.boundingBox())!;
  for (const [x, y] of WARRIOR_TWO_PLACES) {
    await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
  }
  const seen = async (what: RegExp): Promise<number> =>
    Number.parseFloat(
      await page.getByRole('row', { name: what }).getByRole('cell').nth(1).innerText(),
    );
  const { landmarks, depth } = planDrawnWarriorTwo();
  await expect(page.getByRole('row', { name: /^front knee/ })).toContainText('more bent');
  expect(Math.abs((await seen(/^front knee/)) - depth!.value!)).toBeLessThan(2);
  const stance = landmarks.heelRight![0] - landmarks.ankleLeft![0];
  expect(Math.abs((await seen(/^stance/)) - stance)).toBeLessThan(2);
  await expect(page.getByRole('row', { name: /^front shin/ })).toContainText('as planned');
  await expectAccessible(page);
});
