import { similar } from '@/core/7-flight/toss/similar';
import { useAppSelector } from '@/store/hooks';
import { decimal, formatValue } from '@/words/formatQuantity';
import { Fact } from '../numbers/Derived';
import { Section } from '../numbers/Section';

/** What a small one of the scale of the throw has to weigh to fly alike, and what the same board makes of it. */
export function SmallGlider() {
  const scale = useAppSelector((state) => state.glider.asked.scale);
  const analysis = useAppSelector((state) => state.analysis.current);
  const units = useAppSelector((state) => state.settings.units);
  const mass = analysis?.mass.total;
  const span = analysis?.reference.span;
  if (mass == null || span == null) return null;
  if (scale === 1)
    return (
      <Section title="The small glider" isRare>
        <p className="text-label text-faint">
          Type a scale of the throw, such as 0.25, to see what a small one of the same shape has to weigh; the plans
          stage cuts it at that scale.
        </p>
      </Section>
    );
  const boardMass = analysis!.mass.parts
    .filter(({ kind }) => kind !== 'item')
    .reduce((sum, { mass: own }) => sum + own, 0);
  const small = similar({ mass, span, boardMass }, scale);
  const weight = (value: number) => formatValue(value, 'mass', units);
  return (
    <Section title="The small glider">
      <Fact label="Span">{formatValue(small.span, 'length', units)}</Fact>
      <Fact label="Flies alike at a mass of">{weight(small.mass)}</Fact>
      <Fact label="Cut of the same board it weighs">{weight(small.boardMass)}</Fact>
      {small.ballast >= 0 ? (
        <Fact label="Ballast at the balance point">{weight(small.ballast)}</Fact>
      ) : (
        <Fact label="Too heavy by">{weight(-small.ballast)}</Fact>
      )}
      <Fact label="At so much of the speed">{decimal(100 * small.speedRatio, 0)} %</Fact>
      <Fact label="And of the Reynolds number">{decimal(100 * small.reynoldsRatio, 0)} %</Fact>
      <p className="mt-1 text-label text-faint">
        {small.ballast >= 0
          ? 'Ballast makes up the mass, not how it is spread: it turns a little quicker than the large one.'
          : `Thinner board, or a larger one: as it is it flies ${decimal(
              100 * (Math.sqrt(small.boardMass / small.mass) - 1),
              0,
            )} % faster than alike.`}{' '}
        Stall and glide of the throw above are those of its own Reynolds number.
      </p>
    </Section>
  );
}
