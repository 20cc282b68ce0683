import { storedDesign } from '#/tests/stored';
import { field } from '@/core/2-document/edit/field';
import 'fake-indexeddb/auto';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { openSession, settle } from '#/tests/session';
import {
  type CombinationResult,
  bindAssembly,
  loosenAssembly,
  shareAssembly,
  swapAssembly,
  takeCombination,
  tryCombinations,
} from './assemblies';
import { setFields } from './edit';

const lifter = () => openSession(demoDesign('evening-lifter'));

describe('binding and sharing', () => {
  test('parts are bound, move from one assembly to another, and come apart', async () => {
    const open = await lifter();
    const members = { surfaces: ['tailplane', 'fin'], bodies: [], massItems: ['servos'], propulsion: [] };
    expect(open.dispatch(bindAssembly('Tail end', 'tail', members))).toBeNull();
    const [, gear, tail] = open.design().assemblies;
    expect(tail).toMatchObject({
      name: 'Tail end',
      kind: 'tail',
      surfaces: ['tailplane', 'fin'],
      massItems: ['servos'],
    });
    expect(gear!.massItems).not.toContain('servos');
    expect(open.dispatch(loosenAssembly(tail!.id, 'apart'))).toBeNull();
    expect(open.design().assemblies).toHaveLength(2);
    expect(open.design().surfaces).toHaveLength(3);
  });

  test('shared, it is written to the parts of the browser, and loosened it stays there', async () => {
    const open = await openSession(demoDesign('lagoon-postman'));
    expect(open.dispatch(shareAssembly('postTail'))).toBeNull();
    await open.session.flush();
    const names = (await open.designs.sharedParts()).map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Post wing', 'Post tail']));
    open.dispatch(loosenAssembly('postTail', 'unshare'));
    await open.session.flush();
    expect(open.design().assemblies[1]!.sharedId).toBeUndefined();
    expect(await open.designs.sharedParts()).toHaveLength(2);
  });

  test('a change in one design reaches the other through the storage, and its open tab', async () => {
    const open = await lifter();
    const other = await open.designs.create({ ...demoDesign('evening-lifter'), name: 'Sister ship' });
    open.dispatch(setFields([field('surfaces', 'wing', 'stations', 0, 'chord').to(161)]));
    await open.session.flush();
    const sister = await storedDesign(open.designs, other.id);
    expect(sister.design.surfaces[0]!.stations[0]!.chord).toBe(161);
    expect(sister.generation).toBe(2);
    // What is not shared stays each design's own.
    open.dispatch(setFields([field('surfaces', 'tailplane', 'incidence').to(-3)]));
    await open.session.flush();
    expect((await storedDesign(open.designs, other.id)).design.surfaces[1]!.incidence).not.toBe(-3);
  });
});

describe('swapping and combining', () => {
  test('another wing hangs where this one hung, and back again', async () => {
    const open = await lifter();
    await open.designs.create(demoDesign('polly-drift'));
    const drift = (await open.designs.sharedParts()).find(({ name }) => name === 'Drift wing')!;
    const place = open.design().surfaces[0]!.position;
    const own = {
      sharedId: 'orell-lifter-wing',
      name: 'Lifter wing',
      parts: (await open.designs.sharedParts()).find(({ id }) => id === 'orell-lifter-wing')!.parts,
    };
    expect(
      open.dispatch(swapAssembly('lifterWing', { sharedId: drift.id, name: drift.name, parts: drift.parts })),
    ).toBeNull();
    const wing = open.design().surfaces[0]!;
    expect(wing.position).toEqual(place);
    expect(wing.stations).toHaveLength(4);
    expect(open.design().assemblies[0]).toMatchObject({ name: 'Drift wing', sharedId: drift.id });
    open.dispatch(swapAssembly('lifterWing', own));
    expect(open.design().surfaces[0]!.stations).toEqual(demoDesign('evening-lifter').surfaces[0]!.stations);
  });

  test('every combination is computed; a cancel stops it; one is built', async () => {
    const open = await lifter();
    await open.designs.create(demoDesign('polly-drift'));
    await open.designs.create(demoDesign('lagoon-postman'));
    const choices = (await open.designs.sharedParts())
      .filter(({ kind }) => kind === 'wing')
      .map(({ id, name, parts }) => ({ sharedId: id, name, parts }));
    const slots = [{ assembly: 'lifterWing', choices }];
    const results: CombinationResult[] = [];
    await open.dispatch(tryCombinations(slots, (result) => results.push(result) > 0));
    expect(results).toHaveLength(3);
    expect(results.map(({ analysis }) => analysis!.reference.span)).toEqual(
      results.map(({ analysis }) => expect.closeTo(analysis!.reference.span!, 9)),
    );
    expect(new Set(results.map(({ analysis }) => analysis!.mass.total)).size).toBe(3);
    const seen: CombinationResult[] = [];
    await open.dispatch(tryCombinations(slots, (result) => seen.push(result) < 1));
    expect(seen).toHaveLength(1);
    const drift = results.find(({ combination }) => combination.names[0] === 'Drift wing')!;
    expect(open.dispatch(takeCombination(slots, drift.combination))).toBeNull();
    await settle();
    expect(open.analysis().mass.total).toBeCloseTo(drift.analysis!.mass.total!, 9);
  });
});
