import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { openDatabase } from '@/storage/database';
import { designStore } from '@/storage/designStore';
import { makeStore } from './store';
import { demoDesign } from '../../demo';
test('x', async () => {
  const designs = designStore(openDatabase('t1'));
  const fake = { request: async () => ({ kind: 'superseded' as const }), close: () => {} };
  const s = makeStore({ designs, analysis: fake, preview: fake });
  const st = await designs.create(demoDesign('lagoon-postman'));
  expect(await s.open(st.id)).toBe(true);
  expect(s.store.getState().session.id).toBe(st.id);
  expect(s.store.getState().document.present?.name).toBe('Lagoon Postman');
});
