import Drawing from 'dxf-writer';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import type { PlanSheet } from './planSheet';
import { LAYER_LOOKS, LAYERS, linesOf } from './layers';

/** A sheet as a drawing exchange file in millimetres: closed polylines with bulges for arcs, one layer for each use. */
export function planDxf({ parts }: PlanSheet): string {
  const drawing = new Drawing();
  drawing.setUnits('Millimeters');
  drawing.header('MEASUREMENT', [[70, 1]]);
  for (const layer of LAYERS) drawing.addLayer(layer, LAYER_LOOKS[layer].index, 'CONTINUOUS');
  for (const part of parts) {
    for (const [layer, { vertices, isClosed }] of linesOf(part)) {
      drawing.setActiveLayer(layer);
      drawing.drawPolyline(
        // The third number of a corner is its bulge; the types of the library leave it out.
        vertices.map(({ x, y, bulge = 0 }) => [x, y, bulge] as unknown as [number, number]),
        isClosed,
      );
    }
    drawing.setActiveLayer('text');
    for (const { words, at, height, turn } of part.texts)
      drawing.drawText(at[0], at[1], height, degreesFromRadians(turn), words);
  }
  return drawing.toDxfString();
}
