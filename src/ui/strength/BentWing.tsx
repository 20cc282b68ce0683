import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import { isWing } from '@/core/2-document/schema/roles';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { useMemo } from 'react';
import { useAppSelector } from '@/store/hooks';
import { decimal, type DisplayUnits, formatValue } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { Paper } from '../sheet/Paper';
import { pathThrough } from '../sheet/scale';
import { SpanStrip } from '../sheet/SpanStrip';
import { Tall } from '../sheet/Tall';
import { bentLine, flexAt, type Pull, strengthCurves, tipWords } from './flexOf';

export interface BentProps {
  readonly design: Design;
  readonly strength: Analysis['strength'];
  readonly pull: Pull;
  readonly speeds: readonly [number, number];
  readonly enlarged: number;
}

interface BentWingProps extends BentProps {
  /** The wing whose numbers are drawn along the span. */
  readonly wing: string;
}

const LEFT = 96;
const RIGHT = 128;
const NARROW = { left: 78, right: 116 } as const;
const STRIP = 44;
/** Room of one line of names beside a strip [px]. */
const LINE = 14;
const BETWEEN = 14;
/** The wing from ahead keeps at least so much [px]. */
const FRONT = 110;
const FOOT = 16;

/** The wing from ahead as it bends, and under it what that comes to along the span. */
export function BentWing(props: BentWingProps) {
  const { design, strength, pull, speeds, wing } = props;
  const units = useAppSelector((state) => state.settings.units);
  const placed = useMemo(() => placeAll(design.surfaces), [design.surfaces]);
  const found = strength.surfaces.find(({ id }) => id === wing);
  if (!found) return null;
  const strips = stripsOf(strengthCurves(found, pull, speeds), units);
  const below = strips.reduce((sum, { height }) => sum + height + BETWEEN, FOOT);
  return (
    <Tall name="The wing as it bends" least={FRONT + below}>
      <Bending {...props} {...{ placed, found, strips, below, units }} />
    </Tall>
  );
}

interface BendingProps extends BentProps {
  readonly placed: readonly PlacedSurface[];
  readonly found: BentProps['strength']['surfaces'][number];
  readonly strips: ReturnType<typeof stripsOf>;
  /** Room of all strips [px]. */
  readonly below: number;
  readonly units: DisplayUnits;
}

function Bending({
  design,
  strength,
  pull,
  speeds,
  enlarged,
  placed,
  found: shown,
  strips,
  below,
  units,
}: BendingProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const wings = placed.flatMap((surface) => {
    const found = strength.surfaces.find(({ id }) => id === surface.id);
    return found && isWing(surface) ? [{ surface, ...bentLine(surface, found, pull, speeds, enlarged) }] : [];
  });
  const [left, right] = width < 520 ? [NARROW.left, width - NARROW.right] : [LEFT, width - RIGHT];
  const most = Math.max(...wings.flatMap(({ drawn, bent }) => [...drawn, ...bent].map(([y]) => Math.abs(y))), 1);
  const scale = Math.max(20, right - left) / (2 * most);
  const middle = (left + right) / 2;
  const u = (y: number) => middle + y * scale;
  const frontTall = height - below;
  const heights = wings.flatMap(({ drawn, bent }) => [...drawn, ...bent].map(([, z]) => z));
  const level = (Math.min(...heights) + Math.max(...heights)) / 2;
  const v = (z: number) => frontTall / 2 - (z - level) * scale;
  const tip = shown.nodes.at(-1)!;
  const flex = flexAt(tip, pull, speeds);
  return (
    <Paper
      place={ref}
      width={width}
      height={height}
      name={`${shown.surface} of ${design.name} under ${decimal(pull.factor, 1)} times its weight`}
      caption={`${shown.surface} from ahead, ${enlarged === 1 ? 'to scale' : `bent ${enlarged} times as far`}`}
      underTools
      over={<StrengthTable found={shown} units={units} />}
    >
      <g aria-hidden="true" fill="none">
        {wings.flatMap(({ surface, drawn, bent }) =>
          [1, -1].flatMap((side) => [
            <path
              key={`${surface.id}${side}`}
              d={pathThrough(drawn.map(([y, z]) => [u(side * y), v(z)]))}
              stroke="var(--color-faint)"
              strokeDasharray="5 4"
            />,
            <path
              key={`${surface.id}${side}bent`}
              d={pathThrough(bent.map(([y, z]) => [u(side * y), v(z)]))}
              stroke="var(--color-graphite)"
              strokeWidth={3}
              strokeLinecap="round"
            />,
          ]),
        )}
        <text x={middle} y={frontTall - 8} fontSize={12} textAnchor="middle" fill="var(--color-graphite)">
          {tipWords(flex, units)}
        </text>
      </g>
      {strips.map((strip, index) => (
        <SpanStrip
          key={strip.name}
          {...strip}
          {...{ u, left, right }}
          top={strips.slice(0, index).reduce((sum, before) => sum + before.height + BETWEEN, frontTall)}
          at={strip.name === 'twist' ? millimetresFromMetres(tip.y) : 0}
          fromNought
        />
      ))}
    </Paper>
  );
}

/** From the hardest worked member on; what is worked less than four others looks alike. */
const LOOKS = ['strong', 'plain', 'dotted', 'dashed', 'faint'] as const;

/** Rods have long names; beside a curve they are rods, in the table they have their names. */
function shortNames(members: readonly string[]): readonly string[] {
  const rods = members.filter((member) => !MEMBERS.has(member));
  return members.map((member) => {
    const rod = rods.indexOf(member);
    return rod < 0 ? member : rods.length > 1 ? `rod ${rod + 1}` : 'rod';
  });
}
const MEMBERS = new Set(['paper', 'core', 'covering', 'web', 'film', 'joint', 'shear']);

function stripsOf(curves: ReturnType<typeof strengthCurves>, units: DisplayUnits) {
  const moments = (value: number) => formatValue(value, 'moment', units);
  const names = shortNames(curves.members.map(({ member }) => member));
  return [
    {
      name: 'bending',
      height: STRIP,
      format: moments,
      curves: [
        { name: 'most', places: curves.limit, look: 'strong' },
        { name: 'level', places: curves.level, look: 'plain' },
      ] as const,
    },
    {
      name: 'of its limit',
      // A line for the name of each.
      height: Math.max(STRIP, curves.members.length * LINE + 2),
      format: (value: number) => `${decimal(value * 100, 0)} %`,
      curves: curves.members.map(({ places }, index) => ({
        name: names[index]!,
        places,
        look: LOOKS[Math.min(index, LOOKS.length - 1)]!,
      })),
    },
    {
      name: 'twist',
      height: STRIP,
      format: (value: number) => `${decimal(degreesFromRadians(value), 1)}°`,
      curves: [{ name: '', places: curves.twist, look: 'plain' }] as const,
    },
    {
      name: 'stiffness',
      height: STRIP,
      format: (value: number) => `${decimal(value, 1)} N·m²`,
      curves: [
        { name: 'E I', places: curves.bending, look: 'plain' },
        { name: 'G J', places: curves.twisting, look: 'dotted' },
      ] as const,
    },
  ];
}

function StrengthTable({
  found,
  units,
}: {
  readonly found: Analysis['strength']['surfaces'][number];
  readonly units: DisplayUnits;
}) {
  const every = Math.max(1, Math.floor(found.nodes.length / 6));
  return (
    <HiddenTable
      caption={`${found.surface} from root to tip`}
      columns={['Share of the span', 'Bending, level', 'Bending, most', 'Of its limit', 'Worked hardest', 'E I', 'G J']}
      rows={() =>
        found.nodes
          .filter((_, index) => index % every === 0 || index === found.nodes.length - 1)
          .map(({ spanFraction, moment, momentAtLimit, worked, member, stiffness, twistStiffness }) => [
            `${decimal(spanFraction * 100, 0)} %`,
            formatValue(moment, 'moment', units),
            formatValue(momentAtLimit, 'moment', units),
            `${decimal(worked * 100, 0)} %`,
            member,
            formatValue(stiffness, 'stiffness', units),
            formatValue(twistStiffness, 'stiffness', units),
          ])
      }
    />
  );
}
