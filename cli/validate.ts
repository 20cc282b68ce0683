import { millimetresFromMetres } from '@/core/1-base/units/convert';
import '@/core/1-base/zodSetup';
import { writeFileSync } from 'node:fs';
import { DEFAULT_GRID, type Grid } from '@/core/5-aero/lattice';
import { simpleAircraft } from '../tests/designs';
import { CASES } from '../tests/published/cases';
import type { PublishedCase } from '../tests/published/publishedCase';
import { CONVERGED, solveSurfaces } from '../tests/published/solve';

const FILE = 'docs/validation.md';
const GRIDS: readonly Grid[] = [
  { strips: 8, chordwise: 3 },
  { strips: 12, chordwise: 4 },
  DEFAULT_GRID,
  { strips: 26, chordwise: 6 },
  { strips: 40, chordwise: 8 },
];

const digits = (value: number) => value.toPrecision(5);

function caseRow({ title, source, published, ours, tolerance, remark = '' }: PublishedCase): {
  row: string;
  failed: boolean;
} {
  const value = ours();
  const error = (value - published) / Math.abs(published);
  const failed = tolerance !== null && Math.abs(error) > tolerance;
  const verdict =
    tolerance === null ? 'shown beside' : failed ? '**outside**' : `within ${(tolerance * 100).toFixed(1)} %`;
  const cells = [title, source, digits(published), digits(value), `${(error * 100).toFixed(2)} %`, verdict, remark];
  return { row: `| ${cells.join(' | ')} |`, failed };
}

function convergenceRow(grid: Grid): string {
  const solved = solveSurfaces(simpleAircraft(), grid);
  const pitch = solved.pitch(0.05, [0.09, 0, 0]);
  const lateral = solved.lateral(0.05, [0.09, 0, 0]);
  const name = `${grid.strips} × ${grid.chordwise}${grid === DEFAULT_GRID ? ' (default)' : ''}`;
  const values = [
    pitch.liftSlope,
    millimetresFromMetres(pitch.neutralPoint),
    pitch.pitchDamping,
    lateral.yawStiffness,
    lateral.rollDamping,
    lateral.roll!.roll,
  ];
  return `| ${name} | ${solved.lattice.panels} | ${values.map(digits).join(' | ')} |`;
}

function write(): number {
  const rows = CASES.map(caseRow);
  const failures = rows.filter(({ failed }) => failed).length;
  writeFileSync(
    FILE,
    `# Validation

Written by \`npm run validate\`; the same cases run in \`npm test\`. Lattice cases are inviscid, with wakes straight
along the datum, on a grid of ${CONVERGED.strips} strips and ${CONVERGED.chordwise} chordwise panels unless the case
needs another. Values are dimensionless and per radian where nothing else is said.

| Case | Source | Published | Ours | Difference | Verdict | Remark |
|---|---|---|---|---|---|---|
${rows.map(({ row }) => row).join('\n')}

${CASES.length} cases, ${failures} outside their tolerance.

## Where it must not be trusted further

- Section data at model Reynolds numbers (greatest lift ±12 %, drag ±25 %) are estimates from the trends of published
  series, not measurements of your board.
- Vortex lift of sharp low-aspect wings at high angles, and everything beyond the first stalled strip, is left out.
- Fuselage moments (±20 % in pitch, ±35 % in yaw), what hinges take of a control (±12 %) and propeller normal force
  (±30 %) are classical estimates.

## Choice of the default grid

A wing, tailplane and fin of a usual trainer. Strips are counted on the longest surface; shorter ones get fewer.

| Strips × chordwise | Half panels | Lift slope | Neutral point [mm] | Pitch damping | Yaw stiffness | Roll damping | Roll from aileron |
|---|---|---|---|---|---|---|---|
${GRIDS.map(convergenceRow).join('\n')}

The default is the coarsest grid within half a percent of the finest in pitch and within two percent sideways; chordwise
it is exact in two dimensions from three panels on, so strips matter more than panels.
`,
  );
  process.stdout.write(`${FILE}: ${CASES.length} cases, ${failures} outside their tolerance\n`);
  return failures;
}

process.exitCode = write() === 0 ? 0 : 1;
