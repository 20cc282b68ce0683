import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import type { Kilograms, MetresPerSecond } from '@/core/1-base/units/convert';
import { pullUps } from '@/core/5-strength/aircraft/pullUp';
import { Solution } from '../solution/solution';
import { prepare } from '../solution/prepare';
import { bendingAircraft } from './bendingAircraft';

test.each(['harbour-steward', 'lagoon-postman'])(
  '%s: what passes a beam between two pull-ups is what their loads there bring',
  (name) => {
    const solution = new Solution(prepare(demoDesign(name), {})!, {});
    const mass = solution.prepared.weights.properties!.total as Kilograms;
    const body = bendingAircraft(solution, { mass, downwash: 0 });
    const pulls = pullUps(body, 14 as MetresPerSecond)!;
    for (const factor of [-1.5, 0, 1.4, 3.7]) {
      const { between, ...alone } = pulls(factor);
      expect(between!.share).toBe(factor - 1);
      for (const surface of body.beams.keys()) {
        const summed = body.passing.bent(surface, alone);
        const largest = Math.max(...summed.map(Math.abs));
        body.passing
          .bent(surface, pulls(factor))
          .forEach((value, at) => expect(Math.abs(value - summed[at]!)).toBeLessThanOrEqual(1e-12 * largest));
      }
    }
  },
);
