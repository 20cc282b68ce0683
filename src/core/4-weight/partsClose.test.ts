import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { bodyBoardMasses } from '@/core/4-parts/boardMass';
import { cutListOf } from '@/core/4-parts/cutList';
import { massOfPart } from '@/core/4-parts/layout';
import { weigh } from './massModel';
import { skinEstimate } from './skinEstimate';

/** The design as bare board: no rods, glue or covering, nothing weighed. */
const bare = (design: Design): Design => {
  const plain = <Part extends { construction?: object | undefined }>(part: Part) => ({
    ...part,
    measuredMass: undefined,
    ...(part.construction ? { construction: { ...part.construction, glueLength: 0, tapeArea: 0 } } : {}),
  });
  return {
    ...design,
    surfaces: design.surfaces.map((surface) => ({ ...plain(surface), spars: [] })),
    bodies: design.bodies.map((body) => ({ ...plain(body), rods: [] })),
  };
};

describe('weights and cut parts', () => {
  test.each(DEMO_NAMES)('%s: every surface and body weighs what its board parts weigh', (name) => {
    const design = bare(demoDesign(name));
    const { parts } = cutListOf(design);
    const weighed = weigh(design, placeAll(design.surfaces)).parts;
    for (const { id, construction } of [...design.surfaces, ...design.bodies]) {
      if (!construction) continue;
      const cut = parts
        .filter(({ owner }) => owner === id)
        .reduce((sum, part) => sum + part.count * massOfPart(design, part), 0);
      const counted = weighed.find((part) => part.id === id)!.computed;
      expectWithin(counted, cut, 0.01);
    }
  });

  test('lightening holes take the share of board that is not weighed', () => {
    const plain = bare(demoDesign('gannet-vee'));
    const design = {
      ...plain,
      surfaces: plain.surfaces.map((surface) => ({
        ...surface,
        construction: surface.construction && { ...surface.construction, lighteningFraction: 0.15 },
      })),
    } as Design;
    const { parts, faults } = cutListOf(design);
    expect(faults).toEqual(cutListOf(plain).faults);
    const weighed = weigh(design, placeAll(design.surfaces)).parts;
    for (const { id } of design.surfaces) {
      const cut = parts
        .filter(({ owner }) => owner === id)
        .reduce((sum, part) => sum + part.count * massOfPart(design, part), 0);
      expectWithin(weighed.find((part) => part.id === id)!.computed, cut, 0.01);
    }
  });

  test('a plain box by hand: sides, top and bottom between them, two formers, each where it sits', () => {
    const frames = [0, 400].map((x) => ({ x, width: 60, top: 30, bottom: -30 }));
    const wheels = [{ id: 'wheel', position: { x: 900, y: 0, z: -50 }, diameter: 40 }];
    const design = designOf([trapezoid(10, 50)], {
      materials: [{ id: 'board', name: 'Board', thickness: 5, arealDensity: 400, slotPlay: 0 }],
      bodies: [
        {
          id: 'box',
          position: { x: 100, y: 0, z: 200 },
          frames,
          construction: { material: 'board', countedBy: 'parts' },
        },
      ],
      wheels,
    } as never);
    const masses = bodyBoardMasses(design, design.bodies[0]!);
    // 400 g/m²: 2 × 400 × 60, 2 × 400 × 50, 2 × 50 × 50 mm².
    const [side, lid, former] = [0.4 * 0.06 * 0.4, 0.4 * 0.05 * 0.4, 0.05 * 0.05 * 0.4];
    expectWithin(
      masses.reduce((sum, { mass }) => sum + mass, 0),
      2 * (side + lid + former),
      1e-9,
    );
    const { properties } = weigh(design, placeAll(design.surfaces));
    expect(properties!.centreOfGravity[0]).toBeCloseTo(0.3, 9);
    expect(properties!.centreOfGravity[1]).toBeCloseTo(0, 12);
    expect(properties!.centreOfGravity[2]).toBeCloseTo(0.2, 9);
    // About the length: sides 27.5 mm out, lids as far up, formers as squares.
    const around =
      2 * side * (0.0275 ** 2 + 0.06 ** 2 / 12) +
      2 * lid * (0.0275 ** 2 + 0.05 ** 2 / 12) +
      2 * former * ((2 * 0.05 ** 2) / 12);
    expectWithin(properties!.inertia.xx, around, 1e-6);
  });

  test('the estimate by skin counts no parts, whatever a body says; without board there are none', () => {
    const design = demoDesign('lagoon-postman');
    const skins = {
      ...design,
      bodies: design.bodies.map((body) => ({ ...body, construction: { ...body.construction!, countedBy: 'skin' } })),
    } as Design;
    expect(skinEstimate(design)).toBe(skinEstimate(skins));
    const airframe = (of: Design) =>
      weigh(of, placeAll(of.surfaces))
        .parts.filter(({ kind }) => kind !== 'item')
        .reduce((sum, { computed }) => sum + computed, 0);
    expectWithin(skinEstimate(design), airframe(skins), 1e-9);
    expect(airframe(design)).not.toBeCloseTo(airframe(skins), 4);
    expect(bodyBoardMasses({ ...design, materials: [] }, design.bodies[0]!)).toEqual([]);
  });

  test.each(DEMO_NAMES)(
    '%s: whatever of the things aboard changes, the board is what it is worked out anew',
    (name) => {
      const design = demoDesign(name);
      const told = (of: Design) => of.bodies.map((body) => bodyBoardMasses(of, body));
      const drawn = told(design);
      let follows = 0;
      design.massItems.forEach((item, index) => {
        const { position, size, attachment } = item;
        for (const changed of [
          { position: { ...position, x: position.x + 15 } },
          { position: { ...position, x: position.x + 900 } },
          { position: { ...position, y: position.y + 35 } },
          { position: { ...position, z: position.z + 12 } },
          { size: { length: 90, width: 20, height: 30, ...size, ...(size && { height: size.height + 9 }) } },
          attachment.kind === 'slides' ? { attachment: { ...attachment, to: attachment.to + 20 } } : {},
          { category: 'servo' as const },
        ]) {
          const massItems = design.massItems.with(index, { ...item, ...changed } as typeof item);
          const anew = { ...design, massItems, bodies: structuredClone(design.bodies) } as Design;
          const wanted = told(anew);
          // So that what is known is known of the design as drawn.
          told(design);
          expect(told({ ...design, massItems })).toEqual(wanted);
          if (JSON.stringify(wanted) !== JSON.stringify(drawn)) follows += 1;
        }
      });
      if (design.bodies.some(({ construction, kind }) => construction && kind === 'box'))
        expect(follows).toBeGreaterThan(0);
    },
  );

  test.each(DEMO_NAMES)('%s: whatever passes it or it is made of, the board is what it is worked out anew', (name) => {
    const design = demoDesign(name);
    const told = (of: Design) => of.bodies.map((body) => bodyBoardMasses(of, body));
    const drawn = JSON.stringify(told(design));
    const moved = design.surfaces.flatMap((surface, index) => {
      const { position, incidence, stations, controls, mount } = surface;
      const changed: Partial<typeof surface>[] = [
        { position: { ...position, x: position.x + 4 } },
        { position: { ...position, z: position.z + 3 } },
        { incidence: incidence + 2 },
        { stations: stations.map((station) => ({ ...station, chord: 1.1 * station.chord })) },
        { controls: controls.map((control) => ({ ...control, throwUp: control.throwUp + 5 })) },
        { mount: { ...mount, kind: mount.kind === 'bands' ? 'glued' : 'bands' } as typeof mount },
      ];
      return changed.map((more): Partial<Design> => ({
        surfaces: design.surfaces.with(index, { ...surface, ...more }),
      }));
    });
    const boards = [
      { materials: design.materials.map((one) => ({ ...one, thickness: one.thickness + 1 })) },
      { materials: design.materials.map((one) => ({ ...one, arealDensity: one.arealDensity + 50 })) },
    ];
    let follows = 0;
    for (const changed of [...moved, ...boards]) {
      const wanted = told(structuredClone({ ...design, ...changed }));
      // So that what is known is known of the design as drawn.
      told(design);
      expect(told({ ...design, ...changed })).toEqual(wanted);
      if (JSON.stringify(wanted) !== drawn) follows += 1;
    }
    expect(JSON.stringify(told(design))).toBe(drawn);
    if (drawn !== '[]' && drawn !== '[[]]') expect(follows).toBeGreaterThan(1);
  });
});
