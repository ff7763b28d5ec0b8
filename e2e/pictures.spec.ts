import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { expect, kept, openTicket, test } from './bench';

/** JPEG pictures made by the browser, each of its own colour. */
const jpegs = (page: Page, count: number, widthPx: number, heightPx: number): Promise<Buffer[]> =>
  page
    .evaluate(
      ([n, width, height]) =>
        Array.from({ length: n ?? 0 }, (_, index) => {
          const canvas = document.createElement('canvas');
          canvas.width = width ?? 1;
          canvas.height = height ?? 1;
          const context = canvas.getContext('2d');
          if (!context) return '';
          context.fillStyle = `hsl(${index * 7} 60% ${30 + (index % 40)}%)`;
          context.fillRect(0, 0, canvas.width, canvas.height);
          return canvas.toDataURL('image/jpeg').split(',')[1] ?? '';
        }),
      [count, widthPx, heightPx],
    )
    .then((list) => list.map((text) => Buffer.from(text, 'base64')));

/** A JPEG with an application segment that says where it was taken. */
function located(jpeg: Buffer): Buffer {
  const body = Buffer.from('Exif\0\0GPSLatitude 54.1 GPSLongitude 9.2');
  const head = Buffer.from([0xff, 0xe1, 0, body.length + 2]);
  return Buffer.concat([jpeg.subarray(0, 2), head, body, jpeg.subarray(2)]);
}

const choose = (page: Page, files: ReadonlyArray<{ name: string; buffer: Buffer }>) =>
  page
    .getByLabel('Picture files')
    .setInputFiles(files.map(({ name, buffer }) => ({ name, mimeType: 'image/jpeg', buffer })));
const pictures = (page: Page) => page.getByRole('region', { name: 'Pictures' });
const toTakeIn = async (page: Page): Promise<void> => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await page.keyboard.press('Alt+1');
  await expect(pictures(page)).toBeVisible();
};

/** Every kept picture's bytes as text, to be searched. */
const stored = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const open = indexedDB.open('loose-pulley-pictures');
    await new Promise((done) => (open.onsuccess = done));
    const all = open.result.transaction('pictures').objectStore('pictures').getAll();
    await new Promise((done) => (all.onsuccess = done));
    open.result.close();
    return (all.result as ArrayBuffer[]).map((bytes) => new TextDecoder('latin1').decode(bytes));
  });

test('a picture is scaled, freed of its place, kept beside the ticket, and goes out and comes in with it', async ({
  page,
  browser,
}) => {
  await toTakeIn(page);
  const [large = Buffer.alloc(0)] = await jpegs(page, 1, 3200, 2400);
  await choose(page, [{ name: 'front.jpg', buffer: located(large) }]);
  await expect(pictures(page).getByText('1 on the ticket.')).toBeVisible();
  const shown = pictures(page).getByRole('img', { name: 'Picture 1' });
  await expect(shown).toHaveJSProperty('naturalWidth', 1600);
  await pictures(page).getByLabel('Picture 1 shows').fill('the front, link off');
  await kept(page);
  const [bytes = ''] = await stored(page);
  expect(bytes.length).toBeGreaterThan(1000);
  expect(bytes).not.toContain('GPS');
  expect(bytes).not.toContain('Exif');
  // The same picture again is no second one.
  await choose(page, [{ name: 'copy.jpg', buffer: located(large) }]);
  await expect(pictures(page).getByText('1 on the ticket.')).toBeVisible();
  await expect(pictures(page).getByRole('img')).toHaveCount(1);

  await page.keyboard.press('Alt+9');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export the ticket as a file' }).click(),
  ]);
  const zip = readFileSync(await file.path());
  expect(Object.keys(unzipSync(zip)).filter((name) => name.startsWith('pictures/'))).toHaveLength(1);
  const elsewhere = await browser.newContext();
  const other = await elsewhere.newPage();
  await other.goto('/log');
  await other
    .getByLabel('Ticket or archive files')
    .setInputFiles({ name: file.suggestedFilename(), mimeType: 'application/zip', buffer: zip });
  await expect(other.getByText('1 ticket imported.')).toBeVisible();
  await other.goto(new URL(page.url()).pathname.replace('handBack', 'takeIn'));
  await expect(pictures(other).getByRole('img', { name: 'the front, link off' })).toHaveJSProperty(
    'naturalWidth',
    1600,
  );
  await elsewhere.close();
});

test('a phone’s own format, a broken file, an empty one and one of 50 MB are refused in words; the good one stays', async ({
  page,
}) => {
  await toTakeIn(page);
  const [good = Buffer.alloc(0)] = await jpegs(page, 1, 200, 150);
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(40)]);
  await choose(page, [
    { name: 'phone.heic', buffer: heic },
    { name: 'cut.jpg', buffer: good.subarray(0, 60) },
    { name: 'nothing.jpg', buffer: Buffer.alloc(0) },
    { name: 'good.jpg', buffer: good },
  ]);
  const said = pictures(page).getByRole('alert');
  await expect(said).toContainText('“phone.heic” is in a phone’s own format (HEIC)');
  await expect(said).toContainText('“cut.jpg” is broken or cut short');
  await expect(said).toContainText('“nothing.jpg” is empty');
  await expect(pictures(page).getByRole('img')).toHaveCount(1);
  // Playwright hands over at most 50 MB, so the page makes the large one and drops it.
  await page.evaluate(() => {
    const large = new File([new Uint8Array(50_000_000)], 'huge.jpg', { type: 'image/jpeg' });
    const data = new DataTransfer();
    data.items.add(large);
    dispatchEvent(new ClipboardEvent('paste', { clipboardData: data }));
  });
  await expect(said).toContainText('“huge.jpg” has 50 MB; a picture may have 40.');
  await expect(pictures(page).getByRole('img')).toHaveCount(1);
});

test('two hundred pictures go on one ticket, which stays at hand', async ({ page }) => {
  test.slow();
  await toTakeIn(page);
  const many = await jpegs(page, 200, 160, 120);
  await choose(
    page,
    many.map((buffer, index) => ({ name: `${index}.jpg`, buffer })),
  );
  await expect(pictures(page).getByText('200 on the ticket.')).toBeVisible();
  await expect(pictures(page).getByRole('img')).toHaveCount(12);
  await pictures(page).getByRole('button', { name: '12 more of 200' }).click();
  await expect(pictures(page).getByRole('img')).toHaveCount(24);
  await page.getByLabel('What happened before it failed').fill('dropped');
  await kept(page);
  await page.reload();
  await expect(pictures(page).getByRole('img')).toHaveCount(12);
  expect(await stored(page)).toHaveLength(200);
});

test('a picture that a dying tab left without a ticket is swept, one that undo can Redo is not', async ({ page }) => {
  await toTakeIn(page);
  const [one = Buffer.alloc(0)] = await jpegs(page, 1, 100, 100);
  await choose(page, [{ name: 'a.jpg', buffer: one }]);
  await expect(pictures(page).getByRole('img')).toHaveCount(1);
  await pictures(page).getByRole('button', { name: 'Take picture 1 out' }).click();
  await expect(pictures(page).getByRole('img')).toHaveCount(0);
  await kept(page);
  await page.evaluate(async () => {
    const open = indexedDB.open('loose-pulley-pictures');
    await new Promise((done) => (open.onsuccess = done));
    const work = open.result.transaction('pictures', 'readwrite');
    work.objectStore('pictures').put(new ArrayBuffer(4), 'f'.repeat(64));
    await new Promise((done) => (work.oncomplete = done));
    open.result.close();
  });
  expect(await stored(page)).toHaveLength(2);
  await page.reload();
  await expect.poll(() => stored(page).then((list) => list.length)).toBe(1);
  await page.keyboard.press('Control+z');
  await expect(pictures(page).getByRole('img')).toHaveCount(1);
});

test.describe('the camera', () => {
  test.use({ permissions: ['camera'] });
  test('in the page takes a picture', async ({ page }) => {
    await toTakeIn(page);
    await pictures(page).getByRole('button', { name: 'Camera' }).click();
    await pictures(page).getByRole('button', { name: 'Take it' }).click();
    await expect(pictures(page).getByRole('img', { name: 'Picture 1' })).toBeVisible();
    await pictures(page).getByRole('button', { name: 'Put the camera away' }).click();
    await expect(pictures(page).getByLabel('What the camera sees')).toHaveCount(0);
  });
});
test('no camera is said, and the other ways stay', async ({ page }) => {
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('none', 'NotFoundError'));
  });
  await toTakeIn(page);
  await pictures(page).getByRole('button', { name: 'Camera' }).click();
  await expect(pictures(page).getByText('No camera was found here.')).toBeVisible();
  await expect(pictures(page).getByRole('button', { name: 'Choose pictures' })).toBeVisible();
});
