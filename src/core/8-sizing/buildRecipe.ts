import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { type Design, type DesignInput, designSchema, DESIGN_VERSION } from '@/core/2-document/schema/design';
import type { Brief } from '@/core/2-document/schema/brief';
import { type Equipment, equipmentById } from '@/core/2-document/catalogue/library';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { freshControl } from '@/core/2-document/freshControl';
import { meanChordSetback, type WingSizes, wingSizes, wingStations } from './drawPlan';
import { tailSurfaces, usualArm } from './drawTail';
import type { Recipe } from './recipe';

/** What a layout is drawn with. Millimetres, degrees. */
export interface BuildInput {
  readonly recipe: Recipe;
  readonly brief: Brief;
  readonly conditions: Design['conditions'];
  readonly materials: Design['materials'];
  /** Own figures of the builder, which it is sized with; none without. */
  readonly figures?: Design['figures'];
  /** Wing area [mm²]. */
  readonly area: number;
  /** From the nose to the leading edge of the wing. */
  readonly noseLength: number;
  /** Tail or foreplane against the datum; of tailless wings the washout of the tip. */
  readonly trimAngle: number;
  readonly motor: Equipment | null;
  readonly pack: Equipment;
}

const round = Math.round;
type SurfaceInput = NonNullable<DesignInput['surfaces']>[number];
type ItemInput = NonNullable<DesignInput['massItems']>[number];

/** Layouts whose pitch control lies in the wing. */
export const isTailless = ({ wing }: Recipe): boolean =>
  wing === 'sweptTailless' || wing === 'plank' || wing === 'delta';

const wantsAilerons = ({ controls, purpose }: Brief) =>
  controls.length > 0 ? controls.includes('aileron') : !['float', 'soar'].includes(purpose);

/** The document of a layout: everything that is drawn, cut, bought and placed. */
export function buildRecipe(input: BuildInput): Design {
  const { recipe, brief, area, noseLength, materials, conditions } = input;
  const material = materials[0]!;
  const board = material.thickness;
  const sizes = wingSizes(recipe, area, brief.maximumSpan);
  const arm = usualArm(recipe, sizes);
  const wings = wingSurfaces(input, sizes);
  const [wing] = wings;
  const last = wing!.stations.at(-1)!;
  const rise = wing!.stations.slice(1).reduce((sum, station, index) => {
    const previous = wing!.stations[index]!;
    return (
      sum +
      (station.distanceFromRoot - previous.distanceFromRoot) * Math.sin(radiansFromDegrees(previous.dihedral ?? 0))
    );
  }, 0);
  const tail = tailSurfaces({
    recipe,
    wing: sizes,
    area,
    board,
    material: material.id,
    wingX: noseLength,
    arm,
    incidence: isTailless(recipe) ? 0 : input.trimAngle,
    wingTip: {
      x: noseLength + (last.leadingEdgeOffset ?? 0),
      y: sizes.span / 2,
      z: (wing!.position?.z ?? 0) + rise,
      chord: last.chord,
    },
  });
  return designSchema.parse({
    format: 'inclinar-design',
    version: DESIGN_VERSION,
    name: recipe.name,
    notes: recipe.because,
    brief,
    conditions,
    materials,
    ...(input.figures ? { figures: input.figures } : {}),
    balance: isTailless(recipe)
      ? { minimumStaticMargin: 0.04, maximumStaticMargin: 0.12 }
      : { minimumStaticMargin: 0.05, maximumStaticMargin: 0.2 },
    surfaces: [...wings, ...tail],
    bodies: [fuselage(input, sizes, tail)],
    massItems: equipment(input, sizes, arm),
    propulsion: drive(input, sizes),
  } satisfies DesignInput);
}

function wingSurfaces(
  input: BuildInput,
  sizes: WingSizes,
): (SurfaceInput & {
  stations: { distanceFromRoot: number; dihedral?: number; leadingEdgeOffset?: number; chord: number }[];
})[] {
  const { recipe, brief, materials, noseLength } = input;
  const board = materials[0]!.thickness;
  const tailless = isTailless(recipe);
  const stations = wingStations(recipe, sizes, board, tailless ? input.trimAngle : 0);
  const roll = tailless
    ? [
        freshControl('elevons', 'Elevons', 'elevon', {
          from: recipe.wing === 'delta' ? 0.15 : 0.4,
          to: 0.97,
          hingeInboard: 0.78,
          hingeOutboard: 0.74,
        }),
      ]
    : wantsAilerons(brief)
      ? [
          freshControl('ailerons', 'Ailerons', 'aileron', {
            from: 0.5,
            to: 0.95,
            hingeInboard: 0.76,
            hingeOutboard: 0.76,
          }),
        ]
      : [];
  const gap = recipe.wing === 'biplane' ? sizes.meanChord : 0;
  const surface = (
    id: string,
    name: string,
    role: 'wing' | 'secondWing',
    x: number,
    z: number,
    controls: typeof roll,
  ) => ({
    id,
    name,
    role,
    position: { x: round(x), y: 0, z: round(z) },
    incidence: recipe.wing === 'delta' ? 0 : 2.5,
    construction: { material: materials[0]!.id, countedBy: 'parts' as const },
    stations,
    controls,
    spars: spars(id, recipe, sizes, stations.at(-1)!.distanceFromRoot, stations.at(-1)!.leadingEdgeOffset ?? 0),
  });
  if (recipe.wing !== 'biplane') return [surface('wing', 'Wing', 'wing', noseLength, tailless ? 0 : 24, roll)];
  // The upper wing goes ahead: the lower one then works in air that is bent less.
  return [
    surface('upperWing', 'Upper wing', 'wing', noseLength, gap - 20, []),
    surface('lowerWing', 'Lower wing', 'secondWing', noseLength + 0.45 * sizes.meanChord, -20, roll),
  ];
}

/** Carbon tubes that usual wings take, by the span up to which each is enough [mm]. */
const USUAL_TUBES = [
  { upTo: 900, tube: 'Carbon tube 4 × 2 mm' },
  { upTo: 1400, tube: 'Carbon tube 6 × 4 mm' },
  { upTo: Infinity, tube: 'Carbon tube 8 × 6 mm' },
] as const;
/**
 * Shares of the chord that tubes are laid at, forward, where air twists a wing
 * least: a single board holds no thick tube, but several thin ones the longer
 * the span [mm].
 */
const TUBE_PLACES = [
  { upTo: 900, at: [0.3] },
  { upTo: 1800, at: [0.2, 0.34] },
  { upTo: Infinity, at: [0.2, 0.28, 0.36] },
] as const;

/** Rods of one wing: inside a fold as thick as its span asks for, let into a single board as thin as that holds. */
function spars(id: string, recipe: Recipe, sizes: WingSizes, length: number, tipOffset: number) {
  const isFolded = recipe.build === 'folded';
  const { tube } = isFolded ? USUAL_TUBES.find(({ upTo }) => sizes.span < upTo)! : USUAL_TUBES[0];
  const stock = ROD_STOCK.find(({ name }) => name === tube)!;
  const [only] = TUBE_PLACES;
  const { at } = isFolded ? only : TUBE_PLACES.find(({ upTo }) => sizes.span < upTo)!;
  return at.map((share, index) => ({
    ...stock,
    ...alongChord(sizes, share, length, tipOffset),
    id: index === 0 ? `${id}Spar` : `${id}Spar${index + 1}`,
    name: index === 0 ? 'Spar' : `Spar ${index + 1}`,
  }));
}

/** From the root to 0.85 of the panels along a share of the chord. */
function alongChord({ rootChord, tipChord }: WingSizes, share: number, length: number, tipOffset: number) {
  return {
    start: { distanceFromRoot: 0, x: round(share * rootChord) },
    end: {
      distanceFromRoot: round(0.85 * length),
      x: round(0.85 * tipOffset + share * (rootChord + 0.85 * (tipChord - rootChord))),
    },
  };
}

function fuselage(
  { recipe, noseLength, materials }: BuildInput,
  sizes: WingSizes,
  tail: SurfaceInput[],
): NonNullable<DesignInput['bodies']>[number] {
  const { rootChord, meanChord } = sizes;
  const width = Math.max(34, Math.min(70, round(0.26 * meanChord)));
  const rear = Math.max(
    noseLength + rootChord,
    ...tail
      .filter(({ role }) => role !== 'tipFin')
      .map(({ position, stations }) => (position?.x ?? 0) + stations[0]!.chord),
  );
  const middle = round(noseLength + 0.6 * rootChord);
  return {
    id: 'fuselage',
    name: recipe.wing === 'sweptTailless' || recipe.wing === 'delta' ? 'Pod' : 'Fuselage',
    kind: 'box',
    construction: { material: materials[0]!.id, countedBy: 'parts' as const },
    frames: [
      { x: 0, width: round(0.75 * width), top: round(0.35 * width), bottom: -round(0.4 * width) },
      { x: Math.max(20, middle), width, top: round(0.5 * width), bottom: -round(0.55 * width) },
      { x: Math.max(40, round(rear), middle + 20), width: 14, top: 8, bottom: -8 },
    ],
  };
}

function equipment(input: BuildInput, sizes: WingSizes, arm: number): ItemInput[] {
  const { recipe, brief, motor, pack, noseLength } = input;
  const { rootChord, meanChord } = sizes;
  const pusher = recipe.propeller === 'pusher';
  // About where it will balance: what is carried there does not move the balance.
  const near = noseLength + meanChordSetback(recipe, sizes) + 0.22 * meanChord;
  const item = (id: string, name: string, source: Equipment, x: number, z = 0): ItemInput => ({
    id,
    name,
    category: source.category,
    mass: source.mass,
    size: source.size,
    position: { x: round(x), y: 0, z },
  });
  const last = Math.max(60, noseLength + 0.45 * rootChord);
  const light = pack.mass <= 30;
  const servo = equipmentById(light ? 'servo4' : 'servo9');
  const items: ItemInput[] = [];
  if (motor) {
    items.push(item('motor', motor.name, motor, pusher ? noseLength + rootChord + 12 : -motor.size.length / 2));
    const controller = equipmentById(
      motor.mass > 60 ? 'controller40' : motor.mass > 25 ? 'controller20' : 'controller8',
    );
    items.push(
      item('controller', controller.name, controller, pusher ? noseLength + 0.7 * rootChord : 0.55 * noseLength + 10),
    );
  }
  items.push({
    ...item('pack', pack.name, pack, pack.size.length / 2 + 10, -4),
    attachment: {
      kind: 'slides',
      from: round(pack.size.length / 2 + 6),
      to: round(Math.max(last, pack.size.length / 2 + 20)),
    },
  });
  items.push(item('receiver', 'Receiver', equipmentById('receiver4'), noseLength + 0.3 * rootChord));
  const inWing = isTailless(recipe) || wantsAilerons(brief);
  if (inWing)
    items.push({
      ...item('wingServos', 'Wing servos', servo, noseLength + 0.45 * rootChord),
      mirrored: true,
      position: { x: round(noseLength + 0.5 * rootChord), y: round(sizes.span * 0.22), z: 0 },
    });
  if (!isTailless(recipe))
    items.push({
      ...item(
        'tailServos',
        'Tail servos',
        servo,
        arm < 0 ? noseLength - 0.8 * meanChord : noseLength + 0.7 * rootChord,
      ),
      mass: 2 * servo.mass,
    });
  if (brief.payloadMass)
    items.push({
      id: 'payload',
      name: 'Payload',
      category: 'payload',
      mass: brief.payloadMass,
      position: { x: round(near), y: 0, z: -10 },
    });
  if (brief.launch === 'wheels')
    items.push(item('undercarriage', 'Undercarriage', equipmentById('wheels60'), noseLength + 0.1 * rootChord, -80));
  return items;
}

function drive({ recipe, motor, noseLength }: BuildInput, { rootChord }: WingSizes): DesignInput['propulsion'] {
  if (!motor || recipe.propeller === 'none') return [];
  const pusher = recipe.propeller === 'pusher';
  const diameter = motor.mass <= 20 ? 127 : motor.mass <= 30 ? 152 : motor.mass <= 60 ? 203 : 254;
  return [
    {
      id: 'drive',
      name: 'Drive',
      kind: pusher ? 'pusher' : 'tractor',
      position: { x: round(pusher ? noseLength + rootChord + 30 : -motor.size.length), y: 0, z: 0 },
      propellerDiameter: diameter,
      propellerPitch: round(0.6 * diameter),
    },
  ];
}
