import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { designFileName, designText, readDesignFile } from './designFile';

const file = (text: string) => new Blob([text]);

test('what is exported is read back to the last digit', async () => {
  const design = demoDesign('lagoon-postman');
  const read = await readDesignFile(file(designText(design)));
  expect(read.ok && read.design).toEqual(design);
});

test.each([
  ['Lagoon Postman', 'lagoon-postman.inclinar.json'],
  ['Möwe 2 / “b”', 'mowe-2-b.inclinar.json'],
  ['···', 'design.inclinar.json'],
])('%s is filed as %s', (name, wanted) => {
  expect(designFileName({ ...demoDesign('lagoon-postman'), name })).toBe(wanted);
});

test('a picture, a broken file and a huge one are refused in words', async () => {
  expect(await readDesignFile(file('\u0089PNG'))).toMatchObject({
    ok: false,
    issues: [{ message: expect.stringMatching(/not a JSON file/) }],
  });
  expect(await readDesignFile(file(designText(demoDesign('lagoon-postman')).slice(0, 400)))).toMatchObject({
    ok: false,
  });
  const huge = { size: 3e7, text: async () => '' } as unknown as Blob;
  expect(await readDesignFile(huge)).toMatchObject({
    ok: false,
    issues: [{ message: expect.stringMatching(/larger than 20 MB/) }],
  });
});
