import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import type { Section } from '@/core/2-document/schema/section';
import { freshSection } from '../section/freshSection';
import { SECTION_BUILDS, SECTION_KINDS } from '../section/kinds';
import { outlineFaults } from './partOutline';
import { areaOf, boundsOf, lengthOf } from './path';
import { sectionOutline } from './sectionOutline';

const board = { kind: 'flatPlate', thickness: 5, edge: 'rounded' } as const;
const fresh = SECTION_KINDS.filter((kind) => SECTION_BUILDS[kind].fresh !== null).map(
  (kind) => [kind, freshSection(kind, board)!] as const,
);
const faultsOf = (section: Section, chord: number) =>
  outlineFaults({ name: section.kind, edge: sectionOutline(section, chord).edge, holes: [], lines: [], texts: [] });

describe('the outline of a section', () => {
  test.each(fresh)('%s: closed, the right way round, as long as its chord', (_, section) => {
    const { edge, camber } = sectionOutline(section, 200);
    expect(faultsOf(section, 200)).toEqual([]);
    const { left, right } = boundsOf([edge]);
    expect([left, right]).toEqual([0, 200]);
    expect(boundsOf([camber])).toMatchObject({ left: 0, right: 200 });
    expect(lengthOf(camber)).toBeGreaterThanOrEqual(200 - 1e-9);
  });

  test('every section of the fleet can be cut', () => {
    const sections = DEMO_NAMES.flatMap((name) =>
      demoDesign(name).surfaces.flatMap(({ stations }) =>
        stations.map(({ section, chord }) => [section, chord] as const),
      ),
    );
    expect(sections.length).toBeGreaterThan(80);
    for (const [section, chord] of sections) expect(faultsOf(section, chord)).toEqual([]);
  });

  // ∫ of the thickness of NACA Report 460: 0.6851 times thickness and chord.
  test('a four-digit section of 12 % has 0.6851 t c of area', () => {
    const section = { kind: 'fourDigit', camber: 0, camberPosition: 0.4, thicknessRatio: 0.12 } as const;
    expectWithin(areaOf(sectionOutline(section, 200).edge), 0.68508 * 24 * 200, 1e-3);
    expect(sectionOutline(section, 200).within).toEqual([]);
  });

  test('a fold has its spar between its skins, one board in', () => {
    const fold = { ...freshSection('foldedOverSpar', board)!, sparHeight: 14, sparPosition: 0.3 } as Section;
    const { within, edge } = sectionOutline(fold, 200);
    expect(within.map(({ kind }) => kind)).toEqual(['skin', 'spar']);
    const [skin, spar] = within.map(({ path }) => boundsOf([path])) as [
      ReturnType<typeof boundsOf>,
      ReturnType<typeof boundsOf>,
    ];
    expect([spar.bottom, spar.top, (spar.left + spar.right) / 2]).toEqual([5, 19, expect.closeTo(60, 9)]);
    expect(skin.bottom).toBeCloseTo(5, 9);
    expect(skin.top).toBeCloseTo(boundsOf([edge]).top - 5, 9);
    expect(skin.left).toBeGreaterThan(0);
  });

  test('a fold too thin to be hollow has no inside', () => {
    const flat = { ...freshSection('foldedOverSpar', board)!, sparHeight: 0.1 } as Section;
    expect(sectionOutline(flat, 20).within.map(({ kind }) => kind)).toContain('spar');
  });
});
