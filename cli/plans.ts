import '@/core/1-base/zodSetup';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { finish } from '@/core/1-base/steps';
import { metresFromMillimetres, squareMetresFromSquareMillimetres } from '@/core/1-base/units/convert';
import { areaOfPart, boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { cutListOf } from '@/core/4-parts/cutList';
import { costOf } from '@/core/4-parts/cost';
import { cutLengthOf, layOut, massOfPart, USUAL_LAYOUT } from '@/core/4-parts/layout';
import { PLAN_FORMATS, type PlanFormat, planFiles } from '@/files/plans/planFiles';
import { PAPERS } from '@/files/plans/planPdf';
import { METRIC, sentence } from '@/words/formatQuantity';
import { analyse } from '@/core/analyse';
import { readCommand, readOneDesign } from './command';
import { refuse } from './refuse';

const HELP = `Usage: npm run -s plans -- FILE.json --out DIR [options]

Draws every part of a design at full size, lays the parts on sheets, writes the
files and prints one JSON object: SI units.

  --out DIR         where the files go; made when it is not there
  --format F        pdf, svg, dxf, csv or all (default all)
  --paper P         a4, a3, letter, or sheet for one large page each (default a4)
  --scale S         all lengths times this, such as 0.25 (default 1)
  --help            this text

Faults of the file go to standard error with their place; exit status 2.`;

const OPTIONS = {
  out: { type: 'string' },
  format: { type: 'string', default: 'all' },
  paper: { type: 'string', default: 'a4' },
  scale: { type: 'string', default: '1' },
} as const;

const PAPER_NAMES = [...Object.keys(PAPERS), 'sheet'] as ('a4' | 'a3' | 'letter' | 'sheet')[];

function main(): void {
  const { values, positionals } = readCommand(OPTIONS, HELP);
  const { design, records } = readOneDesign(positionals);
  if (values.out === undefined) return refuse(['Say where the files go: --out DIR.']);
  const formats: readonly PlanFormat[] =
    values.format === 'all'
      ? [...PLAN_FORMATS, 'page', 'order']
      : PLAN_FORMATS.filter((format) => format === values.format).flatMap((format): PlanFormat[] =>
          format === 'pdf' ? ['pdf', 'page', 'order'] : [format],
        );
  if (formats.length === 0) return refuse([`--format ${values.format}: give pdf, svg, dxf, csv or all.`]);
  const paper = PAPER_NAMES.find((name) => name === values.paper);
  if (!paper) return refuse([`--paper ${values.paper}: give a4, a3, letter or sheet.`]);
  const scale = Number(values.scale);
  if (!(scale >= 0.02 && scale <= 5))
    return refuse([`--scale ${values.scale}: give a number from 0.02 to 5, such as 0.25.`]);
  const list = cutListOf(design, { folds: records.trialFolds });
  const layout = finish(layOut(design, list, { ...USUAL_LAYOUT, scale }));
  const heading = { design: design.name, revision: '', date: '', scale };
  const files = planFiles(design, list, layout, {
    formats,
    paper,
    heading,
    told: { analysis: analyse(design, { without: ['remedies', 'bands', 'workings'] }), units: METRIC },
  });
  try {
    mkdirSync(values.out, { recursive: true });
    for (const [name, bytes] of files) writeFileSync(join(values.out, name), bytes);
  } catch (error) {
    return refuse([`${values.out}: cannot be written (${error instanceof Error ? error.message : String(error)}).`]);
  }
  const parts = list.parts.map((part) => {
    const { left, right, bottom, top } = boundsOfPart(part.outline);
    return {
      name: part.name,
      count: part.count,
      material: part.material,
      area: squareMetresFromSquareMillimetres(areaOfPart(part.outline)) * scale ** 2,
      cutLength: metresFromMillimetres(cutLengthOf(part)) * scale,
      bounds: [metresFromMillimetres(right - left) * scale, metresFromMillimetres(top - bottom) * scale],
      mass: massOfPart(design, part) * scale ** 2,
    };
  });
  const cost = costOf(design, list, layout);
  const names = new Map(list.parts.map(({ id, name }) => [id, name]));
  process.stdout.write(
    `${JSON.stringify(
      {
        format: 'inclinar-plans',
        version: 1,
        parts,
        rods: list.rods.map(({ name, count, material, size, length }) => ({
          name,
          count,
          material,
          size,
          length: metresFromMillimetres(length) * scale,
        })),
        sheets: layout.sheets.map(({ material, length, width, utilisation, parts: laid }) => ({
          material,
          length: metresFromMillimetres(length),
          width: metresFromMillimetres(width),
          utilisation,
          parts: laid.map(({ id }) => names.get(id) ?? id),
        })),
        utilisation: layout.utilisation,
        cost: cost.boards,
        costs: cost,
        files: [...files.keys()],
        findings: layout.faults.map(({ owner, message }) => ({ owner, message: sentence(message) })),
      },
      null,
      2,
    )}\n`,
  );
}

main();
