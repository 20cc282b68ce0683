import { describe, expect, test } from 'vitest';
import { demoFile } from '#/demo';
import { isTrack, readTosses, readTrack, tossesCsv } from './tossesTable';

const NOW = '2026-07-01T09:00:00Z';
const { tosses } = demoFile('kittiwake-winglet').records;

describe('tosses as a table', () => {
  test('what is written comes back as it was, notes that look like formulas too', () => {
    const [first, ...rest] = tosses;
    const all = [{ ...first!, notes: '=1+1, into the sun' }, ...rest];
    const read = readTosses(tossesCsv(all), all, NOW);
    expect(read).toEqual({ ok: true, tosses: all });
  });

  test('a line of a known id keeps what it does not say; others are new, with commas for tenths', () => {
    const read = readTosses('id;result;distance_m\ntoss1;dived;9,5\n;steadyGlide;20,25', tosses, NOW);
    if (!read.ok) throw new Error(read.message);
    const [changed, added] = read.tosses;
    expect(changed).toMatchObject({ ...tosses[0], result: 'dived', distance: 9.5 });
    expect(added).toMatchObject({ id: 'toss7', at: NOW, result: 'steadyGlide', distance: 20.25, scale: 1 });
  });

  test.each([
    ['id,distance_m\ntoss1,4', /must be a column “result”/],
    ['result,distance_m\ndived,far', /Line 2, distance_m: “far” is not a number/],
    ['result,distance_m\ndived,4\nflew,5', /Line 3, result: /],
    ['result,time_s\ndived,-4', /Line 2, time: /],
    ['id,result\na,dived\na,dived', /Line 3, id: “a” was on a line before/],
    ['result', /at least one line under it/],
  ])('%j is refused whole, with its place', (text, words) => {
    const read = readTosses(text, [], NOW);
    expect(read.ok ? 'taken' : read.message).toMatch(words);
  });
});

describe('places over time', () => {
  test('t, x and z are read; the heads tell them from tosses', () => {
    const text = 't,x,z\n0,0,1.8\n0.5,3.4,1.7\n1,6.9,1.5';
    expect(isTrack(text)).toBe(true);
    expect(isTrack('result,time_s\ndived,4')).toBe(false);
    expect(readTrack(text)).toEqual({
      ok: true,
      track: [
        { t: 0, x: 0, z: 1.8 },
        { t: 0.5, x: 3.4, z: 1.7 },
        { t: 1, x: 6.9, z: 1.5 },
      ],
    });
  });

  test.each([
    ['t,x\n0,0', /no column “z”/],
    ['t,x,z\n0,0,1\n0,1,1', /Line 3, t: is not after/],
    ['t,x,z\n0,0,high', /Line 2, z: “high” is not a number/],
    ['t,x,z\n0,0,5000', /z/],
  ])('%j is refused with its place', (text, words) => {
    const read = readTrack(text);
    expect(read.ok ? 'taken' : read.message).toMatch(words);
  });
});
