import 'fake-indexeddb/auto';
import { screen } from '@testing-library/react';
import { beforeEach, expect, test, vi } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { show } from '#/tests/render';
import { FaultBoundary } from './FaultBoundary';

let broken = true;

function Stage() {
  if (broken) throw new Error('The sheet tore.');
  return <p>The sheet</p>;
}

beforeEach(() => {
  broken = true;
  vi.spyOn(console, 'error').mockImplementation(() => {});
});

test('a fault stays in its place, can be told, and the place comes back', async () => {
  const { hand } = await show(
    simpleAircraft(),
    <>
      <FaultBoundary place="The drawing">
        <Stage />
      </FaultBoundary>
      <p>The beam</p>
    </>,
  );
  expect(screen.getByText('The beam')).toBeTruthy();
  expect(screen.getByRole('alert').textContent).toMatch(/The drawing could not be shown.*The sheet tore\./);
  await hand.click(screen.getByRole('button', { name: 'Copy report' }));
  expect(await screen.findByText(/^Copied: the fault/)).toBeTruthy();
  const report = JSON.parse(await navigator.clipboard.readText()) as { place: string; design: { name: string } };
  expect(report).toMatchObject({ place: 'The drawing', message: 'The sheet tore.', design: { name: 'Test' } });
  broken = false;
  await hand.click(screen.getByRole('button', { name: 'Try again' }));
  expect(screen.getByText('The sheet')).toBeTruthy();
});

test('without a clipboard the report is there to be taken by hand', async () => {
  const { hand } = await show(
    simpleAircraft(),
    <FaultBoundary place="The drawing">
      <Stage />
    </FaultBoundary>,
  );
  vi.spyOn(navigator.clipboard, 'writeText').mockRejectedValue(new Error('denied'));
  await hand.click(screen.getByRole('button', { name: 'Copy report' }));
  const report = await screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'Report' });
  expect(report.value).toContain('The sheet tore.');
});
