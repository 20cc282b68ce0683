import type { Brief } from '@/core/2-document/schema/brief';

export type Purpose = Brief['purpose'];
export type WingForm = 'single' | 'polyhedral' | 'sweptTailless' | 'plank' | 'biplane' | 'delta';
export type TailForm = 'tailplane' | 'vTail' | 'canard' | 'tipFins' | 'centreFin';
export type BuildForm = 'flat' | 'stepped' | 'curved' | 'folded';

/** A layout in few words; `buildRecipe` draws it at a given area. */
export interface Recipe {
  readonly name: string;
  readonly because: string;
  readonly wing: WingForm;
  readonly tail: TailForm;
  readonly build: BuildForm;
  readonly aspectRatio: number;
  /** Tip chord over root chord. */
  readonly taper: number;
  readonly propeller: 'tractor' | 'pusher' | 'none';
  /** Tail volumes to start from, S_t l/(S c̄) and S_f l/(S b). */
  readonly horizontalVolume: number;
  readonly verticalVolume: number;
}

const base = { taper: 0.85, propeller: 'tractor', horizontalVolume: 0.53, verticalVolume: 0.035 } as const;

const TAILLESS = { horizontalVolume: 0, verticalVolume: 0.03, propeller: 'pusher' } as const;

const CONVENTIONAL: Recipe = {
  ...base,
  name: 'Wing and tailplane',
  because: 'The widest balance window for the least thought.',
  wing: 'single',
  tail: 'tailplane',
  build: 'folded',
  aspectRatio: 6.5,
};

const SWEPT: Recipe = {
  ...base,
  ...TAILLESS,
  name: 'Swept tailless',
  because: 'Little drag and few parts; the propeller behind leaves the nose free.',
  wing: 'sweptTailless',
  tail: 'tipFins',
  build: 'curved',
  aspectRatio: 6,
  taper: 0.65,
};

const BIPLANE: Recipe = {
  ...base,
  name: 'Staggered biplane',
  because: 'Much area on a short span: slow, and it fits a car.',
  wing: 'biplane',
  tail: 'tailplane',
  build: 'curved',
  aspectRatio: 6,
  taper: 1,
  horizontalVolume: 0.6,
};

const V_TAIL: Recipe = {
  ...CONVENTIONAL,
  name: 'Wing and V-tail',
  because: 'One joint less at the tail, and it stays clear of grass.',
  tail: 'vTail',
};

const CANARD: Recipe = {
  ...CONVENTIONAL,
  name: 'Canard, propeller behind',
  because: 'The foreplane stalls first and drops the nose gently; the nose is free.',
  tail: 'canard',
  propeller: 'pusher',
  build: 'curved',
  aspectRatio: 6,
  horizontalVolume: 0.6,
  verticalVolume: 0.04,
};

const DELTA: Recipe = {
  ...base,
  ...TAILLESS,
  name: 'Delta',
  because: 'Stiff without spars, quick in roll, keeps flying at steep angles.',
  wing: 'delta',
  tail: 'centreFin',
  build: 'flat',
  aspectRatio: 2.3,
  taper: 0.25,
};

const PLANK: Recipe = {
  ...base,
  ...TAILLESS,
  name: 'Straight tailless with reflex',
  because: 'The simplest wing there is; pitch hangs on a narrow window.',
  wing: 'plank',
  tail: 'centreFin',
  build: 'curved',
  aspectRatio: 7,
  propeller: 'tractor',
};

const GLIDER: Recipe = {
  ...CONVENTIONAL,
  name: 'Polyhedral glider',
  because: 'Long and light; turns by rudder alone.',
  wing: 'polyhedral',
  build: 'curved',
  aspectRatio: 10,
  taper: 0.7,
  horizontalVolume: 0.56,
  verticalVolume: 0.03,
};

const FLOATER: Recipe = { ...CONVENTIONAL, wing: 'polyhedral', build: 'curved', aspectRatio: 6 };

/** Three layouts that suit each purpose, most usual first. */
export const RECIPES: Readonly<Record<Purpose, readonly [Recipe, Recipe, Recipe]>> = {
  float: [FLOATER, BIPLANE, { ...FLOATER, name: V_TAIL.name, because: V_TAIL.because, tail: 'vTail' }],
  train: [CONVENTIONAL, V_TAIL, BIPLANE],
  payload: [{ ...CONVENTIONAL, aspectRatio: 7 }, { ...SWEPT, aspectRatio: 6.5 }, CANARD],
  soar: [GLIDER, { ...GLIDER, name: 'Glider with V-tail', because: V_TAIL.because, tail: 'vTail' }, PLANK],
  wind: [{ ...SWEPT, aspectRatio: 5 }, { ...CONVENTIONAL, aspectRatio: 6, build: 'folded' }, DELTA],
  aerobatics: [
    { ...CONVENTIONAL, build: 'stepped', aspectRatio: 5, taper: 0.7, verticalVolume: 0.045 },
    DELTA,
    { ...BIPLANE, build: 'flat' },
  ],
  experiment: [CANARD, BIPLANE, SWEPT],
};

/** The wing of one layout with the tail of another. */
export function mixRecipes(wing: Recipe, tail: Recipe): Recipe {
  if (wing === tail) return wing;
  const tailed = tail.tail === 'tailplane' || tail.tail === 'vTail' || tail.tail === 'canard';
  return {
    ...wing,
    name: `${wing.name}, tail of “${tail.name.toLowerCase()}”`,
    because: `Wing: ${wing.because} Tail: ${tail.because}`,
    tail: tail.tail,
    propeller: tail.tail === 'canard' ? 'pusher' : wing.propeller,
    horizontalVolume: tailed ? tail.horizontalVolume || 0.45 : 0,
    verticalVolume: tail.verticalVolume,
  };
}
