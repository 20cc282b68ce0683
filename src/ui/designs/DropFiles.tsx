import { type ReactNode, useState } from 'react';

interface DropFilesProps {
  readonly onFiles: (files: readonly File[]) => void;
  readonly children: ReactNode;
}

/** A page that takes files let go over it. */
export function DropFiles({ onFiles, children }: DropFilesProps) {
  const [isOver, setOver] = useState(false);
  return (
    <div
      className={`flex h-full flex-col ${isOver ? 'bg-balance-soft' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => event.currentTarget === event.target && setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        onFiles([...event.dataTransfer.files]);
      }}
    >
      {children}
    </div>
  );
}
