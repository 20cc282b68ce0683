import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import type { Design } from '@/core/document/schema/design';
import type { SurfaceRole } from '@/core/document/schema/surface';
import { decimal, formatLength } from '@/core/units/formatQuantity';
import { useAppSelector } from '@/store/hooks';
import { Derived, Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { SurfaceEditor } from './SurfaceEditor';

interface SurfaceStageProps {
  readonly design: Design;
  readonly roles: readonly SurfaceRole[];
  readonly empty: string;
}

/** Editor of the surfaces of some roles, one at a time, with what follows from them. */
export function SurfaceStage({ design, roles, empty }: SurfaceStageProps) {
  const surfaces = design.surfaces.filter(({ role }) => roles.includes(role));
  const [chosen, setChosen] = useState<string | null>(null);
  const surface = surfaces.find(({ id }) => id === chosen) ?? surfaces[0];
  if (!surface) return <p className="p-3 text-sm text-faint">{empty}</p>;
  return (
    <>
      {surfaces.length > 1 && (
        <ToggleGroup.Root
          type="single"
          value={surface.id}
          onValueChange={(next) => next && setChosen(next)}
          aria-label="Surface"
          className="flex flex-wrap gap-1 border-b border-rule px-3 py-2"
        >
          {surfaces.map(({ id, name }) => (
            <ToggleGroup.Item
              key={id}
              value={id}
              className="rounded-sm border border-rule px-2 py-0.5 text-sm data-[state=on]:border-graphite data-[state=on]:bg-graphite data-[state=on]:text-sheet"
            >
              {name || id}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
      )}
      <SurfaceEditor key={surface.id} surface={surface} />
      {surface.role === 'wing' || surface.role === 'secondWing' ? <WingNumbers /> : <TailNumbers id={surface.id} />}
    </>
  );
}

function WingNumbers() {
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  if (!analysis || analysis.reference.area === null) return null;
  return (
    <Section title="What follows">
      <Fact label="Span, projected">{formatLength(analysis.reference.span! * 1000, units)}</Fact>
      <Fact label="Area, aspect ratio">
        {decimal(analysis.reference.area * 100, 2)} dm², {decimal(analysis.reference.aspectRatio!, 2)}
      </Fact>
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
      <Fact label="Arm from the wing’s quarter chord">{formatLength(tail.arm * 1000, units)}</Fact>
      {tail.horizontal !== 0 && <Fact label="Tail volume, level part">{decimal(tail.horizontal, 3)}</Fact>}
      {tail.vertical !== 0 && <Fact label="Tail volume, upright part">{decimal(tail.vertical, 4)}</Fact>}
      <Derived id="neutralPoint" />
      <Derived id="staticMargin" />
    </Section>
  );
}
