import { z } from 'zod';
import { numbersGroup } from '../group';
import { maybe } from '../keys';
import { mass } from '../mass/mass';
import { pitch } from '../pitch/pitch';
import { reference } from '../reference/reference';
import { stall } from '../stall/stall';
import { gustLoadFactor } from './gust';

const keys = z.object({
  speed: maybe('speed', 'Wind of the brief'),
  progress: maybe('speed', 'Speed over the ground at cruise against that wind'),
  gust: maybe('speed', 'Upward gust that such a day holds'),
  gustLoadFactor: maybe('ratio', 'Load factor that the gust adds at cruise'),
  loadFactorAtStall: maybe('ratio', 'Load factor at which the wing stalls at cruise speed'),
});

/** Gusts up and down are about so much of the mean wind near the ground, and no less than on a calm day; practice of the field, ±40 %. */
const GUST_SHARE = 0.4;
const CALM_DAY = 1;

const NO_WIND = 'The brief says nothing of the wind.';
const NOT_KNOWN = 'Weight, stall and lift slope are needed for that.';

/** What the wind of the brief does: the way it leaves, and its gusts. */
export const wind = numbersGroup(keys, {
  id: 'wind',
  title: 'Wind',
  needs: { reference, mass, stall, pitch },
  compute: ({ prepared: { design, air } }, needed) => {
    const { wind: speed } = design.brief;
    const { cruiseSpeed } = design.conditions;
    const { wingLoading } = needed.mass;
    const { meanChord } = needed.reference;
    const { liftSlope } = needed.pitch;
    const gust = speed === undefined ? null : Math.max(CALM_DAY, GUST_SHARE * speed);
    const isKnown = gust !== null && wingLoading !== null && meanChord !== null && liftSlope !== null && liftSlope > 0;
    const stallSpeed = needed.stall.speed;
    return {
      speed: speed ?? null,
      progress: speed === undefined ? null : cruiseSpeed - speed,
      gust,
      gustLoadFactor: isKnown
        ? gustLoadFactor({ wingLoading, meanChord, liftSlope, speed: cruiseSpeed, gust, density: air.density })
        : null,
      loadFactorAtStall: stallSpeed === null ? null : (cruiseSpeed / stallSpeed) ** 2,
      reasons: {
        ...(speed === undefined
          ? { speed: NO_WIND, progress: NO_WIND, gust: NO_WIND, gustLoadFactor: NO_WIND }
          : isKnown
            ? {}
            : { gustLoadFactor: NOT_KNOWN }),
        ...(stallSpeed === null ? { loadFactorAtStall: NOT_KNOWN } : {}),
      },
    };
  },
});
