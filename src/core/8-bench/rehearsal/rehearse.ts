import type { Degrees } from '@/core/1-base/units/convert';
import type { Steps } from '@/core/1-base/steps';
import type { Design } from '@/core/2-document/schema/design';
import { type Gate, gatesOf, type Side, withReading } from '../gates';
import { showing, standIn, type StandIn } from '../instruments/standIn';
import { type GateVerdict, judgeGates } from '../judgeGate';
import { START, type TwoWay, withShown } from '../twoWay';
import { type HiddenAirframe, hiddenAirframe, setAnew, shimmed, trueReading } from './hiddenAirframe';

/** How a rehearsed build came out. */
export interface Rehearsed {
  /** The drawing with all that was read at its gates. */
  readonly design: Design;
  readonly hidden: HiddenAirframe;
  /** What every gate said last, by what was read. */
  readonly verdicts: readonly GateVerdict[];
  /** What the gates would say of the aircraft as it really is. */
  readonly truth: readonly GateVerdict[];
  readonly readings: number;
  readonly shims: number;
}

/** A meter shows so many numbers a second. */
const RATE = 10;
/** Longer a reading is not waited for [s]. */
const PATIENCE = 60;
/** No joint is tried more often. */
const TRIES = 8;

/** A meter that is read by its rule: laid on, waited for, turned round, waited for. */
class Meter {
  private t = 0;
  private count = 0;
  private device: StandIn;
  constructor(private seed: number) {
    this.device = standIn('tilt', seed);
  }

  /** Reads a slope twice; its own zero falls out. An empty battery is changed and it is begun anew. @throws where it never stands still */
  read(slope: Degrees): Degrees {
    let state: TwoWay = START;
    let laid = { values: [slope], since: this.t, before: [25] };
    const until = this.t + PATIENCE;
    while (this.t < until) {
      const shown = showing(this.device, this.count++, (this.t += 1 / RATE), laid);
      if (!shown) {
        this.device = standIn('tilt', ++this.seed);
        return this.renewed(slope);
      }
      const next: TwoWay = withShown(state, { t: shown.t, value: shown.values[0]! });
      if (next.phase === 'done') return next.slope;
      // Once the first stands it is lifted and turned end for end.
      if (next.phase === 'turning' && state.phase !== next.phase)
        laid = { values: [-slope], since: this.t + 1, before: [-30] };
      state = next;
    }
    throw new Error('The meter never stands still.');
  }

  private renewed(slope: Degrees): Degrees {
    [this.t, this.count] = [0, 0];
    return this.read(slope);
  }
}

/**
 * Builds an aircraft with made-up errors by its gates: every joint is read with
 * a meter that trembles and creeps, shimmed as the gate asks, cut anew where it
 * stops, and glued only when it is green. @param seed of errors and meter
 */
export function* rehearse(drawn: Design, seed: number): Steps<Rehearsed> {
  const gates = gatesOf(drawn);
  const meter = new Meter(1000 + seed);
  let hidden = hiddenAirframe(drawn, seed);
  let design = drawn;
  let [readings, shims] = [0, 0];
  const read = (gate: Gate, side: Side) => {
    readings++;
    design = withReading(design, gate, side, meter.read(trueReading(hidden, gate, side)));
  };
  for (const [index, gate] of gates.entries()) {
    for (let turn = 0; turn < TRIES; turn++) {
      for (const side of gate.sides) read(gate, side);
      const verdict = judgeGates(design, gates.slice(0, index + 1)).at(-1)!;
      if (verdict.state === 'ok') break;
      if (verdict.state === 'stop') hidden = setAnew(hidden, gate, readings);
      for (const shim of verdict.shims) hidden = shimmed(hidden, gate, shim, shims++);
    }
    design = { ...design, built: [...design.built, gate.step, gate.glue] };
    yield { done: index + 1, total: gates.length };
  }
  const truly = gates.reduce(
    (built, gate) =>
      gate.sides.reduce((of, side) => withReading(of, gate, side, trueReading(hidden, gate, side)), built),
    drawn,
  );
  return {
    design,
    hidden,
    verdicts: judgeGates(design, gates),
    truth: judgeGates({ ...truly, built: design.built }, gates),
    readings,
    shims,
  };
}
