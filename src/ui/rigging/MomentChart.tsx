import { useMemo } from 'react';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { type MomentCurve, type MomentCurves, momentCurves, type Power } from '@/core/6-groups/trim/momentCurves';
import { useAppSelector } from '@/store/hooks';
import { decimal, type DisplayUnits, formatSpeed } from '@/words/formatQuantity';
import { useSize } from '../drawing/useSize';
import { HiddenTable } from '../sheet/HiddenTable';
import { type Axis, type Box, PlotFrame, scalesOf } from '../sheet/PlotFrame';
import { spanOf } from '../sheet/scale';
import { spacedLabels } from '../sheet/spacedLabels';
import { Picture } from '../sheet/Picture';

const NAMES: Readonly<Record<Power, string>> = { off: 'power off', cruise: 'cruise power', full: 'full power' };
interface Look {
  readonly stroke: string;
  readonly strokeWidth: number;
  readonly strokeDasharray?: string;
}

const LOOKS: Readonly<Record<Power, Look>> = {
  off: { stroke: 'var(--color-balance)', strokeWidth: 2.4 },
  cruise: { stroke: 'var(--color-graphite)', strokeWidth: 1.5 },
  full: { stroke: 'var(--color-graphite)', strokeWidth: 1.5, strokeDasharray: '6 4' },
};

/** What becomes of it with the control let go, in words. */
function outcome({ settling }: MomentCurve, units: DisplayUnits): string {
  switch (settling.kind) {
    case 'settles':
      return settling.speed === null
        ? `settles at C_L ${decimal(settling.lift, 2)}`
        : `settles at ${formatSpeed(settling.speed, units)}`;
    case 'dives':
      return 'noses into a dive';
    case 'stalls':
      return 'noses up into the stall';
    case 'holdsNothing':
      return 'goes on turning away';
  }
}

const RIGHT = 176;
/** On narrower paper the curves are named under it, a line for each [px]. */
export const NAMED_BELOW = 560;
const LINE = 16;
/** The moment is drawn to this at least on both sides of nought. */
const LEAST_MOMENT = 0.02;
/** Of the range from no lift to the stall, drawn beyond either end. */
const BEYOND = 0.12;

/** Moment over angle of attack with the pitch control let go, by power: where it settles, the stall, the dive. */
export function MomentChart() {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const analysis = useAppSelector((state) => state.analysis.current);
  const curves = useMemo(() => analysis && momentCurves(analysis), [analysis]);
  return (
    <div className="h-full min-h-0 w-full" ref={ref} data-testid="moment-chart">
      {curves ? (
        width > 0 && <MomentDrawing curves={curves} width={width} height={height} />
      ) : (
        <p className="p-4 text-faint">Lift, moment and stall are not known yet: there is no moment to draw.</p>
      )}
    </div>
  );
}

interface MomentDrawingProps {
  readonly curves: MomentCurves;
  readonly width: number;
  readonly height: number;
}

function MomentDrawing({ curves: { zeroLiftAlpha, stallAlpha, curves }, width, height }: MomentDrawingProps) {
  const units = useAppSelector((state) => state.settings.units);
  const isNarrow = width < NAMED_BELOW;
  const box: Box = {
    left: 58,
    top: 40,
    width: Math.max(60, width - 58 - (isNarrow ? 14 : RIGHT)),
    height: Math.max(40, height - 84 - (isNarrow ? curves.length * LINE + 6 : 0)),
  };
  const [dive, stall] = [degreesFromRadians(zeroLiftAlpha), degreesFromRadians(stallAlpha)];
  const beyond = BEYOND * (stall - dive);
  const [low, high] = spanOf([
    -LEAST_MOMENT,
    LEAST_MOMENT,
    ...curves.flatMap(({ atZeroLift, atStall }) => [atZeroLift, atStall]),
  ]);
  const x: Axis = {
    domain: [dive - beyond, stall + beyond],
    name: 'Angle of attack of the datum, °',
    format: (value) => decimal(value, 1),
  };
  const y: Axis = {
    domain: [low - 0.06 * (high - low), high + 0.06 * (high - low)],
    name: 'Pitching moment C_m, nose up, control let go',
    format: (value) => decimal(value, 3),
    ticks: 4,
  };
  const { u, v } = scalesOf(box, x, y);
  const bottom = box.top + box.height;
  const right = box.left + box.width;
  const named = spacedLabels(
    curves.map(({ atStall }) => v(atStall)),
    30,
    [box.top + 12, bottom - 12],
  );
  return (
    <>
      <Picture
        width={width}
        height={height}
        name={`Pitching moment over angle of attack: ${curves.map((curve) => `${NAMES[curve.power]} ${outcome(curve, units)}`).join(', ')}`}
      >
        <PlotFrame box={box} x={x} y={y}>
          <rect
            x={box.left}
            y={box.top}
            width={u(dive) - box.left}
            height={box.height}
            fill="var(--color-soft)"
            fillOpacity={0.7}
          />
          <rect
            x={u(stall)}
            y={box.top}
            width={right - u(stall)}
            height={box.height}
            fill="var(--color-soft)"
            fillOpacity={0.7}
          />
          <g fontSize={12} fill="var(--color-graphite)" textAnchor="middle">
            <text x={(u(dive) + box.left) / 2} y={bottom - 6}>
              dive
            </text>
            <text x={(u(stall) + right) / 2} y={bottom - 6}>
              stall
            </text>
          </g>
          <path d={`M${box.left} ${v(0)} H${right}`} stroke="var(--color-graphite)" />
          {curves.map((curve, index) => (
            <g key={curve.power}>
              <path
                d={`M${u(dive)} ${v(curve.atZeroLift)} L${u(stall)} ${v(curve.atStall)}`}
                fill="none"
                {...LOOKS[curve.power]}
              />
              {curve.settling.kind === 'settles' && (
                <circle
                  cx={u(degreesFromRadians(curve.settling.alpha))}
                  cy={v(0)}
                  r={4.5}
                  fill="var(--color-sheet)"
                  {...LOOKS[curve.power]}
                  strokeDasharray={undefined}
                />
              )}
              {!isNarrow && (
                <>
                  <path
                    d={`M${u(stall)} ${v(curve.atStall)} L${right + 8} ${named[index]!}`}
                    stroke="var(--color-rule)"
                    fill="none"
                  />
                  <text
                    x={right + 12}
                    y={named[index]! - 2}
                    fontSize={12}
                    fill="var(--color-graphite)"
                    fontWeight={500}
                  >
                    {NAMES[curve.power]}
                  </text>
                  <text x={right + 12} y={named[index]! + 12} fontSize={12}>
                    {outcome(curve, units).replace('C_L', 'a lift of')}
                  </text>
                </>
              )}
            </g>
          ))}
        </PlotFrame>
        {isNarrow && <NamesBelow curves={curves} top={bottom + 52} />}
      </Picture>
      <HiddenTable
        caption="Pitching moment by power, control let go"
        columns={['Power', 'Without lift', 'At the stall', 'What it does']}
        rows={() =>
          curves.map((curve) => [
            NAMES[curve.power],
            decimal(curve.atZeroLift, 3),
            decimal(curve.atStall, 3),
            outcome(curve, units),
          ])
        }
      />
    </>
  );
}

interface NamesBelowProps {
  readonly curves: MomentCurves['curves'];
  readonly top: number;
}

/** The curves by their looks, and what the aircraft does with each power, where there is no room beside them. */
function NamesBelow({ curves, top }: NamesBelowProps) {
  const units = useAppSelector((state) => state.settings.units);
  return curves.map((curve, index) => {
    const y = top + index * LINE;
    return (
      <g key={curve.power} fontSize={12} fill="var(--color-faint)">
        <path d={`M14 ${y - 4} h22`} fill="none" {...LOOKS[curve.power]} />
        <text x={42} y={y}>
          <tspan fill="var(--color-graphite)" fontWeight={500}>
            {NAMES[curve.power]}
          </tspan>{' '}
          {outcome(curve, units).replace('C_L', 'a lift of')}
        </text>
      </g>
    );
  });
}
