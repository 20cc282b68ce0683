import { Trash2 } from 'lucide-react';
import { useEffect } from 'react';
import { field } from '@/core/2-document/edit/field';
import type { Millimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { type FigureName, FIGURES } from '@/core/2-document/schema/figures';
import { figuresOf, learned } from '@/core/8-field/evidence';
import type { Lesson } from '@/core/8-field/learn';
import type { Flight } from '@/core/8-field/sights';
import { setFields } from '@/store/edit';
import { hearLessons } from '@/store/field';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { lessonForgotten, lessonTaken } from '@/store/settingsSlice';
import { decimal, formatLength } from '@/words/formatQuantity';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';
import { useRecords } from '../records/useRecords';
import { Button, IconButton } from '../shell/buttons';
import { useBatches } from './useBatches';

const FIGURE_WORDS: Readonly<Record<FigureName, string>> = {
  greatestLift: 'Greatest lift',
  drag: 'Drag without lift',
  boards: 'Mass of boards',
  stiffness: 'Stiffness of boards',
  thrust: 'Thrust of propellers',
  glue: 'Glue in joints',
  foldInside: 'Folds scored inside',
  foldOutside: 'Folds cut outside',
};
const READINGS: Readonly<Record<FigureName, readonly [one: string, more: string]>> = {
  greatestLift: ['stall', 'stalls'],
  drag: ['glide', 'glides'],
  boards: ['weighed part', 'weighed parts'],
  stiffness: ['bent strip', 'bent strips'],
  thrust: ['bench test', 'bench tests'],
  glue: ['weighed joint', 'weighed joints'],
  foldInside: ['trial fold', 'trial folds'],
  foldOutside: ['trial fold', 'trial folds'],
};

const isOfFolds = (figure: FigureName) => figure === 'foldInside' || figure === 'foldOutside';

/** How a figure and its spread are said: as a share, of folds as what half a turn of the board takes more. */
function useFigureWords(board: Millimetres) {
  const units = useAppSelector((state) => state.settings.units);
  return (figure: FigureName, value: number, sigma?: number): string => {
    const [as, after] = isOfFolds(figure)
      ? [
          (one: number) => formatLength(one * board * Math.PI, units, 1),
          ` more for half a turn of ${formatLength(board, units, 1)}`,
        ]
      : [(one: number) => `${decimal(100 * one, 0)} %`, ''];
    return `${as(value)}${sigma === undefined ? '' : ` ±${as(sigma)}`}${after}`;
  };
}

const NO_FLIGHTS: readonly Flight[] = [];
/** Where no board is said, folds are told of that one. */
const USUAL_BOARD: Millimetres = 5;

/** What own measurements say beyond the tables, each piece to be taken back, and used in this design and in new ones. */
export function Learned({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const evidence = useAppSelector((state) => state.settings.evidence);
  const heard = useAppSelector((state) => state.field.lessons);
  const designId = useAppSelector((state) => state.session.id);
  const { chosen } = useBatches();
  const flights = chosen?.flights;
  const folds = useRecords('trialFolds');
  const says = useFigureWords(design.materials[0]?.thickness ?? USUAL_BOARD);
  const isCurrent = heard?.of === design && heard.by.flights === (flights ?? NO_FLIGHTS) && heard.by.folds === folds;
  useEffect(() => {
    if (isCurrent) return undefined;
    const timer = setTimeout(() => void dispatch(hearLessons(design, { flights: flights ?? NO_FLIGHTS, folds })), 300);
    return () => clearTimeout(timer);
  }, [dispatch, design, flights, folds, isCurrent]);
  const lessons = heard?.of === design ? heard.lessons : [];
  if (lessons.length === 0 && evidence.length === 0 && !design.figures) return null;
  const figures = figuresOf(evidence);
  const idOf = ({ figure }: Lesson) => `${designId} ${figure} ${chosen?.from ?? 0}`;
  const isUsed = JSON.stringify(design.figures) === JSON.stringify(figures);
  return (
    <Section title="What you have learned" isRare>
      {lessons.map((lesson) => {
        const isTaken = evidence.some(({ id }) => id === idOf(lesson));
        const [one, more] = READINGS[lesson.figure];
        return (
          <div key={lesson.figure} className="flex items-center justify-between gap-2 py-0.5 text-read">
            <span>
              {lesson.readings} {lesson.readings === 1 ? one : more}: {FIGURE_WORDS[lesson.figure].toLowerCase()}{' '}
              {says(lesson.figure, lesson.ratio, lesson.sigma)}
              {isOfFolds(lesson.figure) ? '' : ' of the table'}
            </span>
            <Button
              className="shrink-0 whitespace-nowrap"
              disabled={isTaken}
              onClick={() =>
                dispatch(
                  lessonTaken({
                    id: idOf(lesson),
                    figure: lesson.figure,
                    ratio: lesson.ratio,
                    sigma: lesson.sigma,
                    from: design.name.slice(0, 200),
                    at: new Date().toISOString(),
                  }),
                )
              }
            >
              {isTaken ? 'Taken' : 'Learn it'}
            </Button>
          </div>
        );
      })}
      {evidence.length > 0 && (
        <>
          <div className="mt-1.5">
            {FIGURES.map((figure) => {
              const { value, sigma, count } = learned(figure, evidence);
              return (
                count > 0 && (
                  <Fact key={figure} label={FIGURE_WORDS[figure]}>
                    {says(figure, value, sigma)}
                  </Fact>
                )
              );
            })}
          </div>
          <ul className="mt-1">
            {evidence.map(({ id, figure, ratio, from }) => (
              <li key={id} className="flex items-center justify-between gap-2 text-label text-faint">
                <span>
                  {from}: {FIGURE_WORDS[figure].toLowerCase()} {says(figure, ratio)}
                </span>
                <IconButton
                  label={`Forget ${FIGURE_WORDS[figure].toLowerCase()} of ${from}`}
                  icon={<Trash2 size={14} />}
                  onClick={() => dispatch(lessonForgotten(id))}
                />
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="mt-1 flex flex-wrap gap-1.5">
        {figures && !isUsed && (
          <Button onClick={() => dispatch(setFields([field('figures').to(figures)]))}>Count with them here</Button>
        )}
        {design.figures && (
          <Button look="quiet" onClick={() => dispatch(setFields([field('figures').to(undefined)]))}>
            Count by the tables again
          </Button>
        )}
      </div>
      <p className="mt-1 text-label text-faint">
        New designs begin with what was learned; numbers that count with it say so in their working.
      </p>
    </Section>
  );
}
