import { isLevel, isPitchTail } from '@/core/2-document/schema/roles';
import { field } from '@/core/2-document/edit/field';
import { Fragment, useState } from 'react';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { shimFor } from '@/core/3-shape/geometry/shim';
import { turned, turnForNeutral } from '@/core/7-verdict/changes';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { decimal, formatLength, formatValue } from '@/words/formatQuantity';
import { setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { QuantityField } from '../fields/QuantityField';
import { Derived, Fact, Why } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { Typeset } from '../numbers/Typeset';
import { Button } from '../shell/buttons';
import { AsBuiltAngles } from './AsBuiltAngles';
import { FACE_WORDS } from './faceWords';
import { Drives, InTheWind } from './Drives';
import { Levelling } from './Levelling';

const degrees = (radians: number, digits = 1) => `${decimal(degreesFromRadians(radians), digits)}°`;

/** Angles against the datum, what they do, and the shim that mends them. */
export function RiggingStage({ design }: { readonly design: Design }) {
  const analysis = useAppSelector((state) => state.analysis.current);
  const level = design.surfaces.filter(isLevel);
  if (level.length === 0) return <p className="p-3 text-read text-faint">Nothing is drawn yet.</p>;
  return (
    <>
      <Angles design={design} surfaces={level} analysis={analysis} />
      <TrimNumbers design={design} analysis={analysis} />
      <ShimFor surfaces={level} />
      <AsBuiltAngles design={design} surfaces={level} />
      <Drives design={design} />
      <InTheWind design={design} />
    </>
  );
}

interface AnglesProps {
  readonly design: Design;
  readonly surfaces: readonly Surface[];
  readonly analysis: Analysis | null;
}

function Angles({ design, surfaces, analysis }: AnglesProps) {
  const dispatch = useAppDispatch();
  return (
    <Section title="Angles against the datum">
      <table className="w-full table-fixed text-label">
        <thead>
          <tr className="text-faint">
            <th scope="col" className="w-[27%] text-left font-normal">
              Surface
            </th>
            <th scope="col" className="text-left font-normal">
              Incidence
            </th>
            <th scope="col" className="text-right font-normal">
              Meets air at
            </th>
            <th scope="col" className="text-right font-normal">
              Bears
            </th>
          </tr>
        </thead>
        <tbody>
          {surfaces.map((surface) => {
            const line = analysis?.rigging.surfaces.find((entry) => entry.surface === surface.id);
            return (
              <Fragment key={surface.id}>
                <tr className="border-t border-soft">
                  <th
                    scope="row"
                    className="leading-tight py-1 pr-1 text-left font-normal"
                    title={surface.name || surface.id}
                  >
                    {surface.name || surface.id}
                  </th>
                  <td>
                    <QuantityField
                      hideLabel
                      label={`Incidence of ${surface.name || surface.id}`}
                      kind="angle"
                      value={surface.incidence}
                      onCommit={(value) => dispatch(setFields([field('surfaces', surface.id, 'incidence').to(value)]))}
                    />
                  </td>
                  <td className="text-right">{line ? degrees(line.againstAir) : '–'}</td>
                  <td className="text-right">
                    {line && line.bears !== null ? `± ${degrees(Math.min(line.bears, 0.35))}` : '–'}
                  </td>
                </tr>
                {line && (
                  <tr>
                    <td colSpan={4} className="pb-1 text-faint">
                      <FaceReading line={line} />
                    </td>
                  </tr>
                )}
              </Fragment>
            );
          })}
        </tbody>
      </table>
      {analysis?.rigging.decalageDrawn != null && (
        <Fact label="Decalage, front over rear">
          {degrees(analysis.rigging.decalageDrawn)}
          {Math.abs(analysis.rigging.decalageFlown! - analysis.rigging.decalageDrawn) >= ALIKE &&
            `, ${degrees(analysis.rigging.decalageFlown!)} as measured`}
        </Fact>
      )}
      <Levelling design={design} />
      <p className="mt-1 text-label text-faint">
        “Bears”: the error either way with which it still flies hands off between no lift and 85 % of its stall.
      </p>
    </Section>
  );
}

/** Angles that differ by less are alike [rad]. */
const ALIKE = 0.0005;
/** What a tilt meter shows on the face that it can be laid on. */
function FaceReading({ line }: { readonly line: Analysis['rigging']['surfaces'][number] }) {
  return (
    <>
      {FACE_WORDS[line.face]}: {degrees(line.faceReadingDrawn)}
      {Math.abs(line.faceReadingFlown - line.faceReadingDrawn) >= ALIKE &&
        `, ${degrees(line.faceReadingFlown)} as measured`}
    </>
  );
}

function TrimNumbers({ design, analysis }: { readonly design: Design; readonly analysis: Analysis | null }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis) return null;
  const { trim, rigging } = analysis;
  const tail = design.surfaces.find(isPitchTail);
  const neutral = turnForNeutral(design, analysis);
  const change = neutral && neutral.surface === tail ? neutral.degrees : null;
  const shim = tail && change !== null ? shimFor(tail.stations[0]!.chord, change) : null;
  return (
    <Section title="Trim">
      <QuantityField
        label="At the speed"
        kind="speed"
        value={design.conditions.cruiseSpeed}
        onCommit={(value) => dispatch(setFields([field('conditions', 'cruiseSpeed').to(value)]))}
      />
      <Derived id="trimAlpha" />
      <Derived id="elevator" label="Pitch control" why={trim.reasons['elevator'] ?? 'not known'} />
      {trim.elevatorPowerOff !== null && (
        <Fact label="Pitch control, power off">{formatValue(trim.elevatorPowerOff, 'angle', units)}</Fact>
      )}
      <Fact label="Hands off it settles at">
        {rigging.handsOffLift === null ? (
          <Why text={rigging.reasons['handsOffLift']} />
        ) : (
          <>
            <Typeset text="C_L" /> {decimal(rigging.handsOffLift, 2)}
            {rigging.handsOffSpeed !== null && `, ${formatValue(rigging.handsOffSpeed, 'speed', units)}`}
          </>
        )}
      </Fact>
      {tail && change !== null && shim && (
        <>
          <Fact label={`${tail.name || tail.id} for neutral control`}>{degrees(trim.tailIncidence!)}</Fact>
          {Math.abs(change) >= 0.05 && (
            <div className="mt-1 flex items-center justify-between gap-2 text-read">
              <span>
                Shim {formatLength(shim.thickness, units)} under its {shim.edge} edge
              </span>
              <Button
                // What is built is shimmed; what is not yet built is drawn anew.
                onClick={() => dispatch(setFields(turned(tail, change)))}
              >
                {tail.asBuilt ? 'Shim it so' : 'Draw it so'}
              </Button>
            </div>
          )}
        </>
      )}
    </Section>
  );
}

/** Any change of angle as a strip under an edge. */
function ShimFor({ surfaces }: { readonly surfaces: readonly Surface[] }) {
  const units = useAppSelector((state) => state.settings.units);
  const [turn, setTurn] = useState(1);
  return (
    <Section title="Shim for any change" isRare>
      <QuantityField
        label="Turn nose up by"
        kind="angle"
        value={turn}
        onCommit={(value) => {
          if (Math.abs(value) > 20) return { path: '', message: 'must lie between −20° and 20°' };
          setTurn(value);
          return null;
        }}
      />
      {surfaces.map((surface) => {
        const shim = shimFor(surface.stations[0]!.chord, turn);
        return (
          <Fact key={surface.id} label={surface.name || surface.id}>
            {formatLength(shim.thickness, units)} under the {shim.edge} edge
          </Fact>
        );
      })}
    </Section>
  );
}
