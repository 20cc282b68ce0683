import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';
import type { StageEntry } from '../stages/stage';
import { STAGE_LIST } from '../stages/stages';

/** What to do at this stage, and which one comes next. */
export function StageTask({ id, stage }: { readonly id: string; readonly stage: StageEntry }) {
  const next = STAGE_LIST[STAGE_LIST.indexOf(stage) + 1];
  return (
    <p className="px-3 py-1.5 text-label leading-tight text-faint" data-testid="stage-task">
      {stage.task}
      {next && (
        <>
          {' '}
          <Link
            to={`/design/${id}/${next.path}`}
            className="inline-flex items-center gap-0.5 font-medium whitespace-nowrap text-graphite underline decoration-rule underline-offset-2 hover:decoration-graphite"
          >
            Next: {next.title} <ArrowRight size={12} aria-hidden="true" />
          </Link>
        </>
      )}
    </p>
  );
}
