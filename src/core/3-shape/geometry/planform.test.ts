import { forAll } from '#/tests/forAll';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { surface, trapezoid } from '#/tests/designs';
import { placeSurface } from './layout';
import { integratePlanforms, projectedSpan, referenceOf, tailVolume } from './planform';

/** Closed forms of a trapezoid (mm → m). Source: Abbott & von Doenhoff, section 1.4. */
function closedForm(halfSpan: number, root: number, tip: number, sweep: number) {
  const taper = tip / root;
  const meanChord = ((2 / 3) * root * (1 + taper + taper ** 2)) / (1 + taper);
  const place = (halfSpan * (1 + 2 * taper)) / (3 * (1 + taper));
  return { area: halfSpan * (root + tip), meanChord, edge: (sweep * place) / halfSpan };
}

describe('one trapezoid', () => {
  test.each([
    [600, 200, 200, 0],
    [500, 220, 110, 80],
    [700, 150, 60, -30],
    [250, 400, 20, 380],
  ])('half span %d, chords %d to %d, swept %d', (halfSpan, root, tip, sweep) => {
    const wing = trapezoid(halfSpan, root, tip);
    wing.stations[1]!.leadingEdgeOffset = sweep;
    const got = integratePlanforms([placeSurface(surface(wing))])!;
    const wanted = closedForm(halfSpan, root, tip, sweep);
    expect(got.area * 1e6).toBeCloseTo(wanted.area, 6);
    expect(Math.abs(got.meanChord * 1000 - wanted.meanChord)).toBeLessThan(1e-9 * wanted.meanChord);
    expect(got.meanChordLeadingEdge * 1000).toBeCloseTo(wanted.edge, 9);
  });
});

describe('cranked wings', () => {
  test('an extra station on a straight edge changes nothing', () => {
    forAll(
      100,
      [
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 20, max: 300 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      ],
      (root, tip, share) => {
        const plain = trapezoid(500, root, tip);
        const cut = trapezoid(500, root, tip);
        cut.stations.splice(1, 0, { distanceFromRoot: 500 * share, chord: root + (tip - root) * share });
        const [a, b] = [plain, cut].map((input) => integratePlanforms([placeSurface(surface(input))])!);
        expect(b!.area).toBeCloseTo(a!.area, 12);
        expect(b!.meanChord).toBeCloseTo(a!.meanChord, 12);
      },
    );
  });

  test('two panels by hand', () => {
    // 300 mm of chord 200, then 200 mm tapering to 100 with the nose 40 mm back.
    const wing = surface({
      id: 'wing',
      role: 'wing',
      stations: [
        { distanceFromRoot: 0, chord: 200 },
        { distanceFromRoot: 300, chord: 200 },
        { distanceFromRoot: 500, chord: 100, leadingEdgeOffset: 40 },
      ],
    });
    const area = 2 * (300 * 200 + 200 * 150);
    const chordSquared = 2 * (300 * 200 ** 2 + (200 * (200 ** 2 + 200 * 100 + 100 ** 2)) / 3);
    const chordEdge = (2 * 200 * (200 * 40 + 2 * 100 * 40)) / 6;
    const got = integratePlanforms([placeSurface(wing)])!;
    expect(got.area * 1e6).toBeCloseTo(area, 6);
    expect(got.meanChord * 1e3).toBeCloseTo(chordSquared / area, 9);
    expect(got.meanChordLeadingEdge * 1e3).toBeCloseTo(chordEdge / area, 9);
  });

  test('an ellipse of many stations has c̄ = 8c₀/3π and area πbc₀/4', () => {
    const count = 79;
    const stations = Array.from({ length: count + 1 }, (_, index) => {
      const share = Math.sin((Math.PI / 2) * (index / count));
      return { distanceFromRoot: 500 * share, chord: Math.max(5, 200 * Math.sqrt(1 - share ** 2)) };
    }).filter(
      ({ distanceFromRoot }, index, all) => index === 0 || distanceFromRoot - all[index - 1]!.distanceFromRoot > 1,
    );
    const got = integratePlanforms([placeSurface(surface({ id: 'wing', role: 'wing', stations }))])!;
    expect(got.area).toBeCloseTo((Math.PI * 1 * 0.2) / 4, 3);
    expect(got.meanChord).toBeCloseTo((8 * 0.2) / (3 * Math.PI), 3);
  });
});

describe('projection and reference', () => {
  test('dihedral shortens the span by its cosine, and the true area keeps', () => {
    const wing = trapezoid(500, 200);
    wing.stations[0]!.dihedral = 30;
    const placed = placeSurface(surface(wing));
    expect(projectedSpan(placed)).toBeCloseTo(Math.cos(Math.PI / 6), 12);
    expect(integratePlanforms([placed])!.area).toBeCloseTo(0.2 * Math.cos(Math.PI / 6), 12);
    expect(integratePlanforms([placed], 'true')!.area).toBeCloseTo(0.2, 12);
  });

  test('a fin stands in the plane of symmetry to the last digit', () => {
    const fin = placeSurface(
      surface({
        ...trapezoid(160, 120, 80),
        id: 'fin',
        role: 'fin',
        mirrored: false,
        stations: [
          { distanceFromRoot: 0, chord: 120, dihedral: 90 },
          { distanceFromRoot: 160, chord: 80, dihedral: 90 },
        ],
      }),
    );
    expect(fin.stations.every(({ y }) => y === 0)).toBe(true);
    expect(fin.stations[1]!.z).toBeCloseTo(0.16, 15);
  });

  test('two wings make one reference: sum of areas, mean weighted by area', () => {
    const front = placeSurface(surface(trapezoid(400, 150)));
    const rear = placeSurface(
      surface({ ...trapezoid(500, 200), id: 'rear', role: 'secondWing', position: { x: 300 } }),
    );
    const reference = referenceOf([front, rear])!;
    const [a, b] = [0.12, 0.2];
    expect(reference.area).toBeCloseTo(a + b, 12);
    expect(reference.meanChord).toBeCloseTo((a * 0.15 + b * 0.2) / (a + b), 12);
    expect(reference.meanChordLeadingEdge).toBeCloseTo((b * 0.3) / (a + b), 12);
    expect(reference.span).toBeCloseTo(1, 12);
    expect(reference.aspectRatio).toBeCloseTo(1 / (a + b), 10);
  });

  test('canards and tails do not count; without a wing there is no reference', () => {
    expect(referenceOf([placeSurface(surface({ ...trapezoid(300, 100), role: 'canard' }))])).toBeNull();
  });

  test('tail volumes from arm, area, chord and span', () => {
    const wing = placeSurface(surface(trapezoid(500, 200)));
    const reference = referenceOf([wing])!;
    const tail = placeSurface(surface({ ...trapezoid(200, 100), id: 'tail', role: 'tailplane', position: { x: 600 } }));
    const { arm, horizontal, vertical } = tailVolume(tail, reference);
    expect(arm).toBeCloseTo(0.625 - 0.05, 12);
    expect(horizontal).toBeCloseTo((0.04 * 0.575) / (0.2 * 0.2), 12);
    expect(vertical).toBeCloseTo(0, 12);
    const veeInput = trapezoid(200, 100, 100, { id: 'v', role: 'vTail', position: { x: 600 } });
    veeInput.stations[0]!.dihedral = 45;
    const vee = tailVolume(placeSurface(surface(veeInput)), reference);
    expect(vee.horizontal).toBeCloseTo(horizontal * Math.SQRT1_2, 12);
    expect(vee.vertical).toBeCloseTo((0.04 * Math.SQRT1_2 * 0.575) / (0.2 * 1), 12);
  });
});

test('a surface is laid out once, and anew when it is another, whatever its name', () => {
  const one = surface(trapezoid(500, 200));
  expect(placeSurface(one)).toBe(placeSurface(one));
  const moved = { ...one, position: { ...one.position, x: one.position.x + 100 } };
  expect(placeSurface(moved).stations[0]!.x - placeSurface(one).stations[0]!.x).toBeCloseTo(0.1, 12);
});
