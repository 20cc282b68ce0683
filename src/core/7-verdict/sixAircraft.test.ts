import { describe, expect, test } from 'vitest';
import { analyse } from '@/core/analyse';
import { gramsFromKilograms, millimetresFromMetres } from '@/core/1-base/units/convert';
import { withFields } from '@/core/2-document/edit/withFields';
import { materialSchema, massItemSchema } from '@/core/2-document/schema/airframe';
import { briefSchema } from '@/core/2-document/schema/brief';
import { type Design, flightConditionsSchema } from '@/core/2-document/schema/design';
import { isFin, isPitchTail } from '@/core/2-document/schema/roles';
import { scaledSurface } from '@/core/3-shape/planform/scaleSurface';
import { type Recipe, RECIPES } from '@/core/8-sizing/recipe';
import { sizeDesign } from '@/core/8-sizing/sizeDesign';
import { sentence } from '@/words/formatQuantity';

const board = materialSchema.parse({ id: 'board5', thickness: 5, arealDensity: 410 });
const sized = (purpose: keyof typeof RECIPES, is: (recipe: Recipe) => boolean): Design => {
  const found = sizeDesign({
    recipe: RECIPES[purpose].find(is)!,
    brief: briefSchema.parse({ purpose }),
    conditions: flightConditionsSchema.parse({}),
    materials: [board],
  });
  if (found.kind !== 'sized') throw new Error(sentence(found.because));
  return found.candidate.design;
};

/** Good ones of six kinds. */
const GOOD = {
  trainer: sized('train', ({ tail }) => tail === 'tailplane'),
  plank: sized('soar', ({ wing }) => wing === 'plank'),
  'swept wing': sized('payload', ({ wing }) => wing === 'sweptTailless'),
  canard: sized('experiment', ({ tail }) => tail === 'canard'),
  'V-tail glider': sized('soar', ({ tail }) => tail === 'vTail'),
  biplane: sized('train', ({ wing }) => wing === 'biplane'),
} as const;
type Kind = keyof typeof GOOD;

const numbersOf = (design: Design) => analyse(design, { without: ['remedies', 'workings', 'bands'] });
const grave = (design: Design) =>
  numbersOf(design)
    .findings.filter(({ severity }) => severity !== 'note')
    .map(({ id, message }) => `${id}: ${sentence(message)}`);
const change = (design: Design, ...fields: [string, unknown][]) =>
  withFields(
    design,
    fields.map(([field, value]) => ({ field, value })),
  );

/** The same with so much of its weight added or taken, and balanced so many mean chords further aft. */
function ballasted(design: Design, share: number, aft: number): Design {
  const { mass, reference } = numbersOf(design);
  const grams = gramsFromKilograms(mass.total!) * share;
  const [x, y, z] = mass.cg!.map(millimetresFromMetres) as [number, number, number];
  const shift = (millimetresFromMetres(reference.meanChord!) * aft * (1 + share)) / share;
  const item = massItemSchema.parse({ id: 'added', mass: grams, position: { x: x + shift, y, z } });
  return change(design, ['/massItems', [...design.massItems, item]]);
}

const tailOf = (design: Design) => design.surfaces.find(isPitchTail)!;
const built = (degrees: number) => (design: Design) => {
  const { id, incidence } = tailOf(design);
  const side = { incidence: incidence + degrees };
  return change(design, [`/surfaces/${id}/asBuilt`, { left: side, right: side }]);
};

describe('six good aircraft', () => {
  test.each(Object.keys(GOOD) as Kind[])('%s: no caution', (kind) => {
    expect(grave(GOOD[kind])).toEqual([]);
  });
});

/** What is wrong, with whom, and what it does to a good one. */
const BAD: readonly (readonly [string, readonly Kind[], (design: Design) => Design])[] = [
  [
    'balanced 10 % of chord too far aft',
    ['trainer', 'plank', 'swept wing', 'canard', 'V-tail glider', 'biplane'],
    (design) => ballasted(design, 0.1, 0.1),
  ],
  [
    'half the tail',
    ['trainer', 'V-tail glider', 'biplane'],
    (design) => withFields(design, scaledSurface(tailOf(design), 0.5)),
  ],
  ['4° of tail error, nose up', ['trainer', 'canard', 'V-tail glider', 'biplane'], built(4)],
  ['4° of tail error, nose down', ['trainer', 'canard', 'V-tail glider', 'biplane'], built(-4)],
  [
    'tips of 0.3 of the root',
    ['trainer', 'plank', 'V-tail glider'],
    (design) => {
      const [wing] = design.surfaces;
      const last = wing!.stations.length - 1;
      return change(design, [`/surfaces/${wing!.id}/stations/${last}/chord`, 0.3 * wing!.stations[0]!.chord]);
    },
  ],
  [
    'twice the loading, thrown',
    ['trainer', 'plank', 'swept wing', 'canard', 'V-tail glider', 'biplane'],
    (design) => ballasted(design, 1, 0),
  ],
  [
    'twice the loading, on wheels',
    ['trainer', 'plank', 'swept wing', 'canard', 'V-tail glider', 'biplane'],
    (design) => change(ballasted(design, 1, 0), ['/brief/launch', 'wheels']),
  ],
  [
    'no fin',
    ['trainer', 'plank', 'swept wing', 'canard', 'biplane'],
    (design) => change(design, ['/surfaces', design.surfaces.filter((surface) => !isFin(surface))]),
  ],
];

describe('six ways to spoil them', () => {
  test.each(BAD.flatMap(([what, kinds, spoil]) => kinds.map((kind) => [what, kind, spoil] as const)))(
    '%s, %s: a caution',
    (_what, kind, spoil) => {
      expect(grave(spoil(GOOD[kind])).length).toBeGreaterThan(0);
    },
  );
});
