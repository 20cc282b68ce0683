import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { unitOfField } from './fieldUnits';

describe('the unit of a field', () => {
  test.each([
    ['/surfaces/wing/stations/1/chord', 'mm'],
    ['/surfaces/wing/stations/1/section/thickness', 'mm'],
    ['/surfaces/wing/stations/1/section/camber', ''],
    ['/surfaces/wing/incidence', '°'],
    ['/surfaces/wing/spars/rod/linearDensity', 'g/m'],
    ['/surfaces/wing/controls/aileron/from', ''],
    ['/massItems/pack/attachment/from', 'mm'],
    ['/massItems/pack/mass', 'g'],
    ['/materials/board5/arealDensity', 'g/m²'],
    ['/conditions/cruiseSpeed', 'm/s'],
    ['/conditions/temperature', '°C'],
    ['/propulsion/front/motor/speedConstant', 'rev/min/V'],
    ['/bodies/pod/frames/2/top', 'mm'],
    ['/name', ''],
    ['/surfaces/wing/paint', ''],
  ])('%s: "%s"', (path, unit) => expect(unitOfField(path)).toBe(unit));

  test('no length, mass or angle of the fleet goes without', () => {
    const bare = new Set<string>();
    const walk = (value: unknown, path: string) => {
      if (typeof value === 'number' && unitOfField(path) === '') bare.add(path.split('/').at(-1)!);
      if (typeof value === 'object' && value !== null) {
        for (const [key, inner] of Object.entries(value)) walk(inner, `${path}/${key}`);
      }
    };
    for (const name of DEMO_NAMES) walk(demoDesign(name), '');
    const dimensionless =
      /^(version|sharedVersion|camber|.*Position|bottomLength|thicknessRatio|from|to|hinge.*|left|right|.*Fraction|blades|layers|bands|cells|parallel|cycles|strands|returned|turnsConstant|woundTo|share|.*StaticMargin|scale|statedMaximumLift|price|rod|glue|covering)$/;
    expect([...bare].filter((key) => !dimensionless.test(key))).toEqual([]);
  });
});
