import { thousands } from '@/core/1-base/words/phrase';
import { field } from '@/core/2-document/edit/field';
import { useState } from 'react';
import type { SectionKind } from '@/core/2-document/schema/section';
import type { Surface } from '@/core/2-document/schema/surface';
import { freshSection } from '@/core/3-shape/section/freshSection';
import { decimal } from '@/words/formatQuantity';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { readCoordinates } from '@/files/coordinateFile';
import { ChooseFile } from '../shell/ChooseFile';
import { QuantityField } from '../fields/QuantityField';
import { SelectField } from '../fields/SelectField';
import { thicknessWorking } from '@/core/6-groups/sections/sections';
import { Derived, Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { SECTION_BUILDS, SECTION_KINDS } from '@/core/3-shape/section/kinds';
import { SECTION_FORMS, type SectionChoice, type SectionField, type SectionKey } from './sectionForms';

interface SectionEditorProps {
  readonly surface: Surface;
  readonly station: number;
}

/** The points of a contour take a few kilobytes. */
const MOST_CONTOUR_BYTES = 500_000;

/** How the sections of a surface are built, all stations alike or one by itself, and what follows from it. */
export function SectionEditor({ surface, station }: SectionEditorProps) {
  const dispatch = useAppDispatch();
  const [alone, setAlone] = useState(false);
  const root = surface.stations[station]!.section;
  const isMeant = (index: number) => !alone || index === station;
  const [fault, setFault] = useState<string | null>(null);
  const summary = useAppSelector((state) =>
    state.analysis.current?.sections.find((entry) => entry.surface === surface.id && entry.station === station),
  );
  const setAll = (key: string, value: number | string | boolean | undefined) =>
    dispatch(
      setFields(
        surface.stations.flatMap(({ section }, index) =>
          isMeant(index) && section.kind === root.kind
            ? [field('surfaces', surface.id, 'stations', index, 'section', key as SectionKey).to(value as number)]
            : [],
        ),
      ),
    );
  const setKind = (kind: SectionKind) => {
    const fresh = freshSection(kind, root);
    if (fresh)
      dispatch(
        setFields(
          surface.stations.flatMap((_, index) =>
            isMeant(index) ? [field('surfaces', surface.id, 'stations', index, 'section').to(fresh)] : [],
          ),
        ),
      );
  };
  const importContour = async (file: File) => {
    const read =
      file.size > MOST_CONTOUR_BYTES
        ? ({ ok: false, message: 'It is larger than 500 kB: no contour is.' } as const)
        : readCoordinates(await file.text());
    setFault(read.ok ? null : `${file.name} was not taken. ${read.message}`);
    if (read.ok)
      dispatch(
        setFields(
          surface.stations.flatMap((_, index) =>
            isMeant(index) ? [field('surfaces', surface.id, 'stations', index, 'section').to(read.section)] : [],
          ),
        ),
      );
  };
  const kinds = SECTION_KINDS.filter((kind) => kind !== 'coordinates' || kind === root.kind);
  return (
    <Section
      title="Section"
      aside={
        <ChooseFile
          look="quiet"
          words="Import coordinates"
          label="File of section coordinates"
          accept=".dat,.txt,.csv,text/plain"
          onFile={(file) => void importContour(file)}
        />
      }
    >
      {fault && (
        <p role="alert" className="mb-1.5 border-l-4 border-stop bg-stop-soft p-2 text-read">
          {fault}
        </p>
      )}
      <div className="grid grid-cols-3 gap-x-2 gap-y-1.5">
        <div className="col-span-2">
          <SelectField
            label="Built as"
            value={root.kind}
            options={kinds.map((kind) => [kind, SECTION_BUILDS[kind].name] as const)}
            onChange={setKind}
          />
        </div>
        <SelectField
          label="For"
          value={alone ? 'one' : 'all'}
          options={[
            ['all', 'all stations'],
            ['one', 'this one'],
          ]}
          onChange={(scope) => setAlone(scope === 'one')}
        />
        {(SECTION_FORMS[root.kind].fields as readonly SectionField[]).map(({ key, label, kind, without }) => {
          const factor = kind === 'percent' ? 100 : 1;
          const value = (root as unknown as Record<string, number | undefined>)[key];
          return (
            <QuantityField
              key={key}
              label={label}
              kind={kind}
              value={value === undefined ? undefined : value * factor}
              onCommit={(next) => setAll(key, next / factor)}
              {...(without === undefined ? {} : { placeholder: without, onClear: () => setAll(key, undefined) })}
            />
          );
        })}
        {((SECTION_FORMS[root.kind].choices ?? []) as readonly SectionChoice[]).map(({ key, label, options }) => (
          <div key={key} className="col-span-2">
            <SelectField
              label={label}
              value={String((root as unknown as Record<string, string | boolean>)[key] ?? options[0]![0])}
              options={options.map(([value, words]) => [String(value), words] as const)}
              onChange={(chosen) => setAll(key, options.find(([value]) => String(value) === chosen)![0])}
            />
          </div>
        ))}
      </div>
      {summary && (
        <div className="mt-1.5">
          <Derived
            id={thicknessWorking(surface.id, station)}
            label="Thickest"
            beside={` of chord, at ${decimal(summary.thicknessPosition * 100, 0)} %`}
          />
          <Fact label="Zero-lift angle, moment">
            {decimal(degreesFromRadians(summary.zeroLiftAngle), 2)}°, {decimal(summary.quarterChordMoment, 3)}
          </Fact>
          <Fact label="Least drag at cruise Re">{decimal(summary.leastDrag, 4)} with its edges</Fact>
          <Fact label="Greatest lift at cruise Re">
            {decimal(summary.maximumLift, 2)} ±{decimal(summary.maximumLiftBand * 100, 0)} % at{' '}
            {thousands(summary.reynolds)}
            {summary.outsideTable && ' (outside the table)'}
          </Fact>
        </div>
      )}
    </Section>
  );
}
