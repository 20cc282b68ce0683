import { type Metres, type MetresPerSecond, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Brief } from '@/core/2-document/schema/brief';
import { launchSpeed } from '@/core/6-groups/ceilings/launchSpeed';
import { type AirField, groundOfHill, type Hill, overHill, type Terrain } from './air';
import type { Throw } from './flightRecord';
import type { FlyingModel } from './flyingModel';

/** Ways into the air. */
export const LAUNCHES = ['hand', 'hill', 'bungee', 'wheels'] as const;
export type LaunchKind = (typeof LAUNCHES)[number];

/** What pulls or bears it until it flies free. */
export type Carrier = 'line' | 'wheels';
export const CARRIERS: Readonly<Partial<Record<LaunchKind, Carrier>>> = { bungee: 'line', wheels: 'wheels' };

/** What a launch starts with, unless someone says otherwise. */
export interface Launching {
  readonly launch: Throw;
  readonly air?: AirField;
  readonly terrain?: Terrain;
  /** What carries it from rest on; none where it leaves a hand. */
  readonly carriedBy?: Carrier;
  /** Whether it makes no sense without power. */
  readonly needsPower: boolean;
}

const OUT_OF_HAND: Metres = 1.8;
/** A slope that people stand on, with a usual wind against it. */
const USUAL_HILL: Hill = {
  wind: 6 as MetresPerSecond,
  slope: radiansFromDegrees(30),
  height: 12,
};
/** Where a line lets go, and how it is held before that. */
const OFF_THE_LINE = { path: radiansFromDegrees(20), height: 3 } as const;
const ON_THE_LINE = { path: radiansFromDegrees(20), height: 1.6 } as const;
/** Where wheels leave the ground: a fifth over the stall, axles so high, on the way up. */
const OFF_THE_GROUND = { overStall: 1.2, height: 0.2, path: radiansFromDegrees(4) } as const;

/** Path and height that each launch usually begins with: where it is let go, or from rest. */
export const beginsAt = (kind: LaunchKind, fromRest: boolean): { readonly path: Radians; readonly height: Metres } =>
  ({
    hand: { path: 0 as Radians, height: OUT_OF_HAND },
    hill: { path: 0 as Radians, height: OUT_OF_HAND },
    bungee: fromRest ? ON_THE_LINE : OFF_THE_LINE,
    wheels: { path: OFF_THE_GROUND.path, height: OFF_THE_GROUND.height },
  })[kind];

/** How the land lies ahead of a launch; level ground but for the hill. */
export const terrainOf = (kind: LaunchKind): Terrain | undefined =>
  kind === 'hill' ? groundOfHill(USUAL_HILL) : undefined;

/** Speed of a throw of nobody knows how strong an arm [m/s]. */
const USUAL_THROW: MetresPerSecond = 9;

/**
 * Where each begins: a throw leaves the hand level at the speed of an arm with
 * that mass (±15 %); over a hill the same against the wind; off a bungee and
 * on wheels from rest, or where line and ground let go. @param stallSpeed null
 * where it is not known
 */
export function launchingOf(
  kind: LaunchKind,
  { prepared, body }: FlyingModel,
  stallSpeed: MetresPerSecond | null,
  fromRest = true,
): Launching {
  const carriedBy = fromRest ? CARRIERS[kind] : undefined;
  const brief = (launch: Brief['launch']): Brief => ({ ...prepared.design.brief, launch });
  const thrown: Throw = {
    speed: launchSpeed(brief('hand'), body.mass) ?? USUAL_THROW,
    path: 0 as Radians,
    height: OUT_OF_HAND,
  };
  switch (kind) {
    case 'hand':
      return { launch: thrown, needsPower: false };
    case 'hill':
      return {
        // Over ground it leaves slower by the wind that it is thrown against.
        launch: { ...thrown, speed: Math.max(1, thrown.speed - USUAL_HILL.wind) },
        air: overHill(USUAL_HILL),
        terrain: groundOfHill(USUAL_HILL),
        needsPower: false,
      };
    case 'bungee':
      return {
        launch: { speed: launchSpeed(brief('bungee'), body.mass)!, ...beginsAt('bungee', fromRest) },
        ...(carriedBy ? { carriedBy } : {}),
        needsPower: false,
      };
    case 'wheels':
      return {
        launch: {
          speed: OFF_THE_GROUND.overStall * (stallSpeed ?? USUAL_THROW / OFF_THE_GROUND.overStall),
          path: OFF_THE_GROUND.path,
          height: OFF_THE_GROUND.height,
        },
        ...(carriedBy ? { carriedBy } : {}),
        needsPower: true,
      };
  }
}
