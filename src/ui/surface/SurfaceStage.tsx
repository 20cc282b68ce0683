import { isWing } from '@/core/2-document/schema/roles';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { SurfaceRole } from '@/core/2-document/schema/surface';
import type { AddedKind } from '@/core/8-sizing/planform/addSurface';
import { decimal, formatLength } from '@/words/formatQuantity';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { surfaceChosen } from '@/store/sessionSlice';
import { Derived, Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { AddSurface } from './AddSurface';
import { ControlsEditor } from './ControlsEditor';
import { DihedralFields } from './DihedralFields';
import { PlaceFields } from './PlaceFields';
import { PlanformFields } from './PlanformFields';
import { StationsTable } from './StationsTable';
import { SurfacePicker } from './SurfacePicker';
import { TailSchools } from './TailSchools';
import { useChosenSurface } from './useChosen';
import { WingSizeFields } from './WingSizeFields';

interface SurfaceStageProps {
  readonly design: Design;
  readonly roles: readonly SurfaceRole[];
  readonly kinds: readonly AddedKind[];
  readonly empty: string;
}

/** Editor of the surfaces of some roles, one at a time, with what follows from them. */
export function SurfaceStage({ design, roles, kinds, empty }: SurfaceStageProps) {
  const dispatch = useAppDispatch();
  const surfaces = design.surfaces.filter(({ role }) => roles.includes(role));
  const surface = useChosenSurface(design, roles);
  if (!surface)
    return (
      <div className="space-y-2 p-3 text-read text-faint">
        <p>{empty}</p>
        <AddSurface design={design} kinds={kinds} />
      </div>
    );
  const isOfWing = isWing(surface);
  return (
    <>
      <SurfacePicker
        surfaces={surfaces}
        chosen={surface.id}
        onChoose={(id) => dispatch(surfaceChosen({ surface: id }))}
      />
      {isOfWing && <WingSizeFields design={design} />}
      {!isOfWing && <PlaceFields key={`place-${surface.id}`} design={design} surface={surface} />}
      {!isOfWing && <TailSchools key={`schools-${surface.id}`} surface={surface} />}
      <PlanformFields key={`planform-${surface.id}`} surface={surface} />
      {surface.mirrored && <DihedralFields key={`dihedral-${surface.id}`} surface={surface} />}
      {isOfWing && <PlaceFields key={`place-${surface.id}`} design={design} surface={surface} />}
      <StationsTable key={`stations-${surface.id}`} surface={surface} />
      <ControlsEditor key={`controls-${surface.id}`} design={design} surface={surface} />
      {isOfWing ? <WingNumbers /> : <TailNumbers id={surface.id} />}
      <div className="px-3 py-2.5">
        <AddSurface design={design} kinds={kinds} />
      </div>
    </>
  );
}

function WingNumbers() {
  const known = useAppSelector((state) => state.analysis.current?.reference.area !== null);
  if (!known) return null;
  return (
    <Section title="What follows">
      <Derived id="meanChord" />
      <Derived id="wingLoading" />
      <Derived id="stallSpeed" />
      <Derived id="neutralPoint" />
      <Derived id="staticMargin" />
    </Section>
  );
}

function TailNumbers({ id }: { readonly id: string }) {
  const tail = useAppSelector((state) => state.analysis.current?.tails.find(({ surface }) => surface === id));
  const units = useAppSelector((state) => state.settings.units);
  if (!tail) return null;
  return (
    <Section title="What follows">
      <Fact label="Arm from the wing’s quarter chord">{formatLength(millimetresFromMetres(tail.arm), units)}</Fact>
      {tail.horizontal !== 0 && <Fact label="Tail volume, level part">{decimal(tail.horizontal, 3)}</Fact>}
      {tail.vertical !== 0 && <Fact label="Tail volume, upright part">{decimal(tail.vertical, 4)}</Fact>}
      <Derived id="neutralPoint" />
      <Derived id="staticMargin" />
    </Section>
  );
}
