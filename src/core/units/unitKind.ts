/** What a number measures, so that the interface can show it in the chosen units. */
export type UnitKind =
  | 'length'
  | 'area'
  | 'mass'
  | 'speed'
  | 'angle'
  | 'ratio'
  | 'percent'
  | 'perRadian'
  | 'density'
  | 'acceleration'
  | 'wingLoading';
