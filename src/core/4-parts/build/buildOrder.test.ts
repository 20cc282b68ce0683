import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { said } from '#/tests/matchers';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { buildOrder } from './buildOrder';
import { cutListOf } from '../cutList';

const orderOf = (design: Design) => buildOrder(design, cutListOf(design));

describe('the order of building', () => {
  test.each(DEMO_NAMES)(
    '%s: every step once, every gate right before its glue, every part of the board cut',
    (name) => {
      const design = demoDesign(name);
      const list = cutListOf(design);
      const steps = buildOrder(design, list);
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      steps.forEach(({ id }, index) => {
        const joint = /^(.*-(?:joint-\d+|root|mount))-gate$/.exec(id)?.[1];
        if (joint) expect(steps[index + 1]!.id, id).toBe(joint);
      });
      const cut = new Set(steps.filter(({ kind }) => kind === 'cut').flatMap(({ parts }) => parts));
      for (const { name: part, kind } of list.parts) if (kind !== 'gauge') expect(cut, part).toContain(part);
      for (const { title, minutes } of steps) {
        expect(said(title)).toMatch(/^[A-Z]/);
        expect(minutes).toBeGreaterThan(0);
      }
    },
  );

  test('electrics are tried before anything is cut, and balance and checks come last', () => {
    const steps = orderOf(demoDesign('lagoon-postman')).map(({ id }) => id);
    expect(steps[0]).toBe('electrics');
    expect(steps.slice(-2)).toEqual(['balance', 'ready']);
  });

  test('without dihedral its steps are gone', () => {
    const design = demoDesign('gannet-vee');
    const flat = withFields(design, [
      {
        field: '/surfaces/wing/stations',
        value: design.surfaces[0]!.stations.map((station) => ({ ...station, dihedral: 0 })),
      },
    ]);
    const gates = (one: Design) => orderOf(one).filter(({ id }) => /^wing-(root|joint-\d+)-gate$/.test(id));
    expect(gates(design).length).toBeGreaterThan(0);
    expect(gates(flat)).toEqual([]);
  });

  test('a gate names its gauge and what to read on the face that can be measured', () => {
    const gate = orderOf(demoDesign('gannet-vee')).find(({ id }) => id === 'wing-mount-gate')!;
    expect(gate.gauge).toMatch(/^Wing, incidence/);
    expect(said(gate.reading)).toMatch(/datum level: (lower|upper) face at −?[\d.]+°/);
  });

  test('caution stands where blade, glue and arming come in', () => {
    const steps = orderOf(demoDesign('lagoon-postman'));
    for (const { kind, caution, id } of steps)
      if (kind === 'cut' || kind === 'glue') expect(caution, id).not.toBeNull();
    expect(said(steps.find(({ id }) => id === 'ready')!.caution)).toMatch(/club/);
  });
});
