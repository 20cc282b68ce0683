/** The library that cuts, grows and slides polygons of whole numbers, as this room uses it. */
export {
  difference,
  EndType,
  FillRule,
  inflatePaths,
  intersect,
  JoinType,
  minkowskiDiff,
  type Path64,
  type Paths64,
  simplifyPath,
  union,
} from 'clipper2-ts';
