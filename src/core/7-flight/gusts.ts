import type { Metres, MetresPerSecond, Vector3 } from '@/core/1-base/units/convert';
import type { AirField } from './air';

/** Gusts near the ground: how strong along, across and up the wind [m/s], and how long [m]. */
export interface GustScales {
  readonly sigma: readonly [along: number, across: number, up: number];
  readonly length: readonly [along: Metres, across: Metres, up: Metres];
}

/** Of a foot [m]: the formulas count the height in feet. */
const FOOT = 0.3048;
/** The formulas begin at ten feet. */
const LOWEST_FEET = 10;

/**
 * Dryden turbulence of low altitude, h in feet from 10 on: L_w = h, L_u = L_v =
 * h/(0.177 + 0.000823 h)^1.2, σ_w = 0.1 W₂₀, σ_u = σ_v = σ_w/(0.177 +
 * 0.000823 h)^0.4, W₂₀ the mean wind at 20 ft. Source: MIL-F-8785C, 3.7.3.4.
 * ±50 % over a field with trees and houses.
 */
export function lowGusts(wind: MetresPerSecond, height: Metres): GustScales {
  const feet = Math.max(LOWEST_FEET, height / FOOT);
  const slope = 0.177 + 0.000823 * feet;
  const up = 0.1 * Math.abs(wind);
  const level = up / slope ** 0.4;
  const long = (feet / slope ** 1.2) * FOOT;
  return { sigma: [level, level, up], length: [long, long, feet * FOOT] };
}

/** Waves that stand for the spectrum of each direction, from so long to so short against its length. */
const WAVES = 48;
const LONGEST = 0.02;
const SHORTEST = 60;
/** Steps of phases that never come round together: the golden section. */
const GOLDEN = 0.6180339887498949;

interface Wave {
  /** Along the wind and across it [rad/m]. */
  readonly number: number;
  readonly aside: number;
  /** [m/s] */
  readonly height: number;
  /** [rad] */
  readonly phase: number;
}

/** Spectra of Dryden over the wave number, ∫ Φ dΩ = σ². [exact] */
const alongSpectrum = (x: number): number => 2 / Math.PI / (1 + x ** 2);
const acrossSpectrum = (x: number): number => (1 + 3 * x ** 2) / Math.PI / (1 + x ** 2) ** 2;

function wavesOf(sigma: number, length: Metres, spectrum: (x: number) => number, seed: number): Wave[] {
  const step = Math.log(SHORTEST / LONGEST) / WAVES;
  return Array.from({ length: WAVES }, (_, index): Wave => {
    const x = LONGEST * Math.exp((index + 0.5) * step);
    return {
      number: x / length,
      aside: (Math.hypot(x, 1) / length) * (2 * ((index * GOLDEN + seed) % 1) - 1),
      height: sigma * Math.sqrt(2 * spectrum(x) * x * step),
      phase: 2 * Math.PI * ((seed + index * GOLDEN) % 1) + seed * index ** 2,
    };
  });
}

/**
 * A wind against the launch with gusts that go with it: the same for the same
 * seed, everywhere and at any time. Gusts stand still in the air (Taylor); each
 * wave runs aslant to the wind, so that across it they change over lengths as
 * along it, while every line along the wind has the spectrum of Dryden.
 */
export function gustyWind(against: MetresPerSecond, height: Metres, seed = 0): AirField {
  const { sigma, length } = lowGusts(against, height);
  const [along, across, up] = [
    wavesOf(sigma[0], length[0], alongSpectrum, seed + 0.17),
    wavesOf(sigma[1], length[1], acrossSpectrum, seed + 0.43),
    wavesOf(sigma[2], length[2], acrossSpectrum, seed + 0.71),
  ] as const;
  const at = (waves: readonly Wave[], x: Metres, y: Metres) => {
    let sum = 0;
    for (const wave of waves) sum += wave.height * Math.cos(wave.number * x + wave.aside * y + wave.phase);
    return sum;
  };
  return (t, [x, y]): Vector3 => {
    const inAir = x + against * t;
    return [-against + at(along, inAir, y), at(across, inAir, y), at(up, inAir, y)];
  };
}
