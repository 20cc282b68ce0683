import { Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { DocumentIssue } from '@/core/2-document/readDesign';
import { Button } from '../shell/buttons';
import { told } from '../shell/told';
import { useSurroundings } from '../surroundings';
import { importFile } from './importFile';

interface Refusal {
  readonly file: string;
  readonly issues: readonly DocumentIssue[];
}

type TakeFiles = (files: readonly File[]) => Promise<void>;

/** Takes files in, each by itself and all or nothing; those of the last go that were refused say why. */
export function useImport(): { readonly refusals: readonly Refusal[]; readonly importFiles: TakeFiles } {
  const { session, designs } = useSurroundings();
  const navigate = useNavigate();
  const [refusals, setRefusals] = useState<readonly Refusal[]>([]);
  const importFiles: TakeFiles = async (files) => {
    const refused: Refusal[] = [];
    for (const file of files) {
      const outcome = await told(`${file.name} was not imported`, () => importFile({ session, designs }, file));
      if (outcome === null) continue;
      if (!outcome.ok) {
        refused.push({ file: file.name, issues: outcome.issues });
        continue;
      }
      const { id, name } = outcome.stored;
      toast(`${name} was imported.`, {
        action: { label: 'Open', onClick: () => navigate(`/design/${id}/wing`) },
      });
    }
    setRefusals(refused);
  };
  return { refusals, importFiles };
}

/** Opens the browser's choice of files. */
export function ImportButton({ onFiles }: { readonly onFiles: TakeFiles }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onClick={() => input.current?.click()}>
        <Upload size={15} aria-hidden="true" /> Import
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,.zip,application/json,application/zip"
        multiple
        className="sr-only"
        aria-label="Design files to import"
        tabIndex={-1}
        onChange={(event) => {
          void onFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </>
  );
}

/** Why a file was not taken, fault by fault. */
export function Refused({ file, issues }: Refusal) {
  return (
    <div role="alert" className="mt-3 border-l-4 border-stop bg-stop-soft p-3 text-read">
      <p className="font-semibold">{file} was not taken; nothing else changed.</p>
      <ul className="mt-1 list-disc pl-5">
        {issues.slice(0, 6).map((issue) => (
          <li key={issue.path + issue.message}>
            <code>{issue.path}</code> {issue.message}
          </li>
        ))}
        {issues.length > 6 && <li>and {issues.length - 6} more</li>}
      </ul>
    </div>
  );
}
