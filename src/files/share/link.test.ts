import { expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { NO_RECORDS } from '@/core/2-document/records/recordKinds';
import { LONGEST_CODE, linkPart, readLinkPart } from './link';

test.each(DEMO_NAMES)('%s goes through a link and comes back, small enough for a code', (name) => {
  const design = demoDesign(name);
  const part = linkPart({ design });
  expect(part).toMatch(/^1\.[\w-]+$/);
  expect(part.length).toBeLessThan(LONGEST_CODE);
  const read = readLinkPart(part);
  expect(read).toMatchObject({ ok: true });
  if (read.ok) expect(read.design).toEqual(design);
});

test('its log goes along; kept revisions and pictures do not', () => {
  const design = demoDesign('lagoon-postman');
  const flight = {
    id: 'flight1',
    at: '2026-06-01T10:00:00Z',
    trims: [],
    did: ['flewWell' as const],
    runs: [],
    pack: '',
    ticked: [],
    changed: '',
    verdict: 'same' as const,
    notes: '≤ 3 m/s, 12 °C',
  };
  const revision = { id: 'r', at: flight.at, name: 'first', notes: '', design: {} };
  const read = readLinkPart(linkPart({ design, records: { ...NO_RECORDS, flights: [flight], revisions: [revision] } }));
  expect(read).toMatchObject({ ok: true, records: { flights: [flight], revisions: [] } });
});

test.each([
  ['', /holds no design/],
  ['hello', /holds no design/],
  ['7.abc', /newer Inclinar/],
  ['1.', /cut or changed/],
  ['1.!!!', /cut or changed/],
  [linkPart({ design: demoDesign('polly-drift') }).slice(0, 40), /cut or changed/],
])('%s is refused', (part, message) => {
  const read = readLinkPart(part);
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.issues[0]!.message).toMatch(message);
});
