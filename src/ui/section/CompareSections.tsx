import { field, type FieldChange } from '@/core/2-document/edit/field';
import { useEffect } from 'react';
import type { Analysis } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { freshSection } from '@/core/3-shape/section/freshSection';
import { decimal, formatSpeed, formatValue } from '@/words/formatQuantity';
import { analyseVariant, setFields } from '@/store/edit';
import { besideChosen, besideComputed } from '@/store/besideSlice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { Button } from '../shell/buttons';
import { late } from '../shell/Late';
import { SECTION_BUILDS, SECTION_KINDS } from '@/core/3-shape/section/kinds';

const SectionPolarChart = late(() => import('./SectionPolarChart'), {
  place: 'The chart of the sections',
  meanwhile: <p className="h-[200px] text-read text-faint">Drawing the chart…</p>,
});

const OTHERS = SECTION_KINDS.filter((kind) => SECTION_BUILDS[kind].fresh !== null);

/** This section beside another, on the whole aircraft at its weight and Reynolds number. */
interface CompareSectionsProps {
  readonly design: Design;
  readonly surface: Surface;
  readonly station: number;
}

export function CompareSections({ design, surface, station }: CompareSectionsProps) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const present = useAppSelector((state) => state.analysis.current);
  const dragging = useAppSelector((state) => state.session.dragging);
  const { kind: chosen, sheet, other: computed } = useAppSelector((state) => state.beside);
  const { section, chord } = surface.stations[station]!;
  // Without a choice: flat beside whatever is folded, folded beside what is flat.
  const kind = chosen ?? (section.kind === 'flatPlate' ? 'foldedOverSpar' : 'flatPlate');
  const change: FieldChange[] = [
    ...(kind === ''
      ? []
      : surface.stations.flatMap((of, index) => {
          const fresh = freshSection(kind, of.section);
          return fresh ? [field('surfaces', surface.id, 'stations', index, 'section').to(fresh)] : [];
        })),
    ...(sheet === '' ? [] : [field('surfaces', surface.id, 'construction', 'material').to(sheet)]),
  ];
  const name = kind === '' ? 'other board' : SECTION_BUILDS[kind].name.toLowerCase();
  const asked = JSON.stringify([kind, sheet, surface.id]);
  useEffect(() => {
    let current = true;
    dispatch(besideComputed(null));
    if (change.length === 0 || dragging) return;
    const asking = new AbortController();
    void dispatch(analyseVariant(withFields(design, change), asking)).then(
      (analysis) => current && analysis && dispatch(besideComputed({ name, analysis })),
    );
    return () => {
      current = false;
      asking.abort();
    };
    // The variant follows the design and what was chosen; `change` is made from both.
    // oxlint-disable-next-line react-hooks/exhaustive-deps
  }, [design, asked, dragging, dispatch]);

  const other = computed?.analysis ?? null;
  const reynolds =
    present?.sections.find((entry) => entry.surface === surface.id && entry.station === station)?.reynolds ?? 1e5;
  const fresh = kind === '' ? null : freshSection(kind, section);
  const curves = [
    { name: SECTION_BUILDS[section.kind].name.toLowerCase(), section, chord, reynolds },
    ...(fresh ? [{ name, section: fresh, chord, reynolds }] : []),
  ];

  const rows: readonly (readonly [string, (analysis: Analysis) => string])[] = [
    ['Stall', ({ speeds }) => (speeds.stall === null ? '–' : formatSpeed(speeds.stall, units))],
    ['Greatest lift', ({ stall }) => (stall.liftCoefficient === null ? '–' : decimal(stall.liftCoefficient, 2))],
    ['Drag at cruise', ({ drag }) => (drag.total === null ? '–' : decimal(drag.total, 4))],
    ['Best glide', ({ speeds }) => (speeds.glideRatio === null ? '–' : `1 : ${decimal(speeds.glideRatio, 1)}`)],
    ['Least sink', ({ speeds }) => (speeds.sink === null ? '–' : `${decimal(speeds.sink, 2)} m/s`)],
    ['Weight', ({ mass }) => (mass.total === null ? '–' : formatValue(mass.total, 'mass', units))],
    ['Static margin', ({ pitch }) => (pitch.staticMargin === null ? '–' : `${decimal(pitch.staticMargin * 100, 1)} %`)],
  ];
  return (
    <Section title="Beside another section">
      <div className="grid grid-cols-2 gap-x-2">
        <SelectField
          label="The other built as"
          value={kind}
          options={[['' as const, 'as it is'], ...OTHERS.map((other) => [other, SECTION_BUILDS[other].name] as const)]}
          onChange={(next) => dispatch(besideChosen({ kind: next }))}
        />
        {surface.construction && (
          <SelectField
            label="The other cut from"
            value={sheet}
            options={[['', 'as it is'], ...design.materials.map(({ id, name }) => [id, name || id] as const)]}
            onChange={(next) => dispatch(besideChosen({ sheet: next }))}
          />
        )}
      </div>
      <SectionPolarChart curves={curves} />
      {present && change.length > 0 && (
        <>
          <table className="mt-2 w-full text-label">
            <thead>
              <tr className="text-faint">
                <th scope="col" className="text-left font-normal">
                  At this weight and speed
                </th>
                <th scope="col" className="text-right font-normal">
                  now
                </th>
                <th scope="col" className="text-right font-normal">
                  then
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map(([name, show]) => (
                <tr key={name} className="border-t border-soft">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {name}
                  </th>
                  <td className="text-right">{show(present)}</td>
                  <td className="text-right font-medium">{other ? show(other) : '…'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 text-label text-faint">
            Section data carry ±12 % in lift and ±25 % in drag: smaller differences mean little.
          </p>
          <Button
            className="mt-1.5"
            onClick={() => {
              dispatch(setFields(change));
              dispatch(besideChosen({ kind: null, sheet: '' }));
            }}
          >
            Take it
          </Button>
        </>
      )}
    </Section>
  );
}
