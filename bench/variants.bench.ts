import { valuesBetween } from '@/core/1-base/numeric/valuesBetween';
import { spawn } from 'node:child_process';
import { finish } from '@/core/1-base/steps';
import { analyse } from '@/core/analyse';
import { search } from '@/core/9-compare/search/search';
import { inputNamed } from '@/core/9-compare/linkedInputs';
import { sweep } from '@/core/9-compare/sweep';
import { toleratedAircraft } from '@/core/9-compare/tolerances/builtAircraft';
import { tolerate } from '@/core/9-compare/tolerances/tolerances';
import { DEMO_NAMES, demoDesign } from '../demo';
import { time } from './timing';

type Print = (line: string) => void;

const design = demoDesign('lagoon-postman');
/** Variants in all, and cores that share them. */
const GEOMETRIES = 400;
const CORES = 2;

const inputOf = (name: string) => {
  const named = inputNamed(design, name);
  if (!named.ok) throw new Error(named.because);
  return named.input;
};

/** What one core computes of the geometries: margin and stall of a deeper and deeper wing. */
function sweepShare(): void {
  const values = valuesBetween(80, 120, GEOMETRIES / CORES);
  finish(sweep(design, [{ input: inputOf('chords/wing'), values }], ['pitch.staticMargin', 'stall.speed']));
}

/** One of the processes that share them: twice, when it was just started and when its engine knows what runs. */
export function sweepInProcess(): Promise<void> {
  process.on('message', () => {
    sweepShare();
    process.send!('done');
  });
  process.send!('ready');
  return new Promise((resolve) => process.once('disconnect', resolve));
}

/** A process of its own, as a worker has a core of its own. */
function startProcess() {
  const child = spawn(process.execPath, [process.argv[1]!, 'geometries'], {
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
  const told = () =>
    new Promise<void>((resolve, reject) => {
      child.once('message', () => resolve());
      child.once('exit', (code) => reject(new Error(`geometries ended with ${code}`)));
    });
  const ready = told();
  return {
    /** Computes its share, as soon as it is there. */
    compute: async () => {
      await ready;
      const done = told();
      child.send('go');
      await done;
    },
    end: () => {
      child.removeAllListeners('exit');
      child.disconnect();
    },
  };
}

/** Seconds that all of them take, from the start of their processes and by processes that have computed before, as the workers of a page have. */
async function sweepGeometries(): Promise<readonly [started: number, warm: number]> {
  const begun = performance.now();
  const processes = Array.from({ length: CORES }, startProcess);
  const all = () => Promise.all(processes.map(({ compute }) => compute()));
  await all();
  const between = performance.now();
  await all();
  const ended = performance.now();
  for (const { end } of processes) end();
  return [(between - begun) / 1000, (ended - between) / 1000];
}

/** Variants that a comparison computes: of angles and masses by the reduced aircraft, of geometry by whole analyses. */
export async function countVariants(print: Print): Promise<void> {
  const aircraft = toleratedAircraft(design);
  if (!aircraft.ok) throw new Error(aircraft.because);
  const { tolerances, built } = aircraft;
  const reduced = time(() => {
    for (let count = 0; count < 10_000; count++)
      built(Float64Array.from(tolerances, ({ sigma }, index) => sigma * Math.sin(count * (index + 1))));
  });
  const analyses = 40;
  const whole = time(() => {
    for (let count = 0; count < analyses; count++) {
      const variant = structuredClone(design);
      variant.surfaces[0]!.incidence = 2 + count / 1000;
      variant.massItems[0]!.position.x += count / 100;
      analyse(variant, { without: ['remedies'] });
    }
  });
  print(
    `  10,000 variants of angles and masses in ${(reduced / 1000).toFixed(2)} s, ${((whole / analyses / reduced) * 10_000).toFixed(0)} times as fast as whole analyses`,
  );
  const thrown = time(() => void finish(tolerate(design, { draws: 10_000, seed: 1 })));
  print(`  10,000 draws of tolerances with their throws in ${(thrown / 1000).toFixed(1)} s on one core`);
  const [started, warm] = await sweepGeometries();
  print(
    `  ${GEOMETRIES} variants of geometry in ${warm.toFixed(1)} s on ${CORES} cores; ${started.toFixed(1)} s with the start of their processes`,
  );
  const asked = {
    goal: 'mass',
    free: ['chords/wing', 'spans/wing'].map((name) => ({ input: inputOf(name), from: 80, to: 120 })),
    choices: [],
    slides: 'pack',
  } as const;
  let computed = 0;
  const searched = time(() => {
    const told = finish(search(design, asked));
    if (told.kind !== 'none') ({ computed } = told);
  });
  print(`  a search of ${computed} designs in ${(searched / 1000).toFixed(1)} s`);
}

/** Heap after so many analyses of the whole fleet, each a little other: it must not grow. */
export function watchMemory(print: Print): void {
  const designs = DEMO_NAMES.map(demoDesign);
  const heaps: number[] = [];
  for (let run = 0; run < 10_000; run++) {
    const one = designs[run % designs.length]!;
    const [wing, ...rest] = one.surfaces;
    analyse(
      { ...one, surfaces: [{ ...wing!, incidence: wing!.incidence + (run % 97) / 1000 }, ...rest] },
      { quick: true, without: ['remedies'] },
    );
    if ((run + 1) % 2000 === 0) {
      globalThis.gc?.();
      const { heapUsed, arrayBuffers } = process.memoryUsage();
      heaps.push(heapUsed + arrayBuffers);
      print(`  after ${run + 1} runs ${(heaps.at(-1)! / 1e6).toFixed(0)} MB`);
    }
  }
  print(`  the last over the first: ${(heaps.at(-1)! / heaps[0]!).toFixed(2)}`);
}
