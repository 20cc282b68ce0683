import type { DriveParts, MotorPart, PackPart, PropellerPart } from '@/core/2-document/catalogue/driveParts';
import { field } from '@/core/2-document/edit/field';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { massItemSchema, type MassItem } from '@/core/2-document/schema/airframe';
import { type Demands, packPlaceFor } from '@/core/8-sizing/chooseDrive';
import { airAt } from '@/core/5-aero/atmosphere';
import { drivesOf } from '@/core/6-groups/power/drives';
import { kilogramsFromGrams } from '@/core/1-base/units/convert';
import { choosingCancelled, choosingFailed, choosingStarted, choosingWentOn, driveChosen } from './choiceSlice';
import { editDesign, type EditOutcome } from './edit';
import type { AppThunk } from './reduxStore';
import { type DrawerEntry, keptInDrawer } from './settingsSlice';
import { freshItemId } from './weights';

const SLOT = 'chooseDrive';

/** What of the drawer drives: motors, propellers and packs of which enough is known. */
export const partsOfDrawer = (drawer: readonly DrawerEntry[]): DriveParts => {
  const head = ({ name, mass, price }: DrawerEntry) => ({ name, mass, ...(price === undefined ? {} : { price }) });
  return {
    motors: drawer.flatMap((entry): MotorPart[] => (entry.motor ? [{ ...head(entry), motor: entry.motor }] : [])),
    propellers: drawer.flatMap((entry): PropellerPart[] =>
      entry.propeller ? [{ ...head(entry), propeller: entry.propeller }] : [],
    ),
    packs: drawer.flatMap((entry): PackPart[] => (entry.pack ? [{ ...head(entry), pack: entry.pack }] : [])),
  };
};

/** A part of a design as it goes into the drawer, with what its drive says of it; what a bench test set goes along. */
export function drawerEntryOf({ propulsion, conditions }: Design, item: MassItem): DrawerEntry {
  const { name, id, category, mass, measuredMass, size, price } = item;
  const [drive] = propulsion;
  const head = { name: name || id, category, mass: measuredMass ?? mass, size };
  const entry: DrawerEntry = { ...head, ...(price === undefined ? {} : { price }) };
  if (!drive) return entry;
  const drives = drivesOf({ propulsion: [drive] }, airAt(conditions.elevation, conditions.temperature));
  const set = drive.benchTest && typeof drives !== 'string' ? drives[0]! : null;
  const { motor, pack, propellerDiameter, propellerPitch, blades } = drive;
  if (category === 'motor' && motor)
    return { ...entry, motor: set ? { ...motor, resistance: set.motor.resistance } : motor };
  if (category === 'battery' && pack) return { ...entry, pack };
  if (category !== 'propeller') return entry;
  const factors = set && { thrustFactor: set.calibration.thrust, torqueFactor: set.calibration.torque };
  return { ...entry, propeller: { propellerDiameter, propellerPitch, blades, ...factors } };
}

/** Keeps a part of the open design in the drawer. */
export const keepInDrawer =
  (item: MassItem): AppThunk =>
  (dispatch, getState) => {
    const design = getState().document.present;
    if (design) dispatch(keptInDrawer(drawerEntryOf(design, item)));
  };

/** Names of equipment, each with the designs of this browser that carry it; nothing where the storage is silent. */
export const whereFlown =
  (): AppThunk<Promise<ReadonlyMap<string, readonly string[]>>> =>
  async (_dispatch, _getState, { designs }) => {
    try {
      return await designs.whereFlown();
    } catch {
      return new Map();
    }
  };

/** Ends the trying that goes on. */
export const cancelChoosing =
  (): AppThunk =>
  (dispatch, _getState, { jobs }) => {
    dispatch(choosingCancelled());
    jobs.cancel(SLOT);
  };

/** Tries all motors, propellers and packs for a drive of the open design in the worker; a newer request or a cancel ends it. */
export const tryAllDrives =
  (drive: string, parts: DriveParts, demands: Demands): AppThunk<Promise<void>> =>
  async (dispatch, getState, { jobs }) => {
    const design = getState().document.present;
    if (!design) return;
    dispatch(choosingStarted({ drive, parts }));
    const { run } = getState().choice;
    const isCurrent = () => getState().choice.run === run;
    const outcome = await jobs.ask(
      'chooseDrive',
      { design, drive, parts, demands },
      { lane: 'long', slot: SLOT, onProgress: (progress) => isCurrent() && dispatch(choosingWentOn(progress)) },
    );
    if (!isCurrent()) return;
    if (outcome.kind === 'done') dispatch(driveChosen(outcome.output));
    else
      dispatch(
        choosingFailed(outcome.kind === 'failed' ? outcome.message : 'Something else was asked meanwhile: ask again.'),
      );
  };

interface Chosen {
  readonly motor: MotorPart;
  readonly propeller: PropellerPart;
  readonly pack: PackPart;
}

/** Puts a motor, a propeller and a pack into the design: what they are, what they weigh, the pack where it balances. One step back. */
export const takeDrive = (driveId: string, chosen: Chosen): AppThunk<EditOutcome> =>
  editDesign((design) => {
    const drive = design.propulsion.find(({ id }) => id === driveId);
    if (!drive) return design;
    const of = ['propulsion', driveId] as const;
    const masses = [chosen.motor, chosen.propeller, chosen.pack].map(({ mass }) => kilogramsFromGrams(mass));
    const count = drive.mirrored ? 2 : 1;
    const place = packPlaceFor(design, driveId, [masses[0]! * count, masses[1]! * count, masses[2]!]);
    const { propellerDiameter, propellerPitch, blades } = chosen.propeller.propeller;
    const changed = withFields(design, [
      field(...of, 'motor').to({ ...chosen.motor.motor, mass: chosen.motor.motor.mass ?? chosen.motor.mass }),
      field(...of, 'pack').to(chosen.pack.pack),
      field(...of, 'propellerDiameter').to(propellerDiameter),
      field(...of, 'propellerPitch').to(propellerPitch),
      field(...of, 'blades').to(blades),
      field(...of, 'blade').to([]),
      field(...of, 'benchTest').to(undefined),
    ]);
    const withItems = [
      ['motor', chosen.motor],
      ['propeller', chosen.propeller],
      ['battery', chosen.pack],
    ] as const;
    return withItems.reduce<Design>(
      (current, [category, part]) => withItem(current, drive, category, part, category === 'battery' ? place : null),
      changed,
    );
  });

/** The first part of a kind becomes this one; where there is none it is put in where the drive is. */
function withItem(
  design: Design,
  drive: Design['propulsion'][number],
  category: MassItem['category'],
  { name, mass, price }: { readonly name: string; readonly mass: number; readonly price?: number | undefined },
  place: number | null,
): Design {
  const known = design.massItems.find((item) => item.category === category);
  const {
    measuredMass: _,
    price: __,
    ...rest
  } = known ??
  massItemSchema.parse({
    id: freshItemId(design),
    category,
    mass,
    position: drive.position,
    mirrored: drive.mirrored && category !== 'battery',
  });
  const item: MassItem = {
    ...rest,
    name,
    mass,
    ...(price === undefined ? {} : { price }),
    position: place === null ? rest.position : { ...rest.position, x: Math.round(place * 10) / 10 },
  };
  return {
    ...design,
    massItems: known ? design.massItems.map((one) => (one === known ? item : one)) : [...design.massItems, item],
  };
}
