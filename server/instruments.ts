import express, { type Request, type Response, Router } from 'express';
import { z } from 'zod';
import '@/core/1-base/zodSetup';
import { secondsFromMilliseconds } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { readDesignText } from '@/core/2-document/readDesign';
import { gatesOf } from '@/core/8-bench/gates';
import { INSTRUMENT_KINDS, type InstrumentKind, INSTRUMENTS } from '@/core/8-bench/instruments/instrument';
import { type Laid, showing, standIn, type StandIn } from '@/core/8-bench/instruments/standIn';
import {
  type HiddenAirframe,
  hiddenAirframe,
  setAnew,
  shimmed,
  standBears,
  trueReading,
} from '@/core/8-bench/rehearsal/hiddenAirframe';

/** Where the stand-ins are found. */
export const INSTRUMENTS_PATH = '/instruments';
/** Showings a second, and how soon a page that lost its stream asks again [ms]. */
const EVERY = 100;
const RETRY = 300;
/** No drawing is larger. */
const LIMIT = '4mb';
/** Slope that a meter shows in the hand [°]. */
const IN_HAND = 25;
/** What instruments show with nothing on them: a breeze blows for the anemometer [m/s]. */
const IDLE: Partial<Record<InstrumentKind, number>> = { tilt: IN_HAND, wind: 2.6 };
/** For so long it is lifted when it is laid elsewhere [s]. */
const LIFTED = 0.6;

interface Device {
  readonly of: StandIn;
  readonly since: number;
  readonly laid: Laid;
  count: number;
}

interface Rehearsal {
  readonly design: Design;
  readonly hidden: HiddenAirframe;
  readonly times: number;
}

const kindSchema = z.enum(INSTRUMENT_KINDS);
const sideSchema = z.enum(['left', 'right']);
const layBody = z.strictObject({
  kind: kindSchema,
  on: z.union([
    z.strictObject({ step: z.string().max(200), side: sideSchema, turned: z.boolean().default(false) }),
    z.strictObject({ stand: z.literal(true) }),
    z.strictObject({ grams: z.number().min(0).max(1e6) }),
    z.strictObject({ newtons: z.number().min(0).max(1e4) }),
    z.null(),
  ]),
});
const shimBody = z.strictObject({
  step: z.string().max(200),
  shims: z
    .array(
      z.strictObject({
        side: sideSchema,
        edge: z.enum(['leading', 'trailing']),
        thickness: z.number().min(0).max(100),
        reads: z.number(),
      }),
    )
    .max(2),
});
const rehearsalBody = z.strictObject({ design: z.string().max(4e6), seed: z.int().min(1).max(1e9) });

/** What is said when a request cannot be taken. */
const refuse = (response: Response, status: number, because: string): void =>
  void response.status(status).json({ because });

/**
 * Made-up instruments of one bench, over server-sent events: they tremble,
 * creep, are knocked, and their batteries run out. In a rehearsal they measure
 * an airframe that nobody sees. @param now in milliseconds
 */
export function instrumentsRouter(now: () => number = () => performance.now()): Router {
  const router = Router();
  let seed = 1;
  let rehearsal: Rehearsal | null = null;
  const devices = new Map<InstrumentKind, Device>();
  const start = now();
  const seconds = (): number => secondsFromMilliseconds(now() - start);
  const nothingOn = (kind: InstrumentKind): readonly number[] =>
    Array.from({ length: INSTRUMENTS[kind].cells }, () => IDLE[kind] ?? 0);
  const deviceOf = (kind: InstrumentKind): Device => {
    const known = devices.get(kind);
    if (known) return known;
    const values = nothingOn(kind);
    const made: Device = {
      of: standIn(kind, seed++),
      since: seconds(),
      laid: { values, since: 0, before: values },
      count: 0,
    };
    devices.set(kind, made);
    return made;
  };
  const lay = (kind: InstrumentKind, values: readonly number[]): void => {
    const device = deviceOf(kind);
    const t = seconds() - device.since;
    // A meter is lifted by hand before it lies anew.
    const laid =
      kind === 'tilt'
        ? { values, since: t + LIFTED, before: nothingOn(kind) }
        : { values, since: t, before: device.laid.values };
    devices.set(kind, { ...device, laid });
  };
  const gateOf = (of: Rehearsal, step: string) => gatesOf(of.design).find((gate) => gate.step === step);

  // Pages of other addresses have no business at this bench.
  router.use((request: Request, response, next) => {
    const { origin, host } = request.headers;
    if (origin !== undefined && URL.canParse(origin) && new URL(origin).host !== host)
      return refuse(response, 403, 'Another page asked for the instruments of this one.');
    next();
  });
  router.use(express.json({ limit: LIMIT }));

  router.get('/', (_request, response) => {
    response.set('Cache-Control', 'no-cache').json({ kinds: INSTRUMENT_KINDS, rehearsing: rehearsal !== null });
  });

  router.get('/stream/:kind', (request, response) => {
    const kind = kindSchema.safeParse(request.params.kind);
    if (!kind.success) return refuse(response, 404, 'There is no such instrument.');
    response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache' });
    response.flushHeaders();
    response.write(`retry: ${RETRY}\n\n`);
    const tell = () => {
      const device = deviceOf(kind.data);
      const shown = showing(device.of, device.count++, seconds() - device.since, device.laid);
      response.write(
        shown === null
          ? 'event: empty\ndata: {}\n\n'
          : `id: ${shown.count}\nevent: shown\ndata: ${JSON.stringify(shown)}\n\n`,
      );
    };
    const timer = setInterval(tell, EVERY);
    tell();
    request.on('close', () => clearInterval(timer));
  });

  router.post('/battery', (request, response) => {
    const kind = z.strictObject({ kind: kindSchema }).safeParse(request.body);
    if (!kind.success) return refuse(response, 400, 'Say of which instrument.');
    devices.delete(kind.data.kind);
    deviceOf(kind.data.kind);
    response.status(204).end();
  });

  router.post('/rehearsal', (request, response) => {
    const body = rehearsalBody.safeParse(request.body);
    if (!body.success) return refuse(response, 400, 'Give a drawing and a number to draw its errors by.');
    const read = readDesignText(body.data.design);
    if (!read.ok) return refuse(response, 400, 'That drawing cannot be read.');
    rehearsal = { design: read.design, hidden: hiddenAirframe(read.design, body.data.seed), times: 0 };
    for (const kind of INSTRUMENT_KINDS) lay(kind, nothingOn(kind));
    response.json({ gates: gatesOf(read.design).length });
  });

  router.delete('/rehearsal', (_request, response) => {
    rehearsal = null;
    for (const kind of INSTRUMENT_KINDS) lay(kind, nothingOn(kind));
    response.status(204).end();
  });

  router.post('/lay', (request, response) => {
    const body = layBody.safeParse(request.body);
    if (!body.success) return refuse(response, 400, 'It was not understood what lies where.');
    const { kind, on } = body.data;
    if (on === null) lay(kind, nothingOn(kind));
    else if (!rehearsal) return refuse(response, 409, 'Nothing is being rehearsed: there is nothing to lay it on.');
    else if ('grams' in on) lay(kind, [on.grams * (1 + rehearsal.hidden.mass)]);
    else if ('newtons' in on) lay(kind, [on.newtons * (1 + rehearsal.hidden.thrust)]);
    else if ('stand' in on) {
      const bears = standBears(rehearsal.design, rehearsal.hidden);
      if (!bears) return refuse(response, 409, 'Nothing of it has a mass yet.');
      lay(kind, bears);
    } else {
      const gate = gateOf(rehearsal, on.step);
      if (!gate) return refuse(response, 404, 'The drawing that is rehearsed has no such joint. Begin it anew.');
      const slope = trueReading(rehearsal.hidden, gate, on.side);
      lay(kind, [on.turned ? -slope : slope]);
    }
    response.status(204).end();
  });

  router.post('/shim', (request, response) => {
    const body = shimBody.safeParse(request.body);
    if (!body.success) return refuse(response, 400, 'It was not understood which shims.');
    if (!rehearsal) return refuse(response, 409, 'Nothing is being rehearsed.');
    const gate = gateOf(rehearsal, body.data.step);
    if (!gate || (body.data.shims.length > 0 && gate.chord === null))
      return refuse(response, 404, 'The drawing that is rehearsed has no such joint. Begin it anew.');
    let { hidden, times } = rehearsal;
    // Without shims it is taken apart and set anew.
    if (body.data.shims.length === 0) hidden = setAnew(hidden, gate, ++times);
    for (const shim of body.data.shims) hidden = shimmed(hidden, gate, shim, ++times);
    rehearsal = { ...rehearsal, hidden, times };
    response.status(204).end();
  });

  return router;
}
