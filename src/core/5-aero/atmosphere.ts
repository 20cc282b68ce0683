import type { KilogramsPerCubicMetre } from '@/core/1-base/units/convert';
/**
 * Air at a field: pressure of the standard atmosphere at its elevation, density
 * from the temperature of the day, viscosity by Sutherland.
 *
 *   p = p₀ (1 − L h/T₀)^5.25588,  ρ = p/(R T),  μ = μ₀ (T/273.15)^1.5 (383.55/(T + 110.4))
 *
 * Elevation in metres (−500 to 6000), temperature in °C; ρ in kg/m³, μ in Pa·s.
 * Source: ISO 2533, Standard Atmosphere, 1975.
 */
export interface Air {
  readonly density: KilogramsPerCubicMetre;
  readonly viscosity: number;
}

export const GRAVITY = 9.80665;

export function airAt(elevation: number, temperature: number): Air {
  const pressure = 101325 * (1 - (0.0065 * elevation) / 288.15) ** 5.25588;
  const kelvin = temperature + 273.15;
  return {
    density: pressure / (287.05287 * kelvin),
    viscosity: 1.716e-5 * (kelvin / 273.15) ** 1.5 * (383.55 / (kelvin + 110.4)),
  };
}
