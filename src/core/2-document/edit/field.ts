import type { Design } from '../schema/design';

/**
 * Paths into a design whose every step is checked when they are compiled:
 * members of a list are named by their id, or by their place.
 *
 *   field('surfaces', wing.id, 'stations', 1, 'chord').to(180)
 */
declare const CHECKED: unique symbol;

/** A path such as `/surfaces/wing/stations/1/chord` that was put together by `field`. */
export type FieldPath = string & { readonly [CHECKED]: true };

/** One field set to a new value; an edit or a remedy is a list of them. */
export interface FieldChange {
  readonly field: FieldPath;
  readonly value: unknown;
}

/** A field of the document, and how to give it a value of its own kind. */
export interface FieldOf<Value> {
  readonly path: FieldPath;
  to(value: Value): FieldChange;
}

type KeyOf<Part> = Part extends readonly unknown[]
  ? string | number
  : Part extends object
    ? Extract<keyof Part, string>
    : never;

/** What may follow a part: a member of its list, or a key of any of its kinds. */
type StepOf<Part> = KeyOf<NonNullable<Part>>;

/** What stands behind a step, in whichever kinds of the part have it. */
type At<Part, Step> =
  NonNullable<Part> extends infer Sure
    ? Sure extends readonly (infer Member)[]
      ? Member
      : Step extends keyof Sure
        ? Sure[Step]
        : never
    : never;

type D = Design;
type P1<A> = At<D, A>;
type P2<A, B> = At<P1<A>, B>;
type P3<A, B, C> = At<P2<A, B>, C>;
type P4<A, B, C, E> = At<P3<A, B, C>, E>;
type P5<A, B, C, E, F> = At<P4<A, B, C, E>, F>;

export function field<A extends StepOf<D>>(a: A): FieldOf<P1<A>>;
export function field<A extends StepOf<D>, B extends StepOf<P1<A>>>(a: A, b: B): FieldOf<P2<A, B>>;
export function field<A extends StepOf<D>, B extends StepOf<P1<A>>, C extends StepOf<P2<A, B>>>(
  a: A,
  b: B,
  c: C,
): FieldOf<P3<A, B, C>>;
export function field<
  A extends StepOf<D>,
  B extends StepOf<P1<A>>,
  C extends StepOf<P2<A, B>>,
  E extends StepOf<P3<A, B, C>>,
>(a: A, b: B, c: C, d: E): FieldOf<P4<A, B, C, E>>;
export function field<
  A extends StepOf<D>,
  B extends StepOf<P1<A>>,
  C extends StepOf<P2<A, B>>,
  E extends StepOf<P3<A, B, C>>,
  F extends StepOf<P4<A, B, C, E>>,
>(a: A, b: B, c: C, d: E, e: F): FieldOf<P5<A, B, C, E, F>>;
export function field<
  A extends StepOf<D>,
  B extends StepOf<P1<A>>,
  C extends StepOf<P2<A, B>>,
  E extends StepOf<P3<A, B, C>>,
  F extends StepOf<P4<A, B, C, E>>,
  G extends StepOf<P5<A, B, C, E, F>>,
>(a: A, b: B, c: C, d: E, e: F, f: G): FieldOf<At<P5<A, B, C, E, F>, G>>;
export function field<
  A extends StepOf<D>,
  B extends StepOf<P1<A>>,
  C extends StepOf<P2<A, B>>,
  E extends StepOf<P3<A, B, C>>,
  F extends StepOf<P4<A, B, C, E>>,
  G extends StepOf<P5<A, B, C, E, F>>,
  H extends StepOf<At<P5<A, B, C, E, F>, G>>,
>(a: A, b: B, c: C, d: E, e: F, f: G, g: H): FieldOf<At<At<P5<A, B, C, E, F>, G>, H>>;
export function field(...steps: readonly (string | number)[]): FieldOf<unknown> {
  const path = `/${steps.join('/')}` as FieldPath;
  return { path, to: (value) => ({ field: path, value }) };
}
