import { metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Surface } from '@/core/2-document/schema/surface';
import { decimal, formatValue } from '@/words/formatQuantity';
import { useAppSelector } from '@/store/hooks';

const WIDTH = 326;
const TALL = 26;

/** How much lift each place of the half span has left when the first one stalls: root at the left, tip at the right. */
export function StallStrip({ surface }: { readonly surface: Surface }) {
  const stall = useAppSelector((state) => state.analysis.current?.stall);
  const units = useAppSelector((state) => state.settings.units);
  const strips = stall?.strips.filter((strip) => strip.surface === surface.id) ?? [];
  if (!stall || strips.length === 0) return null;
  const leads = stall.surface === surface.id;
  const tip = metresFromMillimetres(surface.stations.at(-1)!.distanceFromRoot);
  const width = WIDTH / strips.length;
  const start = (stall.startsAtSpanFraction ?? 0) * WIDTH;
  const words = leads
    ? `Stalls first at ${Math.round((stall.startsAtSpanFraction ?? 0) * 100)} % of the half span`
    : `The ${stall.surface} stalls first`;
  return (
    <figure className="mt-2">
      <svg
        viewBox={`0 0 ${WIDTH} ${TALL + 12}`}
        className="w-full"
        role="img"
        aria-label={`Stall along the span: ${words}`}
      >
        {strips.map(({ lift, limit }, index) => {
          const left = Math.max(0, Math.min(1, 1 - lift / limit));
          return (
            <rect
              key={index}
              x={index * width}
              y={TALL * left}
              width={Math.max(1, width - 1)}
              height={TALL * (1 - left)}
              fill={left < 0.08 ? 'var(--color-caution)' : 'var(--color-balance)'}
              fillOpacity={left < 0.08 ? 0.85 : 0.35}
            />
          );
        })}
        <path d={`M0 0.5 H${WIDTH}`} stroke="var(--color-graphite)" strokeDasharray="3 3" />
        {leads && <path d={`M${start} ${TALL} l-5 9 h10 Z`} fill="var(--color-caution)" />}
      </svg>
      <figcaption className="text-label text-faint">
        {words}
        {stall.marginAtRollControls !== null &&
          `, ${decimal(stall.marginAtRollControls, 2)} of lift left at the roll controls`}
        {leads && stall.washoutToMoveInboard !== null && stall.washoutToMoveInboard > 0
          ? `; ${formatValue(stall.washoutToMoveInboard, 'angle', units)} more washout moves it inboard.`
          : '.'}
        <span className="sr-only"> Half span {decimal(tip, 2)} m, root at the left.</span>
      </figcaption>
    </figure>
  );
}
