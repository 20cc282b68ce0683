import { useState } from 'react';
import type { Toss } from '@/core/7-flight/toss/settings';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { tossAsked } from '@/store/gliderSlice';
import { isTrack, readTosses, readTrack, tossesCsv } from '@/files/tossesTable';
import { changeToss, dropToss, logToss, takeTosses, type TossPart } from '@/store/tosses';
import { SelectField } from '../fields/SelectField';
import { Section } from '../numbers/Section';
import { RecordNote } from '../records/RecordNote';
import { type RecordNumber, RecordNumbers } from '../records/RecordNumbers';
import { RecordPhotos } from '../records/RecordPhotos';
import { RecordRow } from '../records/RecordRow';
import { UnreadableRecords } from '../records/UnreadableRecords';
import { useRecords } from '../records/useRecords';
import { Button } from '../shell/buttons';
import { ChooseFile } from '../shell/ChooseFile';
import { downloadFile } from '../shell/download';
import { told } from '../shell/told';
import { far, RESULT_WORDS } from './tossWords';

/** Tosses of one size, oldest first. */
export const useTossesOf = (scale: number): readonly Toss[] =>
  useRecords('tosses').filter((toss) => toss.scale === scale);

/** A log of a season is far below it. */
const MOST_BYTES = 1_000_000;

/** A toss is logged by one press on what it did; numbers are typed after it. */
export function TossLog() {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.settings.units);
  const scale = useAppSelector((state) => state.glider.asked.scale);
  const tosses = useTossesOf(scale);
  const all = useRecords('tosses');
  const elsewhere = all.at(-1)?.scale;
  const name = useAppSelector((state) => state.document.present?.name ?? 'design');
  const [fault, setFault] = useState<string | null>(null);
  const [opened, setOpened] = useState<string | null>(null);
  const last = tosses.at(-1);
  const log = async (result: Toss['result']) => {
    await told('The toss was not logged', () => dispatch(logToss(last, { scale, result })));
    setOpened(null);
  };
  const shown = opened ?? last?.id;
  const bringIn = async (file: File) => {
    const fault = file.size > MOST_BYTES ? 'It is larger than 1 MB: no log is.' : await taken(await file.text());
    setFault(fault && `${file.name} was not taken. ${fault}`);
  };
  /** Takes a text in; why not, where it was not. */
  const taken = async (text: string): Promise<string | null> => {
    if (isTrack(text)) {
      const of = tosses.find(({ id }) => id === shown);
      const read = readTrack(text);
      if (!read.ok) return read.message;
      if (!of) return 'Places over time belong to a toss: open the one that was filmed first.';
      await told('The places were not taken', () => dispatch(changeToss(of, { track: read.track })));
      return null;
    }
    const read = readTosses(text, all, new Date().toISOString());
    if (!read.ok) return read.message;
    await told('The tosses were not taken', () => dispatch(takeTosses(read.tosses)));
    return null;
  };
  return (
    <Section
      title="Toss log"
      aside={
        <>
          <ChooseFile
            look="quiet"
            words="Bring in"
            label="Table of tosses, or places over time of the open one"
            accept=".csv,.txt,text/csv,text/plain"
            onFile={(file) => void bringIn(file)}
          />
          {tosses.length > 0 && (
            <Button
              look="quiet"
              onClick={() => downloadFile({ name: `${name} tosses.csv`, parts: [tossesCsv(tosses)], type: 'text/csv' })}
            >
              CSV
            </Button>
          )}
        </>
      }
    >
      {fault && (
        <p role="alert" className="mb-1.5 border-l-4 border-stop bg-stop-soft p-2 text-read">
          {fault}
        </p>
      )}
      {tosses.length === 0 && elsewhere !== undefined && (
        <p className="mb-1.5 text-read">
          Tosses of scale {elsewhere} are on record.{' '}
          <Button look="quiet" onClick={() => dispatch(tossAsked({ scale: elsewhere }))}>
            Show them
          </Button>
        </p>
      )}
      <p className="text-label text-faint">Thrown by hand at scale {scale}. What did it do?</p>
      <div className="mt-1 grid grid-cols-2 gap-1.5" role="group" aria-label="Log a toss that">
        {RESULT_WORDS.map(([result, words]) => (
          <Button key={result} className="min-h-11" onClick={() => void log(result)}>
            {words}
          </Button>
        ))}
      </div>
      <ol className="mt-2 divide-y divide-soft">
        {tosses.map((toss, index) => (
          <RecordRow
            key={toss.id}
            words={
              <>
                {index + 1}. {RESULT_WORDS.find(([result]) => result === toss.result)![1]}
                {toss.distance !== undefined && `, ${far(toss.distance, units)}`}
                {toss.shim !== undefined && toss.shim !== 0 && `, shim ${toss.shim}°`}
                {toss.ballast !== undefined && toss.ballast > 0 && `, ${toss.ballast} g`}
                {toss.track.length > 0 && `, filmed`}
              </>
            }
            what="The toss"
            removeLabel={`Take toss ${index + 1} out`}
            isOpen={shown === toss.id}
            onToggle={() => setOpened(shown === toss.id ? '' : toss.id)}
            drop={() => dispatch(dropToss(toss.id))}
          >
            <TossFields toss={toss} />
          </RecordRow>
        ))}
      </ol>
      <UnreadableRecords kind="tosses" />
    </Section>
  );
}

/** Numbers of a toss that may be left out; what is typed stays on the glider for the next one where it is something on it. */
function TossFields({ toss }: { readonly toss: Toss }) {
  const dispatch = useAppDispatch();
  const change = (part: TossPart) => {
    void told('The toss was not changed', () => dispatch(changeToss(toss, part)));
    return null;
  };
  return (
    <div className="grid grid-cols-2 gap-x-2 gap-y-1.5 pb-2">
      <RecordNumbers numbers={NUMBERS} record={toss} onChange={change} />
      <div className="col-span-2">
        <SelectField
          label="What it did"
          value={toss.result}
          options={RESULT_WORDS}
          onChange={(result) => change({ result })}
        />
      </div>
      <RecordNote label="Note" value={toss.notes} most={2000} onChange={(notes) => change({ notes })} />
      <RecordPhotos of={toss.id} />
    </div>
  );
}

const NUMBERS: readonly RecordNumber<
  | 'distance'
  | 'time'
  | 'sideways'
  | 'launchSpeed'
  | 'launchHeight'
  | 'wind'
  | 'shim'
  | 'ballast'
  | 'ballastAt'
  | 'mass'
  | 'balance'
>[] = [
  { key: 'distance', label: 'Distance (m)', kind: 'number', least: 0, most: 1000, step: 0.5 },
  { key: 'time', label: 'Time (s)', kind: 'number', least: 0, most: 3600 },
  { key: 'sideways', label: 'To the right (m)', kind: 'number', least: -1000, most: 1000, step: 0.5 },
  { key: 'launchSpeed', label: 'Out of the hand', kind: 'speed', least: 1, most: 100 },
  { key: 'launchHeight', label: 'Hand over ground (m)', kind: 'number', least: 0.05, most: 200 },
  { key: 'wind', label: 'Against the wind', kind: 'speed', least: -20, most: 20 },
  { key: 'shim', label: 'Shim, nose up', kind: 'angle', least: -20, most: 20 },
  { key: 'ballast', label: 'Ballast', kind: 'mass', least: 0, most: 50_000 },
  { key: 'ballastAt', label: 'Ballast sits at', kind: 'length', least: -10_000, most: 10_000 },
  { key: 'mass', label: 'Weighed in all', kind: 'mass', least: 0, most: 50_000 },
  { key: 'balance', label: 'Balanced at', kind: 'length', least: -10_000, most: 10_000 },
];
