import '@/core/1-base/zodSetup';
import { existsSync } from 'node:fs';
import { finish } from '@/core/1-base/steps';
import { degreesFromRadians, type Seconds } from '@/core/1-base/units/convert';
import { USUAL_DRIVE_PARTS } from '@/core/2-document/catalogue/driveParts';
import { fly } from '@/core/7-flight/fly';
import type { Throw } from '@/core/7-flight/flightRecord';
import { flyingModel } from '@/core/7-flight/flyingModel';
import { beginsAt } from '@/core/7-flight/launches';
import { tossOften } from '@/core/7-flight/toss/tossOften';
import { chooseDrive } from '@/core/8-sizing/chooseDrive';
import { tolerate } from '@/core/9-compare/tolerances/tolerances';
import { analyse } from '@/core/analyse';
import { KERNELS, useKernel } from '@/core/5-aero/kernel/inUse';
import { forgetInfluence } from '@/core/6-groups/solution/influenceCache';
import { buildLattice, type Grid } from '@/core/5-aero/lattice';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { GROUPS } from '@/core/6-groups/page';
import { solve } from '@/core/6-groups/solve';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { DEMO_NAMES, demoDesign } from '../demo';
import { measureEdits } from './document.bench';
import { least, median, show, time } from './timing';
import { solveTextbook, TEN_STREAMS } from './textbook.bench';
import { countVariants, sweepInProcess, watchMemory } from './variants.bench';

/** Grids of about 100, 200 and 400 panels on the half aircraft. */
const GRIDS: readonly Grid[] = [
  { strips: 11, chordwise: 4 },
  { strips: 18, chordwise: 5 },
  { strips: 30, chordwise: 6 },
];
/** Places of a drag: as many as one second of it shows. */
const DRAGGED = 60;

const design = demoDesign('lagoon-postman');
const print = (line: string) => process.stdout.write(`${line}\n`);
/** From the brief to stability: what there is before strength and power, bands aside. */
const TO_STABILITY = GROUPS.map(({ id }) => id)
  .slice(
    0,
    GROUPS.findIndex(({ id }) => id === 'strength'),
  )
  .filter((id) => id !== 'bands');

function toStability(grid: Grid): void {
  const { numbers } = solve(design, { grid, without: ['bands'] });
  for (const id of TO_STABILITY) void numbers[id];
}

/** What the textbook kernel does too: geometry, both halves, ten cases, forces; and level flight with its derivatives. */
function toDerivatives(grid: Grid): void {
  const { solution } = solve(design, { grid, without: ['bands'] });
  void solution?.pitch;
  void solution?.lateral;
}

/** A shared machine drifts, so the kernels take turns and the ratio is what counts. */
function compareKernels(): void {
  print('whole analysis against a textbook kernel (one full matrix, nothing shared), taking turns');
  for (const grid of GRIDS) {
    const lattice = buildLattice(design.surfaces.map(placeSurface), grid);
    const ours: number[] = [];
    const inTypeScript: number[] = [];
    const dragged: number[] = [];
    const half: number[] = [];
    const derived: number[] = [];
    const textbook: number[] = [];
    for (let round = 0; round < DRAGGED; round++) {
      forgetInfluence();
      const whole = time(() => analyse(design, { grid, without: ['remedies'] }));
      const back = useKernel(KERNELS.reference);
      forgetInfluence();
      const reference = time(() => analyse(design, { grid, without: ['remedies'] }));
      back();
      const again = time(() => analyse(design, { grid, without: ['remedies'] }));
      forgetInfluence();
      const stability = time(() => toStability(grid));
      forgetInfluence();
      const derivatives = time(() => toDerivatives(grid));
      const slow = lattice.panels > 250 && round % 3 !== 0 ? null : time(() => solveTextbook(lattice, TEN_STREAMS));
      if (round < 3) continue;
      ours.push(whole);
      inTypeScript.push(reference);
      dragged.push(again);
      half.push(stability);
      derived.push(derivatives);
      if (slow !== null) textbook.push(slow);
    }
    print(
      `  ${String(lattice.panels).padStart(3)} half panels: whole ${show(ours)}, with the kernel in TypeScript ${show(inTypeScript)} (${(Math.min(...inTypeScript) / Math.min(...ours)).toFixed(2)} times by the least, ${(median(inTypeScript) / median(ours)).toFixed(2)} by the median); angles or masses only ${show(dragged)}; from the brief to stability, without bands, ${show(half)}; geometry, both halves, ten cases, forces and derivatives ${show(derived)}, by the textbook ${show(textbook)}; ratio ${(median(textbook) / median(derived)).toFixed(1)}`,
    );
  }
  print(
    `  memory in use ${(process.memoryUsage().heapUsed / 1e6).toFixed(0)} MB heap, ${(process.memoryUsage().arrayBuffers / 1e6).toFixed(0)} MB arrays`,
  );
}

/** Places at which strength is timed by itself: enough that a shared machine is quiet at some of them. */
const TIMED = 150;
/** Steps of a drag that are not counted: an engine compiles what it has run some times. */
const COMPILING = 20;

/** What a drag of the root chord takes at each step: strength, and before it all other numbers that do not need it. */
function dragRootChord(name: string, quick: boolean, steps: number): { own: number[]; others: number[] } {
  const dragged = demoDesign(name);
  const taken: { own: number[]; others: number[] } = { own: [], others: [] };
  for (let step = 0; step < steps; step++) {
    const [wing, ...rest] = dragged.surfaces as [Surface, ...Surface[]];
    const [root, ...outer] = wing.stations as [Station, ...Station[]];
    const surfaces = [{ ...wing, stations: [{ ...root, chord: root.chord + step / 10 }, ...outer] }, ...rest];
    const { numbers } = solve({ ...dragged, surfaces }, { quick, without: ['bands'] });
    const asked = Object.keys(numbers).filter(
      (group) => group !== 'strength' && group !== 'ceilings',
    ) as (keyof typeof numbers)[];
    taken.others.push(time(() => asked.forEach((group) => void numbers[group])));
    taken.own.push(time(() => void numbers.strength));
  }
  return taken;
}

/** What strength adds while the chord of a wing is dragged: everything else of the aircraft stays as it was. */
function addStrength(): void {
  print('strength on top of all other numbers, over the fleet, while the root chord of a wing is dragged');
  for (const quick of [true, false]) {
    for (const name of DEMO_NAMES) dragRootChord(name, quick, COMPILING);
    const taken = DEMO_NAMES.map((name) => dragRootChord(name, quick, TIMED));
    const others = taken.map((one) => least(one.others));
    const strengths = taken.map(({ own }) => least(own));
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
    print(
      `  ${quick ? 'on the lattice of a drag' : 'on the whole lattice'}: others ${mean(others).toFixed(1)} ms, strength ${mean(strengths).toFixed(1)} ms, ${Math.min(...strengths).toFixed(1)} to ${Math.max(...strengths).toFixed(1)} (least of ${TIMED}, mean and range of the fleet): ${((100 * mean(strengths)) / mean(others)).toFixed(0)} %`,
    );
  }
}

/** Ten seconds of flight, left alone and with the stick held back through the stall. */
function flyFleet(): void {
  const launch = { speed: 9, path: 0, height: 100 } as Throw;
  for (const pilot of ['handsOff', 'pullUp'] as const) {
    const leasts = DEMO_NAMES.flatMap((name) => {
      const model = flyingModel(demoDesign(name));
      if ('because' in model) return [];
      return [
        least(
          Array.from({ length: 12 }, () => time(() => finish(fly(model, { launch, pilot, longest: 10 as Seconds })))),
        ),
      ];
    });
    print(
      `  ten seconds of flight, ${pilot === 'handsOff' ? 'hands off' : 'held stalled'}: ${Math.min(...leasts).toFixed(0)} to ${Math.max(...leasts).toFixed(0)} ms over the fleet (least of 12)`,
    );
  }
}

/** Two hundred throws of a hand, and what line and wheels let go, over the fleet. */
function throwOften(): void {
  for (const launch of ['hand', 'bungee', 'wheels'] as const) {
    const throttle = launch === 'wheels' ? 1 : 0;
    const begins = beginsAt(launch, true);
    const path = degreesFromRadians(begins.path);
    const times = DEMO_NAMES.flatMap((name) => {
      const design = demoDesign(name);
      let ok = false;
      const toss = { design, scale: 1, path, height: begins.height, pilot: 'handsOff', launch, throttle } as const;
      const took = time(() => (ok = finish(tossOften(toss)).ok));
      return ok ? [took] : [];
    });
    print(
      `  200 throws, ${launch}: ${(Math.min(...times) / 1000).toFixed(1)} to ${(Math.max(...times) / 1000).toFixed(1)} s over ${times.length} designs`,
    );
  }
}

/** All combinations of a drawer of twenty motors, propellers and packs. */
function countDrives(): void {
  const twenty = <Part>(parts: readonly Part[]): Part[] =>
    Array.from({ length: 20 }, (_, index) => parts[index % parts.length]!);
  const { motors, propellers, packs } = USUAL_DRIVE_PARTS;
  const parts = {
    motors: twenty(motors),
    // No two alike, so that none is known from before.
    propellers: twenty(propellers).map((part, index) => ({
      ...part,
      propeller: { ...part.propeller, propellerDiameter: part.propeller.propellerDiameter + index / 10 },
    })),
    packs: twenty(packs),
  };
  const demands = { climbRate: 2, duration: 600, throttle: 0.85 };
  const result = finish(chooseDrive({ design, drive: design.propulsion[0]!.id, parts, demands }));
  if (!result.ok) throw new Error(result.reason);
  print(
    `  ${result.combinations.length} drives of 20 motors, 20 propellers and 20 packs tried in ${(result.milliseconds / 1000).toFixed(2)} s`,
  );
}

/** A thousand aircraft as they may be built, beside one analysis of the drawing. */
function buildThousand(): void {
  for (const name of ['lagoon-postman', 'evening-lifter', 'tern-tender']) {
    const design = demoDesign(name);
    const whole = least(Array.from({ length: 5 }, () => time(() => analyse(design, { without: ['remedies'] }))));
    const built = least(
      Array.from({ length: 3 }, () => time(() => void finish(tolerate(design, { draws: 1000, seed: 1 })))),
    );
    print(
      `  tolerances of ${name}: 1,000 draws in ${(built / 1000).toFixed(1)} s; one analysis ${whole.toFixed(0)} ms, as many would take ${whole.toFixed(0)} s; ratio ${((1000 * whole) / built).toFixed(0)}`,
    );
  }
}

const hasBrowser = existsSync(process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium');
/** What drives the browser is loaded by what needs it alone: processes that compute start without it. */
const inBrowser = (job: 'measureDrag' | 'measureStorage') => async () => {
  if (hasBrowser) await (await import('./browser.bench'))[job](print);
  else print('Chromium is missing, so nothing was measured in it.');
};

/** Parts by name: `npm run bench -- edits`. */
const PARTS: Readonly<Record<string, () => void | Promise<void>>> = {
  kernels: compareKernels,
  strength: addStrength,
  variants: () => countVariants(print),
  tolerances: buildThousand,
  flights: flyFleet,
  throws: throwOften,
  drives: countDrives,
  edits: () => measureEdits(print),
  drag: inBrowser('measureDrag'),
  storage: inBrowser('measureStorage'),
};

/** Parts that are run by name only: what a process of its own computes, and what takes minutes. */
const BY_NAME: typeof PARTS = { geometries: sweepInProcess, memory: () => watchMemory(print) };

const [part] = process.argv.slice(2);
if (part !== undefined && BY_NAME[part]) {
  await BY_NAME[part]();
  process.exit(0);
}
if (part !== undefined && !PARTS[part]) {
  process.stderr.write(`There is no part "${part}". Known: ${Object.keys({ ...PARTS, ...BY_NAME }).join(', ')}.\n`);
  process.exit(2);
}
for (const [name, run] of Object.entries(PARTS)) if (part === undefined || part === name) await run();
