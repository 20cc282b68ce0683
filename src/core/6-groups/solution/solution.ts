import type { MetresPerSecond } from '@/core/1-base/units/convert';
import { type AeroModel, changeWithAlpha } from '@/core/5-aero/aeroModel';
import {
  type LateralCases,
  lateralCases,
  type LateralDerivatives,
  lateralDerivatives,
  type PitchDerivatives,
  pitchDerivatives,
  pitchRateCase,
} from '@/core/5-aero/derivatives';
import { type DownwashReceiver, downwashReceiver } from '@/core/5-aero/downwash';
import type { FlowCase } from '@/core/5-aero/flowCase';
import { crossLoads } from '@/core/5-aero/forces';
import { NoFlowError } from '@/core/5-aero/noFlow';
import { isTail } from '@/core/5-aero/lattice';
import { type GlidePolar, glidePolar, type TrimmedLine, trimmedLine } from '@/core/5-aero/polar';
import { type Cruise, cruiseState } from './cruise';
import type { AnalyseOptions, Prepared } from './prepare';
import { expectSoundPitch } from './soundness';

/** Wakes whose direction changes by less than this are the same [rad]. */
const SAME_WIND = 0.002;
/** Turns of the wakes until they are, at most. */
const MOST_TURNS = 6;

const WAKES_UNSETTLED =
  'Wakes along the wind and the trim that they give do not settle: look for a tail that lies in the wake of a wing.';

/** What cannot be solved once is not tried again by every group that asks. */
function attempt<Value>(solve: () => Value): { value: Value } | { failure: unknown } {
  try {
    return { value: solve() };
  } catch (failure) {
    return { failure };
  }
}

/**
 * One design laid out, weighed and cut into a lattice, with the states that
 * several groups share. Each is solved when a group first asks for it.
 */
export class Solution {
  readonly isWind: boolean;
  readonly #kept = new Map<string, unknown>();

  constructor(
    readonly prepared: Prepared,
    readonly options: AnalyseOptions,
  ) {
    this.isWind = options.wake === 'wind';
  }

  #once<Value>(name: string, solve: () => Value): Value {
    const known = this.#kept.get(name) as { value: Value } | { failure: unknown } | undefined;
    const outcome = known ?? attempt(solve);
    this.#kept.set(name, outcome);
    if ('failure' in outcome) throw outcome.failure;
    return outcome.value;
  }

  get #straight(): { readonly model: AeroModel; readonly cruise: Cruise } {
    return this.#once('straight', () => {
      const model = this.prepared.modelAt(null);
      expectSoundPitch(this.prepared, model);
      return { model, cruise: cruiseState(this.prepared, model) };
    });
  }

  /** Wakes along the wind of the trim that they give. */
  get #along(): { readonly model: AeroModel; readonly cruise: Cruise } {
    return this.#once('along', () => {
      let { alpha } = this.#straight.cruise.state;
      for (let turns = 0; turns < MOST_TURNS; turns++) {
        const model = this.prepared.modelAt(alpha);
        const cruise = cruiseState(this.prepared, model);
        if (Math.abs(cruise.state.alpha - alpha) < SAME_WIND) return { model, cruise };
        alpha = cruise.state.alpha;
      }
      throw new NoFlowError(WAKES_UNSETTLED);
    });
  }

  get model(): AeroModel {
    return this.isWind ? this.#along.model : this.#straight.model;
  }

  /** False when two surfaces lie in one another and the lattice says nothing. */
  get isSolvable(): boolean {
    const outcome = attempt(() => this.model);
    if ('failure' in outcome && !(outcome.failure instanceof NoFlowError)) throw outcome.failure;
    return 'value' in outcome;
  }

  /** Level flight at the cruise speed, or why there is none. */
  get cruise(): Cruise {
    return this.isWind ? this.#along.cruise : this.#straight.cruise;
  }

  get alpha(): number {
    return this.cruise.state.alpha;
  }

  /** Pitch command at cruise [rad]; 0 without a pitch control. */
  get command(): number {
    return this.cruise.state.elevator ?? 0;
  }

  get state(): FlowCase {
    return this.#once('state', () => this.model.stateAt(this.alpha, this.command));
  }

  /** What the state gains per radian of angle of attack. */
  get byAlpha(): FlowCase {
    return this.#once('byAlpha', () => changeWithAlpha(this.model, this.alpha, this.command));
  }

  get pitch(): PitchDerivatives {
    const { model, alpha, command, prepared } = this;
    return this.#once('pitch', () => pitchDerivatives(model, alpha, command, prepared.about, this.pitchRate));
  }

  /** Flow of a unit of q/V about the balance point. */
  get pitchRate(): FlowCase {
    return this.#once('pitchRate', () => pitchRateCase(this.model, this.prepared.about, this.command));
  }

  /** Sideslip, roll rate and yaw rate about level flight. */
  get disturbances(): LateralCases {
    return this.#once('disturbances', () => lateralCases(this.model, this.alpha, this.command, this.prepared.about));
  }

  get lateral(): LateralDerivatives {
    return this.#once('lateral', () => {
      const { about, commands } = this.prepared;
      const { alpha, command, disturbances: cases } = this;
      return lateralDerivatives(this.model, { alpha, command, about, roll: commands.roll, yaw: commands.yaw, cases });
    });
  }

  get hasTail(): boolean {
    return this.model.lattice.surfaces.some(isTail);
  }

  /** The surface behind another that meets its wash; null with one surface. */
  get receiver(): DownwashReceiver | null {
    return this.#once('receiver', () => downwashReceiver(this.model.lattice));
  }

  /** Lift of every surface in the trimmed state, per ρV² [m²]. */
  get surfaceLifts(): readonly number[] {
    return this.#once('lifts', () =>
      crossLoads(this.model.matrices, this.state, this.state, this.prepared.about).map(({ force }) => force[2]),
    );
  }

  /** The trimmed aircraft at any lift, or why there is none; null when viscosity is left out. */
  get line(): TrimmedLine | { readonly reason: string } | null {
    return this.#once('line', () => (this.prepared.surfacesOnly ? null : trimmedLine(this.model, this.prepared.about)));
  }

  /** Glides from the stall speed on, propellers as they are without power; null where no polar can be drawn. */
  glideFrom(stallSpeed: MetresPerSecond | null): GlidePolar | null {
    const { line, model, prepared } = this;
    const { sections, air, dragArea, restingPropellers } = prepared;
    const mass = prepared.weights.properties?.total;
    if (stallSpeed === null || mass === undefined || line === null || 'reason' in line) return null;
    return this.#once('glide', () =>
      glidePolar({ model, line, sections, air, mass, dragArea, restingPropellers }, stallSpeed),
    );
  }

  /** The pitch command as it is turned at cruise [rad]; null without a pitch control. */
  get turn(): number | null {
    const { elevator } = this.cruise.state;
    return elevator === null ? null : this.prepared.reach.pitch.turnFor(elevator);
  }

  /** Full nose-up pitch command as it is turned, with its sign [rad], or null without a pitch control. */
  get fullNoseUp(): number | null {
    return this.#once('fullNoseUp', () => {
      const { model, prepared } = this;
      if (!model.pitch.hasEven) return null;
      const moment = (command: number) => model.loadAt(0, command, prepared.about).moment[1];
      const { up, down } = prepared.reach.pitch;
      return moment(0.01) > moment(-0.01) ? down : -up;
    });
  }
}
