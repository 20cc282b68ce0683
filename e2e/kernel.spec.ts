import { expect, test } from '@playwright/test';

test('the policy of the page lets the compiled kernel of the lattice run, in the page and in a worker, and no script made from text', async ({
  page,
}) => {
  await page.goto('/');
  const allowed = await page.evaluate(async () => {
    const code = `
      let compiled = true;
      try { new WebAssembly.Module(Uint8Array.of(0, 97, 115, 109, 1, 0, 0, 0)); } catch { compiled = false; }
      let made = true;
      try { new Function('return 1')(); } catch { made = false; }
      postMessage({ compiled, made });`;
    const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
    return new Promise((done) => worker.addEventListener('message', ({ data }) => done(data)));
  });
  expect(allowed).toEqual({ compiled: true, made: false });
});
