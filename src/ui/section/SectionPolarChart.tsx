import type { Section } from '@/core/2-document/schema/section';
import { sectionPolar } from '@/core/3-shape/section/sectionPolar';
import Chart, { BALANCE, INK } from '../charts/Chart';

export interface Curve {
  readonly name: string;
  readonly section: Section;
  readonly chord: number;
  readonly reynolds: number;
}

/** Lift over drag of sections beside one another at this model's Reynolds number. */
export default function SectionPolarChart({ curves }: { readonly curves: readonly Curve[] }) {
  return (
    <Chart
      x="profile drag"
      y="lift"
      data={curves.map(({ name, section, chord, reynolds }, index) => {
        const points = sectionPolar(section, chord, reynolds);
        return {
          x: points.map(({ drag }) => drag),
          y: points.map(({ lift }) => lift),
          name,
          mode: 'lines' as const,
          line: {
            color: index === 0 ? BALANCE : INK,
            width: index === 0 ? 2.5 : 1.5,
            dash: index === 0 ? ('solid' as const) : ('dash' as const),
          },
        };
      })}
    />
  );
}
