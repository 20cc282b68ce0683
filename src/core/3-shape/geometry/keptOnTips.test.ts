import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { field } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { keptOnTips } from './keptOnTips';
import { placeSurface } from './layout';

const surfaceOf = (design: Design, id: string) => design.surfaces.find((one) => one.id === id)!;
/** From the tip of the wing to where its fin begins [mm]. */
function apart(design: Design, fin: string) {
  const tip = placeSurface(surfaceOf(design, 'wing')).stations.at(-1)!;
  const { position } = surfaceOf(design, fin);
  return {
    inChord: (position.x - millimetresFromMetres(tip.x)) / millimetresFromMetres(tip.chord),
    beside: position.y - millimetresFromMetres(tip.y),
    over: position.z - millimetresFromMetres(tip.z),
  };
}
const last = (design: Design) => surfaceOf(design, 'wing').stations.length - 1;
const edit = (design: Design, ...change: Parameters<typeof withFields>[1][number][]) =>
  keptOnTips(design, withFields(design, change));

describe.each([
  ['storm-courier', 'tipFins'],
  ['heron-canard', 'fins'],
])('%s: its fins', (name, fin) => {
  const design = demoDesign(name);
  const end = last(design);
  test.each([
    ['span', field('surfaces', 'wing', 'stations', end, 'distanceFromRoot').to(431)],
    ['sweep', field('surfaces', 'wing', 'stations', end, 'leadingEdgeOffset').to(61)],
    ['dihedral', field('surfaces', 'wing', 'stations', 0, 'dihedral').to(6)],
    ['place', field('surfaces', 'wing', 'position', 'x').to(123)],
  ])('stay on the tip as it is given another %s', (_what, change) => {
    const edited = edit(design, change);
    expect(surfaceOf(edited, fin).position).not.toEqual(surfaceOf(design, fin).position);
    const [was, is] = [apart(design, fin), apart(edited, fin)];
    for (const key of ['inChord', 'beside', 'over'] as const) expect(is[key]).toBeCloseTo(was[key], 3);
    expect(surfaceOf(edited, 'wing')).toEqual(surfaceOf(withFields(design, [change]), 'wing'));
  });

  test('keep their place in the chord as it grows less', () => {
    const aft = withFields(design, [
      field('surfaces', fin, 'position', 'x').to(surfaceOf(design, fin).position.x + 40),
    ]);
    const { inChord } = apart(aft, fin);
    const edited = edit(aft, field('surfaces', 'wing', 'stations', end, 'chord').to(88));
    expect(apart(edited, fin).inChord).toBeCloseTo(inChord, 4);
    expect(surfaceOf(edited, fin).position.x).toBeLessThan(surfaceOf(aft, fin).position.x - 5);
  });

  test('do not drift over a drag and back', () => {
    let dragged = design;
    const span = surfaceOf(design, 'wing').stations[end]!.distanceFromRoot;
    for (let step = 1; step <= 200; step++)
      dragged = edit(
        dragged,
        field('surfaces', 'wing', 'stations', end, 'distanceFromRoot').to(span + 30 * Math.sin((step * Math.PI) / 100)),
      );
    const [was, is] = [surfaceOf(design, fin).position, surfaceOf(dragged, fin).position];
    for (const key of ['x', 'y', 'z'] as const) expect(is[key]).toBeCloseTo(was[key], 1);
  });
});

test('what the edit moves itself, stands elsewhere, or is no wing’s stays where it is put', () => {
  const design = demoDesign('storm-courier');
  const span = field('surfaces', 'wing', 'stations', last(design), 'distanceFromRoot').to(400);
  const aside = field('surfaces', 'tipFins', 'position', 'y').to(300);
  expect(surfaceOf(edit(design, span, aside), 'tipFins').position.y).toBe(300);
  const inboard = withFields(design, [aside]);
  expect(surfaceOf(edit(inboard, span), 'tipFins')).toBe(surfaceOf(inboard, 'tipFins'));
  const asFin = withFields(design, [field('surfaces', 'tipFins', 'role').to('fin')]);
  expect(surfaceOf(edit(asFin, span), 'tipFins')).toBe(surfaceOf(asFin, 'tipFins'));
  const renamed = withFields(design, [field('name').to('Other')]);
  expect(keptOnTips(design, renamed)).toBe(renamed);
  const incidence = withFields(design, [field('surfaces', 'wing', 'incidence').to(1.3)]);
  expect(keptOnTips(design, incidence)).toBe(incidence);
});
