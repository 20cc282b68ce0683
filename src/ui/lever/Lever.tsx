import { memo, useMemo } from 'react';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll } from '@/core/3-shape/geometry/layout';
import { weigh } from '@/core/4-weight/massModel';
import { weightRows } from '@/core/4-weight/weightRows';
import { useAppSelector } from '@/store/hooks';
import { decimal, type DisplayUnits, formatLength, formatMass } from '@/words/formatQuantity';
import { HiddenTable } from '../sheet/HiddenTable';
import { spacedLabels } from '../sheet/spacedLabels';
import { leverBlocks, pullAbout } from './leverBlocks';

/** Width of a weight, and what a name wants [px]. */
const BLOCK = 17;
const NAME = 88;
const NAMES_HIGH = 47;
const LONGEST_NAME = 15;
const LINE = 13;

const shortened = (name: string) => (name.length > LONGEST_NAME ? `${name.slice(0, LONGEST_NAME - 1)}…` : name);

/** A name on at most two lines. */
function inLines(name: string): readonly string[] {
  if (name.length <= LONGEST_NAME) return [name];
  const at = name.lastIndexOf(' ', LONGEST_NAME);
  return at <= 0 ? [shortened(name)] : [name.slice(0, at), shortened(name.slice(at + 1))];
}

/** A pull in words: newton centimetres, and which way. */
function pullWords(pull: number): string {
  const newtonCentimetres = (Math.abs(pull) * 9.80665e-3) / 10;
  return `${decimal(newtonCentimetres, newtonCentimetres < 1 ? 2 : 1)} N·cm nose ${pull < 0 ? 'down' : 'up'}`;
}

/** Every part with its weight and place, heaviest first. */
const rowsOf = (design: Design) => weightRows(design, weigh(design, placeAll(design.surfaces)).parts);
const useWeightRows = (design: Design) => useMemo(() => rowsOf(design), [design]);

interface LeverProps {
  readonly design: Design;
  /** Pixels of a place on the datum line [mm]. */
  readonly u: (x: number) => number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  /** Of the lever itself. */
  readonly beam: number;
  /** Weights of another state, drawn dashed. */
  readonly ghost?: Design | null;
}

/** What sits where, as weights on a lever, over the place about which they pull. */
export const Lever = memo(function Lever({ design, u, left, right, top, beam, ghost }: LeverProps) {
  const units = useAppSelector((state) => state.settings.units);
  const rows = useWeightRows(design);
  const total = rows.reduce((sum, { counts }) => sum + counts, 0);
  const balance = total > 0 ? rows.reduce((sum, { counts, x }) => sum + counts * x, 0) / total : null;
  const room = Math.max(20, beam - top - NAMES_HIGH - 10);
  const blocks = leverBlocks({ rows, u, width: BLOCK, room });
  const count = Math.max(1, Math.floor((right - left) / NAME));
  const named = blocks
    .toSorted((a, b) => b.row.counts - a.row.counts)
    .slice(0, count)
    .sort((a, b) => a.left - b.left);
  const places = spacedLabels(
    named.map((block) => block.left + BLOCK / 2),
    NAME,
    [left + NAME / 2, right - NAME / 2],
  );
  return (
    <g data-testid="lever">
      <g aria-hidden="true">
        {ghost && <GhostBlocks design={ghost} u={u} beam={beam} room={room} />}
        {blocks.map(({ row, left: x, foot, width, height }) => (
          <rect
            key={row.id}
            x={x}
            y={beam - foot - height}
            width={width}
            height={Math.max(0.5, height)}
            fill={row.measured === null ? 'var(--color-sheet)' : 'var(--color-balance-soft)'}
            stroke="var(--color-graphite)"
            strokeWidth={0.9}
          >
            <title>{`${row.name}: ${partWords(row, balance, units)}`}</title>
          </rect>
        ))}
        <path d={`M${left} ${beam} H${right}`} stroke="var(--color-graphite)" strokeWidth={2.4} />
        {balance !== null && (
          <path d={`M${u(balance)} ${beam + 1} l-9 16 h18 Z`} fill="var(--color-balance)" stroke="none" />
        )}
        {named.map(({ row, left: x, foot, height }, index) => (
          <g key={row.id} fontSize={11.5} textAnchor="middle">
            <path
              d={`M${places[index]!} ${top + 41} L${x + BLOCK / 2} ${top + NAMES_HIGH + 8} V${beam - foot - height}`}
              stroke="var(--color-rule)"
              fill="none"
            />
            {inLines(row.name).map((line, place, { length }) => (
              <text
                key={place}
                x={places[index]!}
                y={top + 24 - (length - 1 - place) * LINE}
                fill="var(--color-graphite)"
              >
                {line}
              </text>
            ))}
            <text x={places[index]!} y={top + 24 + LINE} fill="var(--color-faint)">
              {formatMass(row.counts, units)}
            </text>
          </g>
        ))}
      </g>
    </g>
  );
});

function partWords(row: { readonly counts: number; readonly x: number }, balance: number | null, units: DisplayUnits) {
  const weight = formatMass(row.counts, units);
  if (balance === null) return weight;
  const arm = row.x - balance;
  return `${weight}, ${formatLength(Math.abs(arm), units, 0)} ${arm < 0 ? 'ahead of' : 'behind'} the balance point, pulls ${pullWords(pullAbout(row, balance))}`;
}

interface GhostBlocksProps {
  readonly design: Design;
  readonly u: (x: number) => number;
  readonly beam: number;
  readonly room: number;
}

function GhostBlocks({ design, u, beam, room }: GhostBlocksProps) {
  const rows = useWeightRows(design);
  return leverBlocks({ rows, u, width: BLOCK, room }).map(({ row, left, foot, width, height }) => (
    <rect
      key={row.id}
      x={left}
      y={beam - foot - height}
      width={width}
      height={height}
      fill="none"
      stroke="var(--color-balance)"
      strokeDasharray="3 2"
    />
  ));
}

/** The lever as numbers: weight, arm and pull of every part. */
export function LeverTable({ design }: { readonly design: Design }) {
  const units = useAppSelector((state) => state.settings.units);
  const cg = useAppSelector((state) => state.analysis.current?.mass.cg);
  const balance = cg ? millimetresFromMetres(cg[0]) : null;
  return (
    <HiddenTable
      caption="What pulls about the balance point"
      columns={['Part', 'Weight, arm and pull']}
      rows={() => rowsOf(design).map((row) => [row.name, partWords(row, balance, units)])}
    />
  );
}
