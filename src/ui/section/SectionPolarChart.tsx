import type { Section } from '@/core/2-document/schema/section';
import { sectionPolar } from '@/core/3-shape/section/sectionPolar';
import Chart from '../charts/Chart';

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
      caption="Lift over profile drag"
      x="profile drag"
      y="lift"
      lines={curves.map(({ name, section, chord, reynolds }, index) => {
        const points = sectionPolar(section, chord, reynolds);
        return {
          name,
          x: points.map(({ drag }) => drag),
          y: points.map(({ lift }) => lift),
          look: index === 0 ? 'strong' : 'dashed',
        };
      })}
    />
  );
}
