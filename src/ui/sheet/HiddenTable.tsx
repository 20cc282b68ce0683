interface HiddenTableProps {
  readonly caption: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** The numbers behind a drawing, for those who hear it. */
export function HiddenTable({ caption, columns, rows }: HiddenTableProps) {
  return (
    <table className="sr-only">
      <caption>{caption}</caption>
      <thead>
        <tr>
          {columns.map((column) => (
            <th key={column} scope="col">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, index) => (
          <tr key={index}>
            {row.map((cell, place) => (
              <td key={place}>{cell}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
