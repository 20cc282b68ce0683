import { expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { beamOf } from './beamOf';

const beams = (design: Design) => placeAll(design.surfaces).map((surface) => beamOf(design, surface));

/** What a beam follows from, changed one thing at a time. */
function changesOf(surface: Surface): Surface[] {
  const { stations, spars, controls, construction } = surface;
  return [
    ...stations.map((station, index) => ({
      ...surface,
      stations: stations.with(index, { ...station, chord: station.chord * 1.04 }),
    })),
    ...stations.map((station, index) => ({
      ...surface,
      stations: stations.with(index, { ...station, leadingEdgeOffset: station.leadingEdgeOffset + 9 }),
    })),
    {
      ...surface,
      stations: stations.map((station) => ({ ...station, distanceFromRoot: station.distanceFromRoot * 1.1 })),
    },
    ...spars.flatMap((spar, index) => [
      { ...surface, spars: spars.with(index, { ...spar, end: { ...spar.end, x: spar.end.x + 4 } }) },
      { ...surface, spars: spars.toSpliced(index, 1) },
    ]),
    ...controls.map((control, index) => ({
      ...surface,
      controls: controls.with(index, { ...control, hingeOutboard: control.hingeOutboard - 0.03 }),
    })),
    ...(construction
      ? [{ ...surface, construction: { ...construction, tapeArea: construction.tapeArea + 2000 } }]
      : []),
  ] as Surface[];
}

test.each(DEMO_NAMES)('%s: whatever of a surface changes, its beam is what it is worked out anew', (name) => {
  const design = demoDesign(name);
  let changed = 0;
  design.surfaces.forEach((surface, index) => {
    for (const other of changesOf(surface)) {
      const drawn = beams(design);
      const surfaces = design.surfaces.with(index, other);
      const got = beams({ ...design, surfaces });
      expect(got).toEqual(beams(structuredClone({ ...design, surfaces })));
      if (JSON.stringify(got[index]) !== JSON.stringify(drawn[index])) changed += 1;
    }
    const materials = design.materials.map((material) => ({ ...material, thickness: material.thickness + 1 }));
    expect(beams({ ...design, materials })).toEqual(beams(structuredClone({ ...design, materials })));
  });
  expect(changed).toBeGreaterThan(0);
});
