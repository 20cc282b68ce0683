import { type Degrees, degreesFromRadians, type Millimetres } from '@/core/1-base/units/convert';

/** Turn between two straight sticks that are sighted over one another: one end stands so far over the other stick, along its length. [exact] */
export const turnBySticks = (apart: Millimetres, stick: Millimetres): Degrees =>
  degreesFromRadians(Math.asin(Math.max(-1, Math.min(1, apart / stick))));
