import type { MassItem } from '../schema/airframe';

/** A generic size of something that is bought: what it weighs and fills. Millimetres, grams. */
export interface Equipment {
  readonly id: string;
  readonly name: string;
  readonly category: MassItem['category'];
  readonly mass: number;
  readonly size: { readonly length: number; readonly width: number; readonly height: number };
  /** Static thrust with a usual propeller [g], motors only: a guide for a first choice (±20 %). */
  readonly thrust?: number;
}

const part = (
  id: string,
  name: string,
  category: MassItem['category'],
  mass: number,
  [length, width, height]: readonly [number, number, number],
  thrust?: number,
): Equipment => ({
  id,
  name,
  category,
  mass,
  size: { length, width, height },
  ...(thrust === undefined ? {} : { thrust }),
});

/**
 * Generic sizes, not products: round figures in the middle of what is sold,
 * within ±15 % in mass. Weigh what you have; a weighed mass replaces them.
 */
export const EQUIPMENT: readonly Equipment[] = [
  part('motor12', 'Motor, 12 g class', 'motor', 12, [18, 22, 22], 180),
  part('motor20', 'Motor, 20 g class', 'motor', 20, [22, 24, 24], 320),
  part('motor28', 'Motor, 28 g class', 'motor', 28, [25, 27, 27], 480),
  part('motor50', 'Motor, 50 g class', 'motor', 50, [30, 28, 28], 850),
  part('motor70', 'Motor, 70 g class', 'motor', 70, [34, 29, 29], 1200),
  part('motor110', 'Motor, 110 g class', 'motor', 110, [38, 35, 35], 1900),
  part('motor160', 'Motor, 160 g class', 'motor', 160, [45, 36, 36], 2700),
  part('pack2s300', 'Pack, 2 cells 300 mAh', 'battery', 18, [45, 17, 12]),
  part('pack2s450', 'Pack, 2 cells 450 mAh', 'battery', 28, [54, 30, 12]),
  part('pack2s850', 'Pack, 2 cells 850 mAh', 'battery', 48, [56, 30, 17]),
  part('pack3s850', 'Pack, 3 cells 850 mAh', 'battery', 72, [57, 30, 25]),
  part('pack3s1300', 'Pack, 3 cells 1300 mAh', 'battery', 110, [72, 35, 25]),
  part('pack3s2200', 'Pack, 3 cells 2200 mAh', 'battery', 180, [105, 34, 24]),
  part('pack4s2200', 'Pack, 4 cells 2200 mAh', 'battery', 240, [106, 34, 32]),
  part('pack4s3300', 'Pack, 4 cells 3300 mAh', 'battery', 350, [135, 43, 30]),
  part('controller8', 'Speed controller, 8 A', 'speedController', 7, [25, 14, 5]),
  part('controller20', 'Speed controller, 20 A', 'speedController', 20, [45, 24, 8]),
  part('controller40', 'Speed controller, 40 A', 'speedController', 38, [60, 26, 12]),
  part('servo4', 'Servo, 4 g', 'servo', 4.3, [20, 8.5, 20]),
  part('servo9', 'Servo, 9 g', 'servo', 9, [23, 12, 24]),
  part('servo17', 'Servo, 17 g', 'servo', 17, [29, 13, 30]),
  part('receiver4', 'Receiver, 4 channels', 'receiver', 4, [30, 18, 9]),
  part('receiver8', 'Receiver, 8 channels', 'receiver', 11, [44, 25, 12]),
  part('stabiliser', 'Stabiliser board', 'receiver', 9, [36, 24, 12]),
  part('cameraSmall', 'Camera, small board', 'payload', 9, [19, 19, 22]),
  part('cameraAction', 'Camera, action size', 'payload', 75, [36, 60, 42]),
  part('cameraMapping', 'Camera, mapping', 'payload', 210, [55, 105, 60]),
  part('videoSender', 'Video sender', 'payload', 14, [36, 26, 9]),
  part('propeller5', 'Propeller, 5 in', 'propeller', 4, [8, 127, 127]),
  part('propeller8', 'Propeller, 8 in', 'propeller', 9, [10, 203, 203]),
  part('propeller10', 'Propeller, 10 in', 'propeller', 15, [12, 254, 254]),
  part('wheels60', 'Wire undercarriage, 60 mm wheels', 'undercarriage', 46, [60, 220, 90]),
  part('skid', 'Landing skid', 'undercarriage', 8, [160, 10, 20]),
  part('noseWeight', 'Nose weight', 'ballast', 20, [14, 20, 10]),
];

/** The pack that suits a motor: about one and a half times its mass, as most of these models carry. */
export function packFor(motor: Equipment, packs: readonly Equipment[] = EQUIPMENT): Equipment {
  const wanted = 1.5 * motor.mass;
  return packs
    .filter(({ category }) => category === 'battery')
    .reduce((best, pack) => (Math.abs(pack.mass - wanted) < Math.abs(best.mass - wanted) ? pack : best));
}

export function equipmentById(id: string): Equipment {
  const found = EQUIPMENT.find((entry) => entry.id === id);
  if (!found) throw new RangeError(`There is no equipment "${id}".`);
  return found;
}
