import { memo } from 'react';
import { useAppSelector } from '@/store/hooks';

interface HiddenTableProps {
  readonly caption: string;
  readonly columns: readonly string[];
  /** Asked for when they are shown: not while something is dragged. */
  readonly rows: () => readonly (readonly string[])[];
}

/** The numbers behind a drawing, for those who hear it. While something is dragged it stays as it was: whoever drags looks at the drawing. */
export function HiddenTable(props: HiddenTableProps) {
  const isDragging = useAppSelector((state) => state.session.dragging);
  return <Table {...props} rests={isDragging} />;
}

interface TableProps extends HiddenTableProps {
  readonly rests: boolean;
}

const Table = memo(
  function Table({ caption, columns, rows }: TableProps) {
    return (
      <table className="sr-only">
        <caption>{caption}</caption>
        <thead>
          <tr>
            {columns.map((column, place) => (
              <th key={place} scope="col">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows().map((row, index) => (
            <tr key={index}>
              {row.map((cell, place) => (
                <td key={place}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    );
  },
  (_, { rests }) => rests,
);
