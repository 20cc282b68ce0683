interface RecordNoteProps {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly onChange: (value: string) => void;
}

/** Words of a record, kept when they are left. */
export function RecordNote({ label, value, most, onChange }: RecordNoteProps) {
  return (
    <label className="col-span-2 text-label text-faint">
      {label}
      <input
        className="mt-0.5 w-full rounded-sm border border-rule bg-sheet px-2 py-1 text-read text-graphite"
        defaultValue={value}
        maxLength={most}
        onBlur={(event) => event.target.value !== value && onChange(event.target.value)}
      />
    </label>
  );
}
