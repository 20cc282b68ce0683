import { memo, useMemo } from 'react';
import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { placeAll, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatLength } from '@/words/formatQuantity';
import { HiddenTable } from '../sheet/HiddenTable';
import { valueAt } from '../sheet/scale';
import { SpanStrip } from '../sheet/SpanStrip';
import { shownSurface, type SpanCurves, spanCurves, stallingStretches, stretchOutline } from './spanCurves';
import type { SpanFrame } from './spanFrame';
import { Outline } from '../sheet/Outline';

/** The surface that is shown along its span, as it is now. */
function useShownSurface(chosen: string | null): PlacedSurface | undefined {
  const surfaces = useAppSelector((state) => state.document.present!.surfaces);
  return useMemo(() => shownSurface(placeAll(surfaces), chosen), [surfaces, chosen]);
}

function useSpanCurves(chosen: string | null): SpanCurves | undefined {
  const design = useAppSelector((state) => state.document.present!);
  const analysis = useAppSelector((state) => state.analysis.current);
  const shown = useShownSurface(chosen);
  return useMemo(() => shown && spanCurves(design, shown, analysis), [design, shown, analysis]);
}

interface AlongSpanProps {
  readonly frame: SpanFrame;
  readonly chosen: string | null;
}

/** Where little lift is left when the stall starts, and where it starts. */
export const StallMarks = memo(function StallMarks({ frame: { u, v }, chosen }: AlongSpanProps) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const surface = useShownSurface(chosen);
  const stretches = useMemo(
    () => (analysis && surface ? stallingStretches(analysis, surface) : []),
    [analysis, surface],
  );
  if (!surface) return null;
  const first = stretches.find(({ isFirst }) => isFirst);
  return (
    <g aria-hidden="true" data-testid="stall-marks">
      {stretches.flatMap((stretch) =>
        [1, -1].map((side) => (
          <Outline
            key={`${stretch.from}${stretch.isFirst}${side}`}
            d={`M${stretchOutline(surface, stretch)
              .map(([x, y]) => `${u(side * y)} ${v(x)}`)
              .join('L')}Z`}
            fill="var(--color-caution)"
            fillOpacity={stretch.isFirst ? 0.3 : 0.2}
          />
        )),
      )}
      {first &&
        [1, -1].map((side) => {
          const outline = stretchOutline(surface, first);
          const [, , [x0, y0], [x1, y1]] = outline as readonly [unknown, unknown, [number, number], [number, number]];
          const [x, y] = [u((side * (y0 + y1)) / 2), v((x0 + x1) / 2)];
          return (
            <g key={side}>
              <Outline d={`M${x} ${y + 3} L${x - 6} ${y + 13} L${x + 6} ${y + 13} Z`} fill="var(--color-caution)" />
              {side === 1 && (
                <text x={x + 9} y={y + 14} fontSize={12} fill="var(--color-caution)">
                  stalls first
                </text>
              )}
            </g>
          );
        })}
    </g>
  );
});

interface SpanStripsProps extends AlongSpanProps {
  readonly at: number;
}

const twoPlaces = (value: number) => decimal(value, 2);
const inDegrees = (value: number) => `${decimal(degreesFromRadians(value), 1)}°`;
const THOUSAND = 1e3;
const inThousands = (value: number) => `${decimal(value / THOUSAND, 0)} 000`;

export const SpanStrips = memo(function SpanStrips({ frame: { u, left, right, strips }, chosen, at }: SpanStripsProps) {
  const units = useAppSelector((state) => state.settings.units);
  const curves = useSpanCurves(chosen);
  if (!curves) return null;
  const { lift, chord, angle, reynolds } = curves;
  const common = { u, left, right, at };
  return (
    <g data-testid="span-strips">
      <SpanStrip
        {...common}
        {...strips.lift}
        name="local lift c_l"
        format={twoPlaces}
        fromNought
        curves={[
          { name: 'can carry', places: lift.limit, look: 'dotted' },
          { name: 'at the stall', places: lift.atStall, look: 'strong' },
          { name: 'at cruise', places: lift.atCruise, look: 'plain' },
        ]}
      />
      <SpanStrip
        {...common}
        {...strips.chord}
        name="chord"
        format={(value) => formatLength(millimetresFromMetres(value), units, 0)}
        fromNought
        curves={[{ name: '', places: chord, look: 'plain' }]}
      />
      <SpanStrip
        {...common}
        {...strips.angle}
        name="angle, twist"
        format={inDegrees}
        curves={[{ name: '', places: angle, look: 'plain' }]}
      />
      <SpanStrip
        {...common}
        {...strips.reynolds}
        name="Reynolds"
        format={inThousands}
        fromNought
        curves={[{ name: '', places: reynolds, look: 'plain' }]}
      />
    </g>
  );
});

/** The strips as numbers, for those who hear them: at each tenth of the half span. */
export function SpanTable({
  design,
  shown: surface,
  name,
}: {
  readonly design: Design;
  readonly shown: PlacedSurface;
  readonly name: string;
}) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const shown = (value: number | null, format: (value: number) => string) => (value === null ? '–' : format(value));
  return (
    <HiddenTable
      caption={`${name} along the half span`}
      columns={['From the middle', 'Can carry', 'At the stall', 'At cruise', 'Chord', 'Angle', 'Reynolds number']}
      rows={() => {
        const { lift, chord, angle, reynolds } = spanCurves(design, surface, analysis);
        return [0, 0.2, 0.4, 0.6, 0.8, 1].map((share) => {
          const y = share * chord.at(-1)![0];
          return [
            formatLength(y, units, 0),
            shown(valueAt(lift.limit, y), twoPlaces),
            shown(valueAt(lift.atStall, y), twoPlaces),
            shown(valueAt(lift.atCruise, y), twoPlaces),
            shown(valueAt(chord, y), (value) => formatLength(millimetresFromMetres(value), units, 0)),
            shown(valueAt(angle, y), inDegrees),
            shown(valueAt(reynolds, y), inThousands),
          ];
        });
      }}
    />
  );
}
