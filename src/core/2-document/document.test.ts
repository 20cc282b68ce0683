import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { withFields } from './edit/withFields';
import { readField, writeFieldInPlace } from './edit/fieldPath';
import { migrate, MIGRATIONS } from './migrations/migrations';
import { designJsonSchema, readDesign, readDesignText } from './readDesign';
import { NO_RECORDS } from './records/recordKinds';
import { type Design, DESIGN_VERSION } from './schema/design';
import { LIMITS, limitSentence } from './schema/limits';

const sampleText = (version: number) =>
  readFileSync(new URL(`../../../tests/samples/version-${version}.json`, import.meta.url), 'utf8');
const whole = () => JSON.parse(sampleText(DESIGN_VERSION)) as Design & { records: unknown };
/** One of everything that can be drawn. */
const everything = (): Design => {
  const { records: _, ...design } = whole();
  return design;
};
const TOSS = { id: 'toss1', at: '2026-05-01T10:00:00Z', result: 'dived' };
const PHOTO = { id: 'photo1', at: '2026-05-01T10:00:00Z', type: 'image/png' };
const issuesOf = (change: [string, unknown][]) => {
  const document = everything();
  for (const [field, value] of change) writeFieldInPlace(document, field, value);
  const read = readDesign(document);
  return read.ok ? [] : read.issues;
};

describe('round trips', () => {
  test('a document that holds one of everything comes back as it was', () => {
    const read = readDesignText(sampleText(DESIGN_VERSION));
    expect(read.ok && read.design).toEqual(everything());
    expect(read.ok && read.records).toEqual(whole().records);
    expect(read.ok && read.migratedFrom).toBeNull();
  });

  test('reading what was written changes nothing, to the last digit', () => {
    const odd = designOf([trapezoid(500 / 3, 0.1 + 200.2)]);
    const again = readDesignText(JSON.stringify(odd));
    expect(again.ok && again.design).toEqual(odd);
  });

  test('a bare document gets its defaults', () => {
    const read = readDesign({ format: 'inclinar-design', version: DESIGN_VERSION, name: 'Bare' });
    expect(read.ok && read.design.conditions).toEqual({ elevation: 0, temperature: 15, cruiseSpeed: 12 });
    expect(read.ok && read.design.surfaces).toEqual([]);
  });

  test.each([
    ['/surfaces/wing/asBuilt/left/incidence', 2.9],
    ['/tolerances/0/plusMinus', 0.5],
    ['/records/trialFolds/fold1/shortfall', 2.5],
    ['/records/tosses/toss1/distance', 14],
    ['/records/flights/flight1/trims/0/deflection', -1.5],
    ['/records/revisions/first/name', 'First'],
    ['/propulsion/drive/downThrust', -4],
    ['/wheels/skid/position/z', -40],
    ['/dragItems/mast/position/z', 45],
    ['/surfaces/wing/controls/flap/hingeOutboard', 0.7],
    ['/surfaces/stab/controls/stabilator/allMoving', true],
    ['/mixes/0/terms/1/left', 0.1],
    ['/surfaces/wing/spars/rod/end/x', 75],
    ['/assemblies/wingSet/sharedVersion', 3],
  ])('%s survives, also from version 1', (field, wanted) => {
    for (const version of [1, DESIGN_VERSION]) {
      const read = readDesignText(sampleText(version));
      expect(read.ok && readField({ ...read.design, records: read.records }, field), `version ${version}`).toBe(wanted);
    }
  });

  test('nothing of version 1 is lost: what it held is there, and nothing else', () => {
    // Version 2 and later hold what they hold; version 3 says more of its controls.
    const [old, now] = [readDesignText(sampleText(1)), readDesignText(sampleText(2))];
    if (!old.ok || !now.ok) throw new Error('Both samples must be readable.');
    expect(old.migratedFrom).toBe(1);
    expect(old.design).toEqual(now.design);
    const { revisions, trialFolds, tosses, flights } = now.records;
    expect(old.records).toEqual({ ...NO_RECORDS, revisions, trialFolds, tosses, flights });
  });
});

describe('refusals name the place, the reason and the remedy', () => {
  test.each([
    ['no json', '{', '/', /not a JSON file/],
    ['a list', '[]', '/', /JSON object is expected/],
    ['another format', '{"format":"drawing","version":1}', '/format', /must be "inclinar-design"/],
    ['no version', '{"format":"inclinar-design"}', '/version', /whole number/],
    [
      'a newer version',
      `{"format":"inclinar-design","version":${DESIGN_VERSION + 1}}`,
      '/version',
      /newer Inclinar; nothing was changed/,
    ],
  ])('%s', (_, text, path, message) => {
    const read = readDesignText(text);
    expect(read.ok).toBe(false);
    expect(!read.ok && read.issues[0]).toMatchObject({ path, message: expect.stringMatching(message) });
  });

  test.each<[string, [string, unknown][], string, RegExp]>([
    [
      'a chord of 2 mm',
      [['/surfaces/wing/stations/0/chord', 2]],
      '/surfaces/0/stations/0/chord',
      /between 5 mm and 3000 mm/,
    ],
    ['a negative chord', [['/surfaces/wing/stations/0/chord', -200]], '/surfaces/0/stations/0/chord', /between 5 mm/],
    [
      'a wing of 40 m',
      [['/surfaces/wing/stations/2/distanceFromRoot', 20000]],
      '/surfaces/0/stations/2/distanceFromRoot',
      /5000 mm/,
    ],
    [
      'a negative span',
      [['/surfaces/wing/stations/2/distanceFromRoot', -800]],
      '/surfaces/0/stations/2/distanceFromRoot',
      /between 0 mm/,
    ],
    ['no number', [['/surfaces/wing/incidence', 'steep']], '/surfaces/0/incidence', /must be a number/],
    ['not finite', [['/surfaces/wing/incidence', null]], '/surfaces/0/incidence', /must be a number/],
    [
      'stations out of order',
      [['/surfaces/wing/stations/1/distanceFromRoot', 900]],
      '/surfaces/0/stations/2/distanceFromRoot',
      /root to tip/,
    ],
    [
      'a root away from the root',
      [['/surfaces/wing/stations/0/distanceFromRoot', 5]],
      '/surfaces/0/stations/0/distanceFromRoot',
      /the first station is the root/,
    ],
    [
      'a slanted centre fin',
      [['/surfaces/fin/stations/0/dihedral', 80]],
      '/surfaces/2/stations/0/dihedral',
      /plane of symmetry/,
    ],
    ['a centre fin off the centre', [['/surfaces/fin/position/y', 5]], '/surfaces/2/position/y', /plane of symmetry/],
    ['a mirrored wing on the left', [['/surfaces/wing/position/y', -5]], '/surfaces/0/position/y', /right side/],
    [
      'a control inside out',
      [['/surfaces/wing/controls/flap/to', 0.05]],
      '/surfaces/0/controls/0/to',
      /outboard of "from"/,
    ],
    ['a bay inside out', [['/massItems/pack/attachment/to', 10]], '/massItems/0/attachment/to', /in front of "from"/],
    [
      'an unknown material',
      [['/surfaces/wing/construction/material', 'brick']],
      '/surfaces/0/construction/material',
      /not among the materials/,
    ],
    [
      'an unknown body',
      [['/massItems/pod/attachment/body', 'hull']],
      '/massItems/1/attachment/body',
      /not among the bodies/,
    ],
    ['a mix of nothing', [['/mixes/0/terms/0/control', 'brake']], '/mixes/0/terms/0/control', /not among the controls/],
    [
      'a tolerance on nothing',
      [['/tolerances/0/field', '/surfaces/wing/colour']],
      '/tolerances/0/field',
      /not a number of this document/,
    ],
    ['one name twice', [['/surfaces/stab/id', 'wing']], '/surfaces/1/id', /used twice/],
    ['frames out of order', [['/bodies/boom/frames/1/x', 0]], '/bodies/0/frames/1/x', /aft of the frame before/],
    ['an unknown field', [['/surfaces/wing/colour', 'red']], '/surfaces/0', /not part of the format: colour/],
    ['a record twice', [['/records', { tosses: [TOSS, TOSS] }]], '/records/tosses/1/id', /used twice/],
    [
      'a picture too large',
      [['/records', { photos: [{ ...PHOTO, bytes: 5e5 }] }]],
      '/records/photos/0/bytes',
      /400 kB/,
    ],
  ])('%s', (_, change, path, message) => {
    expect(issuesOf(change)).toContainEqual({ path, message: expect.stringMatching(message) });
  });

  test('every limit has a reason in words', () => {
    for (const limit of Object.values(LIMITS)) {
      expect(limit.minimum).toBeLessThan(limit.maximum);
      expect(limitSentence(limit)).toMatch(/^must lie between .+: [a-z0-9−].{10,}/);
    }
  });
});

describe('versions', () => {
  test('there is one step and one frozen sample for every past version', () => {
    expect(MIGRATIONS.length).toBe(DESIGN_VERSION - 1);
    const samples = readdirSync(new URL('../../../tests/samples/', import.meta.url)).filter((name) =>
      name.startsWith('version-'),
    );
    expect(samples.sort()).toEqual(
      Array.from({ length: DESIGN_VERSION }, (_, index) => `version-${index + 1}.json`).sort(),
    );
    samples.forEach((_, index) => expect(readDesignText(sampleText(index + 1)).ok).toBe(true));
  });

  test('version 3 had rods with two sides only: what is round or hollow is told from its mass', () => {
    const rod = (material: string, side: number, linearDensity: number, height = side) => {
      const spars = [{ id: 'r', name: '', material, width: side, height, linearDensity }];
      const { surfaces } = migrate({ version: 3, surfaces: [{ id: 'w', spars }] }, 3) as {
        surfaces: { spars: { shape?: string; innerDiameter?: number }[] }[];
      };
      const { shape, innerDiameter } = surfaces[0]!.spars[0]!;
      return [shape, innerDiameter];
    };
    // π/4 · 16 mm² · 1.55 g/cm³ = 19.5 g/m is a full rod, 14.6 g/m a tube of 4 by 2 mm.
    expect(rod('carbon rod', 4, 19.5)).toEqual(['round', undefined]);
    expect(rod('carbon tube', 4, 14.6)).toEqual(['tube', 2]);
    expect(rod('aluminium', 6, 23.3)).toEqual(['tube', 5]);
    expect(rod('pine', 5, 12.5)).toEqual([undefined, undefined]);
    expect(rod('carbon strip', 1, 9.3, 6)).toEqual([undefined, undefined]);
  });

  test('steps run in order from the version of the document on', () => {
    expect(migrate({ version: DESIGN_VERSION, kept: true }, DESIGN_VERSION)).toEqual({
      version: DESIGN_VERSION,
      kept: true,
    });
  });
});

describe('paths', () => {
  test('names beat places, places work where there is no name', () => {
    const design = everything();
    expect(readField(design, '/surfaces/1/id')).toBe('stab');
    expect(readField(design, '/surfaces/wing/stations/2/twist')).toBe(-3);
    expect(readField(design, '/surfaces/kite/incidence')).toBeUndefined();
    expect(readField(design, '/surfaces/99')).toBeUndefined();
  });

  test('a change makes a copy and leaves the original alone', () => {
    const design = everything();
    const changed = withFields(design, [{ field: '/surfaces/wing/incidence', value: 4 }]);
    expect(changed.surfaces[0]!.incidence).toBe(4);
    expect(design).toEqual(everything());
    expect(() => withFields(design, [{ field: '/nothing/here', value: 1 }])).toThrow(/no "nothing"/);
    expect(() => writeFieldInPlace(design, '/', 1)).toThrow(RangeError);
  });
});

describe('JSON Schema', () => {
  interface Node {
    description?: string;
    properties?: Record<string, Node>;
    items?: Node;
    anyOf?: Node[];
    oneOf?: Node[];
    const?: unknown;
  }
  const undescribed = (node: Node, path: string): string[] => [
    ...Object.entries(node.properties ?? {}).flatMap(([key, inner]) => [
      ...(inner.description ||
      inner.const !== undefined ||
      inner.properties ||
      inner.oneOf ||
      inner.anyOf ||
      inner.items
        ? []
        : [`${path}/${key}`]),
      ...undescribed(inner, `${path}/${key}`),
    ]),
    ...(node.items ? undescribed(node.items, `${path}/*`) : []),
    ...[...(node.anyOf ?? []), ...(node.oneOf ?? [])].flatMap((inner) => undescribed(inner, path)),
  ];

  test('is made from the same source, with a comment on every field', () => {
    const schema = designJsonSchema() as Node & { required: string[] };
    expect(schema.required).toEqual(['format', 'version', 'name']);
    expect(undescribed(schema, '')).toEqual([]);
  });
});
