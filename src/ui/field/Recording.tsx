import { useState } from 'react';
import { findRuns } from '@/core/8-field/recorder/findRuns';
import { madeUpRecording } from '@/core/8-field/recorder/madeUpRecorder';
import type { Track } from '@/core/8-field/recorder/track';
import { predictAt } from '@/core/8-field/predict';
import type { Flight, FlightRun } from '@/core/8-field/sights';
import { readRecording, recordingCsv } from '@/files/recordingTable';
import { useAppSelector } from '@/store/hooks';
import { Button } from '../shell/buttons';
import { ChooseFile } from '../shell/ChooseFile';
import { downloadFile } from '../shell/download';
import { RUN_WORDS } from './fieldWords';

/** An hour at fifty lines a second is below it. */
const MOST_BYTES = 20_000_000;
const MOST_RUNS = 200;

/** How many runs of each kind, in words. */
function foundWords(runs: readonly FlightRun[]): string {
  const counts = RUN_WORDS.map(([kind, words]) => [runs.filter((run) => run.kind === kind).length, words] as const);
  const said = counts.filter(([count]) => count > 0).map(([count, words]) => `${count} ${words}`);
  return said.length > 0 ? `Found in it: ${said.join(', ')}.` : 'Nothing in it is steady for four seconds.';
}

interface RecordingProps {
  readonly flight: Flight;
  readonly onRuns: (runs: FlightRun[]) => void;
}

/** Takes what a recorder wrote down: what in it says something by itself becomes runs of this flight. */
export function Recording({ flight, onRuns }: RecordingProps) {
  const design = useAppSelector((state) => state.document.present!);
  const stall = useAppSelector((state) => state.analysis.current?.speeds.stall ?? null);
  const [said, setSaid] = useState<{ readonly words: string; readonly isFault: boolean } | null>(null);
  const take = (track: Track) => {
    const runs = findRuns(track).map(({ run }) => run);
    setSaid({ words: foundWords(runs), isFault: false });
    // What an earlier recording told of this flight is replaced; what was noted by hand stays.
    onRuns([...flight.runs.filter(({ from }) => from === 'hand'), ...runs].slice(0, MOST_RUNS));
  };
  const bringIn = async (file: File) => {
    const refuse = (because: string) => setSaid({ words: `${file.name} was not taken. ${because}`, isFault: true });
    if (file.size > MOST_BYTES) return refuse('It is larger than 20 MB: cut out the flight.');
    const read = readRecording(await file.text());
    return read.ok ? take(read.track) : refuse(read.message);
  };
  const madeUp = (): Track | null => {
    if (stall === null) return null;
    const glideRatioAt = (speed: number) => predictAt(design, speed, { boomsSofter: 1 }).glideRatio ?? 5;
    const normal = () => Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());
    return madeUpRecording({ stall, speeds: [1.5 * stall, 2 * stall], glideRatioAt, normal }).track;
  };
  return (
    <div className="col-span-2">
      <div className="flex flex-wrap gap-1.5">
        <ChooseFile
          words="Bring a recording in"
          label="Recording of this flight"
          accept=".csv,.txt,text/csv,text/plain"
          onFile={(file) => void bringIn(file)}
        />
        {stall !== null && (
          <>
            <Button
              look="quiet"
              onClick={() => {
                const track = madeUp();
                if (track) take(track);
              }}
            >
              Made-up recorder
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                const track = madeUp();
                if (track)
                  downloadFile({ name: 'made-up recording.csv', parts: [recordingCsv(track)], type: 'text/csv' });
              }}
            >
              Its CSV
            </Button>
          </>
        )}
      </div>
      {said && (
        <p
          role={said.isFault ? 'alert' : 'status'}
          className={`mt-1 p-1.5 text-read ${said.isFault ? 'border-l-4 border-stop bg-stop-soft' : 'text-faint'}`}
        >
          {said.words}
        </p>
      )}
      <p className="mt-1 text-label text-faint">
        Columns time_s, speed_m_s (through the air), height_m, and throttle from 0 to 1 where it is known.
      </p>
    </div>
  );
}
