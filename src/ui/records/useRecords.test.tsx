import 'fake-indexeddb/auto';
import { act } from '@testing-library/react';
import { useEffect } from 'react';
import { expect, test, vi } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { show } from '#/tests/render';
import { settle } from '#/tests/session';
import { useRecords } from './useRecords';

test('no records stay the same list when they have been read: whatever waits for them is not begun anew', async () => {
  const seen = vi.fn();
  function Looks() {
    const folds = useRecords('trialFolds');
    useEffect(() => seen(folds), [folds]);
    return null;
  }
  const { designs, id } = await show(simpleAircraft(), <Looks />);
  await act(settle);
  expect(await designs.records.heads('trialFolds', id)).toEqual([]);
  await act(settle);
  expect(seen.mock.calls).toEqual([[[]]]);
});
