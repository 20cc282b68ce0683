/** Colours of charts: what the theme has, as the library of charts takes them. */
export const INK = '#2a2c30';
export const BALANCE = '#0b6568';
export const GRID = '#e7e1d3';
export const STOP = '#a2211b';
export const PAPER = '#fdfbf6';

/** Six lines that are told apart by their stroke as well as by their colour. */
export const SIX_LOOKS = {
  a: { color: INK, width: 2.5, dash: 'solid' },
  b: { color: BALANCE, width: 2.5, dash: 'dash' },
  c: { color: STOP, width: 2, dash: 'dashdot' },
  d: { color: '#5b3f8c', width: 2, dash: 'longdash' },
  e: { color: '#7d4c00', width: 2, dash: 'dot' },
  f: { color: '#5f5d57', width: 2, dash: 'longdashdot' },
} as const;

export const SIX = Object.keys(SIX_LOOKS) as (keyof typeof SIX_LOOKS)[];

/** The same strokes for what is drawn by hand. */
export const STROKES: Readonly<Record<keyof typeof SIX_LOOKS, string | undefined>> = {
  a: undefined,
  b: '7 4',
  c: '8 3 2 3',
  d: '12 4',
  e: '2 3',
  f: '12 3 2 3',
};
