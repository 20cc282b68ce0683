import { Plus, Trash2 } from 'lucide-react';
import { field } from '@/core/2-document/edit/field';
import { type MissionPhase, missionPhaseSchema } from '@/core/2-document/schema/mission';
import type { Design } from '@/core/2-document/schema/design';
import { editDesign, setFields } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { formatValue } from '@/words/formatQuantity';
import { MaybeField } from '../fields/MaybeField';
import { QuantityField } from '../fields/QuantityField';
import { useSet } from '../fields/useSet';
import { Fact } from '../numbers/Derived';
import { GroupFact } from '../numbers/GroupFact';
import { Section } from '../numbers/Section';
import { Button, IconButton } from '../shell/buttons';
import { Menu, MenuEntry } from '../shell/Menu';

const KINDS: Readonly<Record<MissionPhase['kind'], string>> = {
  climb: 'Climb',
  loiter: 'Circle',
  cruise: 'Fly out',
  return: 'Come back',
  glide: 'Glide',
};

const STARTS: Readonly<Record<MissionPhase['kind'], Partial<MissionPhase>>> = {
  climb: { height: 50 },
  loiter: { minutes: 5 },
  cruise: { distance: 500 },
  return: { distance: 500 },
  glide: { height: 50 },
};

/** A flight phase by phase, and what each takes of the pack. */
export function FlightPlan({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const add = (kind: MissionPhase['kind']) =>
    dispatch(
      editDesign((current) => {
        let number = current.mission.length + 1;
        while (current.mission.some(({ id }) => id === `phase${number}`)) number++;
        return {
          ...current,
          mission: [...current.mission, missionPhaseSchema.parse({ id: `phase${number}`, kind, ...STARTS[kind] })],
        };
      }),
    );
  return (
    <Section title="Flight plan" isRare={design.mission.length === 0} remembered="Flight plan">
      {design.mission.length === 0 && (
        <p className="text-label text-faint">
          Climb, circle, fly out, come back against the wind, glide: each takes its share of the pack.
        </p>
      )}
      <ol>
        {design.mission.map((phase, index) => (
          <Phase key={phase.id} phase={phase} index={index} />
        ))}
      </ol>
      {design.mission.length > 0 && (
        <>
          <GroupFact group="mission" label="The whole flight" id="time" unit="time" />
          <GroupFact group="mission" label="Left in the pack" id="left" unit="percent" />
        </>
      )}
      {design.mission.length < 12 && (
        <div className="mt-1.5">
          <Menu
            trigger={
              <Button>
                <Plus size={14} aria-hidden="true" /> Phase
              </Button>
            }
            align="start"
          >
            {(Object.keys(KINDS) as MissionPhase['kind'][]).map((kind) => (
              <MenuEntry key={kind} onSelect={() => add(kind)}>
                {KINDS[kind]}
              </MenuEntry>
            ))}
          </Menu>
        </div>
      )}
    </Section>
  );
}

function Phase({ phase, index }: { readonly phase: MissionPhase; readonly index: number }) {
  const dispatch = useAppDispatch();
  const set = useSet();
  const flown = useAppSelector((state) => state.analysis.current?.mission.phases.find(({ id }) => id === phase.id));
  const units = useAppSelector((state) => state.settings.units);
  const of = ['mission', phase.id] as const;
  const name = `${index + 1}. ${KINDS[phase.kind]}`;
  const takeOut = () =>
    dispatch(editDesign((design) => ({ ...design, mission: design.mission.filter(({ id }) => id !== phase.id) })));
  return (
    <li className="border-b border-soft py-1.5" aria-label={name}>
      <div className="flex items-center justify-between">
        <span className="text-read font-medium">{name}</span>
        <IconButton
          label={`Take out phase ${index + 1}`}
          className="!size-7"
          icon={<Trash2 size={14} />}
          onClick={takeOut}
        />
      </div>
      <div className="grid grid-cols-3 items-end gap-x-2">
        {(phase.kind === 'climb' || phase.kind === 'glide') && (
          <QuantityField
            label="Height, m"
            kind="number"
            step={5}
            value={phase.height}
            onCommit={set(field(...of, 'height'))}
          />
        )}
        {phase.kind === 'loiter' && (
          <QuantityField
            label="Minutes"
            kind="number"
            step={1}
            value={phase.minutes}
            onCommit={set(field(...of, 'minutes'))}
          />
        )}
        {(phase.kind === 'cruise' || phase.kind === 'return') && (
          <QuantityField
            label="Way, m"
            kind="number"
            step={50}
            value={phase.distance}
            onCommit={set(field(...of, 'distance'))}
          />
        )}
        <MaybeField
          label="Airspeed"
          kind="speed"
          value={phase.speed}
          placeholder={flown?.speed == null ? '' : `≈ ${formatValue(flown.speed, 'speed', units)}`}
          of={field(...of, 'speed')}
        />
        <QuantityField
          label="Wind against"
          kind="speed"
          value={phase.wind}
          onCommit={(wind) => dispatch(setFields([field(...of, 'wind').to(wind)]))}
        />
      </div>
      {flown &&
        (flown.problem !== '' ? (
          <p className="mt-1 text-label text-stop">Cannot be flown: {flown.problem}.</p>
        ) : (
          <Fact label={flown.time === null ? '' : formatValue(flown.time, 'time', units)}>
            {flown.charge === null ? '' : `takes ${formatValue(flown.charge, 'percent', units)} of the pack`}
          </Fact>
        ))}
    </li>
  );
}
