import { useState } from 'react';
import type { Design } from '@/core/2-document/schema/design';
import { airAt } from '@/core/5-aero/atmosphere';
import { plainDesign } from '@/core/2-document/starts';
import { mixRecipes } from '@/core/8-sizing/recipe';
import type { SizingResult } from '@/core/8-sizing/sizeDesign';
import { targetsOf } from '@/core/6-groups/ceilings/briefTargets';
import { formatSpeed, formatValue } from '@/words/formatQuantity';
import { editDesign } from '@/store/edit';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { cancelSizing, sizeCandidates, sizeOneMore } from '@/store/sizing';
import { SelectField } from '../fields/SelectField';
import { Button } from '../shell/buttons';
import { CandidatesTable } from './CandidatesTable';
import { StartFromDesign } from './StartFromDesign';
import { Say } from '../numbers/Say';

/** A usual C_Lmax for the targets before any layout is drawn. */
const USUAL_MAXIMUM_LIFT = 0.95;

/** What the brief asks for, and layouts that answer it, drawn to be started from or mixed. */
export function CandidatesBoard({ design }: { readonly design: Design }) {
  const dispatch = useAppDispatch();
  const { results, left, asked, failure } = useAppSelector((state) => state.sizing);
  const isEmpty = design.surfaces.length === 0;
  return (
    <div
      className="h-full overflow-y-auto px-5 py-4"
      data-testid="candidates"
      tabIndex={0}
      role="region"
      aria-label="Layouts for the brief"
    >
      {results.length === 0 && <Aims design={design} />}
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <Button look="strong" onClick={() => void dispatch(sizeCandidates())} disabled={left > 0}>
          Draw three layouts
        </Button>
        {isEmpty && (
          <Button
            onClick={() => dispatch(editDesign((current) => ({ ...plainDesign(current.name), brief: current.brief })))}
          >
            Start with a plain wing and tail
          </Button>
        )}
        <StartFromDesign />
        {left > 0 && (
          <>
            <progress value={asked - left} max={asked} aria-label="Layouts sized" className="h-2 w-32" />
            <Button look="quiet" onClick={() => dispatch(cancelSizing())}>
              Cancel
            </Button>
          </>
        )}
      </div>
      {failure && (
        <p role="alert" className="mt-3 border-l-4 border-stop bg-stop-soft p-2 text-read">
          The layouts could not be sized: {failure}
        </p>
      )}
      {results.length === 0 && left === 0 && (
        <p className="mt-6 max-w-xl text-faint">
          Say at the right what it is for, where it flies and what is at hand. Three layouts are then sized: area and
          weight chase one another until the wing loading fits, the nose is made as long as the balance needs, and the
          tail is set so that it flies hands off.
        </p>
      )}
      {results.length > 0 && <CandidatesTable design={design} results={results} />}
      <Mix results={results} />
      {results.length > 0 && (
        <div className="mt-5">
          <Aims design={design} />
        </div>
      )}
    </div>
  );
}

function Aims({ design }: { readonly design: Design }) {
  const units = useAppSelector((state) => state.settings.units);
  const { elevation, temperature } = design.conditions;
  const targets = targetsOf(design.brief, airAt(elevation, temperature), USUAL_MAXIMUM_LIFT);
  return (
    <section aria-label="What the brief asks for">
      <h2 className="text-label font-semibold tracking-wide uppercase">What the brief asks for</h2>
      <table className="mt-1 w-full max-w-2xl text-read">
        <tbody>
          {(
            [
              ['Stall speed', formatSpeed(targets.stallSpeed, units), targets.stallBecause],
              ['Cruise speed', formatSpeed(targets.cruiseSpeed, units), targets.cruiseBecause],
              ['Wing loading', formatValue(targets.wingLoading, 'wingLoading', units), targets.wingLoadingBecause],
            ] as const
          ).map(([name, value, because]) => (
            <tr key={name} className="border-b border-soft align-baseline">
              <th scope="row" className="w-28 py-1 text-left font-normal text-faint">
                {name}
              </th>
              <td className="w-28 font-semibold whitespace-nowrap">{value}</td>
              <td className="text-label text-faint">
                <Say words={because} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {targets.conflicts.map((conflict, index) => (
        <p key={index} className="mt-2 border-l-4 border-caution bg-caution-soft p-2 text-read">
          <Say words={conflict} />
        </p>
      ))}
    </section>
  );
}

/** The wing of one layout with the tail of another. */
function Mix({ results }: { readonly results: readonly SizingResult[] }) {
  const dispatch = useAppDispatch();
  const sized = results.filter((result) => result.kind === 'sized');
  const [wing, setWing] = useState('0');
  const [tail, setTail] = useState('1');
  if (sized.length < 2) return null;
  const options = sized.map(({ candidate }, index) => [String(index), candidate.recipe.name] as const);
  const at = (index: string) => (sized[Number(index)] ?? sized[0]!).candidate.recipe;
  return (
    <section aria-label="Mix two layouts" className="mt-5 flex flex-wrap items-end gap-2 border-t border-rule pt-3">
      <div className="w-52">
        <SelectField label="Wing of" value={wing} options={options} onChange={setWing} />
      </div>
      <div className="w-52">
        <SelectField label="Tail of" value={tail} options={options} onChange={setTail} />
      </div>
      <Button disabled={wing === tail} onClick={() => void dispatch(sizeOneMore(mixRecipes(at(wing), at(tail))))}>
        Draw the mix
      </Button>
    </section>
  );
}
