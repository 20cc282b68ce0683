import { Plus } from 'lucide-react';
import type { Design } from '@/core/2-document/schema/design';
import { addDrive } from '@/store/airframe';
import { useAppDispatch } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { BenchFields } from './BenchFields';
import { BladeDesigner } from './BladeDesigner';
import { ChooseDrive } from './ChooseDrive';
import { DriveFields } from './DriveFields';
import { DriveDrawer } from './DriveDrawer';
import { FlightPlan } from './FlightPlan';
import { MotorFields, PackFields } from './MotorFields';
import { PowerFacts } from './PowerFacts';
import { PropellerFields } from './PropellerFields';
import { RubberFields } from './RubberFields';

/** What drives it, what that gives, and how long it lasts. */
export function PowerStage({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const hasMotor = design.propulsion.some(({ rubber }) => !rubber);
  return (
    <>
      {design.propulsion.length === 0 && (
        <div className="p-3">
          <Button onClick={() => dispatch(addDrive('tractor'))}>
            <Plus size={14} aria-hidden="true" /> Drive
          </Button>
        </div>
      )}
      {design.propulsion.map((drive) => (
        <div key={drive.id}>
          <DriveFields drive={drive} />
          <RubberFields drive={drive} />
        </div>
      ))}
      {hasMotor && <PowerFacts design={design} />}
      {hasMotor && design.propulsion.length > 0 && <FlightPlan design={design} />}
      {hasMotor && design.propulsion.length > 0 && <ChooseDrive design={design} />}
      {design.propulsion.map((drive) => (
        <div key={drive.id}>
          <PropellerFields drive={drive} />
          {!drive.rubber && (
            <>
              <MotorFields drive={drive} />
              <PackFields drive={drive} />
              <BenchFields drive={drive} />
            </>
          )}
          <BladeDesigner design={design} drive={drive} />
        </div>
      ))}
      {hasMotor && <DriveDrawer />}
    </>
  );
}
