import { z } from 'zod';
import { CHECK_KINDS } from '@/core/5-strength/checks/check';
import { maybe, quantity, text } from '../keys';

/** What stands at one g at a speed, and what one g more adds: everything grows evenly with the load factor. */
const flex = (at: string) =>
  z.object({
    bends: quantity('length', `How far it stands up against the unloaded shape at one g, ${at}`),
    bendsPerG: quantity('length', `What each g more adds to that, ${at}`),
    twists: quantity('angle', `How far it is turned at one g, leading edge up positive, ${at}`),
    twistsPerG: quantity('angle', `What each g more adds to that, ${at}`),
  });

/** One place along a surface. */
const node = z.object({
  spanFraction: quantity('percent', '0 at the root, 1 at the tip'),
  y: quantity('length', 'To the right of the plane of symmetry'),
  moment: quantity('moment', 'Bending moment in level flight at cruise speed, bent up positive'),
  momentAtLimit: quantity('moment', 'The same in the pull-up that flight may ask for'),
  cruise: flex('at cruise speed'),
  between: flex('at the speed whose dynamic pressure lies midway'),
  dive: flex('at the fastest at which it is shown bent'),
  worked: quantity('percent', 'Of what it bears, in the pull-up that flight may ask for'),
  members: z.array(
    z.object({
      member: text('Member'),
      share: quantity('percent', 'Of what it bears there, before any other gives way'),
    }),
  ),
  member: text('What is worked hardest there'),
  stiffness: quantity('stiffness', 'Bending stiffness E I, up and down'),
  twistStiffness: quantity('stiffness', 'Twist stiffness G J'),
});

const surface = z.object({
  id: text('Surface, as the document names it'),
  surface: text('Surface'),
  nodes: z.array(node),
});

/** How the far end of a boom is turned at a speed. */
const boomFlex = (at: string) =>
  z
    .object({
      pitch: quantity('angle', `Turned nose up at one g, ${at}`),
      pitchPerG: quantity('angle', `What each g more adds to that, ${at}`),
      yaw: quantity('angle', `Turned nose right at full yaw command to the right, ${at}`),
      roll: quantity('angle', `Turned right side up by that, ${at}`),
    })
    .nullable()
    .meta({ description: `Turned ${at}; null where the air bends it away` });

const boom = z.object({
  body: text('Body that carries the tail'),
  id: text('That body, as the document names it'),
  carries: z.array(text('Surface on it, as the document names it')),
  from: quantity('length', 'Where the wing holds it, aft of the datum'),
  isAft: z.boolean().meta({ description: 'True for one that reaches to the rear' }),
  length: quantity('length', 'From where the wing holds it to the middle of what it carries'),
  cruise: boomFlex('at cruise speed'),
  between: boomFlex('at the speed whose dynamic pressure lies midway'),
  dive: boomFlex('at the fastest at which it is shown bent'),
  pitchFactor: maybe('percent', 'Share of the tail’s effect on pitch that it leaves at cruise speed'),
  yawFactor: maybe('percent', 'Share of the effect on yaw of what it carries that it leaves'),
});

const check = z.object({
  kind: z.enum(CHECK_KINDS).meta({ description: 'What is checked' }),
  part: text('Part'),
  share: quantity('percent', 'Load over what bears it; 1 is the limit'),
});

const linkage = z.object({
  control: text('Control'),
  hinge: quantity('moment', 'Moment about its hinge at full throw in the fastest dive, one side'),
  servo: quantity('moment', 'What its servo then turns against'),
  servoAtCruise: quantity('moment', 'The same at cruise speed'),
  torqueShare: maybe('percent', 'Of what the servo gives; null where that was not typed'),
  slop: quantity('angle', 'Free play at the control'),
  bucklingShare: maybe('percent', 'Push over what the pushrod bears; null without one'),
});

export const strengthKeys = z.object({
  breakingLoadFactor: maybe('ratio', 'Load factor that breaks it at cruise speed'),
  breakingBand: maybe('percent', 'How far off that may be, up and down'),
  breaksAt: z
    .object({
      surface: text('Surface that breaks'),
      spanFraction: quantity('percent', 'Where, 0 at the root, 1 at the tip'),
      member: text('What gives way'),
    })
    .nullable()
    .meta({ description: 'Where that is' }),
  breakingAtDive: maybe('ratio', 'Load factor that breaks it at the fastest dive'),
  flightLoadFactor: maybe(
    'ratio',
    'Load factor that flight may ask for: stall or full pitch command in that dive, or a gust',
  ),
  diveSpeed: maybe('speed', 'Fastest speed in the dive of the document'),
  bentUpTo: maybe(
    'speed',
    'Fastest speed at which it is shown bent: that of the dive, or nine tenths of that at which the air turns it away before',
  ),
  tipDeflection: maybe('length', 'How far the tip of the wing stands up at one g at cruise speed'),
  tipTwist: maybe('angle', 'How far it is turned there, leading edge up positive'),
  deflectionBand: maybe('percent', 'How far off both may be, as a share'),
  divergenceSpeed: maybe('speed', 'Speed at which a twist feeds itself'),
  divergesBy: z
    .string()
    .nullable()
    .meta({ description: 'What then turns away: a surface, or the body that carries it' }),
  elevatorReversalSpeed: maybe('speed', 'Speed at which the pitch command acts backward'),
  aileronReversalSpeed: maybe('speed', 'Speed at which the roll command acts backward'),
  rudderReversalSpeed: maybe('speed', 'Speed at which the yaw command acts backward'),
  rudderRollReversalSpeed: maybe('speed', 'Speed at which the roll of the yaw command turns round'),
  boomPitchFactor: maybe('percent', 'Share of the tail’s effect on pitch left by its boom at cruise speed'),
  boomYawFactor: maybe('percent', 'Share of the effect on yaw left by it'),
  liftSlopeKept: maybe('percent', 'Lift slope as it bends over that of a stiff aircraft, at cruise speed'),
  neutralPointShift: maybe('length', 'How far bending moves the neutral point at cruise speed, aft positive'),
  neutralPointShiftByBooms: maybe('length', 'How far booms alone move it there, the wings held stiff'),
  neutralPointShiftAtDive: maybe('length', 'The same at the fastest dive'),
  pitchKept: maybe('percent', 'Share of the pitch command left by bending at cruise speed'),
  rollKept: maybe('percent', 'Share of the roll command left by bending at cruise speed'),
  rudderYawKept: maybe('percent', 'Share of the yaw of the yaw command left by bending at cruise speed'),
  rudderRollKept: maybe('percent', 'Share of the roll of the yaw command left by bending at cruise speed'),
  flexApart: maybe(
    'angle',
    'With two wings: how much more the front one is turned than the other at the load factor of flight',
  ),
  servoTorque: z
    .record(z.string(), quantity('moment', 'What a servo turns against at full throw in the fastest dive'))
    .meta({ description: 'By control' }),
  linkages: z.array(linkage),
  booms: z.array(boom),
  surfaces: z.array(surface),
  checks: z.array(check),
});
