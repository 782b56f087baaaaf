import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { bigNumber, change, expectAccessible, lineText, plain, go } from './support.ts';

const big = async (page: Page) => plain((await bigNumber(page).textContent()) ?? '');

const chooseFile = (page: Page, name: string, text: string) =>
  page
    .getByLabel('File to import')
    .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

/** The text of what the page gives to save. */
async function saved(page: Page, press: () => Promise<unknown>) {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) };
}

/** Where the yellow points of the drawing are, on the page. */
async function handles(page: Page): Promise<{ x: number; y: number }[]> {
  const box = await page.getByRole('group', { name: /^Drawing to scale/ }).boundingBox();
  const points = await page.evaluate(() => {
    const { Konva } = window as unknown as { Konva: { stages: { find(name: string): { radius(): number; x(): number; y(): number }[] }[] } }; // prettier-ignore
    return Konva.stages[0]!.find('Circle').filter((circle) => circle.radius() > 6).map((circle) => ({ x: circle.x(), y: circle.y() })); // prettier-ignore
  });
  return points.map(({ x, y }) => ({ x: x + box!.x + 1, y: y + box!.y + 1 }));
}

async function openArea(page: Page, site: string, area: string) {
  await go(page, '/sites');
  await page.getByRole('link', { name: site, exact: true }).click();
  await page.getByRole('tab', { name: area }).click();
  await expect(page.locator('canvas').first()).toBeVisible();
}

test('an L-shaped lawn with a round bed is measured by keyboard alone', async ({ page }) => {
  await page.goto('/sites/new');
  await expect(page.getByLabel('Call out a part')).toBeVisible();
  await page.keyboard.press('Alt+P');
  for (const part of ['62 x 38 ft', '24 x 30 ft', '-circle 6']) {
    await page.keyboard.type(part);
    await page.keyboard.press('Enter');
  }
  // 62 x 38 + 24 x 30 - 36 pi, each length to the foot.
  await expect.poll(() => big(page)).toBe('2 960 ft² ±50');
  await expect.poll(() => lineText(page, 'Sum sheet: parts add up, wherever they lie')).toBe('2 356 ft² + 720 ft² − 113.1 ft² = 2 960 ft² ±50'); // prettier-ignore
  await page.keyboard.type('lawn');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Call it out like 62 x 38');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('-ring 5');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('outer radius and inner radius');

  await page.keyboard.press('Control+S');
  await expect(page.getByLabel('Name of the site')).toBeFocused();
  await page.keyboard.type('Mill green');
  await page.keyboard.press('Control+S');
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await page.reload();
  await expect.poll(() => big(page)).toBe('2 960 ft² ±50');
});

test('placed by keyboard: parts move, turn, overlap and come back', async ({ page }) => {
  await page.goto('/sites/new');
  await page.getByLabel('Call out a part').fill('20 x 10 ft');
  await page.getByLabel('Call out a part').press('Enter');
  await page.getByLabel('Call out a part').fill('10 x 10 ft');
  await page.getByLabel('Call out a part').press('Enter');
  await change(page, 'parts and unit');
  await page.getByRole('combobox', { name: 'Parts', exact: true }).selectOption('placed');
  await expect(page.getByLabel('To the right')).not.toHaveValue('0');
  await page.getByLabel('To the right').fill('15');
  await page.getByLabel('Upwards').fill('0');
  await page.getByLabel('Upwards').blur();
  const line = () => lineText(page, 'Placed drawing');
  await page.getByRole('button', { name: '20 × 10 ft', exact: false }).first().click();
  await page.getByLabel('To the right').fill('0');
  await page.getByLabel('Upwards').fill('0');
  // The 5 ft that lie over each other count once.
  await expect.poll(line).toMatch(/with overlaps counted once .* = 250 ft²/);
  const drawing = page.getByRole('group', { name: /^Drawing to scale/ });
  await drawing.focus();
  await drawing.press('Shift+ArrowLeft');
  await expect(page.getByLabel('To the right')).toHaveValue('−5');
  await expect.poll(line).toMatch(/^200 ft² \+ 100 ft² = 300 ft²/);
  await drawing.press('r');
  await expect(page.getByLabel('Turned left')).toHaveValue('15');
  await page.keyboard.press('Control+Z');
  await expect(page.getByLabel('Turned left')).toHaveValue('0');
  await page.keyboard.press('Control+Y');
  await expect(page.getByLabel('Turned left')).toHaveValue('15');
});

test('a vertex is dragged, and what is typed follows; what cannot be is drawn and said', async ({ page }) => {
  await page.goto('/sites/new');
  await page.getByLabel('Call out a part').fill('30 x 20 ft');
  await page.getByLabel('Call out a part').press('Enter');
  await expect(page.getByLabel('Length', { exact: true })).toHaveValue('30');
  const [, , corner] = await handles(page);
  const [side] = await handles(page);
  // The point on the side lies half the width below the corner.
  const pxPerFt = (side!.y - corner!.y) / 10;
  await page.mouse.move(corner!.x, corner!.y);
  await page.mouse.down();
  for (let step = 1; step <= 6; step += 1)
    await page.mouse.move(corner!.x - step * pxPerFt, corner!.y + (step / 2) * pxPerFt);
  await expect(page.getByLabel('Length', { exact: true })).toHaveValue('24');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('17');
  await page.mouse.up();
  await expect.poll(() => lineText(page, 'Sum sheet: parts add up, wherever they lie')).toContain('408 ft²');
  await page.keyboard.press('Control+Z');
  await expect(page.getByLabel('Length', { exact: true })).toHaveValue('30');

  await page.getByLabel('Add a shape').selectOption('polygon');
  await expect(page.getByLabel('X 3')).toHaveValue('10');
  const [, , far] = await handles(page);
  await page.mouse.move(far!.x, far!.y);
  await page.mouse.down();
  await page.mouse.move(far!.x + 20, far!.y - 30, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByLabel('X 3')).not.toHaveValue('10');
  await expect(page.getByLabel('Y 3')).not.toHaveValue('10');
  await page.getByRole('button', { name: /^Remove corners/ }).click();

  await page.getByRole('button', { name: /^added 30 × 20 ft/ }).click();
  await page.getByLabel('Shape', { exact: true }).selectOption('three-sides');
  await page.getByLabel('Side a').fill('30');
  await page.getByLabel('Side b').fill('12');
  await page.getByLabel('Side c').fill('9');
  await expect(page.getByRole('alert')).toContainText('cannot close to a triangle');
  await page.getByLabel('Side c').fill('25');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByLabel('Shape', { exact: true }).selectOption('offsets');
  await expectAccessible(page);
});

const LOOP = [[0, 0], [80, 0], [80, 50], [40, 62], [0, 50], [0, 3]] as const; // prettier-ignore
const point = ([x, y]: readonly [number, number]) => ({ lat: 47.4 + y / 111_170, lon: -31.2 + x / 75_460 });
const gpx = (end = '</trkseg></trk></gpx>') =>
  `<?xml version="1.0"?><gpx version="1.1"><trk><name>Orchard walk</name><trkseg>${LOOP.map(point)
    .map(({ lat, lon }) => `<trkpt lat="${lat}" lon="${lon}"/>`)
    .join('')}${end}`;

test('a walked edge comes in from a GPX file and goes out as GeoJSON; what is wrong with a file is said', async ({
  page,
}) => {
  await page.goto('/sites/new');
  await page.getByLabel('Name of the site').fill('Far orchard');
  await page.getByRole('button', { name: 'Boundary from a file' }).click();
  await chooseFile(page, 'walk.gpx', gpx('<trkpt lat='));
  await expect(page.getByRole('alert')).toContainText('breaks off or is damaged at line 1');
  await chooseFile(page, 'notes.txt', 'not a boundary');
  await expect(page.getByRole('alert')).toContainText('Take GeoJSON, KML, GPX');
  const swapped = `<kml><Placemark><name>Lee side</name><LineString><coordinates>${LOOP.map(point)
    .map(({ lat, lon }) => `${lat},${lon - 80}`)
    .join(' ')}</coordinates></LineString></Placemark></kml>`;
  await chooseFile(page, 'swapped.kml', swapped);
  await expect(page.getByRole('alert')).toContainText('look swapped');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Read it the other way round' }).click();
  await expect(page.getByText('Lee side')).toBeVisible();

  await chooseFile(page, 'walk.gpx', gpx());
  await expect(page.getByText('Orchard walk')).toBeVisible();
  await expect(page.getByText(/Closed over a gap of/)).toBeVisible();
  await page.getByRole('button', { name: 'Import as an area' }).click();
  await expect(page.getByRole('tab', { name: 'Orchard walk' })).toBeVisible();
  await expect(page.getByLabel('Latitude, degrees')).toHaveValue('47.4');
  // 80 x 50 + 80 x 12 / 2 m2, and what ±10 ft along the edge makes of it.
  await expect.poll(() => big(page)).toBe('48 000 ft² ±2 000');
  await page.getByRole('button', { name: 'Save site' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();

  const { name, bytes } = await saved(page, () => page.getByRole('button', { name: 'GeoJSON' }).click());
  expect(name).toBe('Far orchard.geojson');
  const { features } = JSON.parse(bytes.toString()) as { features: { properties: { name: string; areaM2: number }; geometry: { coordinates: number[][][][] } }[] }; // prettier-ignore
  expect(features[0]!.properties.name).toBe('Orchard walk');
  expect(Math.abs(features[0]!.properties.areaM2 / 4480 - 1)).toBeLessThan(2e-3);
  // The last point lies on the way back to the first and is left out; the ring is closed.
  expect(features[0]!.geometry.coordinates[0]![0]).toHaveLength(6);
});

test('the plan is printed to scale, a drawing saved; buffers are counted apart, rows told in each way', async ({
  page,
}) => {
  await openArea(page, 'Lake front', 'Bandstand lawn');
  const { bytes } = await saved(page, () => page.getByRole('button', { name: 'Plan as PDF' }).click());
  const pdf = await getDocumentProxy(new Uint8Array(bytes));
  const { text, totalPages } = await extractText(pdf);
  expect(totalPages).toBe(4);
  const first = plain(text[0]!);
  for (const words of [
    'Lake front, plan of',
    'sample',
    'Bandstand lawn',
    '2 870 ft² ±50',
    '62 ft',
    '12 ft wide',
    '1 : 200',
    'less circle 6 ft',
  ])
    expect(first).toContain(words);
  expect(plain(text[1]!)).toContain('Keep 10 ft from the water.');
  const svg = (
    await saved(page, () => page.getByRole('button', { name: 'Drawing as SVG' }).click())
  ).bytes.toString();
  // 62 ft at 1 : 100 are 188.98 mm on paper.
  const scale = Number(/1 : (\d+)/.exec(svg)![1]);
  const xs = [...svg.matchAll(/<path d="M([\d.]+) [\d.]+L([\d.]+) /g)].map(
    ([, a, b]) => Number(b) - Number(a),
  );
  expect(Math.max(...xs)).toBeCloseTo((62 * 304.8) / scale, 1);

  await openArea(page, 'Sports meadow', 'Meadow, walked edge');
  await expect
    .poll(() => lineText(page, 'Placed drawing'))
    .toMatch(/− 0\.0\d+ acre within buffers = 2\.42 acre ±0\.04/);
  await page.getByLabel('Buffer distance').fill('30');
  await expect.poll(() => lineText(page, 'Placed drawing')).toMatch(/− 0\.(19\d|20\d) acre within buffers/);
  await openArea(page, 'Market garden', 'Currants');
  const rows = page.getByRole('region', { name: 'Rows' });
  await expect(rows).toContainText(/920 m\s*of row, by counted rows; this one counts/);
  await expect(rows).toContainText(/930 m\s*of row, by area ÷ row spacing/);
});

test('areas chosen on a sheet bring their size and band, and tell when they were measured anew', async ({
  page,
}) => {
  await page.goto('/sites/new');
  await page.getByLabel('Name of the site').fill('Weir bank');
  await page.getByLabel('Name of the area').fill('Upper bank');
  await page.getByLabel('Call out a part').fill('100 x 20 ft');
  await page.getByLabel('Call out a part').press('Enter');
  await page.getByRole('button', { name: 'Save site' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  const site = page.url();

  await go(page, '/');
  await page.getByLabel('Amount needed').fill('1');
  await page.getByLabel('Grade on the label').fill('20-0-0');
  await page.getByRole('button', { name: 'Choose from a site' }).click();
  await page.getByRole('button', { name: /^Upper bank/ }).click();
  await expect(page.getByRole('button', { name: /^Upper bank/ })).toBeDisabled();
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Upper bank, measured as')).toHaveValue(/^2\s000 ft² ±2.9 %$/);
  await expect.poll(() => big(page)).toBe('10.0 lb ±0.3');
  await page.getByLabel('Name of the job').fill('Bank feed');
  await page.getByRole('button', { name: 'Save job' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  const job = page.url();

  await go(page, site);
  await page.getByLabel('Call out a part').fill('-10 x 10 ft');
  await page.getByLabel('Call out a part').press('Enter');
  await page.getByRole('button', { name: 'Save site' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();

  await go(page, job);
  await expect(page.getByText(/measured again since: 1\s900 ft²/)).toBeVisible();
  await expect.poll(() => big(page)).toBe('10.0 lb ±0.3');
  await page.getByRole('button', { name: 'Update' }).click();
  await expect.poll(() => big(page)).toBe('9.5 lb ±0.3');
  await expect(page.getByText(/measured again since/)).toHaveCount(0);
  await page.getByLabel('Upper bank, measured as').fill('1 900');
  await expect(page.getByText('from Weir bank')).toHaveCount(0);
});
