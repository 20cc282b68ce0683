/** What a number measures; the analysis holds it in SI, the edge shows it in the chosen units. */
export type UnitKind = keyof typeof SI_SYMBOL;

/** SI unit of each kind; `1` for pure numbers. */
export const SI_SYMBOL = {
  length: 'm',
  distance: 'm',
  area: 'm²',
  mass: 'kg',
  inertia: 'kg·m²',
  speed: 'm/s',
  angle: 'rad',
  angularRate: 'rad/s',
  time: 's',
  ratio: '1',
  percent: '1',
  perRadian: '1/rad',
  perSecond: '1/s',
  density: 'kg/m³',
  acceleration: 'm/s²',
  wingLoading: 'kg/m²',
  force: 'N',
  moment: 'N·m',
  stiffness: 'N·m²',
  power: 'W',
  current: 'A',
  voltage: 'V',
  warming: 'K',
  energy: 'J',
} as const;
