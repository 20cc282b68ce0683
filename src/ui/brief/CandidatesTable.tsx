import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { kilogramsFromGrams, metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Candidate, SizingResult } from '@/core/8-sizing/sizeDesign';
import { decimal, type DisplayUnits, formatLength, formatSpeed, formatValue } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { startFrom } from '@/store/sizing';
import { fittedScale, PlanThumbnail } from '../designs/PlanThumbnail';
import { Say } from '../numbers/Say';
import { Button } from '../shell/buttons';

interface CandidatesTableProps {
  readonly design: Design;
  readonly results: readonly SizingResult[];
}

interface Row {
  readonly name: string;
  readonly asked: (candidate: Candidate) => string | null;
  readonly shown: (candidate: Candidate) => string;
  /** By how much it misses what is asked, in words; null where it does not. */
  readonly misses?: (candidate: Candidate) => string | null;
}

/** Room of a plan [px]. */
const PLAN = { width: 176, height: 118 } as const;
/** What is off by less is met: sizes are round, and the models do not know better. */
const MET = 0.03;

function rowsOf({ brief }: Design, units: DisplayUnits): readonly Row[] {
  const over = (value: number | null, limit: number | undefined, format: (value: number) => string, word: string) =>
    value !== null && limit !== undefined && value > limit * (1 + MET) ? `${format(value - limit)} too ${word}` : null;
  const speed = (value: number) => formatSpeed(value, units);
  const loading = (value: number) => formatValue(value, 'wingLoading', units);
  const mass = (value: number) => formatValue(value, 'mass', units);
  const length = (value: number) => formatLength(millimetresFromMetres(value), units, 0);
  const known = (value: number | null, format: (value: number) => string) => (value === null ? '–' : format(value));
  const [mostMass, mostSpan] = [
    brief.maximumMass === undefined ? undefined : kilogramsFromGrams(brief.maximumMass),
    brief.maximumSpan === undefined ? undefined : metresFromMillimetres(brief.maximumSpan),
  ];
  return [
    {
      name: 'Stall speed',
      asked: ({ targets }) => `at most ${speed(targets.stallSpeed)}`,
      shown: ({ analysis }) => known(analysis.speeds.stall, speed),
      misses: ({ analysis, targets }) => over(analysis.speeds.stall, targets.stallSpeed, speed, 'fast'),
    },
    {
      name: 'Cruise speed',
      asked: ({ targets }) => speed(targets.cruiseSpeed),
      shown: ({ design }) => speed(design.conditions.cruiseSpeed),
    },
    {
      name: 'Wing loading',
      asked: ({ targets }) => `about ${loading(targets.wingLoading)}`,
      shown: ({ analysis }) => known(analysis.mass.wingLoading, loading),
      misses: ({ analysis, targets }) => over(analysis.mass.wingLoading, targets.wingLoading, loading, 'much'),
    },
    {
      name: 'Weight',
      asked: () => (mostMass === undefined ? null : `at most ${mass(mostMass)}`),
      shown: ({ analysis }) => known(analysis.mass.total, mass),
      misses: ({ analysis }) => over(analysis.mass.total, mostMass, mass, 'heavy'),
    },
    {
      name: 'Span',
      asked: () => (mostSpan === undefined ? null : `at most ${length(mostSpan)}`),
      shown: ({ analysis }) => known(analysis.reference.span, length),
      misses: ({ analysis }) => over(analysis.reference.span, mostSpan, length, 'wide'),
    },
    {
      name: 'Wing area',
      asked: () => null,
      shown: ({ analysis }) => known(analysis.reference.area, (area) => formatValue(area, 'area', units)),
    },
    {
      name: 'Static margin',
      asked: ({ design }) =>
        `${decimal(design.balance.minimumStaticMargin * 100, 0)} to ${decimal(design.balance.maximumStaticMargin * 100, 0)} %`,
      shown: ({ analysis }) => known(analysis.pitch.staticMargin, (margin) => `${decimal(margin * 100, 1)} %`),
      misses: ({ analysis, design }) =>
        analysis.pitch.staticMargin !== null && analysis.pitch.staticMargin < design.balance.minimumStaticMargin
          ? 'too small'
          : null,
    },
    {
      name: 'Width of its window',
      asked: () => null,
      shown: ({ analysis: { window } }) =>
        window.forward === null || window.aft === null ? '–' : length(Math.max(0, window.aft - window.forward)),
    },
    {
      name: 'Best glide',
      asked: () => null,
      shown: ({ analysis }) => known(analysis.speeds.glideRatio, (ratio) => `1 : ${decimal(ratio, 1)}`),
    },
  ];
}

/** Layouts drawn to one scale, their numbers in rows beside what the brief asks for, and what each misses. */
export function CandidatesTable({ design, results }: CandidatesTableProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const sized = results.flatMap((result) => (result.kind === 'sized' ? [result.candidate] : []));
  const scale = Math.min(...sized.map((candidate) => fittedScale(candidate.design, PLAN.width, PLAN.height)));
  const first = sized[0];
  const rows = rowsOf(design, units);
  const each = (cell: (candidate: Candidate) => ReactNode, impossible: ReactNode = null) =>
    results.map((result, index) => (
      <td key={index} className="px-2 py-1 align-top">
        {result.kind === 'sized' ? cell(result.candidate) : impossible}
      </td>
    ));
  return (
    <div className="mt-4 overflow-x-auto" aria-live="polite">
      <table className="w-full text-read" data-testid="layouts">
        <caption className="pb-1 text-left text-label text-faint">
          {first ? `Drawn to one scale: the lines below the plans are ${formatLength(SCALE_BAR, units, 0)}.` : ''}
        </caption>
        <thead>
          <tr className="align-top">
            <th scope="col" className="w-32 px-2 text-left font-normal text-faint">
              <span className="sr-only">Quantity</span>
            </th>
            <th scope="col" className="w-32 px-2 text-left font-normal text-faint">
              asked
            </th>
            {results.map((result, index) => {
              const recipe = result.kind === 'sized' ? result.candidate.recipe : result.recipe;
              return (
                <th
                  key={index}
                  scope="col"
                  className="border-t-2 border-graphite px-2 pt-1 text-left font-normal"
                  data-layout={recipe.name}
                >
                  <span className="block font-semibold">{recipe.name}</span>
                  {result.kind === 'sized' ? (
                    <>
                      <PlanThumbnail
                        design={result.candidate.design}
                        width={PLAN.width}
                        height={PLAN.height}
                        scale={scale}
                      />
                      <svg width={PLAN.width} height={8} aria-hidden="true">
                        <path
                          d={`M1 1 v6 M1 4 h${SCALE_BAR * scale} m0 -3 v6`}
                          stroke="var(--color-faint)"
                          fill="none"
                        />
                      </svg>
                    </>
                  ) : (
                    <span className="mt-1 block text-caution">
                      <Say words={result.because} />
                    </span>
                  )}
                  <span className="block text-label text-faint">{recipe.because}</span>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className="border-t border-soft align-baseline">
              <th scope="row" className="px-2 py-1 text-left font-normal text-faint">
                {row.name}
              </th>
              <td className="px-2 whitespace-nowrap text-faint">{first && row.asked(first)}</td>
              {each((candidate) => {
                const missed = row.misses?.(candidate) ?? null;
                return (
                  <>
                    <span className="font-medium">{row.shown(candidate)}</span>
                    {missed !== null && (
                      <span className="ml-1.5 inline-flex items-center gap-1 text-label text-caution">
                        <TriangleAlert size={13} aria-hidden="true" /> {missed}
                      </span>
                    )}
                  </>
                );
              })}
            </tr>
          ))}
          <tr className="border-t border-soft">
            <th scope="row" className="px-2 py-1 text-left align-top font-normal text-faint">
              What gives way
            </th>
            <td>–</td>
            {each(({ remarks }) =>
              remarks.length === 0 ? (
                <span className="text-label text-faint">nothing</span>
              ) : (
                remarks.map((remark, index) => (
                  <span key={index} className="mb-1 block border-l-4 border-caution bg-caution-soft p-1 text-label">
                    <Say words={remark} />
                  </span>
                ))
              ),
            )}
          </tr>
          <tr>
            <td colSpan={2}>
              <span className="sr-only">Take one</span>
            </td>
            {results.map((result, index) => (
              <td key={index} className="px-2 pt-1">
                {result.kind === 'sized' && (
                  <Button
                    className="w-full"
                    aria-label={`Start from this: ${result.candidate.recipe.name}`}
                    onClick={() => dispatch(startFrom(result))}
                  >
                    Start from this
                  </Button>
                )}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** Length of the scale below each plan [mm]. */
const SCALE_BAR = 200;
