import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { analyse } from '@/core/analyse';
import { sentence } from '@/words/formatQuantity';
import type { Remedy } from './finding';
import { boomRemedies, rodRemedies } from './stiffenings';

const inDrawer = (design: Design, ...names: string[]) =>
  withFields(design, [{ field: '/brief/drawer', value: names.map((name) => ({ kind: 'spar', name })) }]);
const told = (remedies: readonly Remedy[]) => remedies.map(({ label }) => sentence(label));

describe('rods through a wing', () => {
  const heron = demoDesign('heron-canard');

  test('those of the drawer come first, the lightest of them before others, and are said to be', () => {
    const labels = told(rodRemedies(inDrawer(heron, 'Glass rod 4 mm', 'Bamboo skewer 3 mm', 'Broomstick'), 'Wing'));
    expect(labels.slice(0, 4)).toEqual([
      expect.stringMatching(/^Lay a bamboo skewer 3 mm from the drawer through Wing, 300 mm out/),
      expect.stringMatching(/^Lay a bamboo skewer 3 mm from the drawer through Wing, 510 mm out/),
      expect.stringMatching(/^Lay a glass rod 4 mm from the drawer through Wing, 300 mm out/),
      expect.stringMatching(/^Lay a glass rod 4 mm from the drawer through Wing, 510 mm out/),
    ]);
    expect(labels[4]).toMatch(/^Lay a carbon rod 3 mm through Wing/);
    expect(labels.join()).not.toMatch(/[Bb]roomstick/);
  });

  test('one that is usual as well is named once', () => {
    const labels = told(rodRemedies(inDrawer(heron, 'Carbon tube 4 × 2 mm'), 'Wing'));
    expect(labels.filter((label) => /4 × 2 mm/.test(label)).every((label) => /from the drawer/.test(label))).toBe(true);
  });

  test('what stands out of a board of 5 mm comes after all that does not', () => {
    const labels = told(rodRemedies(heron, 'Wing'));
    const [fits, proud] = [
      labels.findLastIndex((label) => /rod 3|4 × 2/.test(label)),
      labels.findIndex((label) => /6 × 4/.test(label)),
    ];
    expect(fits).toBeGreaterThanOrEqual(0);
    expect(proud).toBeGreaterThan(fits);
    // Of a wing of foam that is cut to its section nothing does.
    const cut = withFields(heron, [
      {
        field: '/surfaces/wing/stations/0/section',
        value: { kind: 'fourDigit', thicknessRatio: 0.12, camber: 0.02, camberPosition: 0.4 },
      },
      {
        field: '/surfaces/wing/stations/1/section',
        value: { kind: 'fourDigit', thicknessRatio: 0.12, camber: 0.02, camberPosition: 0.4 },
      },
    ]);
    expect(told(rodRemedies(cut, 'Wing'))[2]).toMatch(/6 × 4/);
  });

  test('of a drawer with what is enough, that is offered', () => {
    const { findings } = analyse(inDrawer(heron, 'Carbon tube 4 × 2 mm'), { without: ['bands', 'workings'] });
    const { remedies } = findings.find(({ id }) => id === 'breaksInFlight')!;
    expect(told(remedies)[0]).toMatch(/carbon tube 4 × 2 mm from the drawer through Wing, 300 mm out/);
  });
});

test('a boom is given a rod or tube of the drawer first, no stick on edge', () => {
  const kittiwake = demoDesign('kittiwake-winglet');
  const [boom] = analyse(kittiwake, { without: ['bands', 'remedies', 'workings'] }).strength.booms;
  const labels = told(boomRemedies(inDrawer(kittiwake, 'Glass rod 4 mm', 'Spruce strip 3 × 10 mm, on edge'), boom));
  expect(labels[0]).toMatch(/glass rod 4 mm from the drawer/);
  expect(labels.join()).not.toMatch(/spruce/);
  expect(labels.join()).toMatch(/carbon tube 10 × 8 mm/);
});
