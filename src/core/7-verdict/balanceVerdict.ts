import type { Numbers } from '@/core/6-groups/page';

/** Where it balances against its window. Lengths in metres. */
export type BalanceVerdict =
  | { readonly kind: 'inside' }
  | { readonly kind: 'noWindow' }
  /** Too far back or forward by so much. */
  | { readonly kind: 'aft' | 'forward'; readonly by: number }
  /** Not enough is known. */
  | { readonly kind: 'unknown' };

/**
 * Whether it balances inside its window. Without weights, a wing or a window
 * nothing is said; a window whose ends have crossed is none.
 */
export function balanceVerdict({ mass, pitch, window }: Pick<Numbers, 'mass' | 'pitch' | 'window'>): BalanceVerdict {
  const balance = mass.cg?.[0];
  if (balance === undefined || pitch.staticMargin === null || window.aft === null || window.forward === null)
    return { kind: 'unknown' };
  if (window.aft <= window.forward) return { kind: 'noWindow' };
  if (balance > window.aft) return { kind: 'aft', by: balance - window.aft };
  if (balance < window.forward) return { kind: 'forward', by: window.forward - balance };
  return { kind: 'inside' };
}
