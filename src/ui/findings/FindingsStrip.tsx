import { ChevronDown, ChevronUp } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { Finding } from '@/core/7-verdict/finding';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { findingPointed } from '@/store/sessionSlice';
import { shownFindings } from '@/store/setAsideFindings';
import { Say } from '../numbers/Say';
import { FindingsPanel } from './FindingsPanel';
import { LOOK } from './look';

/** The gravest finding in a line at the beam, and how many there are; opens upward over the sheet. */
export function FindingsStrip() {
  const findings = useAppSelector((state) => state.analysis.current?.findings);
  const failure = useAppSelector((state) => state.analysis.failure);
  const setAside = useAppSelector((state) => state.document.present?.setAside);
  const [isOpen, setOpen] = useState(false);
  const opener = useRef<HTMLButtonElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const { id } = useParams();
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!isOpen) return undefined;
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !box.current?.contains(document.activeElement)) return;
      setOpen(false);
      opener.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [isOpen]);
  /** Its stage comes up and the sheet is freed; the mark stands until something else is pointed at. */
  const show = ({ id: finding, stage }: Finding) => {
    setOpen(false);
    void navigate(`/design/${id}/${stage}`);
    opener.current?.focus();
    dispatch(findingPointed(finding));
  };
  const { open, aside } = shownFindings(findings ?? [], setAside ?? []);
  const [worst] = open;
  return (
    <div className="relative shrink-0 border-t border-graphite bg-sheet" ref={box}>
      {isOpen && (
        <div className="absolute inset-x-0 bottom-full z-20 flex max-h-[46vh] flex-col border-t border-graphite bg-sheet shadow-[0_-6px_18px_rgb(0_0_0/0.12)]">
          <FindingsPanel onShow={show} />
        </div>
      )}
      <button
        ref={opener}
        type="button"
        aria-expanded={isOpen}
        aria-controls="findings"
        data-testid="findings-strip"
        onClick={() => {
          dispatch(findingPointed(null));
          setOpen(!isOpen);
        }}
        className="flex w-full cursor-pointer items-center gap-2 px-3 py-1.5 text-left text-read hover:bg-soft"
      >
        {failure ? (
          <span className={`min-w-0 flex-1 truncate font-semibold ${LOOK.stop.head}`}>The computation failed</span>
        ) : worst ? (
          <>
            <span className={`inline-flex shrink-0 items-center gap-1 font-semibold ${LOOK[worst.severity].head}`}>
              {LOOK[worst.severity].icon} {LOOK[worst.severity].word}
            </span>
            <span className="min-w-0 flex-1 truncate">
              <Say words={worst.message} />
            </span>
          </>
        ) : (
          <span className="min-w-0 flex-1 truncate text-faint">
            {findings ? 'Nothing stands out in what was computed.' : 'Computing…'}
          </span>
        )}
        <span className="shrink-0 font-medium">
          {open.length === 1 ? '1 finding' : `${open.length} findings`}
          {aside.length > 0 && <span className="font-normal text-faint"> · {aside.length} set aside</span>}
        </span>
        {isOpen ? <ChevronDown size={16} aria-hidden="true" /> : <ChevronUp size={16} aria-hidden="true" />}
      </button>
    </div>
  );
}
