import { clsx } from 'clsx';
import { Check, Circle, OctagonAlert, TriangleAlert } from 'lucide-react';
import { NavLink } from 'react-router';
import { useAppSelector } from '@/store/hooks';
import { STAGE_LIST, stageState } from '../stages/stages';

const ICON = {
  stop: <OctagonAlert size={15} className="text-stop" aria-hidden="true" />,
  'look again': <TriangleAlert size={15} className="text-caution" aria-hidden="true" />,
  'in order': <Check size={15} className="text-balance" aria-hidden="true" />,
  'not started': <Circle size={13} aria-hidden="true" />,
} as const;

/** Stages down the side, each with its state and the number of findings. */
export function StageList({ id }: { readonly id: string }) {
  const design = useAppSelector((state) => state.document.present);
  const findings = useAppSelector((state) => state.analysis.current?.findings);
  return (
    <nav aria-label="Stages" className="w-[132px] shrink-0 border-r border-rule">
      <ol>
        {STAGE_LIST.map(({ path: stage, title }) => {
          const { state, count } = design
            ? stageState(design, findings ?? [], stage)
            : { state: 'not started' as const, count: 0 };
          return (
            <li key={stage}>
              <NavLink
                to={`/design/${id}/${stage}`}
                className={({ isActive }) =>
                  clsx(
                    'block border-b border-soft border-l-4 px-3 py-2.5 hover:bg-soft',
                    isActive ? 'border-l-graphite bg-sheet' : 'border-l-transparent',
                  )
                }
              >
                <span className="block font-medium">{title}</span>
                <span className="flex items-center gap-1 text-xs text-faint">
                  {findings ? (
                    <>
                      {ICON[state]} {state}
                      {count > 0 && ` · ${count}`}
                    </>
                  ) : (
                    'computing…'
                  )}
                </span>
              </NavLink>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
