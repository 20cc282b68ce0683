import { Info, OctagonAlert, TriangleAlert } from 'lucide-react';

/** How grave a finding is, as a word, a shape and a colour. */
export const LOOK = {
  stop: {
    word: 'Stop',
    icon: <OctagonAlert size={16} aria-hidden="true" />,
    box: 'border-stop bg-stop-soft',
    head: 'text-stop',
  },
  caution: {
    word: 'Look again',
    icon: <TriangleAlert size={16} aria-hidden="true" />,
    box: 'border-caution bg-caution-soft',
    head: 'text-caution',
  },
  note: {
    word: 'Note',
    icon: <Info size={16} aria-hidden="true" />,
    box: 'border-rule bg-sheet',
    head: 'text-faint',
  },
} as const;
