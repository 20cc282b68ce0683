import type { Fraction, Metres, Radians } from '@/core/1-base/units/convert';
import { aeroModel, type AeroModel, NO_EXTRA_LOADS, standingPanels } from '@/core/5-aero/aeroModel';
import { commandAngles } from '@/core/5-aero/commands';
import { neutralPointAt, sideslipDerivatives } from '@/core/5-aero/derivatives';
import { buildInfluence } from '@/core/5-aero/influence';
import { buildLattice, MOST_PANELS } from '@/core/5-aero/lattice';
import { trim } from '@/core/5-aero/trim';
import type { Prepared } from '../solution/prepare';

/** A light lattice: it only says how far things move. */
const BAND_GRID = { strips: 8, chordwise: 3 };

/** How far up and down a number goes from what it is with straight wakes at cruise; both positive. */
export interface Reach<Value extends number = number> {
  readonly up: Value;
  readonly down: Value;
}

/** What the choice of wake and the speed move. */
export interface WakeBands {
  readonly neutralPoint: Reach<Metres>;
  readonly dihedralEffect: Reach;
  readonly yawStiffness: Reach;
}

type Numbers = { readonly [Name in keyof WakeBands]: number };

/**
 * The numbers of level flight at several lift coefficients, with wakes straight
 * along the datum and along the wind, on a light lattice that says how far they
 * move. @param lifts cruise first @throws NoFlowError
 */
export function wakeBands(prepared: Prepared, lifts: readonly Fraction[]): WakeBands {
  const { placed, reference, about, mixes } = prepared;
  const lattice = buildLattice(placed, BAND_GRID, MOST_PANELS);
  const pitch = commandAngles(lattice, mixes.pitch);
  const standing = standingPanels(lattice);
  const modelAt = (wind: Radians | null): AeroModel =>
    aeroModel({
      matrices: buildInfluence(lattice, { rise: wind === null ? 0 : Math.tan(wind) }),
      reference,
      pitch,
      extra: () => NO_EXTRA_LOADS,
      turnsWakes: wind !== null,
      standing,
    });
  const straight = modelAt(null);
  const numbersAt = (model: AeroModel, alpha: Radians, command: Radians): Numbers => {
    const { dihedralEffect, yawStiffness } = sideslipDerivatives(model, { alpha, command, about });
    return { neutralPoint: neutralPointAt(model, alpha, about), dihedralEffect, yawStiffness };
  };
  const states = lifts.flatMap((lift) => {
    const found = trim(straight, { lift, about });
    return found.ok ? [{ alpha: found.state.alpha, command: found.state.elevator ?? 0 }] : [];
  });
  const all = states.flatMap(({ alpha, command }) => [
    numbersAt(straight, alpha, command),
    numbersAt(modelAt(alpha), alpha, command),
  ]);
  // Cruise comes first, and with straight wakes.
  const headline = all[0];
  const reach = (key: keyof WakeBands): Reach => {
    const changes = headline ? all.map((numbers) => numbers[key] - headline[key]) : [0];
    return { up: Math.max(0, ...changes), down: Math.max(0, ...changes.map((change) => -change)) };
  };
  return {
    neutralPoint: reach('neutralPoint') as Reach<Metres>,
    dihedralEffect: reach('dihedralEffect'),
    yawStiffness: reach('yawStiffness'),
  };
}
