import { z } from 'zod';
import { bounded } from './limits';

/** How a section is made from board. Contour, camber and thickness follow from it. */
export const sectionSchema = z
  .discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('flatPlate').meta({ description: 'One flat sheet' }),
      thickness: bounded('thickness', 'Board thickness'),
      edge: z
        .enum(['square', 'rounded', 'sharpened'])
        .default('square')
        .meta({ description: 'How both edges are finished: cut square, sanded round, or tapered to a thin rear edge' }),
    }),
    z.strictObject({
      kind: z.literal('steppedPlate').meta({ description: 'A sheet doubled over part of the chord' }),
      thickness: bounded('thickness', 'Thickness of one sheet'),
      stepPosition: bounded('stationAlongChord', 'Where the doubled part ends, from the leading edge'),
      stepSide: z.enum(['upper', 'lower']).default('upper').meta({ description: 'Side that carries the second sheet' }),
    }),
    z.strictObject({
      kind: z.literal('curvedPlate').meta({ description: 'A sheet bent over ribs' }),
      thickness: bounded('thickness', 'Board thickness'),
      camber: bounded('camber', 'Greatest camber as a fraction of the chord'),
      camberPosition: bounded('stationAlongChord', 'Where the camber is greatest').default(0.4),
      openBelow: z.boolean().default(true).meta({
        description: 'True when the ribs are left open on the lower side; false when a film closes it flat',
      }),
      ribSpacing: bounded(
        'ribSpacing',
        'From rib to rib, of the board of the surface; left out for a sheet without ribs',
      ).optional(),
    }),
    z.strictObject({
      kind: z.literal('foldedOverSpar').meta({ description: 'A sheet folded at the nose over a spar' }),
      boardThickness: bounded('thickness', 'Board thickness'),
      bottomLength: bounded('fraction', 'Where the lower skin ends, as a fraction of the chord').default(1),
      sparHeight: bounded('thickness', 'Free height between the two skins at the spar'),
      sparPosition: bounded('stationAlongChord', 'Centre of the spar from the leading edge').default(0.3),
      rearBevel: bounded('size', 'Length over which the trailing edge is bevelled').default(0),
      scoredFace: z.enum(['inner', 'outer']).optional().meta({
        description: 'Face that is scored or cut for the fold; the other keeps its length. Without it: inner',
      }),
      scores: z
        .int()
        .min(1, { error: 'must be 1 (a single dent) or more' })
        .max(15, { error: 'must be 15 or fewer: the board is cut to strips' })
        .refine((count) => count % 2 === 1, { error: 'must be odd: one score lies on the nose itself' })
        .optional()
        .meta({
          description:
            'Lines scored or dented round the nose, one of them on it. Without it: as many as the board needs',
        }),
      singleFrom: bounded(
        'stationAlongChord',
        'Where the upper skin comes down on the lower one; behind it lies a single sheet, such as a control',
      ).optional(),
      spar: z.enum(['strip', 'folded']).optional().meta({
        description:
          'A strip of board on edge, or a channel folded of one: a base on the lower skin and two webs. Without it: a strip',
      }),
      spacers: bounded(
        'ribSpacing',
        'Pieces of board between the skins behind the spar, so far from one to the next; left out for none',
      ).optional(),
    }),
    z.strictObject({
      kind: z.literal('fourDigit').meta({ description: 'Hot-wired or carved to a four-digit shape' }),
      camber: bounded('camber', 'Greatest camber as a fraction of the chord').default(0),
      camberPosition: bounded('stationAlongChord', 'Where the camber is greatest').default(0.4),
      thicknessRatio: z
        .number()
        .min(0.01, { error: 'must lie between 0.01 and 0.3' })
        .max(0.3, { error: 'must lie between 0.01 and 0.3' })
        .meta({ description: 'Thickness as a fraction of the chord' }),
    }),
    z.strictObject({
      kind: z.literal('ribsUnderFilm').meta({ description: 'Ribs of board on spars, covered with film' }),
      camber: bounded('camber', 'Greatest camber as a fraction of the chord').default(0.03),
      camberPosition: bounded('stationAlongChord', 'Where the camber is greatest').default(0.4),
      thicknessRatio: z
        .number()
        .min(0.03, { error: 'must lie between 0.03 and 0.3' })
        .max(0.3, { error: 'must lie between 0.03 and 0.3' })
        .meta({ description: 'Thickness as a fraction of the chord' }),
      ribSpacing: bounded('ribSpacing', 'From rib to rib').default(60),
      ribCutOut: bounded('fraction', 'Share of each rib that is cut out').default(0.3),
      filmDensity: bounded('arealDensity', 'Film on one face, as put on').default(40),
    }),
    z.strictObject({
      kind: z.literal('reflexed').meta({ description: 'A plate with its rear part bent up' }),
      thickness: bounded('thickness', 'Board thickness'),
      camber: bounded('camber', 'Camber of the forward part as a fraction of the chord').default(0),
      camberPosition: bounded('stationAlongChord', 'Where that camber is greatest').default(0.3),
      bendPosition: bounded('stationAlongChord', 'Where the rear part is bent up').default(0.75),
      bendAngle: bounded('deflection', 'Angle by which the rear part is turned trailing edge up'),
    }),
    z.strictObject({
      kind: z.literal('coordinates').meta({ description: 'A contour from a plain list of points' }),
      name: z.string().max(200).default('').meta({ description: 'Name of the contour' }),
      points: z
        .array(z.tuple([z.number().min(-0.2).max(1.2), z.number().min(-1).max(1)]))
        .min(5, { error: 'must hold at least 5 points' })
        .max(2000, { error: 'must hold at most 2000 points' })
        .meta({
          description:
            'x y pairs as fractions of the chord, from the trailing edge over the upper side to the nose and back below',
        }),
    }),
  ])
  .meta({ description: 'Section, by the way it is built' });

export type Section = z.output<typeof sectionSchema>;
export type SectionKind = Section['kind'];
export type SectionOf<Kind extends SectionKind> = Extract<Section, { kind: Kind }>;
